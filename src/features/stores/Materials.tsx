'use client';

import { useOwn, useStore } from '@/store';
import { ListDetail } from '@/ui/shell/ListDetail';
import { useRow } from '@/ui/useRow';
import { useReader } from '@/ui/units';
import { amountWords } from './amountWords';
import { freshId } from '@/ui/freshId';
import { NewIngredient } from './NewIngredient';
import { MaterialDetail } from './MaterialDetail';

/** Every material with its values, where each comes from, what packs cost and what is on the shelf. */
export function Materials() {
  const { catalogue, settings, shelf } = useStore();
  const { write } = useReader();
  const { save } = useOwn();
  const [selected, setSelected] = useRow(catalogue.materials);
  const row = catalogue.materials.find((it) => it.id === selected) ?? catalogue.materials[0];
  const mine = new Set(settings.materials.map((it) => it.id));
  return (
    <ListDetail
      label="Materials"
      items={catalogue.materials.map((it) => {
        const there = shelf[it.id] ?? 0;
        return {
          id: it.id,
          name: it.name,
          own: mine.has(it.id),
          ...(there > 0 ? { hint: `${amountWords(it, there, write)} there` } : {}),
        };
      })}
      selected={row?.id ?? null}
      onSelect={setSelected}
      tools={<NewIngredient onMade={setSelected} />}
    >
      {row && (
        <MaterialDetail
          key={row.id}
          row={row}
          own={mine.has(row.id)}
          onLike={() => {
            const id = freshId(`${row.id}-own`, catalogue.materials);
            void save('materials', { ...row, id, name: `${row.name}, my own`.slice(0, 80) }).then(() =>
              setSelected(id),
            );
          }}
          onGone={() => setSelected(catalogue.materials[0]?.id ?? '')}
        />
      )}
    </ListDetail>
  );
}
