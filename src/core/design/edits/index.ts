import type { Catalogue } from '../../catalogue';
import type { Design } from '../schema';
import {
  rename,
  setAnimal,
  setCount,
  setRoom,
  setStage,
  setNote,
  setPutAway,
  setEnclosure,
  turnEnclosure,
} from './brief';
import {
  setMethod,
  setWaterDepth,
  setOutlet,
  setPanel,
  setHoles,
  setWaterLevel,
  setSqueeze,
  setMoistShare,
  setLayerMaterial,
  setBarrier,
} from './drainage';
import {
  addSunk,
  setSunk,
  removeSunk,
  addLayer,
  removeLayer,
  moveLayer,
  setThickness,
  shiftThickness,
  setSoilDepth,
  renameLayer,
} from './layers';
import {
  peatless,
  setSchools,
  takeRecipe,
  useReadyMade,
  stretchReadyMade,
  setMix,
  setDrySoil,
  setParts,
  removePart,
  writeAsPercent,
  setPackingLoss,
} from './mixes';
import {
  addRegion,
  removeRegion,
  setRegion,
  orderRegion,
  setOutline,
  moveRegion,
  setBounds,
} from './regions';
import { type Edit, inLayers } from './shared';

/** Replaces the ground whole: how a fresh proposal is taken over. Box, room and the schools that are followed stay. */
const setGround: Edit<{ ground: Design['ground'] }> = (design, { ground }) => {
  const { schools } = design.ground;
  const next = { ...design, ground: { ...ground, schools } };
  return schools.peat === 'coir' ? inLayers(next, peatless) : next;
};

export const EDITS = {
  rename,
  setAnimal,
  setCount,
  setRoom,
  setStage,
  setNote,
  setPutAway,
  setEnclosure,
  turnEnclosure,
  setMethod,
  setWaterDepth,
  setOutlet,
  setPanel,
  setSchools,
  addRegion,
  removeRegion,
  setRegion,
  orderRegion,
  setOutline,
  moveRegion,
  setBounds,
  addSunk,
  setSunk,
  removeSunk,
  setHoles,
  setWaterLevel,
  setSqueeze,
  setMoistShare,
  addLayer,
  removeLayer,
  moveLayer,
  setThickness,
  shiftThickness,
  setSoilDepth,
  setLayerMaterial,
  setBarrier,
  renameLayer,
  useRecipe: takeRecipe,
  useReadyMade,
  stretchReadyMade,
  setMix,
  setDrySoil,
  setParts,
  removePart,
  writeAsPercent,
  setPackingLoss,
  setGround,
};

export type EditName = keyof typeof EDITS;

/** An edit as plain data: its name and what it changes. */
export type EditCall = {
  [N in EditName]: { readonly edit: N; readonly change: Parameters<(typeof EDITS)[N]>[1] };
}[EditName];

/** Carries out a named edit. Returns the same object when nothing changed. */
export function applyEdit(design: Design, call: EditCall, catalogue: Catalogue): Design {
  // The union of calls pairs each name with its own change; the compiler cannot see that through the index.
  const edit = EDITS[call.edit] as Edit<EditCall['change']>;
  return edit(design, call.change, catalogue);
}

/** What undo and redo call each edit. */
export const EDIT_LABELS: Record<EditName, string> = {
  rename: 'name',
  setAnimal: 'animal',
  setCount: 'number of animals',
  setRoom: 'room',
  setStage: 'stage',
  setNote: 'note',
  setPutAway: 'put away or brought back',
  setEnclosure: 'enclosure',
  turnEnclosure: 'which way up',
  setMethod: 'drainage method',
  setWaterDepth: 'water depth',
  setOutlet: 'way out for the water',
  setPanel: 'what the panel stands on',
  setSchools: 'school followed',
  addRegion: 'new region',
  removeRegion: 'region taken out',
  setRegion: 'region',
  orderRegion: 'order of regions',
  setOutline: 'outline of a region',
  moveRegion: 'place of a region',
  setBounds: 'size of a region',
  addSunk: 'piece sunk in the soil',
  setSunk: 'piece sunk in the soil',
  removeSunk: 'sunk piece taken out',
  setHoles: 'holes in the barrier',
  setWaterLevel: 'water level',
  setSqueeze: 'squeeze test',
  setMoistShare: 'how much of the soil is damp',
  addLayer: 'new layer',
  removeLayer: 'layer taken out',
  moveLayer: 'order of layers',
  setThickness: 'layer depth',
  shiftThickness: 'layer depth',
  setSoilDepth: 'soil depth',
  setLayerMaterial: 'material',
  setBarrier: 'barrier',
  renameLayer: 'layer name',
  useRecipe: 'recipe',
  useReadyMade: 'ready-made mix',
  setMix: 'mix from the bench',
  stretchReadyMade: 'ready-made mix stretched',
  setDrySoil: 'soil of a dry box',
  setParts: 'parts of the mix',
  removePart: 'ingredient taken out',
  writeAsPercent: 'parts of the mix',
  setPackingLoss: 'packing loss',
  setGround: 'whole ground',
};
