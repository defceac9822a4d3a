'use client';

import { LAYING_MEDIA, type Life } from '@/core/catalogue';
import { Count, Part, Pick, PlainSpan, Single, Span } from '@/ui/fields/SourcedFields';
import { guess, Optional, Whether } from './Optional';

interface Props {
  readonly life: Life;
  readonly onPut: (parts: Partial<Life>) => void;
}

const NEED: Record<NonNullable<Life['rest']>['value']['need'], string> = {
  needed: 'needed',
  usual: 'usual',
  breeding: 'for breeding only',
};
const MEDIA = Object.fromEntries(LAYING_MEDIA.map((it) => [it, it])) as Record<
  (typeof LAYING_MEDIA)[number],
  string
>;

/** The winter rest of a row of one’s own. */
export function RestFields({ life, onPut }: Props) {
  const { rest } = life;
  const put = (parts: Partial<NonNullable<Life['rest']>['value']>, mark: object): void =>
    rest && onPut({ rest: { ...rest, ...mark, value: { ...rest.value, ...parts } } });
  return (
    <>
      <Part>Winter rest</Part>
      <Optional
        of={rest}
        add="Add a winter rest"
        remove="Remove the winter rest"
        onAdd={() =>
          onPut({
            rest: guess({
              need: 'usual' as const,
              weeks: { low: 8, high: 10 },
              temperature: { low: 10, high: 15 },
              light: 8,
            }),
          })
        }
        onRemove={() => onPut({ rest: undefined })}
      >
        {(it) => (
          <>
            <Pick
              label="A rest is"
              of={{ ...it, value: it.value.need }}
              words={NEED}
              own
              onPut={({ value: need, ...mark }) => put({ need }, mark)}
            />
            <PlainSpan
              label="It lasts"
              unit="weeks"
              of={{ ...it, value: it.value.weeks }}
              min={2}
              max={30}
              step={1}
              own
              onPut={({ value: weeks, ...mark }) => put({ weeks }, mark)}
            />
            <Span
              label="It rests at"
              measure="temperature"
              of={{ ...it, value: it.value.temperature }}
              max={25}
              own
              onPut={({ value: temperature, ...mark }) => put({ temperature }, mark)}
            />
            <Count
              label="Light while it rests"
              unit="h a day"
              of={{ ...it, value: it.value.light }}
              max={24}
              own
              onPut={({ value: light, ...mark }) => put({ light }, mark)}
            />
          </>
        )}
      </Optional>
    </>
  );
}

/** How it buries its eggs. */
export function LayingFields({ life, onPut }: Props) {
  const { laying } = life;
  const put = (parts: Partial<NonNullable<Life['laying']>['value']>, mark: object = {}): void =>
    laying && onPut({ laying: { ...laying, ...mark, value: { ...laying.value, ...parts } } });
  return (
    <Optional
      of={laying}
      add="Add how it buries eggs"
      remove="Remove how it buries eggs"
      onAdd={() =>
        onPut({
          laying: guess({
            depth: 0.1,
            alone: false,
            medium: 'soil' as const,
            wetness: { low: 0.15, high: 0.5 },
          }),
        })
      }
      onRemove={() => onPut({ laying: undefined })}
    >
      {(it) => (
        <>
          <Single
            label="Damp soil to lay in"
            measure="length"
            of={{ ...it, value: it.value.depth }}
            min={0.005}
            max={1}
            own
            onPut={({ value: depth, ...mark }) => put({ depth }, mark)}
          />
          <Pick
            label="Lays in"
            of={{ ...it, value: it.value.medium ?? 'soil' }}
            words={MEDIA}
            own
            onPut={({ value: medium, ...mark }) => put({ medium }, mark)}
          />
          <Span
            label="Its pores filled with water"
            measure="percent"
            of={{ ...it, value: it.value.wetness ?? { low: 0.15, high: 0.5 } }}
            max={1}
            own
            onPut={({ value: wetness, ...mark }) => put({ wetness }, mark)}
          />
          <Whether
            label="Lays without a mate"
            of={{ ...it, value: it.value.alone }}
            onPut={({ value: alone, ...mark }) => put({ alone }, mark)}
          />
        </>
      )}
    </Optional>
  );
}
