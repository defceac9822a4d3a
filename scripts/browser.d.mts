export const HEADLESS: string;
export const CHROMIUM: string;
export const CHROMIUM_ARGS: string[];
