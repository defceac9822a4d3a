import type { Metadata } from 'next';
import { Labels } from '@/features/sheets/Labels';
import { Tools } from '@/features/tools/Tools';

export const metadata: Metadata = { title: 'Labels · Rincon' };

export default function LabelsPage() {
  return <Labels tools={<Tools />} />;
}
