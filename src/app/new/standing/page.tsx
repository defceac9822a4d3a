import type { Metadata } from 'next';
import { StandsAlready } from '@/features/start/StandsAlready';
import { Tools } from '@/features/tools/Tools';

export const metadata: Metadata = { title: 'It stands already · Rincon' };

export default function StandingPage() {
  return <StandsAlready tools={<Tools />} />;
}
