import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import type { Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';
import { dependsOn, rowsOf } from '@/core/verdict/depends';

const rowHashes = new WeakMap<Catalogue, string>();
function hashOfRows(catalogue: Catalogue): string {
  let found = rowHashes.get(catalogue);
  if (!found) {
    found = bytesToHex(sha256(utf8ToBytes(rowsOf(catalogue))));
    rowHashes.set(catalogue, found);
  }
  return found;
}

const keys = new WeakMap<Design, { readonly catalogue: Catalogue; readonly key: string }>();
/** Hash of all that a verdict depends on: the same here and on the server. */
export function verdictKey(design: Design, catalogue: Catalogue): string {
  const known = keys.get(design);
  if (known?.catalogue === catalogue) return known.key;
  const key = bytesToHex(sha256(utf8ToBytes(`${hashOfRows(catalogue)} ${dependsOn(design)}`)));
  keys.set(design, { catalogue, key });
  return key;
}
