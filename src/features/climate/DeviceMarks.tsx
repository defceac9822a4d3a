'use client';

import { useRef, type KeyboardEvent } from 'react';
import type { DeviceKind } from '@/core/catalogue';
import type { Spray } from '@/core/climate';
import type { Device } from '@/core/document';
import { length } from '@/core/units';
import { nextGesture } from '@/ui/section/Handle';
import type { Frame } from '@/ui/section/Section';
import { useEarth } from '@/ui/theme/useEarth';
import { useReader } from '@/ui/units';

export interface DeviceTools {
  readonly selected: string | null;
  readonly onSelect: (device: string | null) => void;
  readonly onMove: (device: string, to: Device['at'], gesture: string) => void;
  readonly onRemove: (device: string) => void;
}

interface Props {
  readonly devices: readonly { readonly device: Device; readonly kind: DeviceKind | undefined }[];
  readonly view: 'front' | 'side';
  readonly frame: Frame;
  readonly tools: DeviceTools;
  /** Where the drops of the picked nozzle fall. */
  readonly spray: Spray | null;
}

const STEP = 0.01;
const FINE = 0.001;
const KEYS: Record<string, readonly [number, number]> = {
  ArrowRight: [1, 0],
  ArrowLeft: [-1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** Lamps, heaters, nozzles and fans in the drawing, to be dragged or moved by arrow keys. */
export function DeviceMarks({ devices, view, frame, tools, spray }: Props) {
  const earth = useEarth();
  return (
    <g>
      {spray?.drops.map((drop, index) => (
        <circle
          key={index}
          cx={frame.x(view === 'front' ? drop.x : drop.y)}
          cy={frame.y(drop.z)}
          r={2.2}
          fill={earth.water}
          opacity={0.8}
          pointerEvents="none"
        />
      ))}
      {devices.map(({ device, kind }) => (
        <Mark key={device.id} {...{ device, kind, view, frame, tools }} />
      ))}
    </g>
  );
}

interface MarkProps extends Omit<Props, 'devices' | 'spray'> {
  readonly device: Device;
  readonly kind: DeviceKind | undefined;
}

function Mark({ device, kind, view, frame, tools }: MarkProps) {
  const earth = useEarth();
  const { write } = useReader();
  const drag = useRef<{ readonly gesture: string; readonly across: number; readonly up: number }>(null);
  const chosen = tools.selected === device.id;
  const across = view === 'front' ? device.at.x : device.at.y;
  const x = frame.x(across);
  const y = frame.y(device.at.z);
  const runs = (view === 'front') === (device.along === 'x');
  const long = runs ? Math.max(8, device.length * frame.scale) : 10;

  const put = (to: number, up: number, gesture: string): void =>
    tools.onMove(
      device.id,
      view === 'front' ? { ...device.at, x: to, z: up } : { ...device.at, y: to, z: up },
      gesture,
    );
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      tools.onSelect(chosen ? null : device.id);
      return;
    }
    if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault();
      tools.onRemove(device.id);
      return;
    }
    const way = KEYS[event.key];
    if (!way) return;
    event.preventDefault();
    const step = event.shiftKey ? FINE : STEP;
    put(across + way[0] * step, device.at.z + way[1] * step, `key ${nextGesture()}`);
  };

  return (
    <g
      role="button"
      tabIndex={0}
      aria-pressed={chosen}
      aria-label={`${device.name}, ${write(length(across))} from the ${view === 'front' ? 'left' : 'front'}, ${write(length(device.at.z))} over the floor`}
      className="rincon-piece"
      data-device={device.id}
      style={{ cursor: chosen ? 'move' : 'pointer', touchAction: 'none' }}
      onKeyDown={onKeyDown}
      onPointerDown={(event) => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        const at = frame.at(event);
        drag.current = {
          gesture: `drag ${nextGesture()}`,
          across: at.across - across,
          up: at.up - device.at.z,
        };
        tools.onSelect(device.id);
      }}
      onPointerMove={(event) => {
        if (!drag.current) return;
        const at = frame.at(event);
        put(at.across - drag.current.across, at.up - drag.current.up, drag.current.gesture);
      }}
      onPointerUp={() => {
        drag.current = null;
      }}
      onPointerCancel={() => {
        drag.current = null;
      }}
    >
      {/* Something to take hold of, however small the thing is. */}
      <rect
        x={x - Math.max(long, 24) / 2}
        y={y - 12}
        width={Math.max(long, 24)}
        height={24}
        fill="transparent"
      />
      <Shape form={kind?.form ?? 'bulb'} heats={kind?.heats ?? false} {...{ x, y, long, earth }} />
      {chosen && (
        <rect
          x={x - Math.max(long, 20) / 2 - 4}
          y={y - 13}
          width={Math.max(long, 20) + 8}
          height={26}
          rx={5}
          fill="none"
          stroke={earth.ink}
          strokeWidth={1.5}
          strokeDasharray="5 3"
        />
      )}
    </g>
  );
}

interface ShapeProps {
  readonly form: DeviceKind['form'];
  readonly heats: boolean;
  readonly x: number;
  readonly y: number;
  readonly long: number;
  readonly earth: ReturnType<typeof useEarth>;
}

/** Each sort has its own outline; colour only adds to it. */
function Shape({ form, heats, x, y, long, earth }: ShapeProps) {
  const line = { stroke: earth.ink, strokeWidth: 1.25 };
  switch (form) {
    case 'tube':
      return <rect x={x - long / 2} y={y - 4} width={long} height={8} rx={4} fill="#F3E7B4" {...line} />;
    case 'panel':
      return (
        <rect
          x={x - long / 2}
          y={y - 5}
          width={long}
          height={7}
          rx={1}
          fill={heats ? '#E2A37F' : '#F3E7B4'}
          {...line}
        />
      );
    case 'bulb':
      return (
        <g {...line}>
          <rect x={x - 4} y={y - 11} width={8} height={7} fill={earth.ink} />
          <path
            d={`M ${x - 5} ${y - 4} L ${x - 10} ${y + 7} H ${x + 10} L ${x + 5} ${y - 4} Z`}
            fill={heats ? '#E2A37F' : '#F3E7B4'}
          />
        </g>
      );
    case 'mat':
      return <rect x={x - long / 2} y={y - 2} width={long} height={5} fill={earth.clay} {...line} />;
    case 'cable':
      return (
        <path
          d={`M ${x - long / 2} ${y} ${Array.from({ length: 6 }, () => `q ${long / 24} -6 ${long / 12} 0 t ${long / 12} 0`).join(' ')}`}
          fill="none"
          stroke={earth.clay}
          strokeWidth={2.5}
        />
      );
    case 'heater':
      return <rect x={x - 7} y={y - 9} width={14} height={18} rx={2} fill="#E2A37F" {...line} />;
    case 'nozzle':
    case 'sprayer':
      return (
        <g {...line}>
          <rect x={x - 3} y={y - 9} width={6} height={8} fill={earth.ink} />
          <path d={`M ${x} ${y} l -6 9 h 12 Z`} fill={earth.water} fillOpacity={0.7} />
        </g>
      );
    case 'fogger':
      return (
        <g {...line}>
          <circle cx={x} cy={y} r={8} fill="#DDE9EC" />
          <path d={`M ${x - 4} ${y + 1} q 2 -4 4 0 t 4 0`} fill="none" />
        </g>
      );
    case 'fan':
      return (
        <g {...line}>
          <circle cx={x} cy={y} r={9} fill={earth.card} />
          <path d={`M ${x - 6} ${y} h 12 M ${x} ${y - 6} v 12`} />
        </g>
      );
  }
}
