'use client';

import CheckIcon from '@mui/icons-material/Check';
import CloseIcon from '@mui/icons-material/Close';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { CAUTIONS } from '@/catalogue';
import type { Background, Cutout } from '@/core/document';
import { PAPERS, templateOf, type BackResult, type Paper } from '@/core/scape';
import { counted, length, mass, tank, area } from '@/core/units';
import { fileName, templateSvg } from '@/files';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { DateField } from '@/ui/fields/DateField';
import { BasisMark } from '@/ui/BasisMark';
import { download } from '@/ui/download';
import { NumberField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { Grid } from '@/ui/Grid';
import { Panel } from '@/ui/Panel';
import { SupplyTable } from '@/ui/SupplyTable';
import { useReader } from '@/ui/units';
import { useLater } from '@/ui/useLater';
import { CUTOUT_WORD, FINISH_WORD, WALL_WORD } from './words';

interface Props {
  readonly selected: string | null;
  readonly onSelect: (background: string | null) => void;
}

/** Backgrounds, wall by wall: what they are, what they take, how they are cut, how long they cure. */
export function Backgrounds({ selected, onSelect }: Props) {
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const { edit } = useEditing();
  const reader = useReader();
  const { backs, supplies, inside } = assessment.scape;
  return (
    <Box sx={{ display: 'grid', gap: 1.25 }}>
      {(['back', 'left', 'right'] as const).map((wall) => {
        const result = backs.find((it) => it.back.background.wall === wall);
        return (
          <Panel key={wall} label={WALL_WORD[wall]}>
            <TextField
              select
              fullWidth
              label={`On the ${wall} wall`}
              value={result?.back.background.kind ?? ''}
              onChange={(event) => {
                const kind = event.target.value;
                if (kind === '' && result)
                  edit({ edit: 'removeBackground', change: { background: result.back.background.id } });
                else if (result)
                  edit({
                    edit: 'setBackground',
                    change: { background: result.back.background.id, change: { kind } },
                  });
                else if (kind !== '') edit({ edit: 'addBackground', change: { wall, kind } });
              }}
              slotProps={{
                select: {
                  displayEmpty: true,
                  renderValue: () => result?.kind?.name ?? 'bare',
                },
                inputLabel: { shrink: true },
              }}
              sx={{ mt: 0.75 }}
            >
              <MenuItem value="">bare</MenuItem>
              {catalogue.scape.backgrounds.map((kind) => (
                <MenuItem key={kind.id} value={kind.id}>
                  <Box>
                    {kind.name}{' '}
                    <Box component="span" sx={{ color: 'earth.quiet', fontSize: '0.84rem' }}>
                      {kind.why}
                    </Box>
                  </Box>
                </MenuItem>
              ))}
            </TextField>
            {result && (
              <BackgroundFields
                result={result}
                open={selected === result.back.background.id}
                onOpen={(open) => onSelect(open ? result.back.background.id : null)}
              />
            )}
          </Panel>
        );
      })}
      {supplies.length > 0 && (
        <Panel label="What they take">
          <Box sx={{ mx: -1 }}>
            <SupplyTable label="What the backgrounds take" supplies={supplies} />
          </Box>
          <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.5 }}>
            Yields are common practice <BasisMark basis="practice" /> A can gives less than its label where
            much is carved. Inside the backgrounds {reader.write(length(inside.width))} ×{' '}
            {reader.write(length(inside.depth))} are left; they take {reader.write(tank(inside.lost))} of{' '}
            {reader.write(tank(design.enclosure.width * design.enclosure.depth * design.enclosure.height))}.
          </Typography>
          <Box sx={{ borderLeft: 4, borderColor: 'earth.amber', pl: 1.5, mt: 1 }}>
            <Typography variant="h3" component="h3">
              {CAUTIONS.curing.title}
            </Typography>
            <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
              {CAUTIONS.curing.text}
            </Typography>
          </Box>
        </Panel>
      )}
    </Box>
  );
}

interface FieldsProps {
  readonly result: BackResult;
  readonly open: boolean;
  readonly onOpen: (open: boolean) => void;
}

