import type { Metadata } from 'next';
import { Sitter } from '@/features/sheets/Sitter';
import { Tools } from '@/features/tools/Tools';

export const metadata: Metadata = { title: 'While you are away · Rincon' };

export default function SitterPage() {
  return <Sitter tools={<Tools />} />;
}
