'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import type { Sourced } from '@/core/catalogue';
import { Pick } from '@/ui/fields/SourcedFields';

/** A value to begin with, until the keeper sets it right. */
export const guess = <T,>(value: T): Sourced<T> => ({ value, basis: 'estimated' });

interface OptionalProps<T> {
  readonly of: T | undefined;
  /** What the buttons say that write it down and take it out. */
  readonly add: string;
  readonly remove: string;
  readonly onAdd: () => void;
  readonly onRemove: () => void;
  /** Its fields; left out where they stand elsewhere. */
  readonly children?: (of: T) => ReactNode;
}

/** A value that a row may lack. */
export function Optional<T>({ of, add, remove, onAdd, onRemove, children }: OptionalProps<T>) {
  return (
    <>
      {of !== undefined && children?.(of)}
      <Box sx={{ my: 0.25 }}>
        <Button size="small" onClick={of === undefined ? onAdd : onRemove}>
          {of === undefined ? add : remove}
        </Button>
      </Box>
    </>
  );
}

const YES = { yes: 'yes', no: 'no' } as const;

/** Yes or no, as one of two words. */
export function Whether({
  label,
  of = guess(false),
  onPut,
}: {
  readonly label: string;
  readonly of: Sourced<boolean> | undefined;
  readonly onPut: (value: Sourced<boolean>) => void;
}) {
  return (
    <Pick
      label={label}
      of={{ ...of, value: of.value ? 'yes' : 'no' }}
      words={YES}
      own
      onPut={({ value, ...mark }) => onPut({ ...mark, value: value === 'yes' })}
    />
  );
}
