'use client';

import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { DAY_MS } from '@/core/physics/constants';
import { monthWords } from '@/core/climate';
import { seasonOn, type SeasonSettings } from '@/core/document';
import { useOpenDesign } from '@/store';

/** Says where a part of the year sets otherwise what is shown here, which is the rest of the year’s. */
export function SeasonNote({
  sets,
  onSeasons,
}: {
  /** Whether a part of the year sets what is shown here. */
  readonly sets: (part: SeasonSettings) => boolean;
  readonly onSeasons: () => void;
}) {
  const { design } = useOpenDesign();
  const parts = design.climate.seasons.filter(sets);
  if (parts.length === 0) return null;
  const now = seasonOn(design, today());
  return (
    <Typography variant="body2" role="note">
      These are the settings of the rest of the year.{' '}
      {parts
        .map(
          (it) => `${it.name} (${monthWords(it)}) has its own${it.id === now?.id ? ', in force now' : ''}.`,
        )
        .join(' ')}{' '}
      <Link component="button" type="button" variant="body2" onClick={onSeasons}>
        Open Seasons
      </Link>
    </Typography>
  );
}

const today = (): number => {
  const now = new Date();
  return 1 + Math.floor((Date.UTC(2025, now.getMonth(), now.getDate()) - Date.UTC(2025, 0, 1)) / DAY_MS);
};
