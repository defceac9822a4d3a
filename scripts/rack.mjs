/** `npm run -s rack -- 200`: a generated rack of so many enclosures as a backup file, to be read in. */
import { runCli } from './ensure.mjs';

process.exitCode = await runCli('rack');
