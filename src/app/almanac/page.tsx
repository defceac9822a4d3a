import type { Metadata } from 'next';
import { Almanac } from '@/features/almanac/Almanac';
import { Tools } from '@/features/tools/Tools';

export const metadata: Metadata = { title: 'Almanac · Rincon' };

export default function AlmanacPage() {
  return <Almanac tools={<Tools />} />;
}
