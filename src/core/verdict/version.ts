/** Raised whenever the same design may be judged otherwise: what was kept of older ones is forgotten. */
export const ENGINE_VERSION = 29;
