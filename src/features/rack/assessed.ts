import { assess, type Assessment } from '@/core/assess';
import type { Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';

const known = new WeakMap<Design, { readonly catalogue: Catalogue; readonly assessment: Assessment }>();

/** What follows from a design, worked out once for its card and for the list below. */
export function assessed(design: Design, catalogue: Catalogue): Assessment {
  const found = known.get(design);
  if (found?.catalogue === catalogue) return found.assessment;
  const assessment = assess(design, catalogue);
  known.set(design, { catalogue, assessment });
  return assessment;
}
