'use client';

import { dayPlus } from '@/core/time';
import { counted } from '@/core/units';
import { putOff, useActs } from '@/store';
import { ActionMenu } from '@/ui/ActionMenu';
import { dayWords } from '@/ui/days';
import { useAct } from '@/ui/useAct';
import { useToday } from '@/ui/useToday';

const LATER = [
  ['Until tomorrow', 1],
  ['For three days', 3],
  ['For a week', 7],
] as const;

interface Props {
  readonly label: string;
  /** What is put off, said aloud. */
  readonly name: string;
  /** Rules by the enclosure they are of. */
  readonly rules: ReadonlyMap<string, readonly string[]>;
  /** It must not be left out for long: it waits until tomorrow and no longer. */
  readonly isUrgent: boolean;
}

/** Puts care off by some days; how often it comes stays as it is. */
export function PutOff({ label, name, rules, isUrgent }: Props) {
  const today = useToday();
  const write = useAct();
  const acts = useActs();
  const many = [...rules.values()].reduce((sum, it) => sum + it.length, 0);
  return (
    <ActionMenu
      label={label}
      name={name}
      choices={LATER.slice(0, isUrgent ? 1 : undefined).map(([words, days]) => ({
        words,
        act: () => {
          const day = dayPlus(today, days);
          void write(`Put off to ${dayWords(day)}: ${counted(many, 'thing')}.`, () =>
            acts.changeAll([...rules.keys()], putOff(rules, day)),
          );
        },
      }))}
    />
  );
}
