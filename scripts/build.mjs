/** Builds, unless the build that stands is newer than everything it is made from. */
import { ensureBuild } from './ensure.mjs';

process.exitCode = ensureBuild() ? 0 : 1;
