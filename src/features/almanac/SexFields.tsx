'use client';

import type { Animal } from '@/core/catalogue';
import { Span } from '@/ui/fields/SourcedFields';
import { guess, Optional } from './Optional';

const SEXES = { female: 'Females', male: 'Males' } as const;

/** Length and mass of each sex, where they differ. */
export function SexFields({
  row,
  onPut,
}: {
  readonly row: Animal;
  readonly onPut: (parts: Partial<Animal>) => void;
}) {
  const body = { length: row.length.value, mass: row.mass.value };
  return (
    <Optional
      of={row.sexes}
      add="Add sizes of the sexes"
      remove="Remove sizes of the sexes"
      onAdd={() => onPut({ sexes: guess({ female: body, male: body }) })}
      onRemove={() => onPut({ sexes: undefined })}
    >
      {(sexes) =>
        (['female', 'male'] as const).map((sex) => {
          const one = sexes.value[sex];
          return (
            <div key={sex}>
              <Span
                label={`${SEXES[sex]}, long`}
                measure="length"
                of={{ ...sexes, value: one.length }}
                min={0.001}
                max={8}
                own
                onPut={({ value: length, ...mark }) =>
                  onPut({ sexes: { ...mark, value: { ...sexes.value, [sex]: { ...one, length } } } })
                }
              />
              <Span
                label={`${SEXES[sex]}, weight`}
                measure="mass"
                of={{ ...sexes, value: one.mass }}
                min={0.00001}
                max={200}
                own
                onPut={({ value: mass, ...mark }) =>
                  onPut({ sexes: { ...mark, value: { ...sexes.value, [sex]: { ...one, mass } } } })
                }
              />
            </div>
          );
        })
      }
    </Optional>
  );
}
