import type { Plant } from '@/core/catalogue';

interface Props {
  readonly form: Plant['form'] | null;
  /** Foot of the plant in the picture; it grows upwards from there, or hangs. */
  readonly x: number;
  readonly y: number;
  /** px */
  readonly width: number;
  readonly height: number;
  readonly hangs: boolean;
  /** So that each plant stands a little differently, and always the same. */
  readonly seed: string;
  /** Spread flat over a wall. */
  readonly flat?: boolean;
}

/** Greens by form; unnamed plants are drawn grey. */
const TONES: Record<Plant['form'], readonly [leaf: string, dark: string]> = {
  ground: ['#5E8C4A', '#3D6636'],
  climber: ['#6C9A4E', '#456F39'],
  mounted: ['#7FA35C', '#557A41'],
  moss: ['#7E9B45', '#5B7434'],
  marsh: ['#6E9C62', '#46744A'],
  floating: ['#87AE5A', '#5D8240'],
  submerged: ['#6F9A63', '#44724B'],
  succulent: ['#86A58B', '#587A63'],
  grass: ['#8CA06A', '#617A46'],
};

function hash(text: string): number {
  let sum = 2166136261;
  for (let i = 0; i < text.length; i += 1) sum = Math.imul(sum ^ text.charCodeAt(i), 16777619);
  return sum >>> 0;
}

/** A leaf from a point to another, bowed to one side. */
const leaf = (x0: number, y0: number, x1: number, y1: number, thick: number): string => {
  const mx = (x0 + x1) / 2;
  const my = (y0 + y1) / 2;
  const long = Math.hypot(x1 - x0, y1 - y0) || 1;
  const nx = (-(y1 - y0) / long) * thick;
  const ny = ((x1 - x0) / long) * thick;
  return `M${x0.toFixed(1)} ${y0.toFixed(1)}Q${(mx + nx).toFixed(1)} ${(my + ny).toFixed(1)} ${x1.toFixed(1)} ${y1.toFixed(1)}Q${(mx - nx).toFixed(1)} ${(my - ny).toFixed(1)} ${x0.toFixed(1)} ${y0.toFixed(1)}Z`;
};

