'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { memo, useRef, type KeyboardEvent, type ReactNode } from 'react';

interface Option<T extends string> {
  readonly value: T;
  readonly name: string;
  readonly why?: ReactNode;
}

interface Props<T extends string> {
  readonly label: string;
  readonly options: readonly Option<T>[];
  readonly value: T | undefined;
  readonly onChange: (value: T) => void;
  /** Least width of a card, px. */
  readonly least?: number;
}

/** A few choices as cards, each with its reason. A radio group: arrow keys move within it. */
function ChoiceCards<T extends string>({ label, options, value, onChange, least = 150 }: Props<T>) {
  const group = useRef<HTMLDivElement>(null);
  const onKeyDown = (event: KeyboardEvent, at: number): void => {
    const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    const to = (at + by + options.length) % options.length;
    const next = options[to];
    if (!next) return;
    onChange(next.value);
    group.current?.querySelectorAll<HTMLElement>('[role=radio]')[to]?.focus();
  };
  return (
    <Box
      ref={group}
      role="radiogroup"
      aria-label={label}
      sx={{ display: 'grid', gridTemplateColumns: `repeat(auto-fit, minmax(${least}px, 1fr))`, gap: 1.25 }}
    >
      {options.map((option, index) => {
        const on = option.value === value;
        return (
          <ButtonBase
            key={option.value}
            role="radio"
            aria-checked={on}
            tabIndex={on || (value === undefined && index === 0) ? 0 : -1}
            onClick={() => onChange(option.value)}
            onKeyDown={(event) => onKeyDown(event, index)}
            sx={{
              display: 'flex',
              flexDirection: 'column',
              alignItems: 'stretch',
              justifyContent: 'flex-start',
              textAlign: 'left',
              p: 1.4,
              border: on ? 2 : 1,
              // The thicker border of the chosen card takes its pixel from the padding, so that nothing moves.
              m: on ? 0 : '1px',
              borderColor: on ? 'earth.moss' : 'earth.rule',
              borderRadius: '12px',
              bgcolor: 'earth.card',
              '&:hover': { borderColor: 'earth.moss' },
            }}
          >
            <Box sx={{ typography: 'h3' }}>{option.name}</Box>
            {option.why && (
              <Box sx={{ typography: 'body2', color: 'earth.quiet', mt: 0.25 }}>{option.why}</Box>
            )}
          </ButtonBase>
        );
      })}
    </Box>
  );
}

/** Drawn anew only when its own value changes; `options` and `onChange` are to be the same objects each time. */
export const Choice = memo(ChoiceCards) as typeof ChoiceCards;
