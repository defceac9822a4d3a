import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { assess } from '../../assess';
import type { Design } from '../../document';
import { applyEdit } from '../../edits';
import { formatMessage, METRIC } from '../../units';

const found = (design: Design) =>
  assess(design, catalogue).findings.filter((it) => it.code.startsWith('rest-'));
const codes = (design: Design) => found(design).map((it) => `${it.code} ${it.severity}`);
const withRest = (design: Design, rest: Design['living']['rest']): Design =>
  applyEdit(design, { edit: 'setLiving', change: { rest } }, catalogue);
/** Takes the first remedy over. */
const mended = (design: Design): Design => applyEdit(design, found(design)[0]!.remedies[0]!.call!, catalogue);

describe('winter rest', () => {
  it('of a proposal nothing is left to say: who needs one has it, for every species', () => {
    for (const { id, english } of catalogue.animals)
      expect(
        found(firstDesign(id)).filter((it) => it.severity !== 'note'),
        english,
      ).toEqual([]);
  });

  it('one that is needed is asked for, and planned by its remedy', () => {
    const none = withRest(firstDesign('testudo-horsfieldii'), null);
    expect(codes(none)).toEqual(['rest-needed look']);
    expect(codes(mended(none))).toEqual([]);
    expect(mended(none).living.rest).toEqual({ from: '11-15', weeks: 15, place: 'apart', since: null });
  });

  it('in a box that is lived in it is asked for, not planned by a button: which winter counts hangs on the day', () => {
    const none = withRest(firstDesign('testudo-horsfieldii'), null);
    const lived: Design = { ...none, brief: { ...none.brief, stage: 'inhabited', since: '2025-05-01' } };
    expect(codes(lived)).toEqual(['rest-needed look']);
    expect(found(lived)[0]!.remedies).toEqual([]);
  });

  it('of young ones it is their keeper’s choice; led for breeding alone it is nobody’s omission', () => {
    const none = withRest(firstDesign('testudo-horsfieldii'), null);
    const { company } = none.living;
    const young = applyEdit(
      none,
      { edit: 'setLiving', change: { company: { ...company, ageMonths: 8 } } },
      catalogue,
    );
    expect(codes(young)).toEqual([]);
    expect(codes(firstDesign('pantherophis-guttatus'))).toEqual([]);
    expect(codes(firstDesign('eublepharis-macularius'))).toEqual(['rest-usual note']);
    expect(codes(firstDesign('dendrobates-tinctorius'))).toEqual([]);
  });

  it('a living room is too warm to rest in; a cool one is not, nor somewhere else', () => {
    const here = withRest(firstDesign('testudo-hermanni'), {
      from: '11-15',
      weeks: 12,
      place: 'here',
      since: null,
    });
    expect(codes(here)).toEqual(['rest-too-warm look']);
    const { because } = found(here)[0]!;
    // The room of a beginner has 21 °C on the mean, 0.8 K less in winter.
    expect(formatMessage(because, { prefs: METRIC, locale: 'en' }).replaceAll('\u00a0', ' ')).toContain(
      'about 20.2 °C in winter',
    );
    expect(codes(mended(here))).toEqual([]);
    const cellar: Design = {
      ...here,
      brief: { ...here.brief, room: { ...here.brief.room, temperature: 9 } },
    };
    expect(codes(cellar)).toEqual([]);
  });
});
