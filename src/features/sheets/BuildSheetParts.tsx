'use client';

import Box from '@mui/material/Box';
import { materialOf } from '@/core/catalogue';
import { normalise } from '@/core/ground';
import type { BuildPlan } from '@/core/plan';
import { bag, capital, counted, length, percent, tank } from '@/core/units';
import { useBuying, useOpenDesign, useStore } from '@/store';
import { amountWords, packWords, SHOP_WORD } from '@/ui/BuyTable';
import { dayWords } from '@/ui/days';
import { Section } from '@/ui/section/Section';
import { useReader } from '@/ui/units';
import { layerName } from '@/ui/words';
import { Tick } from './Paper';

/** The enclosure from two sides, in one scale. */
export function Views() {
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const { width, depth } = design.enclosure;
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' },
        gap: 2,
        mt: 2,
        '& svg': { display: 'block', mx: 'auto' },
      }}
    >
      {(['front', 'side'] as const).map((view) => (
        <Box component="figure" key={view} sx={{ m: 0, textAlign: 'center' }}>
          <Section
            design={design}
            assessment={assessment}
            catalogue={catalogue}
            view={view}
            width={340}
            height={300}
            plain
            span={Math.max(width, depth)}
          />
          <figcaption className="quiet">
            {view === 'front' ? 'From the front' : 'From the left side'}
          </figcaption>
        </Box>
      ))}
    </Box>
  );
}

