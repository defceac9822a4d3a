'use client';

import AddIcon from '@mui/icons-material/Add';
import CloseIcon from '@mui/icons-material/Close';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { BOARDS, CAUTIONS, SEALS } from '@/catalogue';
import { Bore, Enclosure } from '@/core/document';
import { outsideSize, sealingOf, type Making as Made, type Piece } from '@/core/enclosure';
import { capital, counted, formatQuantity, length, mass, tank, area } from '@/core/units';
import { useEditing, useOpenDesign } from '@/store';
import { QuantityField } from '@/ui/fields/QuantityField';
import { TableCard } from '@/ui/TableCard';
import { useReader } from '@/ui/units';

const USE_WORD: Record<Bore['use'], string> = {
  nozzle: 'mist nozzle',
  cable: 'cable',
  drain: 'drain',
  hose: 'hose',
  fan: 'fan',
  probe: 'probe',
};
const WALL_WORD: Record<Bore['wall'], string> = {
  left: 'left side',
  right: 'right side',
  back: 'back',
  front: 'front',
  top: 'lid',
  bottom: 'floor',
};
const USUAL_BORE: Record<Bore['use'], number> = {
  nozzle: 0.012,
  cable: 0.02,
  drain: 0.025,
  hose: 0.02,
  fan: 0.08,
  probe: 0.008,
};
const MATERIAL_WORD = {
  glass: 'glass',
  acrylic: 'acrylic',
  pvc: 'foamed PVC',
  timber: 'timber',
  mesh: 'mesh',
} as const;

type MadeOf = Enclosure['made'];

