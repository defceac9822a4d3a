import type { PlantedResult } from '@/core/living';
import { PlantAbove, PlantShape } from './PlantShape';

interface Props {
  readonly plants: readonly PlantedResult[];
  readonly view: 'front' | 'side' | 'plan';
  readonly x: (metres: number) => number;
  readonly y: (metres: number) => number;
  readonly scale: number;
}

/** All plants of a box, those at the back first. */
export function PlantLayer({ plants, view, x, y, scale }: Props) {
  if (plants.length === 0) return null;
  const order = [...plants].sort((a, b) =>
    view === 'front' ? b.y - a.y : view === 'side' ? a.x - b.x : a.z + a.height - b.z - b.height,
  );
  return (
    <g aria-hidden data-plants={plants.length}>
      {order.map((it) =>
        view === 'plan' ? (
          <PlantAbove
            key={it.planted.id}
            form={it.plant?.form ?? null}
            x={x(it.x)}
            y={y(it.y)}
            width={it.width * scale}
            seed={it.planted.id}
          />
        ) : (
          <PlantShape
            key={it.planted.id}
            form={it.plant?.form ?? null}
            x={x(view === 'front' ? it.x : it.y)}
            y={y(it.z)}
            width={it.width * scale}
            height={it.height * scale}
            hangs={it.hangs}
            seed={it.planted.id}
            flat={it.planted.spot.on === 'wall' && (it.planted.spot.wall === 'back') === (view === 'front')}
          />
        ),
      )}
    </g>
  );
}
