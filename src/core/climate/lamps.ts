import { findDeviceKind, findGauze, type Catalogue, type DeviceKind } from '../catalogue';
import type { Design, Device } from '../document/schema';
import { siteAt } from '../ground/bodies';
import { bounce, cavityOf, type Cavity } from '../light/cavity';
import { uvFrom, type Lamp, type Point3 } from '../light/field';
import { landingOf, type Scene } from '../light/rays';
import { tubeAt } from '../light/sources';
import { bandsGiven, facesOf, lidFor, underCover, type Band } from './optics';
import { DAY_MS } from '../physics/constants';

/** How far UV may be from what is calculated: of the tube itself, by its make and reflector; and by the gauze. */
export interface UvRange {
  /** Times the middle value. */
  readonly low: number;
  readonly high: number;
}

/** A meter is good to a tenth (from memory). */
const METER = 0.1;

/** Share of UV a tube still gives after so many hours, halving each `half`. */
export const agedUv = (hours: number, half: number): number => 2 ** (-hours / half);

/** Hours a device has burned since a day, by so many hours a day; 0 when it is not known. */
export function burned(device: Device, today: string | null, hours: number): number {
  if (device.since === null || today === null) return 0;
  return Math.max(0, (Date.parse(today) - Date.parse(device.since)) / DAY_MS) * hours;
}

/** Above the lid, with gauze or a cover between it and the box. */
export const overLid = (device: Device, design: Design): boolean => device.at.z > design.enclosure.height;

export interface Lit {
  readonly device: Device;
  readonly kind: DeviceKind;
  /** In the middle of what is known of it. */
  readonly lamp: Lamp;
  readonly uv: UvRange;
}

/**
 * Every lamp as the fields see it, in the middle of its range. A meter read at a place scales all UV, and leaves a
 * narrow range round it.
 */
export function lampsOf(
  design: Design,
  catalogue: Catalogue,
  today: string | null,
  hours = 12,
): readonly Lit[] {
  const gauze = findGauze(catalogue, design.climate.topGauze);
  const { top, build } = design.enclosure;
  const back = backOf(design, catalogue);
  const lit = design.climate.devices.flatMap((device): Lit[] => {
    const kind = findDeviceKind(catalogue, device.kind);
    if (!kind || (kind.lumensPerWatt === undefined && kind.radiant.value === 0)) return [];
    if (kind.form === 'mat' || kind.form === 'cable' || kind.form === 'heater') return [];
    const over = overLid(device, design) && build === 'box';
    const meshed = over && top === 'mesh' && gauze;
    const closed = over && top === 'solid';
    const uvBand = meshed ? gauze.uv.value : closed ? { low: 0, high: 0 } : { low: 1, high: 1 };
    // A cover of glass lies on part of the lid: it stops UV.
    const under = over ? underCover(design, catalogue).open : 0;
    const own = kind.uvIndex ? uvOfDevice(kind, device) : { low: 0, high: 0 };
    const age = kind.uvHalf ? agedUv(burned(device, today, hours), kind.uvHalf.value) : 1;
    const low = own.low * uvBand.low * age * (1 - under);
    const high = own.high * uvBand.high * age * (1 - under);
    const middle = (low + high) / 2;
    const given = bandsGiven(kind);
    const passes = (band: Band): number => (over ? lidFor(design, catalogue, band, kind).passes : 1);
    const lamp: Lamp = {
      id: device.id,
      // Diodes on a bar face down, as those of a panel do; a tube shines all round.
      form: kind.form === 'bulb' ? 'bulb' : kind.form === 'panel' || kind.light === 'led' ? 'panel' : 'tube',
      ...device.at,
      length: device.length,
      along: device.along,
      half: kind.half?.value ?? 1,
      uvIndex: middle,
      reference: UV_REFERENCE,
      lumens: (kind.lumensPerWatt?.value ?? 0) * device.power * device.dim,
      light: kind.light ?? 'incandescent',
      radiant: kind.radiant.value * device.power * device.dim,
      passes: {
        uv: 1,
        light: passes('visible'),
        heat: passes(given.near > given.far ? 'near' : given.far > given.visible ? 'far' : 'visible'),
      },
    };
    return [
      {
        device,
        kind,
        lamp: lamp.lumens > 0 ? { ...lamp, thrownBack: () => back(lamp) } : lamp,
        uv: middle > 0 ? { low: low / middle, high: high / middle } : { low: 1, high: 1 },
      },
    ];
  });
  return anchored(lit, design);
}

