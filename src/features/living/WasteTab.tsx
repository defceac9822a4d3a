'use client';

import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { EChartsCoreOption } from 'echarts/core';
import { useCallback, useMemo } from 'react';
import { findAnimal } from '@/core/catalogue';
import {
  carryingCapacity,
  crewHomeOf,
  homesOf,
  crewOf,
  loadOf,
  runWater,
  wasteOf,
  type Survey,
  type WaterRun,
} from '@/core/living';
import { tank, temperature, light } from '@/core/units';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { BasisMark } from '@/ui/BasisMark';
import { Chart, type Inks, tick } from '@/ui/Chart';
import { NumberField } from '@/ui/fields/PlainFields';
import { Panel } from '@/ui/Panel';
import { useReader } from '@/ui/units';
import { percent } from './words';
import { daysWord } from '@/ui/days';

const DAYS = 90;
/** m³ of filter material, by kind of filter (from memory). */
const FILTER: Record<string, number> = {
  sponge: 0.0004,
  internal: 0.0004,
  canister: 0.002,
  bed: 0.003,
  none: 0,
};

/** What the animals leave against what crew, soil and water can take. */
export function WasteTab({ survey }: { readonly survey: Survey }) {
  const { write } = useReader();
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const { edit } = useEditing();
  const animal = findAnimal(catalogue, design.brief.animal);
  const { spotClean, water } = design.living;
  const home = useMemo(
    () => crewHomeOf(design, assessment.ground, catalogue, survey),
    [design, assessment.ground, catalogue, survey],
  );
  const crew = crewOf(design, catalogue);
  const homes = homesOf(
    crew.map((it) => it.kind),
    home,
  );
  const waste = animal && wasteOf(animal);
  const load = loadOf({
    waste,
    count: design.brief.count,
    spotClean,
    floor: home.floor,
    wetness: home.wetness,
    leaves: assessment.living.leaves,
    crew: crew.map(({ kind }, i) => ({ kind, adults: carryingCapacity(kind, homes[i] ?? home).adults })),
  });
  if (!animal || !waste)
    return (
      <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
        Choose an animal in the brief: what it leaves follows from its mass and its food.
      </Typography>
    );
  const pool = assessment.layers
    .filter((it) => it.layer.kind === 'water')
    .reduce((sum, it) => sum + it.placed + it.water, 0);
  const volume = pool > 0 ? pool : design.ground.method === 'full-water' ? assessment.standingWater : 0;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 1.5 }}>
      <Panel label="On land">
        <Typography variant="body2">
          {design.brief.count === 1 ? 'It eats' : `All ${design.brief.count} eat`} about{' '}
          <strong>{write(light(waste.eats * design.brief.count))}</strong> of dry food a day and{' '}
          {design.brief.count === 1 ? 'leaves' : 'leave'}{' '}
          <strong>{write(light(waste.droppings * design.brief.count))}</strong> of dry droppings.{' '}
          <BasisMark basis={waste.basis} {...(waste.source ? { source: waste.source } : {})} />
        </Typography>
        <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.5, mt: 1, mb: 2 }}>
          <Typography
            component="span"
            sx={{
              fontSize: '2.1rem',
              fontWeight: 650,
              lineHeight: 1,
              fontVariantNumeric: 'tabular-nums',
              color: load.load <= 0.8 ? 'earth.moss' : load.load <= 1.2 ? 'earth.ink' : 'earth.clay',
            }}
          >
            {percent(Math.min(99.99, load.load))}
          </Typography>
          <Typography variant="body2" sx={{ color: 'earth.quiet', maxWidth: '46ch' }}>
            of what crew and soil can take.{' '}
            {load.load <= 0.8
              ? 'They keep up.'
              : load.load <= 1.2
                ? 'They just keep up: lift out more, or introduce more crew.'
                : 'More comes down than goes: fewer animals, a larger floor, more crew, or lift out more.'}
          </Typography>
        </Box>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, alignItems: 'center' }}>
          <NumberField
            key={spotClean}
            label="Spot-cleaned, %"
            value={Math.round(spotClean * 100)}
            min={0}
            max={100}
            step={10}
            onCommit={(value) => edit({ edit: 'setLiving', change: { spotClean: value / 100 } })}
            sx={{ width: 180 }}
          />
          <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
            Crew takes {write(light(load.crew))} a day, the soil {write(light(load.soil))}. Of{' '}
            {write(light(load.nitrogen))} of nitrogen a day, plants take{' '}
            {percent(Math.min(1, load.plants / Math.max(1e-12, load.nitrogen)))}.
          </Typography>
        </Box>
      </Panel>
      {volume > 0.0005 ? (
        <Panel label="In the water">
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, alignItems: 'center', mt: 1 }}>
            <TextField
              select
              label="Filter"
              value={water.filter ?? 'none'}
              sx={{ minWidth: 190 }}
              onChange={(event) =>
                edit({ edit: 'setLiving', change: { water: { ...water, filter: event.target.value } } })
              }
            >
              {catalogue.scape.filters.map((it) => (
                <MenuItem key={it.id} value={it.id}>
                  {it.name}
                </MenuItem>
              ))}
            </TextField>
            <NumberField
              key={`c${water.change}`}
              label="Water changed, %"
              value={Math.round(water.change * 100)}
              min={0}
              max={100}
              step={5}
              onCommit={(value) =>
                edit({ edit: 'setLiving', change: { water: { ...water, change: value / 100 } } })
              }
              sx={{ width: 150 }}
            />
            <NumberField
              key={`d${water.everyDays}`}
              label="Every so many days"
              value={water.everyDays}
              min={1}
              max={90}
              onCommit={(everyDays) =>
                edit({ edit: 'setLiving', change: { water: { ...water, everyDays } } })
              }
              sx={{ width: 160 }}
            />
            <FormControlLabel
              control={
                <Switch
                  checked={water.seeded}
                  onChange={(_, seeded) =>
                    edit({ edit: 'setLiving', change: { water: { ...water, seeded } } })
                  }
                />
              }
              label="Started with media of a ripe filter"
            />
          </Box>
          <PoolAnswer
            volume={volume}
            temperature={(home.temperature[0] ?? 20) / 2 + (home.temperature[6] ?? 20) / 2}
            nitrogen={waste.nitrogen * design.brief.count * (animal.life.value === 'half-water' ? 0.6 : 0.2)}
          />
        </Panel>
      ) : (
        <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
          No open water here but dishes: empty, scrub and fill them daily.
        </Typography>
      )}
    </Box>
  );
}

