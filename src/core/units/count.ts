/** The language the sentences are written in; numbers follow the reader’s country. */
const LANGUAGE = 'en';
const rules = new Intl.PluralRules(LANGUAGE);

/**
 * A number of things: “1 day”, “3 days”; whole numbers, the plural with an s unless it is told.
 * @param write how the number is written, where there may be thousands of them
 */
export const counted = (
  count: number,
  one: string,
  other = `${one}s`,
  write: (whole: number) => string = String,
): string => {
  const whole = Math.round(count);
  return `${write(whole)} ${rules.select(whole) === 'one' ? one : other}`;
};

/** With a capital, as a sentence begins. */
export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