/** A plant as one sees it from the side: its form says what kind it is, its size is to scale. */
export function PlantShape({ form, x, y, width, height, hangs, seed, flat = false }: Props) {
  const random = hash(seed);
  const turn = (random % 100) / 100;
  const [light, dark] = form ? TONES[form] : ['#9AA096', '#6E746B'];
  const w = Math.max(6, width);
  const h = Math.max(5, height);
  const leaves: string[] = [];
  const stems: string[] = [];
  const dots: { readonly x: number; readonly y: number; readonly r: number }[] = [];
  if (form === 'moss') {
    // Cushions of a moss, scattered over it the same way each time.
    const count = Math.min(26, Math.max(4, Math.round((w * h) / 160)));
    for (let i = 0; i < count; i += 1) {
      const angle = i * 2.4 + turn * 6;
      const far = Math.sqrt((i + 0.5) / count) * 0.42;
      dots.push(
        flat
          ? {
              x: x + Math.cos(angle) * far * w,
              y: y + Math.sin(angle) * far * w * 0.62,
              r: 2 + ((i * 7) % 3),
            }
          : {
              x: x + Math.cos(angle) * far * w,
              y: y - h * (0.35 + 0.4 * Math.abs(Math.sin(angle)) * far),
              r: 1.6,
            },
      );
    }
  }
  switch (form) {
    case 'moss':
      if (flat) {
        const [a, b] = [w / 2, w * 0.32];
        leaves.push(
          `M${x - a} ${y}Q${x - a} ${y - b} ${x - a * 0.3} ${y - b * 0.9}Q${x + a * 0.2} ${y - b * 1.2} ${x + a * 0.7} ${y - b * 0.6}Q${x + a * 1.1} ${y} ${x + a * 0.5} ${y + b * 0.8}Q${x} ${y + b * 1.15} ${x - a * 0.5} ${y + b * 0.8}Q${x - a} ${y + b * 0.5} ${x - a} ${y}Z`,
        );
        break;
      }
      leaves.push(
        `M${x - w / 2} ${y}Q${x - w / 2} ${y - h} ${x - w / 5} ${y - h * 0.9}Q${x} ${y - h * 1.15} ${x + w / 5} ${y - h * 0.85}Q${x + w / 2} ${y - h} ${x + w / 2} ${y}Z`,
      );
      break;
    case 'floating':
      for (let i = -1; i <= 1; i += 1)
        leaves.push(`M${x + (i * w) / 3 - w / 6} ${y}a${w / 6} ${Math.max(2, h / 3)} 0 0 1 ${w / 3} 0Z`);
      stems.push(`M${x} ${y}q${w * 0.05} ${h * 0.4} 0 ${h * 0.7}`);
      break;
    case 'submerged':
      // Stems under the surface, with whorls of fine leaves.
      for (let i = 0; i < 4; i += 1) {
        const lean = (i - 1.5) / 1.5;
        const tip = { x: x + lean * w * 0.42, y: y + h * (0.75 + 0.06 * ((random + i) % 4)) };
        stems.push(`M${x + lean * w * 0.3} ${y + 1}Q${x + lean * w * 0.25} ${y + h * 0.5} ${tip.x} ${tip.y}`);
        for (let ring = 1; ring <= 5; ring += 1) {
          const up = y + 1 + (tip.y - y) * (ring / 6);
          const at = x + lean * w * (0.3 + 0.1 * (ring / 6) ** 2);
          const reach = Math.max(2, w * 0.07);
          stems.push(`M${at - reach} ${up - 1.5}L${at} ${up}L${at + reach} ${up - 1.5}`);
        }
      }
      break;
    case 'climber': {
      const steps = Math.max(3, Math.min(9, Math.round(h / 18)));
      stems.push(`M${x} ${y}q${w * 0.2} ${-h / 2} ${(turn - 0.5) * w * 0.4} ${-h}`);
      for (let i = 1; i <= steps; i += 1) {
        const part = i / steps;
        const at = x + (turn - 0.5) * w * 0.4 * part * part + Math.sin(part * 5 + turn * 6) * w * 0.12;
        const up = y - h * part;
        const side = i % 2 === 0 ? 1 : -1;
        leaves.push(leaf(at, up, at + side * w * 0.34, up - h * 0.05, Math.max(2, w * 0.12)));
      }
      break;
    }
    case 'mounted':
      if (hangs) {
        for (let i = 0; i < 5; i += 1) {
          const off = ((i - 2) / 2) * w * 0.4;
          stems.push(
            `M${x} ${y}q${off} ${h * 0.25} ${off * 1.1} ${h * (0.7 + 0.3 * ((i * 7 + random) % 3) * 0.5)}`,
          );
        }
      } else {
        for (let i = 0; i < 7; i += 1) {
          const angle = Math.PI * (0.06 + (0.88 * i) / 6);
          leaves.push(
            leaf(x, y, x + Math.cos(angle) * w * 0.5, y - Math.sin(angle) * h, Math.max(1.5, w * 0.06)),
          );
        }
      }
      break;
    case 'marsh':
      for (let i = 0; i < 7; i += 1) {
        const lean = (i - 3) / 3;
        leaves.push(
          leaf(
            x + lean * w * 0.1,
            y,
            x + lean * w * 0.5,
            y - h * (1 - Math.abs(lean) * 0.3),
            Math.max(1.2, w * 0.035),
          ),
        );
      }
      break;
    case 'succulent':
      for (let i = 0; i < 7; i += 1) {
        const lean = (i - 3) / 3;
        leaves.push(
          leaf(
            x + lean * w * 0.12,
            y,
            x + lean * w * 0.48,
            y - h * (1 - Math.abs(lean) * 0.5),
            Math.max(2.5, w * 0.09),
          ),
        );
      }
      break;
    case 'grass':
      // Blades from one tuft, each bent over outwards.
      for (let i = 0; i < 13; i += 1) {
        const part = (i / 12) * 2 - 1;
        const tip = { x: x + part * w * 0.5, y: y - h * (1 - 0.35 * Math.abs(part)) };
        stems.push(`M${x + part * w * 0.06} ${y}Q${x + part * w * 0.14} ${y - h * 0.8} ${tip.x} ${tip.y}`);
      }
      break;
    case 'ground':
    case null: {
      const broad = random % 3 !== 0;
      const count = broad ? 7 : 9;
      for (let i = 0; i < count; i += 1) {
        const part = (i / (count - 1)) * 2 - 1;
        const tip = { x: x + part * w * 0.5, y: y - h * (1 - 0.55 * part * part) };
        if (broad) {
          stems.push(`M${x} ${y}Q${x + part * w * 0.1} ${y - h * 0.5} ${tip.x} ${tip.y}`);
          const from = { x: x + part * w * 0.26, y: y - h * (0.55 - 0.3 * part * part) };
          leaves.push(leaf(from.x, from.y, tip.x, tip.y, Math.max(2, w * 0.09)));
        } else leaves.push(leaf(x, y, tip.x, tip.y, Math.max(1.6, w * 0.05)));
      }
      break;
    }
  }
  return (
    <g opacity={0.96} pointerEvents="none">
      {stems.length > 0 && (
        <path
          d={stems.join('')}
          fill="none"
          stroke={dark}
          strokeWidth={form === 'mounted' ? 1.6 : 1.3}
          strokeLinecap="round"
        />
      )}
      {leaves.length > 0 && (
        <path d={leaves.join('')} fill={light} stroke={dark} strokeWidth={0.7} strokeLinejoin="round" />
      )}
      {dots.map((dot, i) => (
        <circle
          key={i}
          cx={dot.x}
          cy={dot.y}
          r={dot.r}
          fill={i % 2 === 0 ? dark : '#A9BF6B'}
          opacity={0.55}
        />
      ))}
    </g>
  );
}

/** The same from above: its outline, with leaves towards the rim. */
export function PlantAbove({ form, x, y, width, seed }: Pick<Props, 'form' | 'x' | 'y' | 'width' | 'seed'>) {
  const [light, dark] = form ? TONES[form] : ['#9AA096', '#6E746B'];
  const r = Math.max(4, width / 2);
  const turn = ((hash(seed) % 100) / 100) * Math.PI;
  const count = form === 'moss' || form === 'floating' || form === 'submerged' ? 0 : 7;
  return (
    <g pointerEvents="none" opacity={0.92}>
      <circle
        cx={x}
        cy={y}
        r={r}
        fill={light}
        fillOpacity={count === 0 ? 0.7 : 0.28}
        stroke={dark}
        strokeWidth={0.8}
      />
      {count > 0 && (
        <path
          d={Array.from({ length: count }, (_, i) => {
            const angle = turn + (i / count) * Math.PI * 2;
            return leaf(x, y, x + Math.cos(angle) * r, y + Math.sin(angle) * r, Math.max(1.5, r * 0.22));
          }).join('')}
          fill={light}
          stroke={dark}
          strokeWidth={0.6}
        />
      )}
    </g>
  );
}
