import type { ReactNode } from 'react';
import { OpenEnclosure } from './OpenEnclosure';

interface Props {
  readonly params: Promise<{ readonly id: string }>;
  readonly children: ReactNode;
}

export default async function EnclosureLayout({ params, children }: Props) {
  const { id } = await params;
  return <OpenEnclosure id={decodeURIComponent(id)}>{children}</OpenEnclosure>;
}
