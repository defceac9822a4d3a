import type { Metadata } from 'next';
import { Stores } from '@/features/stores/Stores';
import { Tools } from '@/features/tools/Tools';

export const metadata: Metadata = { title: 'Stores · Rincon' };

export default function StoresPage() {
  return <Stores tools={<Tools />} />;
}
