import { catalogue } from '.';
import { applyEdit, type EditCall } from '@/core/edits';
import { proposeWhole, type Questionnaire } from '@/core/propose';
import { type Design } from '@/core/document';

/** A first design of a kind in a room, whole, and what is done to it after: for tests and reports. */
export const firstDesign = (
  animal: string | null,
  kind: 'dry' | 'middle' | 'humid' = 'middle',
  edits: readonly EditCall[] = [],
  answers: Partial<Questionnaire> = {},
): Design =>
  edits.reduce(
    (design, call) => applyEdit(design, call, catalogue),
    proposeWhole(
      {
        id: 'x',
        name: 'x',
        animal,
        count: 1,
        size: null,
        room: { kind, temperature: null, humidity: null },
        ...answers,
      },
      catalogue,
    ),
  );