/** The box as it is handed to a glazier or joiner: what to cut, what to drill, what to seal. */
export function Making() {
  const { design, assessment } = useOpenDesign();
  const { edit } = useEditing();
  const { write, prefs, locale, tell } = useReader();
  // A pane is spoken of in millimetres, whatever the box is measured in.
  const thin = (metres: number): string =>
    formatQuantity(length(metres), {
      locale,
      prefs: prefs.length === 'cm' ? { ...prefs, length: 'mm' } : prefs,
    });
  const box = design.enclosure;
  const { made } = box;
  const outer = outsideSize(box);
  const { making } = assessment;
  const { outlet } = design.ground;
  const sealing = sealingOf(box, making.sealArea);
  const set = (change: Partial<MadeOf>) =>
    edit({ edit: 'setEnclosure', change: { made: { ...made, ...change } } });
  const sides = (it: { width: number; depth: number; height: number }): string =>
    [it.width, it.depth, it.height]
      .map((side) => write(length(side), { bare: true, trim: true }))
      .join(' × ');
  const cm = write(length(0.1)).replace(/^[\d.,]+\s*/, '');

  return (
    <Box component="section" aria-labelledby="making">
      <Typography variant="h2" id="making" sx={{ mb: 0.5 }}>
        {design.name}, to be made
      </Typography>
      <Typography sx={{ mb: 1.5 }}>
        {capital(MATERIAL_WORD[box.material])}
        {box.build === 'walk-in' ? ', built where it stands' : ''}, walls {thin(box.wallThickness)} thick.
        Inside {sides(box)} {cm}, outside {sides(outer)} {cm}, wide × deep × high. It will stand with{' '}
        {write(mass(assessment.standingMass))} in it, and hold water to {write(length(box.watertightHeight))}.
      </Typography>

      <Box
        className="no-print"
        sx={{
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fill, minmax(150px, 1fr))',
          gap: 1.25,
          mb: 2,
        }}
      >
        {box.front === 'doors' && box.build === 'box' && (
          <Pick
            label="Doors"
            value={made.doors}
            options={{ sliding: 'sliding', hinged: 'hinged' }}
            onPick={(value) => set({ doors: Enclosure.shape.made.shape.doors.parse(value) })}
          />
        )}
        <QuantityField
          label="Vent under the doors"
          measure="length"
          value={made.ventLow}
          max={box.height / 2}
          step={0.005}
          disabled={box.front !== 'doors' || box.build === 'walk-in'}
          onCommit={(ventLow) => set({ ventLow })}
        />
        <QuantityField
          label="Vent over the back"
          measure="length"
          value={made.ventHigh}
          max={box.height / 2}
          step={0.005}
          onCommit={(ventHigh) => set({ ventHigh })}
        />
        {making.sealArea > 0 && (
          <>
            <Pick
              label="Board"
              value={made.board}
              options={Object.fromEntries(Object.entries(BOARDS).map(([id, it]) => [id, it.name]))}
              onPick={(value) => set({ board: Enclosure.shape.made.shape.board.parse(value) })}
            />
            <Pick
              label="Sealed with"
              value={made.seal}
              options={Object.fromEntries(Object.entries(SEALS).map(([id, it]) => [id, it.name]))}
              onPick={(value) => set({ seal: Enclosure.shape.made.shape.seal.parse(value) })}
            />
          </>
        )}
      </Box>

      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.5fr) minmax(0, 1fr)' },
          gap: 2.5,
          alignItems: 'start',
        }}
      >
        <TableCard label="Pieces">
          <thead>
            <tr>
              <th scope="col">Piece</th>
              <th scope="col" className="number">
                count
              </th>
              <th scope="col" className="number">
                size {cm}
              </th>
              <th scope="col" className="number">
                thick
              </th>
            </tr>
          </thead>
          <tbody>
            {making.pieces.map((piece) => (
              <tr key={piece.name}>
                <td>
                  {piece.name}
                  {piece.note && (
                    <Box sx={{ typography: 'caption', color: 'earth.quiet', whiteSpace: 'normal' }}>
                      {tell(piece.note)}
                    </Box>
                  )}
                </td>
                <td className="number">{piece.count}</td>
                <td className="number">
                  {write(length(piece.width), { bare: true })} × {write(length(piece.height), { bare: true })}
                </td>
                <td className="number">
                  {piece.thickness ? thin(piece.thickness) : piece.of === 'stud' ? '–' : 'gauze'}
                  {piece.material && piece.material !== box.material && (
                    <Box sx={{ typography: 'caption', color: 'earth.quiet' }}>
                      {MATERIAL_WORD[piece.material]}
                    </Box>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </TableCard>
        <Elevation box={box} making={making} />
      </Box>

      <Bores box={box} onPut={(bores) => set({ bores: [...bores] })} />

      {outlet.kind === 'drain' && (
        <Typography sx={{ mt: 2 }}>
          The ground asks for a drain besides: {thin(outlet.bore)} inside, its lower edge{' '}
          {thin(outlet.height)} over the floor. Drill for the fitting it comes with.
        </Typography>
      )}
      {sealing && (
        <Typography sx={{ mt: 2 }}>
          {capital(BOARDS[made.board].name)}: {BOARDS[made.board].text} Sealed with {SEALS[made.seal].name}:{' '}
          {SEALS[made.seal].text}{' '}
          {sealing.seal === 'liner'
            ? `A piece of ${write(area(sealing.liner))} goes in.`
            : `${sealing.coats} coats over ${write(area(making.sealArea))} take ${write(tank(sealing.volume))}.`}
        </Typography>
      )}
      <Typography variant="body2" sx={{ mt: 2, color: 'earth.quiet' }}>
        Walls stand on the floor; back and front run over the ends of the sides. Sizes are to the joint: the
        maker allows for silicone, saw and his own way of joining. {CAUTIONS.drilling.text}{' '}
        {CAUTIONS.panes.text}
      </Typography>
    </Box>
  );
}

interface PickProps {
  readonly label: string;
  readonly value: string;
  readonly options: Readonly<Record<string, string>>;
  readonly onPick: (value: string) => void;
}

function Pick({ label, value, options, onPick }: PickProps) {
  return (
    <TextField select label={label} value={value} onChange={(event) => onPick(event.target.value)}>
      {Object.entries(options).map(([id, name]) => (
        <MenuItem key={id} value={id}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}

interface BoresProps {
  readonly box: Enclosure;
  readonly onPut: (bores: readonly Bore[]) => void;
}

/** Holes in the walls, each for one thing. */
function Bores({ box, onPut }: BoresProps) {
  const { bores } = box.made;
  const { width, depth, height } = outsideSize(box);
  const across = (wall: Bore['wall']): number => (wall === 'left' || wall === 'right' ? depth : width);
  const up = (wall: Bore['wall']): number => (wall === 'top' || wall === 'bottom' ? depth : height);
  const set = (bore: Bore, change: Partial<Bore>): void =>
    onPut(bores.map((it) => (it.id === bore.id ? { ...it, ...change } : it)));
  const next = `bore-${Math.max(0, ...bores.map(({ id }) => Number(id.slice(5)) || 0)) + 1}`;
  return (
    <Box component="section" aria-labelledby="bores" sx={{ mt: 2.5 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.5, mb: 0.5 }}>
        <Typography variant="h2" id="bores">
          Holes to drill
        </Typography>
        <Typography variant="body2" sx={{ color: 'earth.quiet', flex: 1 }}>
          Middle of each, from the left end of the wall as one stands outside it, and from its foot.
        </Typography>
        <Button
          className="no-print"
          startIcon={<AddIcon fontSize="small" />}
          disabled={bores.length >= 40}
          onClick={() =>
            onPut([
              ...bores,
              {
                id: next,
                use: 'nozzle',
                wall: 'top',
                across: width / 2,
                up: depth / 2,
                diameter: USUAL_BORE.nozzle,
              },
            ])
          }
        >
          Add a hole
        </Button>
      </Box>
      {bores.length === 0 && (
        <Typography sx={{ color: 'earth.quiet' }}>
          None. Nozzles, cables and a drain are easier before it is put together.
        </Typography>
      )}
      {bores.map((bore, index) => (
        <Box
          key={bore.id}
          role="group"
          aria-label={`Hole ${index + 1}`}
          sx={{
            display: 'grid',
            gridTemplateColumns: '28px 1.3fr 1.2fr 1fr 1fr 1fr 32px',
            gap: 1,
            mt: 1,
            alignItems: 'start',
          }}
        >
          <Box sx={{ pt: 1, fontWeight: 650 }}>{index + 1}</Box>
          <Pick
            label="For a"
            value={bore.use}
            options={USE_WORD}
            onPick={(value) => {
              const use = Bore.shape.use.parse(value);
              set(bore, { use, diameter: USUAL_BORE[use] });
            }}
          />
          <Pick
            label="In the"
            value={bore.wall}
            options={WALL_WORD}
            onPick={(value) => {
              const wall = Bore.shape.wall.parse(value);
              set(bore, {
                wall,
                across: Math.min(bore.across, across(wall)),
                up: Math.min(bore.up, up(wall)),
              });
            }}
          />
          <QuantityField
            label="From the left"
            measure="length"
            value={bore.across}
            max={across(bore.wall)}
            onCommit={(si) => set(bore, { across: si })}
          />
          <QuantityField
            label={bore.wall === 'top' || bore.wall === 'bottom' ? 'From the front' : 'Up'}
            measure="length"
            value={bore.up}
            max={up(bore.wall)}
            onCommit={(si) => set(bore, { up: si })}
          />
          <QuantityField
            label="Across"
            measure="length"
            value={bore.diameter}
            min={0.002}
            max={0.5}
            step={0.001}
            onCommit={(si) => set(bore, { diameter: si })}
          />
          <IconButton
            className="no-print"
            size="small"
            aria-label={`Take out hole ${index + 1}`}
            onClick={() => onPut(bores.filter((it) => it !== bore))}
            sx={{ mt: 0.5 }}
          >
            <CloseIcon sx={{ fontSize: 16 }} />
          </IconButton>
        </Box>
      ))}
    </Box>
  );
}

/** The front as it will look, and every wall with holes in it, at one scale. */
function Elevation({ box, making }: { readonly box: Enclosure; readonly making: Made }) {
  const outer = outsideSize(box);
  const walls = (['front', 'back', 'left', 'right', 'top', 'bottom'] as const).filter(
    (wall) => wall === 'front' || making.bores.some((bore) => bore.wall === wall),
  );
  const scale = Math.min(300 / outer.width, 210 / outer.height);
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2 }}>
      {walls.map((wall) => {
        const w = wall === 'left' || wall === 'right' ? outer.depth : outer.width;
        const h = wall === 'top' || wall === 'bottom' ? outer.depth : outer.height;
        const holes = making.bores.filter((bore) => bore.wall === wall).length;
        return (
          <Box component="figure" key={wall} sx={{ m: 0 }}>
            <Box
              component="svg"
              width={w * scale + 4}
              height={h * scale + 4}
              role="img"
              aria-label={`${WALL_WORD[wall]}, ${counted(holes, 'hole')}`}
              sx={{ color: 'earth.ink', display: 'block' }}
            >
              <g transform={`translate(2 ${h * scale + 2}) scale(1 -1)`} fill="none" stroke="currentColor">
                <rect width={w * scale} height={h * scale} strokeWidth={2} />
                {wall === 'front' && <FrontLines {...{ box, scale, w }} pieces={making.pieces} />}
                {making.bores
                  .filter((bore) => bore.wall === wall)
                  .map((bore) => (
                    <circle
                      key={bore.id}
                      cx={bore.across * scale}
                      cy={bore.up * scale}
                      r={Math.max(2, (bore.diameter / 2) * scale)}
                      strokeWidth={1.5}
                    />
                  ))}
              </g>
              {making.bores.map(
                (bore, index) =>
                  bore.wall === wall && (
                    <text
                      key={bore.id}
                      x={bore.across * scale + 10}
                      y={h * scale - bore.up * scale + 4}
                      fontSize={12}
                      fill="currentColor"
                    >
                      {index + 1}
                    </text>
                  ),
              )}
            </Box>
            <Box component="figcaption" sx={{ typography: 'caption', color: 'earth.quiet' }}>
              {WALL_WORD[wall]}
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}

interface FrontProps {
  readonly box: Enclosure;
  readonly scale: number;
  readonly w: number;
  readonly pieces: readonly Piece[];
}

/** Sill, vent strip and doors, from the floor up. */
function FrontLines({ box, scale, w, pieces }: FrontProps) {
  if (box.front === 'fixed' || box.build === 'walk-in') return null;
  const sill = (pieces.find((piece) => piece.name === 'Front, sill')?.height ?? 0) + box.wallThickness;
  const vent = box.made.ventLow;
  const door = pieces.find((piece) => piece.of === 'door');
  return (
    <>
      <path d={`M 0 ${sill * scale} h ${w * scale}`} />
      {vent > 0 && (
        <>
          <path d={`M 0 ${(sill + vent) * scale} h ${w * scale}`} />
          <rect x={0} y={sill * scale} width={w * scale} height={vent * scale} strokeDasharray="2 3" />
        </>
      )}
      {door && (
        <path
          d={`M ${(w / 2) * scale} ${(sill + vent) * scale} v ${door.height * scale}`}
          strokeDasharray={box.made.doors === 'sliding' ? '6 3' : undefined}
        />
      )}
    </>
  );
}