/** What lies in it, layer by layer, with what is measured out for each. */
export function Layers() {
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const { write } = useReader();
  return (
    <>
      <h3>Layers, from the floor up</h3>
      <table>
        <thead>
          <tr>
            <th>Layer</th>
            <th className="number">front</th>
            <th className="number">back</th>
            <th className="number">in the enclosure</th>
            <th className="number">loose, to measure out</th>
            <th className="number">water to mix in</th>
          </tr>
        </thead>
        <tbody>
          {assessment.layers.map((it) => (
            <tr key={it.layer.id}>
              <td>
                {layerName(it.layer, catalogue)}
                {it.region !== null && (
                  <span className="quiet">
                    {' '}
                    · {design.ground.regions.find((own) => own.id === it.region)?.name}
                  </span>
                )}
              </td>
              <td className="number">
                {it.layer.kind === 'barrier'
                  ? '–'
                  : write(length((it.thickness.frontLeft + it.thickness.frontRight) / 2))}
              </td>
              <td className="number">
                {it.layer.kind === 'barrier'
                  ? '–'
                  : write(length((it.thickness.backLeft + it.thickness.backRight) / 2))}
              </td>
              <td className="number">{it.layer.kind === 'barrier' ? '–' : write(bag(it.placed))}</td>
              <td className="number">{it.need ? write(bag(it.need.loose)) : '–'}</td>
              <td className="number">
                {it.need && it.layer.kind === 'substrate' ? write(tank(it.need.waterToMixIn)) : '–'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {assessment.standingWater > 1e-6 && (
        <div>
          {write(tank(assessment.standingWater))} of water stand in it,{' '}
          {write(length(design.ground.waterDepth))} over the floor.
        </div>
      )}
    </>
  );
}

/** The parts of every soil. */
export function Mixes() {
  const { catalogue } = useStore();
  const { assessment } = useOpenDesign();
  const { write } = useReader();
  const soils = assessment.layers.flatMap(({ layer, need }) =>
    layer.kind === 'substrate' && need ? [{ layer, need }] : [],
  );
  if (soils.length === 0) return null;
  return (
    <>
      <h3>Mixes</h3>
      <table>
        <thead>
          <tr>
            <th>Soil</th>
            <th>Its parts, loose</th>
          </tr>
        </thead>
        <tbody>
          {soils.map(({ layer, need }) => (
            <tr key={layer.id}>
              <td>{layer.name}</td>
              <td>
                {normalise(layer.mix)
                  .map(
                    (part) =>
                      `${materialOf(catalogue, part.material).name} ${write(bag(need.loose * part.share))} (${write(percent(part.share))})`,
                  )
                  .join('; ')}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

/** What is bought, shop by shop. */
export function ToBuy() {
  const buying = useBuying();
  const reader = useReader();
  return (
    <>
      <h3>To buy, {reader.money(buying.price)} in all</h3>
      <table>
        <tbody>
          {buying.byShop.map(({ shop, rows }) => (
            <tr key={shop}>
              <td style={{ fontWeight: 600, width: '24%' }}>{SHOP_WORD[shop]}</td>
              <td>
                <Box
                  sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, columnGap: 2 }}
                >
                  {rows.map((row) => (
                    <Box key={`${row.key} ${row.packs[0]?.id ?? ''}`} sx={{ display: 'flex' }}>
                      <span>
                        <Tick />
                      </span>
                      <span>
                        {capital(row.name)}:{' '}
                        {row.packs.length === 0
                          ? row.fromShelf > 0
                            ? 'on the shelf'
                            : 'in the enclosure'
                          : row.packs
                              .map((it) =>
                                it.pack
                                  ? `${it.count} × ${packWords(it.pack, reader)}`
                                  : it.words === ''
                                    ? String(it.count)
                                    : `${it.count} × ${reader.tell(it.words)}`,
                              )
                              .join(', ')}
                        <span className="quiet">
                          {row.measure === 'count'
                            ? ''
                            : ` · needs ${amountWords(row.measure, row.needed - row.there, reader)}`}
                        </span>
                      </span>
                    </Box>
                  ))}
                </Box>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

/** What is cut: panels and what lies between layers, and backgrounds. */
export function Cuts() {
  const { assessment } = useOpenDesign();
  const { write } = useReader();
  if (assessment.lists.cut.length === 0 && assessment.scape.backs.length === 0) return null;
  return (
    <>
      <h3>To cut</h3>
      <ul>
        {assessment.lists.cut.map((it) => (
          <li key={`${it.layer} ${it.what}`}>
            {it.name}: {it.count > 1 ? `${it.count} × ` : ''}
            {it.what === 'legs'
              ? `${write(length(it.width))} long`
              : `${write(length(it.width))} × ${write(length(it.depth))}`}
            {it.holes.length > 0 && `, ${counted(it.holes.length, 'hole')}`}
          </li>
        ))}
        {assessment.scape.backs.map(({ back, kind }) => (
          <li key={back.background.id}>
            {kind?.name ?? back.background.kind}, {back.background.wall} wall: {write(length(back.width))} ×{' '}
            {write(length(back.height))}, {write(length(back.background.thickness))} thick
          </li>
        ))}
      </ul>
    </>
  );
}

/** Every step with its days, amounts and measures, in the order it is begun. */
export function Steps({ plan }: { readonly plan: BuildPlan }) {
  const reader = useReader();
  const steps = [...plan.steps].sort((a, b) => a.timed.start - b.timed.start || a.timed.end - b.timed.end);
  return (
    <>
      <h3>Steps</h3>
      <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {steps.map(({ step, from, to, done, note }) => (
          <Box
            component="li"
            key={step.id}
            sx={{
              display: 'flex',
              py: 0.6,
              borderTop: '1px solid #c9c6ba',
              '&:first-of-type': { borderTop: 0 },
            }}
          >
            <span>
              <Tick />
            </span>
            <Box sx={{ flex: 1 }}>
              <strong>{step.title}</strong>{' '}
              <span className="quiet">
                {done
                  ? `· done ${dayWords(done)}`
                  : `· ${dayWords(from)}${to > from ? ` to ${dayWords(to)}` : ''}`}
                {step.wait && step.waitFor ? `, waiting for ${step.waitFor}` : ''}
              </span>
              <div>{step.why}</div>
              {step.amounts.length > 0 && (
                <div>{step.amounts.map((it) => capital(reader.tell(it))).join('; ')}</div>
              )}
              {step.measures.map((it) => (
                <div key={it.what}>
                  {capital(it.what)}: <strong>{reader.tell(it.wanted)}</strong>
                  <span className="quiet"> · read: ____________</span>
                </div>
              ))}
              {note !== '' && <div className="quiet">{note}</div>}
            </Box>
          </Box>
        ))}
      </Box>
    </>
  );
}
