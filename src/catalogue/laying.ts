import type { LAYING_MEDIA, Life } from '@/core/catalogue';
import { practice } from './basis';
import { readTable, within } from './table';

/**
 * Species that bury their eggs: how deep the damp soil must be for it, cm, what of, how damp (% of what its pores
 * hold: it keeps its form in the hand and gives no water; an open mix is damp with less), and whether females lay without a mate too, as keepers tell (common practice). A female that finds nowhere to lay holds her eggs, and that can kill her. Those that
 * glue, hang or hide their eggs are not here.
 */
const TABLE = `
Chamaeleo calyptratus        | 25 | sand and soil | 20-45 | alone
Furcifer pardalis            | 20 | sand and soil | 20-50 | alone
Rieppeleon brevicaudatus     | 3  | leaf mould    | 15-65 |
Pogona vitticeps             | 20 | sand and soil | 15-40 | alone
Pogona henrylawsoni          | 15 | sand and soil | 15-40 | alone
Uromastyx geyri              | 20 | sand and soil | 10-35 |
Physignathus cocincinus      | 18 | sand and soil | 20-50 | alone
Basiliscus plumifrons        | 15 | sand and soil | 20-55 | alone
Crotaphytus collaris         | 12 | sand and soil | 15-40 | alone
Anolis carolinensis          | 4  | leaf mould    | 15-60 | alone
Anolis equestris             | 8  | soil          | 15-60 | alone
Takydromus sexlineatus       | 4  | moss          | 15-65 |
Varanus acanthurus           | 25 | sand and soil | 15-40 |
Broadleysaurus major         | 20 | sand and soil | 20-45 |
Lepidothyris fernandi        | 8  | leaf mould    | 15-60 |
Tribolonotus gracilis        | 4  | leaf mould    | 15-70 |
Teratoscincus scincus        | 10 | sand and soil | 10-35 |
Paroedura picta              | 5  | sand and soil | 15-40 | alone
Stenodactylus sthenodactylus | 4  | sand and soil | 10-35 |
Nephrurus levis              | 8  | sand and soil | 10-35 | alone
Underwoodisaurus milii       | 6  | sand and soil | 15-40 | alone
Correlophus ciliatus         | 5  | soil          | 15-60 | alone
Rhacodactylus leachianus     | 6  | soil          | 15-60 | alone
Rhacodactylus auriculatus    | 6  | soil          | 15-55 | alone
Testudo hermanni             | 10 | sand and soil | 15-40 | alone
Testudo horsfieldii          | 12 | sand and soil | 10-35 | alone
Chelonoidis carbonarius      | 12 | soil          | 15-55 | alone
Terrapene carolina           | 10 | soil          | 15-55 | alone
Cuora flavomarginata         | 10 | soil          | 15-55 | alone
Geoemyda spengleri           | 8  | leaf mould    | 15-65 | alone
Heterodon nasicus            | 8  | moss          | 15-60 |
`;

/** How a species buries its eggs, by its scientific name. */
export const LAYING: ReadonlyMap<string, NonNullable<Life['laying']>> = new Map(
  readTable(TABLE, 5).map((cell) => [
    cell(0),
    practice({
      depth: Number(cell(1)) / 100,
      alone: cell(4) === 'alone',
      medium: cell(2) as (typeof LAYING_MEDIA)[number],
      wetness: within(cell(3), 0.01),
    }),
  ]),
);
