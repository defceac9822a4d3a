'use client';

import MenuItem from '@mui/material/MenuItem';
import TextField, { type TextFieldProps } from '@mui/material/TextField';
import { useState } from 'react';
import { useReader } from '../units';

interface TextProps {
  readonly label: string;
  readonly value: string;
  /** Gives what is wrong with it, where something is: it then stays in the field. */
  readonly onCommit: (value: string) => unknown;
  readonly multiline?: boolean;
  /** It may be emptied. */
  readonly optional?: boolean;
  /** What is right, said under it. */
  readonly hint?: string;
  /** Says what is wrong with what was typed; undefined when nothing is. */
  readonly check?: (value: string) => string | undefined;
  readonly sx?: TextFieldProps['sx'];
}

/** A line of text that is taken over when one leaves it or presses Enter. Give it its value as key. */
export function LineField({
  label,
  value,
  onCommit,
  multiline = false,
  optional = false,
  hint,
  check,
  sx,
}: TextProps) {
  const [text, setText] = useState(value);
  const [refused, setRefused] = useState<string>();
  const wrong = check?.(text.trim()) ?? refused;
  const commit = (): void => {
    if (check?.(text.trim()) !== undefined || text.trim() === value || (!optional && text.trim() === ''))
      return;
    const said = onCommit(text.trim());
    setRefused(typeof said === 'string' ? said : undefined);
  };
  return (
    <TextField
      label={label}
      value={text}
      error={wrong !== undefined}
      helperText={wrong ?? hint}
      multiline={multiline}
      onChange={(event) => {
        setText(event.target.value);
        setRefused(undefined);
      }}
      onBlur={commit}
      onKeyDown={(event) => event.key === 'Enter' && !multiline && commit()}
      sx={sx}
    />
  );
}

interface NumberProps {
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step?: number;
  /** Gives what is wrong with it, where something is: it then stays in the field. */
  readonly onCommit: (value: number) => unknown;
  /** Decimals always shown; otherwise no more than are needed. */
  readonly decimals?: number;
  /** Underlined and without its label, for tables. */
  readonly bare?: boolean;
  readonly sx?: TextFieldProps['sx'];
}

/** A bare number: parts, counts. Comma or point; arrow keys step. Give it its value as key. */
export function NumberField(props: NumberProps) {
  const { label, value, min, max, step = 1, onCommit, bare = false, sx, decimals } = props;
  const { num, parse, plain } = useReader();
  const [text, setText] = useState(decimals === undefined ? plain(value, 3) : num(value, decimals));
  const [refused, setRefused] = useState<string>();
  const number = parse(text);
  const isOutside = number === null || number < min || number > max;
  const wrong = isOutside ? `A number from ${num(min)} to ${num(max)}.` : refused;
  const put = (to: number): void => {
    const said = onCommit(to);
    setRefused(typeof said === 'string' ? said : undefined);
  };
  const commit = (): void => {
    if (number !== null && !isOutside && number !== value) put(number);
  };
  return (
    <TextField
      {...(bare ? { variant: 'standard' as const } : { label })}
      value={text}
      error={wrong !== undefined}
      helperText={wrong}
      onChange={(event) => {
        setText(event.target.value);
        setRefused(undefined);
      }}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') commit();
        if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
          event.preventDefault();
          const by = (event.key === 'ArrowUp' ? 1 : -1) * (event.shiftKey ? step / 10 : step);
          const next = Math.min(max, Math.max(min, Math.round((value + by) * 1000) / 1000));
          if (next !== value) put(next);
        }
      }}
      slotProps={{ htmlInput: { inputMode: 'decimal', ...(bare ? { 'aria-label': label } : {}) } }}
      sx={bare ? { '& input': { textAlign: 'right', width: 56, p: '2px 0' }, ...sx } : sx}
    />
  );
}

interface PickProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly name: string }[];
  readonly onPick: (value: T) => void;
}

/** One of a few, underlined and without its label, for tables. */
export function PickField<T extends string>({ label, value, options, onPick }: PickProps<T>) {
  return (
    <TextField
      select
      variant="standard"
      value={value}
      onChange={(event) => {
        const next = options.find((it) => it.value === event.target.value);
        if (next) onPick(next.value);
      }}
      slotProps={{ select: { SelectDisplayProps: { 'aria-label': label } } }}
    >
      {options.map((it) => (
        <MenuItem key={it.value} value={it.value}>
          {it.name}
        </MenuItem>
      ))}
    </TextField>
  );
}