function BackgroundFields({ result, open, onOpen }: FieldsProps) {
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const { write } = useReader();
  const { back, kind, cures, curing, airing } = result;
  const { background } = back;
  const { height } = design.enclosure;
  const set = (change: Partial<Omit<Background, 'id' | 'wall'>>) =>
    edit({ edit: 'setBackground', change: { background: background.id, change } });
  return (
    <>
      <Typography variant="body2" sx={{ color: 'earth.quiet', my: 1 }}>
        {kind?.why} {write(length(back.width))} × {write(length(back.height))}, {write(area(result.net))},{' '}
        {write(mass(result.mass))}
        {result.sheets > 1 ? `; joined from ${result.sheets} sheets` : ''}. It hardens for{' '}
        {Math.round(curing.low)} to {Math.round(curing.high)} days
        {airing.high > 0 ? ', and airs until nothing smells.' : '.'}
      </Typography>
      <Grid>
        <QuantityField
          label="Begins at"
          measure="length"
          value={background.bottom}
          max={height - 0.02}
          onCommit={(bottom) => set({ bottom })}
        />
        <QuantityField
          label="Ends at, or the lid"
          measure="length"
          value={background.top}
          max={height}
          placeholder="the lid"
          onCommit={(top) => set({ top })}
          onClear={() => set({ top: null })}
        />
        <QuantityField
          label="Thick, on average"
          measure="length"
          value={background.thickness}
          min={0.001}
          max={0.5}
          onCommit={(thickness) => set({ thickness })}
        />
        <QuantityField
          label="Gap behind"
          measure="length"
          value={background.gap}
          max={0.3}
          step={0.001}
          onCommit={(gap) => set({ gap })}
        />
        <QuantityField
          label="Cut smaller by"
          measure="length"
          value={background.clearance}
          max={0.05}
          step={0.001}
          onCommit={(clearance) => set({ clearance })}
        />
        {kind && kind.finishes.length > 1 && (
          <TextField
            select
            label="Surface"
            value={background.finish}
            onChange={(event) => set({ finish: event.target.value as Background['finish'] })}
          >
            {kind.finishes.map((finish) => (
              <MenuItem key={finish} value={finish}>
                {FINISH_WORD[finish]}
              </MenuItem>
            ))}
          </TextField>
        )}
        {background.finish === 'sealer' && (
          <NumberField
            key={background.coats}
            label="Coats"
            value={background.coats}
            min={1}
            max={8}
            onCommit={(coats) => set({ coats: Math.round(coats) })}
          />
        )}
        <DateField
          label="Last coat on"
          value={background.finished}
          onCommit={(finished) => set({ finished })}
        />
      </Grid>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1.25 }}>
        <Button variant="outlined" aria-expanded={open} onClick={() => onOpen(!open)}>
          Openings, joins and glue
        </Button>
        <TemplateButtons result={result} />
      </Box>
      {open && (
        <Box sx={{ mt: 1.25 }}>
          <Cutouts background={background} width={back.width} height={back.height} />
          {cures.length > 0 && (
            <>
              <Typography variant="h3" component="h3" sx={{ mt: 1.25 }}>
                In this order
              </Typography>
              <Box component="ol" sx={{ m: 0, pl: 2.5, typography: 'body2' }}>
                {cures.map((cure) => (
                  <li key={cure.step}>
                    {cure.step}: {cure.days.low} to {cure.days.high} days
                    {cure.fumes ? ', with fumes' : ''}
                  </li>
                ))}
              </Box>
            </>
          )}
          {kind && (
            <>
              <Typography variant="h3" component="h3" sx={{ mt: 1.25 }}>
                What goes with it
              </Typography>
              <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0, typography: 'body2' }}>
                {kind.goesWith.map((it) => (
                  <Box component="li" key={it.what} sx={{ display: 'flex', gap: 0.75, py: 0.25 }}>
                    {it.suits ? (
                      <CheckIcon titleAccess="suits" sx={{ fontSize: 17, color: 'earth.moss', mt: '2px' }} />
                    ) : (
                      <CloseIcon
                        titleAccess="does not suit"
                        sx={{ fontSize: 17, color: 'earth.clay', mt: '2px' }}
                      />
                    )}
                    <span>
                      <b>{it.what}</b>: {it.because}
                    </span>
                  </Box>
                ))}
              </Box>
            </>
          )}
        </Box>
      )}
    </>
  );
}

