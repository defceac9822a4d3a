import { spawn } from 'node:child_process';

/**
 * Starts the built application on a port and waits until it answers.
 * @param {number} port
 * @param {{ demo?: boolean, lan?: boolean, code?: string | null, quiet?: boolean }} [options] `lan`: on every address of the machine, not on
 * its own alone; `code`: what each device has to type before anything is answered; `quiet`:
 * what it says of requests that are broken off is not shown
 */
export async function serve(port, { demo = false, lan = false, code = null, quiet = false } = {}) {
  const child = spawn(
    process.execPath,
    ['node_modules/next/dist/bin/next', 'start', '-H', lan ? '0.0.0.0' : '127.0.0.1', '-p', String(port)],
    {
      stdio: ['ignore', 'ignore', quiet ? 'ignore' : 'inherit'],
      env: {
        ...process.env,
        NEXT_TELEMETRY_DISABLED: '1',
        RINCON_DEMO: demo ? '1' : '0',
        ...(code ? { RINCON_CODE: code } : {}),
      },
    },
  );
  const url = `http://127.0.0.1:${port}`;
  for (let tries = 0; tries < 150; tries += 1) {
    if (child.exitCode !== null) throw new Error(`the server ended with ${child.exitCode}`);
    try {
      await fetch(url);
      return { url, pid: child.pid, stop: () => child.kill() };
    } catch {
      await new Promise((resolve) => setTimeout(resolve, 200));
    }
  }
  child.kill();
  throw new Error(`nothing answers on port ${port}`);
}
