'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import type { Range, Sourced } from '@/core/catalogue';
import {
  length,
  light,
  mass,
  percent,
  spanned,
  temperature,
  type Measure,
  type Quantity,
} from '@/core/units';
import { BasisMark } from '../BasisMark';
import { useReader } from '../units';
import { MarkField, type Mark } from './MarkField';
import { NumberField, PickField } from './PlainFields';
import { QuantityField } from './QuantityField';

/** A value the keeper wrote: measured, until they say otherwise. */
export const mineOf = <T,>(value: T): Sourced<T> => ({ value, basis: 'measured' });

/** A heading among the values. */
export function Part({ children }: { readonly children: ReactNode }) {
  return (
    <Typography variant="h3" sx={{ mt: 1.5, mb: 0.5 }}>
      {children}
    </Typography>
  );
}

interface LineProps {
  readonly label: string;
  readonly of?: Sourced<unknown>;
  /** Of a value of one’s own: says anew where it comes from. */
  readonly onMark?: ((mark: Mark) => void) | undefined;
  readonly children: ReactNode;
}

/** One value with its name and where it comes from. */
export function Line({ label, of, onMark, children }: LineProps) {
  return (
    <Box
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1.25,
        minHeight: 34,
        borderBottom: 1,
        borderColor: 'earth.rule',
      }}
    >
      <Box sx={{ flex: 1, color: 'earth.quiet' }}>{label}</Box>
      <Box sx={{ fontWeight: 600, display: 'flex', gap: 0.75, alignItems: 'baseline' }}>{children}</Box>
      {of && onMark ? (
        <MarkField label={label} mark={of} onMark={onMark} />
      ) : (
        of && <BasisMark basis={of.basis} source={of.source} />
      )}
    </Box>
  );
}

/** The same value with another mark, where it is one’s own. */
const marking = <T,>(
  own: boolean,
  { value }: Sourced<T>,
  onPut: (value: Sourced<T>) => void,
): ((mark: Mark) => void) | undefined => (own ? (mark) => onPut({ value, ...mark }) : undefined);

interface PickProps<T extends string> {
  readonly label: string;
  readonly of: Sourced<T>;
  readonly words: Record<T, string>;
  readonly own: boolean;
  readonly onPut: (value: Sourced<T>) => void;
}

/** One of a few. */
export function Pick<T extends string>({ label, of, words, own, onPut }: PickProps<T>) {
  const options = Object.keys(words) as T[];
  return (
    <Line label={label} of={of} onMark={marking(own, of, onPut)}>
      {own ? (
        <PickField
          label={label}
          value={of.value}
          options={options.map((value) => ({ value, name: words[value] }))}
          onPick={(value) => onPut(mineOf(value))}
        />
      ) : (
        words[of.value]
      )}
    </Line>
  );
}

const KIND: Partial<Record<Measure, (si: number) => Quantity>> = { length, mass, percent, temperature };
const STEP: Partial<Record<Measure, number>> = { length: 0.01, mass: 0.01, percent: 0.05, temperature: 0.5 };

interface SingleProps {
  readonly label: string;
  readonly measure: Measure;
  readonly of: Sourced<number>;
  readonly min?: number;
  readonly max: number;
  readonly step?: number;
  /** What the value is for one of, where it is told for so many: a litre of a cubic metre. */
  readonly per?: number;
  readonly decimals?: number;
  readonly own: boolean;
  readonly onPut: (value: Sourced<number>) => void;
}

/** One quantity. */
export function Single(props: SingleProps) {
  const { label, measure, of, min = 0, max, step, per = 1, decimals, own, onPut } = props;
  const { write } = useReader();
  const quantity = KIND[measure];
  return (
    <Line label={label} of={of} onMark={marking(own, of, onPut)}>
      {own ? (
        <QuantityField
          bare
          label={label}
          measure={measure}
          value={of.value * per}
          min={min}
          max={max}
          step={step ?? STEP[measure] ?? 0.01}
          onCommit={(si) => onPut(mineOf(si / per))}
        />
      ) : (
        quantity &&
        write(quantity(of.value * per), decimals === undefined ? undefined : { decimals, trim: true })
      )}
    </Line>
  );
}