function PoolAnswer({
  volume,
  temperature: degrees,
  nitrogen,
}: {
  readonly volume: number;
  readonly temperature: number;
  readonly nitrogen: number;
}) {
  const { design, assessment } = useOpenDesign();
  const { write, num } = useReader();
  const { water } = design.living;
  const run = useMemo(
    () =>
      runWater({
        volume,
        temperature: degrees,
        nitrogen,
        filter: FILTER[water.filter ?? 'none'] ?? 0,
        plants: assessment.living.plants.some((it) => it.stratum === 'water') ? nitrogen * 0.3 : 0,
        change: water.change,
        everyDays: water.everyDays,
        seeded: water.seeded,
        days: DAYS,
      }),
    [volume, degrees, nitrogen, water, assessment.living.plants],
  );
  const most = (of: readonly number[]): number => Math.max(...of);
  return (
    <>
      <PoolChart run={run} />
      <Typography variant="body2">
        {write(tank(volume))} at {write(temperature(degrees))}. Ammonia peaks at {num(most(run.ammonia), 2)}{' '}
        and nitrite at {num(most(run.nitrite), 2)} mg/L of nitrogen;{' '}
        {run.ready === null ? (
          <strong>
            within {DAYS} days it does not settle: more water, a larger filter, or more and sooner changes.
          </strong>
        ) : (
          <strong>from {run.ready === 0 ? 'the start' : daysWord(run.ready)} on both stay harmless.</strong>
        )}{' '}
        The filter is then {percent(run.ripe.at(-1) ?? 0)} ripe; nitrate comes to{' '}
        {num(run.nitrate.at(-1) ?? 0, 0)} mg/L. Test the water before anything moves in: the test decides.
      </Typography>
      <Typography variant="caption" sx={{ color: 'earth.quiet' }}>
        Rates of the bacteria: Knowles, Downing &amp; Barrett 1965; how much of what is eaten reaches the
        water is an estimate.
      </Typography>
    </>
  );
}

function PoolChart({ run }: { readonly run: WaterRun }) {
  const option = useCallback(
    (inks: Inks): EChartsCoreOption => ({
      textStyle: { fontFamily: inks.font },
      grid: { left: 46, right: 84, top: 18, bottom: 34 },
      xAxis: {
        type: 'value',
        min: 0,
        max: DAYS,
        interval: 15,
        name: 'days from the first feeding',
        nameLocation: 'middle',
        nameGap: 22,
        nameTextStyle: { color: inks.quiet },
        axisLabel: { color: inks.quiet, formatter: tick },
        splitLine: { show: false },
      },
      yAxis: {
        type: 'value',
        name: 'mg/L',
        nameTextStyle: { color: inks.quiet },
        axisLabel: { color: inks.quiet, formatter: tick },
        splitLine: { lineStyle: { color: inks.rule } },
      },
      series: (
        [
          ['ammonia', run.ammonia, inks.clay, 'solid'],
          ['nitrite', run.nitrite, inks.amber, 'dashed'],
          ['nitrate ÷ 10', run.nitrate.map((it) => it / 10), inks.moss, 'dotted'],
        ] as const
      ).map(([name, values, color, type]) => ({
        type: 'line',
        symbol: 'none',
        lineStyle: { width: 2.25, color, type },
        data: values.map((it, i) => [run.day[i], it]),
        endLabel: { show: true, formatter: name, color: inks.ink, fontSize: 11 },
        labelLayout: { moveOverlap: 'shiftY' },
      })),
    }),
    [run],
  );
  return (
    <Chart
      label="Ammonia, nitrite and a tenth of the nitrate over ninety days"
      height={210}
      option={option}
    />
  );
}
