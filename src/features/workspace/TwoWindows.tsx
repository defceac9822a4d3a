import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { fieldsWords, fieldValue } from '@/core/compare/fields';
import { fieldKey, type FieldClash } from '@/core/document';
import { useEditing, useOpenDesign, useSaving, useStore } from '@/store';
import { useReader } from '@/ui/units';

/** Fields that another window set too since: both values, and either can be had. Everything else was merged. */
export function TwoWindows() {
  const { clashes } = useSaving();
  const { settle, leave } = useEditing();
  const { design } = useOpenDesign();
  const { catalogue } = useStore();
  const { tell } = useReader();
  if (clashes.length === 0) return null;
  return (
    <Box
      component="section"
      role="alert"
      aria-labelledby="two-windows"
      sx={{
        px: { xs: 1.5, md: 2.5 },
        py: 1.25,
        borderBottom: 1,
        borderColor: 'earth.clay',
        display: 'grid',
        gap: 1,
        maxHeight: '40dvh',
        overflowY: 'auto',
      }}
    >
      <Typography id="two-windows" variant="h3" component="h2">
        Another window changed the same
      </Typography>
      <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
        What the other one set stands now. All else that both changed is kept.
      </Typography>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: 0.75 }}>
        {alike(clashes).map((same) => {
          const [clash] = same;
          const what = fieldsWords(
            same.map((it) => it.path),
            [design],
            catalogue,
          );
          const [theirs, mine] = [clash.theirs, clash.mine].map((it) =>
            tell(fieldValue(clash.path, it, catalogue)),
          );
          return (
            <Box
              component="li"
              key={fieldKey(clash)}
              sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 1.5 }}
            >
              <Typography variant="body2" sx={{ flex: '0 1 auto' }}>
                {what}: the other window set <b>{theirs}</b>, this one <b>{mine}</b>.
              </Typography>
              <Button size="small" aria-label={`Use this window’s: ${what}`} onClick={() => settle(...same)}>
                Use this one’s
              </Button>
            </Box>
          );
        })}
      </Box>
      <Button size="small" variant="outlined" sx={{ justifySelf: 'start' }} onClick={() => leave(...clashes)}>
        Leave it as it stands
      </Button>
    </Box>
  );
}

type Alike = readonly [FieldClash, ...FieldClash[]];

/** Fields of one thing with the same two values, as the corners of a layer, are one choice. */
function alike(clashes: readonly FieldClash[]): readonly Alike[] {
  const by = new Map<string, Alike>();
  for (const clash of clashes) {
    const key = JSON.stringify([clash.path.slice(0, -1), clash.mine, clash.theirs]);
    by.set(key, [...(by.get(key) ?? ([] as const)), clash] as unknown as Alike);
  }
  return [...by.values()];
}
