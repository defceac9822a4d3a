import type { Metadata } from 'next';
import { Receive } from '@/features/tools/Receive';
import { Tools } from '@/features/tools/Tools';

export const metadata: Metadata = { title: 'From another device · Rincon' };

export default function ReceivePage() {
  return <Receive tools={<Tools />} />;
}
