import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Enclosure, Panel } from '@/core/document';
import { useEditing, useOpenDesign } from '@/store';
import { QuantityField } from '@/ui/fields/QuantityField';

const NAMES = {
  left: 'Left wall',
  right: 'Right wall',
  back: 'Back wall',
  front: 'Front wall',
  top: 'Closed top',
} as const;
const MAKES = { glass: 'glass', acrylic: 'acrylic', pvc: 'foamed PVC', timber: 'timber' } as const;
type Name = keyof typeof NAMES;

/** What a wall is made as, in the words of its menu. */
function makeOf({ screened, panels }: Enclosure, wall: Name): 'box' | 'gauze' | Panel['material'] {
  if (wall !== 'top' && screened.includes(wall)) return 'gauze';
  return panels.find((it) => it.wall === wall)?.material ?? 'box';
}

/** Each wall as the box is, gauze in a frame, or of a make and thickness of its own. */
export function WallFields() {
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const box = design.enclosure;
  const walls = (Object.keys(NAMES) as Name[]).filter((wall) => wall !== 'top' || box.top === 'solid');
  const label = (wall: Name): string =>
    wall === 'front' && box.front === 'doors' && box.build === 'box' ? 'Front doors' : NAMES[wall];
  return (
    <Box role="group" aria-label="Walls of another make" sx={{ mt: 1 }}>
      <Box sx={{ typography: 'body2', color: 'earth.quiet', mb: 1 }}>
        Walls of another make than the box: a window in a board, panes for doors, gauze in a frame.
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(132px, 1fr))', gap: 1.25 }}>
        {walls.map((wall) => (
          <TextField
            key={wall}
            select
            label={label(wall)}
            value={makeOf(box, wall)}
            onChange={(event) =>
              edit({ edit: 'setWall', change: { wall, as: event.target.value as ReturnType<typeof makeOf> } })
            }
          >
            <MenuItem value="box">as the box</MenuItem>
            {wall !== 'top' && <MenuItem value="gauze">gauze</MenuItem>}
            {Object.entries(MAKES).map(([value, word]) => (
              <MenuItem key={value} value={value}>
                {word}
              </MenuItem>
            ))}
          </TextField>
        ))}
        {walls.flatMap((wall) => {
          const panel = box.panels.find((it) => it.wall === wall);
          return panel && makeOf(box, wall) === panel.material
            ? [
                <QuantityField
                  key={`${wall} thickness`}
                  label={`${label(wall)}, thickness`}
                  measure="length"
                  value={panel.thickness}
                  min={0.0005}
                  max={0.2}
                  step={0.001}
                  onCommit={(thickness) =>
                    edit({
                      edit: 'setEnclosure',
                      change: {
                        panels: box.panels.map((it) => (it.wall === wall ? { ...it, thickness } : it)),
                      },
                    })
                  }
                />,
              ]
            : [];
        })}
      </Box>
    </Box>
  );
}
