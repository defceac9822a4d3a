'use client';

import type { Forecast, ClimateModel } from '@/core/climate';
import type { Frame } from '@/ui/section/Section';
import { useEarth } from '@/ui/theme/useEarth';
import type { Scale } from './FieldLayer';
import { percentWord } from './words';

interface Props {
  readonly frame: Frame;
  readonly forecast: Forecast;
  readonly at: number;
  readonly view: 'front' | 'side';
  readonly model: ClimateModel;
  readonly warm: 'left' | 'right';
  readonly scale: Scale;
}

/** Water in the soil of the warm and the cool half: its top centimetre, its middle, its foot. */
export function SoilLayer({ frame, forecast, at, view, model, warm, scale }: Props) {
  const earth = useEarth();
  const { series } = forecast.run;
  const shown = ([0, 1] as const).filter((column) => view === 'front' || column === 0);
  return (
    <g pointerEvents="none" aria-hidden>
      {shown.map((column) => {
        const { soil, area } = model.box.columns[column];
        if (area <= 1e-4) return null;
        const right = (column === 0) === (warm === 'right');
        const from = view === 'side' ? 0 : right ? frame.across / 2 : 0;
        const to = view === 'side' ? frame.across : right ? frame.across : frame.across / 2;
        const top = model.groundHeight[column];
        const deep = soil.reduce((sum, it) => sum + it.thickness, 0);
        const values = [
          series[`top${column}`][at] ?? 0,
          series[`mid${column}`][at] ?? 0,
          series[`low${column}`][at] ?? 0,
        ];
        const bounds = [top, top - (soil[0]?.thickness ?? 0.01), top - deep / 2, top - deep];
        return values.map((value, index) => {
          const y0 = frame.y(bounds[index] ?? 0);
          const y1 = frame.y(bounds[index + 1] ?? 0);
          return (
            <g key={`${column} ${index}`}>
              <rect
                x={frame.x(from)}
                y={y0}
                width={(to - from) * frame.scale}
                height={Math.max(1, y1 - y0)}
                fill={scale.colours[scale.limits.filter((it) => value >= it).length] ?? earth.water}
                fillOpacity={0.8}
                stroke={earth.card}
                strokeWidth={0.5}
              />
              {y1 - y0 > 13 && (
                <text
                  x={frame.x((from + to) / 2)}
                  y={(y0 + y1) / 2 + 4}
                  textAnchor="middle"
                  fontSize={12}
                  fontWeight={600}
                  fill="#FFFFFF"
                  stroke="#23281F"
                  strokeWidth={2.4}
                  paintOrder="stroke"
                >
                  {percentWord(value)}
                </text>
              )}
            </g>
          );
        });
      })}
    </g>
  );
}
