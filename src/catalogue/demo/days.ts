import type { Design } from '@/core/document';
import { dayPlus, daysTill } from '@/core/time';

/** The day the demo’s days are told for. */
const TOLD_ON = '2026-11-18';
const DAY = /^\d{4}-\d{2}-\d{2}$/;

function later(of: unknown, days: number): unknown {
  if (typeof of === 'string') return DAY.test(of) ? dayPlus(of, days) : of;
  if (Array.isArray(of)) return of.map((it: unknown) => later(it, days));
  if (typeof of !== 'object' || of === null) return of;
  return Object.fromEntries(Object.entries(of).map(([key, it]) => [key, later(it, days)]));
}

/** The demo as it stands on whatever day it is laid out: what cures has cured for four days then, not for a year. */
export function demoOn(designs: readonly Design[], today: string): readonly Design[] {
  const days = daysTill(TOLD_ON, today);
  return days === 0 ? designs : designs.map((it) => later(it, days) as Design);
}
