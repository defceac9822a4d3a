'use client';

import type { Room } from '@/core/document';
import { Choice } from './Choice';

type Answer = NonNullable<Room['kind']> | 'unknown';

const ROOMS: readonly { readonly value: Answer; readonly name: string; readonly why: string }[] = [
  { value: 'dry', name: 'Dry', why: 'Heated or high up; about 35 %.' },
  { value: 'middle', name: 'Middling', why: 'About 50 % most of the year.' },
  { value: 'humid', name: 'Humid', why: 'Coast, cellar; 65 % and more.' },
  { value: 'unknown', name: 'Do not know yet', why: 'Taken as middling.' },
];

/** How the room is. */
export function RoomChoice({
  value,
  onChange,
}: {
  readonly value: Room['kind'];
  readonly onChange: (kind: Room['kind']) => void;
}) {
  return (
    <Choice
      label="How is the room"
      least={122}
      options={ROOMS}
      value={value ?? 'unknown'}
      onChange={(answer) => onChange(answer === 'unknown' ? null : answer)}
    />
  );
}
