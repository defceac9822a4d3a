'use client';

import { useMemo } from 'react';
import { planOf } from '@/core/plan';
import { buyingOf, quoteOf, type Buying, type Quote } from '@/core/buying';
import { useOpenDesign } from './openDesign';
import { useStore } from './react';

/** Where the price of one bare enclosure is kept among the builder's own. */
export const boxPriceKey = (design: string): string => `box:${design}/each`;

interface Quoted {
  readonly quote: Quote;
  /** What is bought for all of them: nothing off one's own shelf, since that was paid for too. */
  readonly buying: Buying;
  /** Minutes of work on one. */
  readonly minutes: number;
  /** Price of one bare enclosure; null: not told, and not in the sum. */
  readonly box: number | null;
}

/**
 * What it comes to when so many of the open enclosure are made for others, on its keeper's terms.
 * @param today local day, ISO 8601
 */
export function useQuote(count: number, today: string): Quoted {
  const { catalogue, settings } = useStore();
  const { design, assessment } = useOpenDesign();
  const { spare, prices, terms } = settings;
  return useMemo(() => {
    const build = { design, assessment };
    const all = Array.from({ length: count }, () => build);
    const buying = buyingOf(all, catalogue, {}, spare, prices);
    const minutes = planOf(design, assessment, catalogue, today).hands;
    const box = prices[boxPriceKey(design.id)] ?? null;
    return {
      quote: quoteOf({ count, goods: buying.price, box: box ?? 0, minutes }, terms),
      buying,
      minutes,
      box,
    };
  }, [count, design, assessment, catalogue, spare, prices, terms, today]);
}
