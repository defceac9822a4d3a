'use client';

import Typography from '@mui/material/Typography';
import { useBuying, useSetPrice, useShelfBook, useSpare, useStore } from '@/store';
import { BuyTable } from '@/ui/BuyTable';
import { useReader } from '@/ui/units';
import { useUndoable } from '@/ui/useUndoable';

/** What to buy for this enclosure, shop by shop. */
export function BuyTab() {
  const { settings, set } = useStore();
  const buying = useBuying();
  const reader = useReader();
  const setPrice = useSetPrice();
  const [spare, setSpare] = useSpare();
  const book = useShelfBook();
  const undoable = useUndoable();
  if (buying.rows.length === 0)
    return (
      <Typography sx={{ color: 'earth.quiet' }}>
        Nothing is to be bought. Add layers in Ground, and the list follows.
      </Typography>
    );
  return (
    <>
      <BuyTable
        buying={buying}
        prices={settings.prices}
        reader={reader}
        spare={spare}
        onSpare={setSpare}
        currency={settings.currency}
        onCurrency={(currency) => void set('currency', currency)}
        onPrice={setPrice}
        onBought={(receipts) =>
          void book
            .write(receipts)
            .then((batch) => undoable('What is bought stands on the shelf.', () => book.undo(batch)))
        }
      />
      <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 2, maxWidth: 760 }}>
        Wood and stone that you find cost nothing. Buy plants propagated, never from the wild, and keep them
        apart for a month. Look into a tub of crew before you pay.
      </Typography>
    </>
  );
}
