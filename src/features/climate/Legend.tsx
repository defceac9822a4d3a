import Box from '@mui/material/Box';
import type { Scale } from './FieldLayer';

/** Colours with their limits, and what the hatching says. */
export function Legend({ scale, hatched }: { readonly scale: Scale; readonly hatched: boolean }) {
  return (
    <Box
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        gap: 1,
        typography: 'caption',
        color: 'earth.quiet',
      }}
    >
      <Box component="span">{scale.name}</Box>
      <Box
        component="ol"
        aria-label={`Colours of ${scale.name}`}
        sx={{
          display: 'flex',
          flex: `0 1 ${32 * scale.colours.length}px`,
          minWidth: 220,
          listStyle: 'none',
          m: 0,
          p: 0,
        }}
      >
        {scale.colours.map((colour, index) => (
          <Box
            key={colour + String(index)}
            component="li"
            sx={{ position: 'relative', flex: '0 1 32px', minWidth: 0, height: 24 }}
          >
            <Box sx={{ height: 8, bgcolor: colour }} />
            <Box
              component="span"
              sx={{
                position: 'absolute',
                left: 0,
                top: 8,
                fontSize: '0.68rem',
                fontVariantNumeric: 'tabular-nums',
                transform: 'translateX(-50%)',
              }}
            >
              {index === 0 ? ' ' : scale.write(scale.limits[index - 1] ?? 0)}
            </Box>
          </Box>
        ))}
      </Box>
      {hatched && <Box component="span">Hatched: outside what the animal wants</Box>}
    </Box>
  );
}
