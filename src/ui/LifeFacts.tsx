'use client';

import { LAW_WORK, lawsOf, type Animal, type Life } from '@/core/catalogue';
import { DEFENCE_WORD, LAW_WORD, preyRule, youngPlan } from '@/core/living';
import { capital, length, percent, spanned, temperature } from '@/core/units';
import { BodyFacts } from './BodyFacts';
import { Fact, Facts } from './Facts';
import { useReader } from './units';

const SEXES: Record<Life['sexes']['value'], string> = {
  alone: 'Alone; together only to breed, and watched.',
  pair: 'A pair.',
  'one male': 'One male with one or more females.',
  females: 'Females only: they breed without males.',
  any: 'A small group of any sexes.',
};
const HANDLING: Record<Life['handling']['value'], string> = {
  never: 'Not to be handled; in a tub when it must be moved.',
  rarely: 'Only when it must be.',
  weekly: 'At most weekly, for minutes.',
  often: 'Bears short handling; stop when it wants to leave.',
};
const YOUNG: Record<Life['young']['value'], string> = {
  eggs: 'Eggs',
  spawn: 'Spawn',
  live: 'Live young',
};
const DRINKS: Record<Animal['water']['value'], string> = {
  drops: 'Drops on leaves and glass: mist, and see it drink.',
  'drops and dish': 'Drops on leaves and glass, and a dish besides, fresh daily: mist, and see it drink.',
  dish: 'A dish, fresh daily.',
  'soaking dish': 'A dish it can lie in, fresh daily.',
  pool: 'The pool itself: shallow at one end, changed weekly.',
};

const REST_WORD: Record<NonNullable<Life['rest']>['value']['need'], string> = {
  needed: 'It needs a rest',
  usual: 'A rest is usual',
  breeding: 'A rest is led for breeding',
};

/** How old it may become; of each sex, where one lives much longer. */
const yearsWords = ({ sexes }: Animal, { years }: Life): string => {
  const [female, male] = [sexes?.value.female.years, sexes?.value.male.years];
  return female === undefined || male === undefined
    ? `Up to about ${years.value} years.`
    : `Females up to about ${female} years, males ${male}.`;
};

interface Props {
  /** As the catalogue has it, grown. */
  readonly animal: Animal;
  readonly life: Life;
  /** Of age; null: grown. */
  readonly months: number | null;
}

/** How a kind is kept: its group, food and water, hands and law, and how it breeds. */
export function LifeFacts({ animal, life, months }: Props) {
  const { write, tell } = useReader();
  const plan = youngPlan(animal, months);
  const prey = preyRule(animal);
  const number = ({ low, high }: { low: number; high: number }): string =>
    low === high ? String(low) : `${low} to ${high}`;
  return (
    <Facts>
      <Fact name="Group" of={life.sexes}>
        {SEXES[life.sexes.value]}
        {life.cautions.value.length > 0 && (
          <> {`${life.cautions.value.join(', ')}.`.replace(/^./, (it) => it.toUpperCase())}</>
        )}
      </Fact>
      <Fact name="Food" of={life.diet}>
        {capital(life.diet.value)}
        {prey === null
          ? '.'
          : `; prey up to ${write(length(plan.prey.most))} ${plan.prey.by === 'thickness' ? 'thick' : 'long'}${months === null ? '' : ' now'}, ${prey}.`}
      </Fact>
      <Fact name="Drinks" of={animal.water}>
        {DRINKS[animal.water.value]}
      </Fact>
      <Fact name="Gauze" of={{ basis: 'estimated', source: 'kin' }}>
        Holes under {write(length(plan.gauze))} keep it in
        {plan.grown ? '; young slip through what adults cannot' : ' at this age'}.
      </Fact>
      {life.rest && (
        <Fact name="Winter" of={life.rest}>
          {REST_WORD[life.rest.value.need]}: {number(life.rest.value.weeks)} weeks at{' '}
          {write(temperature(life.rest.value.temperature.low), { bare: true })} to{' '}
          {write(temperature(life.rest.value.temperature.high))}
          {life.rest.value.light === 0 ? ', in the dark' : `, ${life.rest.value.light} hours of light`}.
        </Fact>
      )}
      <BodyFacts animal={animal} />
      {animal.climate.heat && (
        <Fact name="Heat" of={animal.climate.heat}>
          Hours over {write(temperature(animal.climate.heat.value))} harm it.
        </Fact>
      )}
      <Fact name="Handling" of={life.handling}>
        {HANDLING[life.handling.value]}
      </Fact>
      {life.defence && (
        <Fact name="Hands" of={life.defence}>
          {DEFENCE_WORD[life.defence.value]}
        </Fact>
      )}
      <Fact name="Lives" of={life.years}>
        {yearsWords(animal, life)} Who has it then?
      </Fact>
      <Fact name={YOUNG[life.young.value]} of={life.brood}>
        {number(life.brood.value)}, {tell(life.lays.value)}.
        {life.incubation &&
          ` They want ${write(temperature(life.incubation.value.temperature.low), { bare: true })} to ${write(temperature(life.incubation.value.temperature.high))} for ${number(life.incubation.value.days)} days${life.young.value === 'eggs' ? ', damp but not wet, never turned' : ', in clean water of their own'}.`}
        {life.laying?.value.wetness &&
          ` Buried ${write(length(life.laying.value.depth))} deep in damp ${tell(life.laying.value.medium ?? 'soil')}, its pores ${spanned(write(percent(life.laying.value.wetness.low), { bare: true }), write(percent(life.laying.value.wetness.high)))} full of water.`}
        {life.laying?.value.alone ? ' Females lay without a mate too.' : ''}
        {life.cautions.value.includes('eats smaller ones') ? ' Take young out at once: they are eaten.' : ''}
      </Fact>
      {lawsOf(life).length > 0 && (
        <Fact name="Law" of={{ basis: 'cited', source: LAW_WORK[lawsOf(life)[0] ?? 'protected'] }}>
          {lawsOf(life)
            .map((it) => LAW_WORD[it])
            .join(' ')}{' '}
          The local authority decides.
        </Fact>
      )}
    </Facts>
  );
}
