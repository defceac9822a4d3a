import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { assess } from '../assess';
import { formatMessage, METRIC } from '../units';
import { Design, type Room } from '../document/schema';
import { proposeDesign } from './propose';

const ROOMS: Room[] = (['dry', 'middle', 'humid'] as const).map((kind) => ({
  kind,
  temperature: null,
  humidity: null,
}));
const SIZES = [
  { width: 0.3, depth: 0.3, height: 0.45 },
  { width: 0.6, depth: 0.45, height: 0.6 },
  { width: 1.2, depth: 0.6, height: 0.75 },
];

describe('a proposal from three answers', () => {
  for (const animal of catalogue.animals) {
    for (const size of [...SIZES, null]) {
      for (const room of ROOMS) {
        const box = size ? `${size.width}×${size.depth}×${size.height}` : 'size open';
        it(`${animal.english}, ${box}, ${room.kind} room: sound, or says why it cannot be`, () => {
          const design = proposeDesign(
            { id: 'x', name: 'x', animal: animal.id, count: 1, size, room },
            catalogue,
          );
          expect(Design.safeParse(design).error).toBeUndefined();
          const { findings } = assess(design, catalogue);
          const severe = findings.filter((it) => it.severity === 'severe');
          const impossible = severe.filter((it) => it.place.at === 'enclosure' && it.remedies.length > 0);
          const message = severe
            .map((it) => `${it.code}: ${formatMessage(it.because, { prefs: METRIC })}`)
            .join('\n');
          if (size === null) expect(severe, message).toEqual([]);
          // A box too small or wrong way up is said once, with a size that would do, and nothing else is wrong.
          expect(impossible.length, message).toBe(severe.length);
          expect(severe.length, message).toBeLessThanOrEqual(1);
        });
      }
    }
  }
});
