import { many, type Range } from '../../catalogue';
import { dayOfSeason } from '../../climate/roomProfile';
import { lightHours } from '../../climate/timetable';
import type { Rule } from '../../finding/finding';
import { dayLength } from '../../light/dayLength';
import { message, number } from '../../units';

/** h by which a day may be off before it is told of (common practice). */
const OFF = 1;

/** Latitudes without their sides: nearest the equator and furthest from it. */
const away = ({ low, high }: Range): Range => ({
  low: low <= 0 && high >= 0 ? 0 : Math.min(Math.abs(low), Math.abs(high)),
  high: Math.max(Math.abs(low), Math.abs(high)),
});

/** Days that stay long in winter for an animal from where they shorten, or shorten more than it ever meets. */
export const daysOfYear: Rule = ({ design, animal }) => {
  if (!animal?.latitude || design.climate.devices.length === 0) return [];
  const { climate } = design;
  const at = climate.day.by === 'latitude' ? climate.day.latitude : climate.room.latitude;
  const winter = dayOfSeason('winter', at);
  const { from, to } = lightHours(climate, winter);
  const long = (to - from) / 3600;
  const apart = away(animal.latitude.value);
  const shortest = (degrees: number): number => dayLength(degrees, dayOfSeason('winter', 1));
  const [most, least] = [shortest(apart.low), shortest(apart.high)];
  if (long <= most + OFF && long >= least - OFF) return [];
  const middle = Math.round((apart.low + apart.high) / 2);
  const words = message`${number(least, 1)} to ${number(most, 1)} h`;
  return [
    {
      code: long > most ? 'days-stay-long' : 'days-too-short',
      severity: 'note',
      place: { at: 'climate' },
      what:
        long > most
          ? message`Its days stay ${number(long, 1)} h long in winter.`
          : message`Its days are only ${number(long, 1)} h long in winter.`,
      because: message`Where ${many(animal.english)} live they are ${words} then. They time appetite, rest and breeding by it; many keep them at the same hours all year.`,
      remedies: [
        {
          label: message`Days as at ${middle}°`,
          call: {
            edit: 'setClimate',
            change: { day: { ...climate.day, by: 'latitude', latitude: at < 0 ? -middle : middle } },
          },
        },
      ],
      basis: animal.latitude.basis,
      routine: true,
    },
  ];
};