/** Distance at which the UV index of a lamp is told in the catalogue, m. */
const UV_REFERENCE = 0.3;

/**
 * UV index of a device at the reference distance: by its watts, and of a tube by how much of it there is to a metre and
 * how long it is (Keitz’ relation in the mid-plane). The catalogue tells it of the first power and the usual length.
 */
export function uvOfDevice(
  kind: DeviceKind,
  device: Pick<Device, 'power' | 'length' | 'dim'>,
): { readonly low: number; readonly high: number } {
  const told = kind.uvIndex?.value ?? { low: 0, high: 0 };
  const usual = kind.powers[0] ?? 0;
  if (usual <= 0) return told;
  const watts = (device.power * device.dim) / usual;
  const times =
    kind.form === 'bulb'
      ? watts
      : ((watts * kind.length) / device.length) *
        (tubeAt(device.length, 0, UV_REFERENCE) / tubeAt(kind.length, 0, UV_REFERENCE));
  return { low: told.low * times, high: told.high * times };
}

/** What ground, walls and lid throw back of a lamp’s light; each lamp’s is made once, when it is first asked for. */
function backOf(design: Design, catalogue: Catalogue) {
  const { width, depth, height } = design.enclosure;
  let shared:
    { readonly cavity: Cavity; readonly scene: Scene; readonly reflects: readonly number[] } | undefined;
  const box = (): NonNullable<typeof shared> => {
    if (shared) return shared;
    const site = siteAt(design);
    const at = (x: number): number =>
      [0.25, 0.75].reduce((sum, y) => {
        const ground = site.groundAt(x * width, y * depth);
        return sum + Math.max(ground, site.waterAt(x * width, y * depth) ?? 0) / 2;
      }, 0);
    const ground = [at(0.25), at(0.75)] as const;
    const floor = Math.max(0, Math.min((ground[0] + ground[1]) / 2, height - 0.03));
    const tier = floor + 0.45 * (height - floor);
    const cavity = cavityOf({ width, depth, floor, tier, height });
    shared = {
      cavity,
      scene: { width, depth, height, ground, tier: cavity.tier, leafDensity: [0, 0, 0, 0], bodies: [] },
      reflects: facesOf({
        design,
        catalogue,
        band: 'visible',
        columns: [DRY_LAND, DRY_LAND],
        columnOf: (side) => side,
        tier,
      }).map((it) => it.reflects),
    };
    return shared;
  };
  const known = new Map<string, { readonly cavity: Cavity; readonly exitance: Float64Array }>();
  return (lamp: Lamp) => {
    let found = known.get(lamp.id);
    if (!found) {
      const { cavity, scene, reflects } = box();
      const landing = landingOf(lamp, scene, {
        passes: lamp.z > height ? lamp.passes.light : 1,
        extinction: 0,
      });
      const { leaving } = bounce(cavity, reflects, landing.patches);
      found = {
        cavity,
        exitance: leaving.map(
          (share, patch) => (lamp.lumens * share) / Math.max(1e-9, cavity.areas[patch] ?? 0),
        ),
      };
      known.set(lamp.id, found);
    }
    return found;
  };
}
const DRY_LAND = { area: 1, pool: { area: 0, full: 0, toBed: 0 } } as const;

function anchored(lit: readonly Lit[], design: Design): readonly Lit[] {
  const { meter } = design.climate;
  if (!meter) return lit;
  const calculated = uvSum(
    lit.map((it) => it.lamp),
    meter.at,
  );
  if (calculated <= 0.02) return lit;
  const scale = meter.index / calculated;
  return lit.map((it) => ({
    ...it,
    lamp: { ...it.lamp, uvIndex: it.lamp.uvIndex * scale },
    uv: { low: 1 - METER, high: 1 + METER },
  }));
}

export const uvSum = (lamps: readonly Lamp[], { x, y, z }: Point3): number =>
  lamps.reduce((sum, lamp) => sum + uvFrom(lamp, x, y, z), 0);

/** UV index at a place as a range: low, middle, high. */
export function uvAt(
  lit: readonly Lit[],
  place: Point3,
): readonly [low: number, middle: number, high: number] {
  let [low, middle, high] = [0, 0, 0];
  for (const { lamp, uv } of lit) {
    const index = uvFrom(lamp, place.x, place.y, place.z);
    low += index * uv.low;
    middle += index;
    high += index * uv.high;
  }
  return [low, middle, high];
}
