/** `npm run -s holds [-- --animal ID --room dry|middle|humid --json]`: every kind in three rooms, proposed and judged; `--given`: forty boxes that are given; `--remedies`: every remedy taken over and judged; `--grid 20`: the search against brute force. */
import { runCli } from './ensure.mjs';

process.exitCode = await runCli('holds');
