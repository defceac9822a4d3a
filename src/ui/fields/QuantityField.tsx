'use client';

import TextField, { type TextFieldProps } from '@mui/material/TextField';
import { memo, useId, useLayoutEffect, useRef, useState, type KeyboardEvent } from 'react';
import {
  dimensionOf,
  editableText,
  fromSi,
  parseQuantity,
  plainNumber,
  unitFor,
  unitOf,
  UNITS,
  type Measure,
  type Quantity,
} from '@/core/units';
import { useReader } from '../units';

interface Props {
  readonly label: string;
  readonly measure: Measure;
  /** SI; null while nothing is entered. */
  readonly value: number | null;
  /** Gives what is wrong with it, where something is: it then stays in the field. */
  readonly onCommit: (si: number) => unknown;
  /** Called instead when the field is cleared; without it an empty field springs back. */
  readonly onClear?: () => void;
  readonly min?: number;
  readonly max?: number | (() => number);
  /** Arrow keys step by this much, SI; Shift steps by a fifth of it. */
  readonly step?: number;
  readonly quart?: 'dry' | 'liquid';
  /** Number only, underlined, for tables; the label is then read but not seen. */
  readonly bare?: boolean;
  readonly placeholder?: string;
  readonly helper?: string;
  readonly disabled?: boolean;
  readonly sx?: TextFieldProps['sx'];
}

/** A number with a unit. Takes any unit people write, shows the reader's; nonsense is told where it stands. */
export const QuantityField = memo(function QuantityField(props: Props) {
  const { label, measure, value, onCommit, onClear, min = 0, step = 0.005, quart, bare } = props;
  const { prefs, locale, write } = useReader();
  const [draft, setDraft] = useState<string>();
  const [error, setError] = useState<string>();
  const helpId = useId();
  const entered = useRef<HTMLInputElement>(null);
  // Once the text to edit stands in the field, all of it is taken hold of, so that typing replaces it.
  useLayoutEffect(() => {
    entered.current?.select();
    entered.current = null;
  });
  const unit = UNITS[unitFor(measure, prefs)];
  const quantity = (si: number): Quantity => ({ kind: 'quantity', measure, si });
  const shown = value === null ? '' : bare ? write(quantity(value), { bare: true }) : write(quantity(value));

  // What is typed without a unit is in the one that is shown.
  const shownIn = value === null || bare ? unitFor(measure, prefs) : unitOf(quantity(value), prefs);
  const editable = (si: number): string =>
    bare
      ? plainNumber(fromSi(si, unit), unit.decimals + 2, locale)
      : editableText(quantity(si), prefs, locale);

  const most = (): number => (typeof props.max === 'function' ? props.max() : (props.max ?? Infinity));

  const put = (si: number): boolean => {
    const max = most();
    const tolerance = 1e-9;
    if (si < min - tolerance || si > max + tolerance) {
      const low = write(quantity(min));
      setError(
        max === Infinity ? `${low} or more fits here.` : `${low} to ${write(quantity(max))} fits here.`,
      );
      return false;
    }
    const said = onCommit(si);
    setError(typeof said === 'string' ? said : undefined);
    return typeof said !== 'string';
  };

  const commit = (): void => {
    if (draft === undefined) return;
    if (draft.trim() === '') {
      setDraft(undefined);
      setError(undefined);
      if (value !== null) onClear?.();
      return;
    }
    if (value !== null && draft === editable(value)) {
      setDraft(undefined);
      setError(undefined);
      return;
    }
    const parsed = parseQuantity(draft, {
      dimension: dimensionOf(measure),
      fallback: shownIn,
      quart,
      locale,
    });
    if (!parsed.ok) {
      setError(`${parsed.message} (at character ${parsed.at + 1})`);
      return;
    }
    if (put(parsed.si)) setDraft(undefined);
  };

  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key === 'Enter') commit();
    else if (event.key === 'Escape') {
      setDraft(undefined);
      setError(undefined);
    } else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      event.preventDefault();
      const by = (event.key === 'ArrowUp' ? 1 : -1) * (event.shiftKey ? step / 5 : step);
      const next = Math.min(most(), Math.max(min, (value ?? min) + by));
      setDraft(undefined);
      put(Math.round(next * 1e6) / 1e6);
    }
  };

  return (
    <TextField
      label={bare ? undefined : label}
      variant={bare ? 'standard' : 'outlined'}
      value={draft ?? shown}
      placeholder={props.placeholder}
      disabled={props.disabled}
      error={error !== undefined}
      helperText={error ?? (bare ? undefined : props.helper)}
      onChange={(event) => setDraft(event.target.value)}
      onFocus={(event) => {
        if (value === null) return;
        setDraft(editable(value));
        entered.current = event.target as HTMLInputElement;
      }}
      onBlur={commit}
      onKeyDown={onKeyDown}
      slotProps={{
        htmlInput: {
          'aria-label': bare ? `${label}, ${unit.symbol}` : undefined,
          'aria-describedby': error ? helpId : undefined,
          inputMode: 'text',
          autoComplete: 'off',
        },
        formHelperText: { id: helpId, role: error ? 'alert' : undefined },
      }}
      sx={[
        bare
          ? {
              '& input': {
                textAlign: 'right',
                padding: '1px 0',
                width: 52,
                fontSize: '0.9rem',
                height: 'auto',
              },
              '& .MuiInput-root::before': { borderBottomColor: 'earth.moss' },
              '& .MuiFormHelperText-root': {
                position: 'absolute',
                top: '100%',
                right: 0,
                zIndex: 2,
                width: 'max-content',
                maxWidth: 220,
                bgcolor: 'earth.card',
                px: 0.5,
              },
            }
          : {},
        ...(Array.isArray(props.sx) ? props.sx : [props.sx]),
      ]}
    />
  );
});
