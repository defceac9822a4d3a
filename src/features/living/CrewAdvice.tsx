'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { CrewKind } from '@/core/catalogue';
import { crewAdvice, stagesOf, type CrewAdvice, type CrewHome } from '@/core/living';
import { capital, counted, length, light, percent as percentage } from '@/core/units';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { daysWord } from '@/ui/days';
import { TableCard } from '@/ui/TableCard';
import { useReader, type Reader } from '@/ui/units';
import type { CrewAnswer } from '@/workers/living';
import { round } from './CrewCourse';
import { percent } from './words';

/** When to reseed, when to cull: what does not hold by itself can be asked for in care. */
export function Advice({
  answers,
  kinds,
  home,
}: {
  readonly answers: readonly CrewAnswer[] | null;
  readonly kinds: readonly CrewKind[];
  readonly home: CrewHome;
}) {
  const reader = useReader();
  const { today } = useStore();
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const lines = (answers ?? []).flatMap(({ kind: id, run, risk }) => {
    const kind = kinds.find((it) => it.id === id);
    const advice = kind && crewAdvice(kind, run, risk, home);
    return kind && advice ? [{ kind, advice }] : [];
  });
  if (lines.length === 0) return null;
  const asked = new Set(design.care.own.map((it) => it.what));
  return (
    <Box component="ul" sx={{ m: 0, pl: 2.5, typography: 'body2' }} aria-label="Reseeding and culling">
      {lines.map(({ kind, advice }) => {
        const what = `Reseed: ${kind.english}`;
        return (
          <li key={kind.id}>
            {capital(adviceWords(kind, advice, reader))}
            {advice.what === 'reseed' && (
              <Button
                size="small"
                disabled={asked.has(what)}
                onClick={() =>
                  edit({
                    edit: 'addCare',
                    change: {
                      what,
                      why: 'By the forecast it does not hold by itself here.',
                      when: { by: 'since', days: advice.days },
                      sitter: false,
                      from: today,
                    },
                  })
                }
                sx={{ ml: 0.5 }}
              >
                {asked.has(what) ? 'In care' : 'Ask for it in care'}
              </Button>
            )}
          </li>
        );
      })}
    </Box>
  );
}

function adviceWords({ english }: CrewKind, advice: CrewAdvice, reader: Reader): string {
  switch (advice.what) {
    case 'reseed':
      return advice.gone === null
        ? `${english}: eaten or starved faster than it breeds. Reseed it from a culture every ${daysWord(advice.days)}.`
        : `${english}: gone after ${daysWord(advice.gone)}. Reseed it about every ${daysWord(advice.days)}, or take another species.`;
    case 'culture':
      return `${english}: dies out in ${percent(advice.share)} of tries within two years. Keep a culture.`;
    case 'cull':
      return `${english}: swarms. When it shows by day, take about ${round(advice.adults, reader)} adults out: they are food, or begin a culture.`;
  }
}

/** Larvae, pupae and adults of beetles, apart: what becomes of them, and what they want. */
export function BeetleStages({
  answers,
  kinds,
}: {
  readonly answers: readonly CrewAnswer[];
  readonly kinds: readonly CrewKind[];
}) {
  const reader = useReader();
  const { write } = reader;
  const rows = answers.flatMap(({ kind: id, run }) => {
    const kind = kinds.find((it) => it.id === id);
    const stages = kind && stagesOf(kind, run);
    return kind?.pupates && stages ? [{ kind, stages, pupates: kind.pupates.value }] : [];
  });
  if (rows.length === 0) return null;
  return (
    <Box>
      <TableCard label="Stages of beetles">
        <thead>
          <tr>
            <th>After two years</th>
            <th className="number">Larvae</th>
            <th className="number">Pupae</th>
            <th className="number">Adults</th>
            <th className="number">Eaten a month</th>
            <th className="number">Food a week</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ kind, stages }) => (
            <tr key={kind.id}>
              <td>{capital(kind.english)}</td>
              <td className="number">{round(stages.larvae, reader)}</td>
              <td className="number">{round(stages.pupae, reader)}</td>
              <td className="number">{round(stages.adults, reader)}</td>
              <td className="number">
                {`${round(stages.eaten.larvae, reader)} larvae, ${round(stages.eaten.adults, reader)} adults`}
              </td>
              <td className="number">
                {`${write(light(stages.food.dry))} dry, ${write(light(stages.food.moist))} moist`}
              </td>
            </tr>
          ))}
        </tbody>
      </TableCard>
      <Box component="ul" sx={{ m: 0, mt: 0.75, pl: 2.5, typography: 'body2', color: 'earth.quiet' }}>
        {rows.map(({ kind, pupates }) => (
          <li key={kind.id}>
            {capital(
              pupates.alone
                ? `${kind.english}: larvae pupate in ${counted(pupates.days, 'day')} where each lies by itself, in ${write(length(pupates.depth))} of soil; crowded they stay larvae and eat pupae. Its pores up to ${write(percentage(pupates.wetness.high))} full of water.`
                : `${kind.english}: larvae pupate in ${counted(pupates.days, 'day')}, in ${write(length(pupates.depth))} of soil whose pores are up to ${write(percentage(pupates.wetness.high))} full of water.`,
            )}
          </li>
        ))}
        <li>
          What droppings and litter do not give of its food is put down. Moist food is taken out before it
          moulds. Larvae that are too many feed the animal, or begin a bin of their own.
        </li>
      </Box>
    </Box>
  );
}
