'use client';

import { createContext, useContext, useMemo, type ReactNode } from 'react';
import {
  formatQuantity,
  METRIC,
  tell,
  type FormatOptions,
  type Quantity,
  type Said,
  type UnitPrefs,
} from '@/core/units';

const PrefsContext = createContext<UnitPrefs>(METRIC);

/** Everything below it is read and written in these units. */
export function UnitsProvider({
  prefs,
  children,
}: {
  readonly prefs: UnitPrefs;
  readonly children: ReactNode;
}) {
  return <PrefsContext value={prefs}>{children}</PrefsContext>;
}

export interface Reader {
  readonly prefs: UnitPrefs;
  readonly write: (quantity: Quantity, more?: Omit<FormatOptions, 'prefs' | 'locale'>) => string;
  readonly tell: (said: Said) => string;
}

/** Writes quantities and sentences in the reader's units and the browser's locale. */
export function useReader(): Reader {
  const prefs = useContext(PrefsContext);
  return useMemo(
    () => ({
      prefs,
      write: (quantity, more) => formatQuantity(quantity, { prefs, ...more }),
      tell: (said) => tell(said, { prefs }),
    }),
    [prefs],
  );
}
