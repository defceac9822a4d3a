import { findMaterial, materialsFor, type Catalogue } from '../catalogue';
import { message } from '../units';
import type { Part } from '../ground/layers';
import type { Finding, Rule } from '../finding/finding';

/** Soil over a bed without a cloth between falls into the water. */
export const barrierMissing: Rule = ({ ground, catalogue }) =>
  ground.parts.flatMap((part) => [...ofPart(part), ...tightIn(part, catalogue)]);

/** A liner between bed and soil: what is misted stands on it. */
function tightIn({ stack, region }: Part, catalogue: Catalogue): Finding[] {
  const bed = stack.findIndex(({ layer }) => layer.kind === 'drainage');
  return stack.flatMap((it, at): Finding[] => {
    const { layer } = it;
    if (layer.kind !== 'barrier' || it.region !== (region?.id ?? null) || bed < 0 || at < bed) return [];
    const holds = stack.slice(at).some((over) => over.layer.kind === 'water');
    if (holds || !findMaterial(catalogue, layer.material)?.tight) return [];
    return [
      {
        code: 'barrier-tight',
        severity: 'severe',
        place: { at: 'layer', layer: layer.id },
        what: message`The barrier lets no water through.`,
        because: message`What is misted stands on it, and the soil turns sour over a bed that stays dry.`,
        remedies: materialsFor(catalogue, 'barrier')
          .filter((row) => !row.tight)
          .slice(0, 1)
          .map((row) => ({
            label: message`Lay ${row.name.toLowerCase()} instead`,
            call: { edit: 'setLayerMaterial', change: { layer: layer.id, material: row.id } },
          })),
        basis: 'practice',
      },
    ];
  });
}

function ofPart({ stack, region }: Part): Finding[] {
  const layers = stack.map((it) => it.layer);
  // A fault of what a region shares with the rest of the floor is told there.
  if (region && stack.every((it) => it.region === null || it.layer.kind !== 'drainage')) return [];
  const bed = layers.findIndex((layer) => layer.kind === 'drainage');
  if (bed < 0) return [];
  const above = layers.slice(bed + 1);
  const soil = above.findIndex((layer) => layer.kind === 'substrate' || layer.kind === 'thin');
  const cloth = above.findIndex((layer) => layer.kind === 'barrier');
  if (soil < 0 || (cloth >= 0 && cloth < soil)) return [];
  return [
    {
      code: 'barrier-missing',
      severity: 'look',
      place: { at: 'ground' },
      what: message`Soil will fall into the drainage layer.`,
      because:
        cloth >= 0
          ? message`The barrier lies above the soil instead of under it.`
          : message`No barrier lies between them. The bed silts up and the water turns foul.`,
      remedies:
        cloth >= 0
          ? []
          : [
              {
                label: message`Lay a barrier`,
                call: {
                  edit: 'addLayer',
                  change: { kind: 'barrier', ...(region ? { region: region.id } : {}) },
                },
              },
            ],
      basis: 'practice',
    },
  ];
}
