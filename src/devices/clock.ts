/**
 * The server's clock for everything a person reads a date from. `RINCON_NOW` sets it going from another moment, so that
 * tests and demonstrations do not hang on the day they run.
 */
const started = Date.now();
const told = Date.parse(process.env.RINCON_NOW ?? '');
const ahead = Number.isFinite(told) ? told - started : 0;

/** ms since 1970 */
export const serverNow = (): number => Date.now() + ahead;
