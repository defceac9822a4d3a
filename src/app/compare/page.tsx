import type { Metadata } from 'next';
import { Compare } from '@/features/compare/Compare';
import { Tools } from '@/features/tools/Tools';

export const metadata: Metadata = { title: 'Compare · Rincon' };

export default function ComparePage() {
  return <Compare tools={<Tools />} />;
}
