import { length, message } from '../units';
import type { Rule } from '../finding/finding';

/** A barrier no roll on offer is long enough for. */
export const rollTooShort: Rule = ({ lists }) =>
  lists.cut.flatMap((item) =>
    item.what !== 'barrier' || item.roll
      ? []
      : [
          {
            code: 'roll-too-short',
            severity: 'look' as const,
            place: { at: 'layer' as const, layer: item.layer },
            what: message`No roll on offer is long enough.`,
            because: message`The barrier is cut ${length(item.width)} × ${length(item.depth)}, and strips are not pieced lengthwise. It is missing from the buying list.`,
            remedies: [],
            basis: 'computed' as const,
          },
        ],
  );
