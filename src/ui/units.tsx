'use client';

import { createContext, useContext, useMemo, type ReactNode } from 'react';
import {
  asMessage,
  formatQuantity,
  METRIC,
  formatMessage,
  formatMoney,
  number,
  parseNumber,
  plainNumber,
  type FormatOptions,
  type Quantity,
  type Message,
  type UnitPrefs,
} from '@/core/units';

const PrefsContext = createContext<UnitPrefs>(METRIC);
const CurrencyContext = createContext<string | null>(null);

/** Everything below it is read and written in these units. */
export function UnitsProvider({
  prefs,
  currency = null,
  children,
}: {
  readonly prefs: UnitPrefs;
  /** ISO 4217; null: prices are bare numbers. */
  readonly currency?: string | null;
  readonly children: ReactNode;
}) {
  return (
    <PrefsContext value={prefs}>
      <CurrencyContext value={currency}>{children}</CurrencyContext>
    </PrefsContext>
  );
}

export interface Reader {
  readonly prefs: UnitPrefs;
  /** Whose marks of decimals and groups numbers are written and typed with. */
  readonly locale: string;
  readonly write: (quantity: Quantity, more?: Omit<FormatOptions, 'prefs' | 'locale'>) => string;
  /** A sentence, or a line of a table with its amounts in metric. */
  readonly tell: (said: Message | string) => string;
  /** A bare number; its decimals always, where they are told. */
  readonly num: (value: number, decimals?: number) => string;
  /** A price in the keeper's currency, as the reader's country writes it; a bare number where none was told. */
  readonly money: (value: number) => string;
  /** A bare number as it was typed; null: it is none. */
  readonly parse: (text: string) => number | null;
  /** A bare number as it stands in a field. */
  readonly plain: (value: number, places: number) => string;
}

/** The browser’s locale: what is not told otherwise is written and read by it. */
const browserLocale = (): string => new Intl.NumberFormat().resolvedOptions().locale;

/** Writes and reads numbers, quantities and sentences in the reader's units and the browser's locale. */
export function useReader(): Reader {
  const prefs = useContext(PrefsContext);
  const currency = useContext(CurrencyContext);
  return useMemo(() => {
    const locale = browserLocale();
    return {
      prefs,
      locale,
      write: (quantity, more) => formatQuantity(quantity, { prefs, locale, ...more }),
      tell: (said) => formatMessage(asMessage(said), { prefs, locale }),
      num: (value, decimals) => formatQuantity(number(value, decimals), { prefs, locale }),
      money: (value) => formatMoney(value, currency, locale),
      parse: (text) => parseNumber(text, locale),
      plain: (value, places) => plainNumber(value, places, locale),
    };
  }, [prefs, currency]);
}
