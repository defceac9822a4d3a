'use client';

import dynamic from 'next/dynamic';
import { Fetching } from '@/ui/Fetching';

/** The mixing bench, fetched when somebody goes to it: the other tabs of Stores need neither ground nor solver. */
export const LaterBench = dynamic(() => import('@/features/mixing/Bench').then((it) => it.Bench), {
  loading: Fetching,
});
