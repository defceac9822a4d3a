import type { Metadata } from 'next';
import { NewEnclosure } from '@/features/start/NewEnclosure';
import { Tools } from '@/features/tools/Tools';

export const metadata: Metadata = { title: 'New enclosure · Rincon' };

export default function NewPage() {
  return <NewEnclosure tools={<Tools />} />;
}
