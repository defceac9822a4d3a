import type { Metadata } from 'next';
import { Today } from '@/features/keep/Today';
import { Tools } from '@/features/tools/Tools';

export const metadata: Metadata = { title: 'Today · Rincon' };

export default function TodayPage() {
  return <Today tools={<Tools />} />;
}
