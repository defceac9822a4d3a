import type { Life } from '@/core/catalogue';
import { practice } from './basis';
import { readTable } from './table';

/**
 * Species that bury their eggs: how deep the damp soil must be for it, cm, and whether females lay without a mate too, as
 * keepers tell (common practice). A female that finds nowhere to lay holds her eggs, and that can kill her. Those that
 * glue, hang or hide their eggs are not here.
 */
const TABLE = `
Chamaeleo calyptratus        | 25 | alone
Furcifer pardalis            | 20 | alone
Rieppeleon brevicaudatus     | 3  |
Pogona vitticeps             | 20 | alone
Pogona henrylawsoni          | 15 | alone
Uromastyx geyri              | 20 |
Physignathus cocincinus      | 18 | alone
Basiliscus plumifrons        | 15 | alone
Crotaphytus collaris         | 12 | alone
Anolis carolinensis          | 4  | alone
Anolis equestris             | 8  | alone
Takydromus sexlineatus       | 4  |
Varanus acanthurus           | 25 |
Broadleysaurus major         | 20 |
Lepidothyris fernandi        | 8  |
Tribolonotus gracilis        | 4  |
Teratoscincus scincus        | 10 |
Paroedura picta              | 5  | alone
Stenodactylus sthenodactylus | 4  |
Nephrurus levis              | 8  | alone
Underwoodisaurus milii       | 6  | alone
Correlophus ciliatus         | 5  | alone
Rhacodactylus leachianus     | 6  | alone
Rhacodactylus auriculatus    | 6  | alone
Testudo hermanni             | 10 | alone
Testudo horsfieldii          | 12 | alone
Chelonoidis carbonarius      | 12 | alone
Terrapene carolina           | 10 | alone
Cuora flavomarginata         | 10 | alone
Geoemyda spengleri           | 8  | alone
Heterodon nasicus            | 8  |
`;

/** How a species buries its eggs, by its scientific name. */
export const LAYING: ReadonlyMap<string, NonNullable<Life['laying']>> = new Map(
  readTable(TABLE, 3).map((cell) => [
    cell(0),
    practice({ depth: Number(cell(1)) / 100, alone: cell(2) === 'alone' }),
  ]),
);
