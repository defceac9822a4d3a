import { useSyncExternalStore } from 'react';

const neverChanges = () => () => {};

/** This address, as the browser has it; empty while the page is made on the server. */
export const useOrigin = (): string =>
  useSyncExternalStore(
    neverChanges,
    () => window.location.origin,
    () => '',
  );

/** Whether an address is of this machine alone: no other device can open it. */
export const isOnlyHere = (origin: string): boolean =>
  /^https?:\/\/(localhost|127(\.\d+){3}|\[::1\])(:\d+)?$/.test(origin);
