import type { z } from 'zod';
import { Design } from './schema';

/** Where a document does not follow its schema, and what is wrong there. */
export interface Refusal {
  readonly place: string;
  readonly message: string;
}

/** `['designs', 2, 'name']` → `designs[2].name` */
export function pathText(path: readonly PropertyKey[]): string {
  const text = path.reduce<string>(
    (sum, step) =>
      typeof step === 'number' ? `${sum}[${step}]` : sum === '' ? String(step) : `${sum}.${String(step)}`,
    '',
  );
  return text === '' ? 'the whole file' : text;
}

/** Values that are named where another one stands. */
const FEW = 4;

/** Zod's words, where they would not be understood by a keeper, in ours. */
export function refusalOf(issue: z.core.$ZodIssue | undefined): Refusal {
  if (!issue) return { place: 'the whole file', message: 'it does not follow the format' };
  const place = pathText(issue.path);
  if (issue.code === 'unrecognized_keys')
    return { place, message: `“${issue.keys.join('”, “')}” is not known here. Take it out` };
  // A long list of words of the format tells a keeper nothing.
  if (issue.code === 'invalid_value' && issue.values.length > FEW)
    return { place, message: 'what stands there is not known here' };
  return { place, message: issue.message.replace(/^Invalid input: /, '').replace(/^Too (small|big): /, '') };
}

/** What would keep a design from being read again; null where nothing would. */
export function refusalIn(design: Design): Refusal | null {
  const read = Design.safeParse(design);
  return read.success ? null : refusalOf(read.error.issues[0]);
}