interface SpanProps {
  readonly label: string;
  readonly measure: Measure;
  readonly of: Sourced<Range>;
  readonly min?: number;
  readonly max: number;
  readonly own: boolean;
  readonly onPut: (value: Sourced<Range>) => void;
}

/** A range: its low end never passes its high one. */
export function Span({ label, measure, of, min = 0, max, own, onPut }: SpanProps) {
  const { write } = useReader();
  const { low, high } = of.value;
  // Small animals are written in grams at both ends.
  const isLight = measure === 'mass' && high < 1;
  const quantity = isLight ? light : KIND[measure];
  const typed = isLight ? 'light' : measure;
  if (!quantity) return null;
  const trimmed = { trim: true };
  return (
    <Line label={label} of={of} onMark={marking(own, of, onPut)}>
      {own ? (
        <>
          <QuantityField
            bare
            label={`${label}, from`}
            measure={typed}
            value={low}
            min={min}
            max={high}
            step={STEP[measure] ?? 0.01}
            onCommit={(si) => onPut(mineOf({ low: si, high }))}
          />
          to
          <QuantityField
            bare
            label={`${label}, to`}
            measure={typed}
            value={high}
            min={low}
            max={max}
            step={STEP[measure] ?? 0.01}
            onCommit={(si) => onPut(mineOf({ low, high: si }))}
          />
        </>
      ) : low === high ? (
        write(quantity(low), trimmed)
      ) : (
        spanned(write(quantity(low), trimmed), write(quantity(high), trimmed))
      )}
    </Line>
  );
}

interface PlainSpanProps {
  readonly label: string;
  readonly unit: string;
  readonly of: Sourced<Range>;
  readonly min?: number;
  readonly max: number;
  readonly step?: number;
  readonly own: boolean;
  readonly onPut: (value: Sourced<Range>) => void;
}

/** A range in a unit that is the same everywhere: light, days, eggs. */
export function PlainSpan({ label, unit, of, min = 0, max, step = 0.5, own, onPut }: PlainSpanProps) {
  const { plain } = useReader();
  const { low, high } = of.value;
  return (
    <Line label={label} of={of} onMark={marking(own, of, onPut)}>
      {own ? (
        <>
          <NumberField
            key={`l${low}`}
            bare
            label={`${label}, from`}
            value={low}
            min={min}
            max={high}
            step={step}
            onCommit={(next) => onPut(mineOf({ low: next, high }))}
          />
          to
          <NumberField
            key={`h${high}`}
            bare
            label={`${label}, to`}
            value={high}
            min={low}
            max={max}
            step={step}
            onCommit={(next) => onPut(mineOf({ low, high: next }))}
          />
          {unit}
        </>
      ) : low === high ? (
        `${plain(low, 3)} ${unit}`.trim()
      ) : (
        `${plain(low, 3)} to ${plain(high, 3)} ${unit}`.trim()
      )}
    </Line>
  );
}

interface CountProps {
  readonly label: string;
  readonly unit: string;
  readonly of: Sourced<number>;
  readonly min?: number;
  readonly max: number;
  readonly step?: number;
  readonly own: boolean;
  readonly onPut: (value: Sourced<number>) => void;
}

/** A number in a unit that is the same everywhere. */
export function Count({ label, unit, of, min = 0, max, step = 1, own, onPut }: CountProps) {
  const { plain } = useReader();
  return (
    <Line label={label} of={of} onMark={marking(own, of, onPut)}>
      {own ? (
        <>
          <NumberField
            key={of.value}
            bare
            label={label}
            value={of.value}
            min={min}
            max={max}
            step={step}
            onCommit={(next) => onPut(mineOf(next))}
          />
          {unit}
        </>
      ) : (
        `${plain(of.value, 3)} ${unit}`.trim()
      )}
    </Line>
  );
}
