import type { Metadata } from 'next';
import { Stores } from '@/features/stores/Stores';
import { Tools } from '@/features/tools/Tools';
import { LaterBench } from './LaterBench';

export const metadata: Metadata = { title: 'Stores · Rincon' };

interface Props {
  readonly searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>;
}

const one = (value: string | string[] | undefined): string | null =>
  typeof value === 'string' ? value : null;

export default async function StoresPage({ searchParams }: Props) {
  const { design, layer } = await searchParams;
  return <Stores tools={<Tools />} bench={<LaterBench design={one(design)} layer={one(layer)} />} />;
}
