'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { openingsOf, ARM } from '@/core/scape';
import { length, percent } from '@/core/units';
import { useEditing, useOpenDesign } from '@/store';
import { Choice } from '@/ui/Choice';
import { QuantityField } from '@/ui/fields/QuantityField';
import { Panel } from '@/ui/Panel';
import { useReader } from '@/ui/units';

const SIDES = [
  { value: 'left', name: 'Left', why: 'Lamps hang over the left half.' },
  { value: 'right', name: 'Right', why: 'Lamps hang over the right half.' },
] as const;

/** Which side is warm, what is over the box, and how a hand gets in. */
export function BoxFields() {
  const { design, assessment } = useOpenDesign();
  const { edit } = useEditing();
  const { write } = useReader();
  const { scape, enclosure } = design;
  const hides = assessment.scape.pieces.filter((it) => it.hide);
  return (
    <Box sx={{ display: 'grid', gap: 1.25 }}>
      <Panel label="Warm side">
        <Choice
          label="Warm side"
          options={SIDES}
          value={scape.warm}
          onChange={(warm) => edit({ edit: 'setScape', change: { warm } })}
        />
        <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 1 }}>
          {hides.filter((it) => it.zone === 'warm').length} hides stand on the warm side,{' '}
          {hides.filter((it) => it.zone === 'cool').length} on the cool side,{' '}
          {hides.filter((it) => it.hide?.moist).length} of them moist.{' '}
          {write(percent(assessment.scape.cover))} of the floor lies under something.
        </Typography>
      </Panel>
      <Panel label="Above the enclosure">
        <QuantityField
          label="To the shelf or ceiling above"
          measure="length"
          value={scape.above}
          max={10}
          step={0.05}
          placeholder="not known"
          onCommit={(above) => edit({ edit: 'setScape', change: { above } })}
          onClear={() => edit({ edit: 'setScape', change: { above: null } })}
          sx={{ width: 260 }}
        />
      </Panel>
      <Panel label="How a hand gets in">
        <Box component="ul" sx={{ m: 0, pl: 2.25 }}>
          {openingsOf(enclosure).map((it) => (
            <li key={it.side}>
              {it.side === 'front'
                ? enclosure.made.doors === 'sliding'
                  ? 'Sliding doors, one half at a time'
                  : 'Hinged doors'
                : 'The top'}
              : {write(length(it.width))} × {write(length(it.height))}
              {it.side === 'front' && it.at.z0 > 0.001 ? `, over a sill of ${write(length(it.at.z0))}` : ''}
            </li>
          ))}
        </Box>
        <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.75 }}>
          An arm is taken to reach {write(length(ARM))}. What it does not reach is named below.
        </Typography>
      </Panel>
    </Box>
  );
}
