import type { Metadata } from 'next';
import { SheetIn } from '@/features/start/SheetIn';
import { Tools } from '@/features/tools/Tools';

export const metadata: Metadata = { title: 'From a spreadsheet · Rincon' };

export default function SheetPage() {
  return <SheetIn tools={<Tools />} />;
}
