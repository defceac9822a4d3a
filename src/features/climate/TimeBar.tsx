import Box from '@mui/material/Box';
import Slider from '@mui/material/Slider';
import type { Forecast } from '@/core/climate';
import { DAY } from '@/core/physics/constants';
import { clock } from './words';

interface Props {
  readonly forecast: Forecast;
  readonly record: number;
  readonly onAt: (record: number) => void;
  /** Whether the lights are on then. */
  readonly day: boolean;
  /** Name of the settings that hold then, where a season has its own. */
  readonly setFor: string | undefined;
}

/** Which moment of the forecast is shown. */
export function TimeBar({ forecast, record, onAt, day, setFor }: Props) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, px: 1 }}>
      <Box
        sx={{
          typography: 'body2',
          minWidth: forecast.run.days > 1 ? 104 : 48,
          fontVariantNumeric: 'tabular-nums',
          whiteSpace: 'nowrap',
        }}
      >
        {whenWord(forecast, record)}
      </Box>
      <Slider
        size="small"
        aria-label="Hour of the day"
        min={0}
        max={forecast.run.t.length - 1}
        step={1}
        value={record}
        valueLabelDisplay="off"
        getAriaValueText={(value) => whenWord(forecast, value)}
        onChange={(_, value) => onAt(Number(value))}
      />
      <Box sx={{ typography: 'body2', color: 'earth.quiet', whiteSpace: 'nowrap' }}>
        {day ? 'lights on' : 'lights off'}
        {setFor === undefined ? '' : ` · as set for ${setFor}`}
      </Box>
    </Box>
  );
}

/** The moment of a record: an hour, a day and an hour, or a date and an hour. */
function whenWord({ run, asked }: Forecast, record: number): string {
  const t = run.t[record] ?? 0;
  const at = clock((t / 60) % 1440);
  if (asked.span !== 'year' && run.days <= 1) return at;
  const day = Math.floor(t / DAY);
  if (asked.span !== 'year') return `day ${day + 1}, ${at}`;
  return `${new Date(Date.UTC(2025, 0, 1 + day)).toLocaleDateString(undefined, { day: 'numeric', month: 'short', timeZone: 'UTC' })}, ${at}`;
}
