import { localDay } from '@/core/time';
import { useEffect, useMemo, useState } from 'react';
import type { Animal } from '@/core/catalogue';
import { momentField, type Bands, type Lit, type Moment } from '@/core/climate';
import type { Design } from '@/core/document';
import { fieldOf, UV_ZONES, type Field, type Plane, type UvZone } from '@/core/light';
import { useStore } from '@/store';
import { lightField } from '@/workers/climate';
import type { OverlayName } from './scales';

const COLUMNS = 56;
const COARSE = 30;

/** Light with shadows, once the drawing rests; null while something moves. */
function useShaded(design: Design, name: 'uv' | 'ppfd' | null, plane: Plane): Field | null {
  const { catalogue } = useStore();
  const [found, setFound] = useState<{ readonly of: unknown; readonly field: Field } | null>(null);
  const key = useMemo(() => ({ name, plane, design }), [name, plane, design]);
  useEffect(() => {
    if (!key.name) return undefined;
    const { name: wanted } = key;
    let live = true;
    const timer = setTimeout(() => {
      const columns = 100;
      const rows = Math.max(10, Math.round((columns * key.plane.height) / key.plane.width));
      lightField(key.design, catalogue, wanted, key.plane, { columns, rows }, localDay(Date.now())).then(
        (field) => live && setFound({ of: key, field }),
        () => undefined,
      );
    }, 180);
    return () => {
      live = false;
      clearTimeout(timer);
    };
  }, [key, catalogue]);
  return found?.of === key ? found.field : null;
}

interface Wanted {
  readonly overlay: OverlayName;
  readonly design: Design;
  readonly lit: readonly Lit[];
  readonly plane: Plane;
  readonly moment: Moment | null;
}

/** What is laid over the drawing: coarse while something moves, light with its shadows once it rests. */
export function useField({ overlay, design, lit, plane, moment }: Wanted): Field | null {
  const shaded = useShaded(design, overlay === 'uv' || overlay === 'ppfd' ? overlay : null, plane);
  return useMemo(() => {
    if (overlay === 'soil') return null;
    const rows = (columns: number): number => Math.max(8, Math.round((columns * plane.height) / plane.width));
    if (overlay === 'uv' || overlay === 'ppfd')
      return (
        shaded ??
        fieldOf(
          overlay,
          lit.map((it) => it.lamp),
          plane,
          COARSE,
          rows(COARSE),
        )
      );
    return moment && momentField(overlay, moment, plane, COLUMNS, rows(COLUMNS));
  }, [overlay, shaded, lit, plane, moment]);
}

/** What the animal wants of an overlay, by day or by night; null where it wants nothing in particular. */
export function bandOf(
  overlay: OverlayName,
  bands: Bands,
  animal: Animal | undefined,
  day: boolean,
): { readonly low: number; readonly high: number } | null {
  if (!animal) return null;
  switch (overlay) {
    case 'warmth':
      return day
        ? { low: bands.cool.low, high: Math.max(bands.warm.high, bands.basking?.high ?? -50) }
        : bands.night;
    case 'humidity':
      return day ? bands.humidityDay : bands.humidityNight;
    case 'uv':
      return { low: -1, high: UV_ZONES[animal.climate.uvZone.value as UvZone].maximum[1] };
    default:
      return null;
  }
}