/** The panel at its true size: one drawing for a cutter, or sheets for a printer at home. */
function TemplateButtons({ result }: { readonly result: BackResult }) {
  const later = useLater();
  const { design } = useOpenDesign();
  const { prefs } = useReader();
  const paper: Paper = prefs.length === 'in' ? 'Letter' : 'A4';
  const template = templateOf(result, paper);
  const name = `${design.name}, ${WALL_WORD[result.back.background.wall].toLowerCase()}`;
  const file = (ending: string): string => fileName(`${name} template`).replace(/\.rincon\.json$/, ending);
  return (
    <>
      <Button
        variant="outlined"
        onClick={() => download(file('.svg'), templateSvg(template, name), 'image/svg+xml')}
      >
        Template, SVG
      </Button>
      <Button
        variant="outlined"
        onClick={() =>
          // The writer is large and asked for once a build: it is fetched then.
          void later(
            () => import('@/files/templatePdf'),
            async ({ templatePdf }) => {
              const bytes = await templatePdf(template, name);
              download(file('.pdf'), bytes.slice().buffer, 'application/pdf');
            },
          )
        }
      >
        Template, PDF: {counted(template.tiles.length, 'sheet')} of {paper in PAPERS ? paper : ''}
      </Button>
    </>
  );
}

interface CutoutProps {
  readonly background: Background;
  readonly width: number;
  readonly height: number;
}

/** Openings for drains, cables and planters, from the panel's lower left corner. */
function Cutouts({ background, width, height }: CutoutProps) {
  const { edit } = useEditing();
  const put = (cutouts: Cutout[]) =>
    edit({ edit: 'setBackground', change: { background: background.id, change: { cutouts } } });
  const change = (id: string, by: Partial<Cutout>) =>
    put(background.cutouts.map((it) => (it.id === id ? { ...it, ...by } : it)));
  return (
    <>
      <Typography variant="h3" component="h3">
        Openings
      </Typography>
      {background.cutouts.map((hole) => (
        <Box
          key={hole.id}
          sx={{
            display: 'grid',
            gridTemplateColumns: '1.1fr 1fr 1fr 1fr 1fr 32px',
            gap: 1,
            mt: 1,
            alignItems: 'start',
          }}
        >
          <TextField
            select
            label="For"
            value={hole.use}
            onChange={(event) => change(hole.id, { use: event.target.value as Cutout['use'] })}
          >
            {Object.entries(CUTOUT_WORD).map(([use, word]) => (
              <MenuItem key={use} value={use}>
                {word}
              </MenuItem>
            ))}
          </TextField>
          {(
            [
              ['From the left', 'across', width],
              ['Up', 'up', height],
              ['Wide', 'width', width],
              ['High', 'height', height],
            ] as const
          ).map(([label, key, most]) => (
            <QuantityField
              key={key}
              label={label}
              measure="length"
              value={hole[key]}
              min={key === 'across' || key === 'up' ? 0 : 0.002}
              max={most}
              onCommit={(metres) => change(hole.id, { [key]: metres })}
            />
          ))}
          <IconButton
            size="small"
            aria-label={`Close the opening for the ${CUTOUT_WORD[hole.use].toLowerCase()}`}
            onClick={() => put(background.cutouts.filter((it) => it.id !== hole.id))}
            sx={{ mt: 0.5 }}
          >
            <CloseIcon sx={{ fontSize: 16 }} />
          </IconButton>
        </Box>
      ))}
      <Box sx={{ mt: 1, display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {(['drain', 'cable', 'planter'] as const).map((use) => (
          <Button
            key={use}
            variant="outlined"
            onClick={() => edit({ edit: 'addCutout', change: { background: background.id, use } })}
          >
            {CUTOUT_WORD[use]}
          </Button>
        ))}
      </Box>
    </>
  );
}
