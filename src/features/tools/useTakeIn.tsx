'use client';

import { useSnackbar } from 'notistack';
import { useState, type ReactNode } from 'react';
import { counted } from '@/core/units';
import { fileInPage, isRaw, isZip, MAX_BYTES, readEnvelope, type Envelope } from '@/files';
import { clashesWith, storageTrouble, takeInFile, useStore, type TakenIn, type Which } from '@/store';
import type { Clash, ClashDialog } from '@/ui/ClashDialog';
import { useLater } from '@/ui/useLater';
import { restoreBackup } from '@/workers/backup';
import { DamagedDialog, type Damaged } from './DamagedDialog';

/** Why a file was not read in, and where in it that is. */
export interface Refusal {
  readonly file: string;
  readonly place: string;
  readonly message: string;
  /** The file is good: it was the browser’s storage that did not take it. */
  readonly byStorage?: boolean;
}

type Choices = Readonly<Record<string, Which>>;

/** What of a file is to be asked, and what is done with the answer. */
interface Asked {
  readonly clashes: readonly Clash[];
  readonly go: (which: Choices) => void;
}

/** What became of the enclosures of a file. */
const takenWords = ({ added, same, copies }: TakenIn): readonly string[] =>
  [
    added > 0 && `${added} read in`,
    same > 0 && `${same} already here`,
    copies.length > 0 && `${copies.length} kept beside the one here: ${copies.join(', ')}`,
  ].filter((it) => it !== false);

/** Takes files in, backups and single ones; where an enclosure was changed on both sides it asks. */
export function useTakeIn() {
  const { db, catalogue } = useStore();
  const { enqueueSnackbar, closeSnackbar } = useSnackbar();
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [asking, setAsking] = useState<(Asked & { readonly Asking: typeof ClashDialog }) | null>(null);
  const later = useLater();
  /** The dialog comes when it is needed: most files clash with nothing. */
  const ask = (asked: Asked): void =>
    void later(
      () => import('@/ui/ClashDialog'),
      (it) => setAsking({ ...asked, Asking: it.ClashDialog }),
    );

  const [damaged, setDamaged] = useState<Damaged | null>(null);

  const guarded = async (name: string, work: () => Promise<void>): Promise<void> => {
    const key = enqueueSnackbar('Reading it in…', { persist: true });
    try {
      await work();
    } catch (error) {
      setRefusal({
        file: name,
        place: 'the browser’s storage',
        message: storageTrouble(error),
        byStorage: true,
      });
    } finally {
      closeSnackbar(key);
    }
  };

  const zip = (file: Blob, name: string, which: Choices | null, partly: boolean): Promise<void> =>
    guarded(name, async () => {
      const found = await restoreBackup(file, which, partly, () => undefined);
      if (found.state === 'refused') setRefusal({ file: name, place: found.place, message: found.message });
      else if (found.state === 'partly')
        setDamaged({
          file: name,
          faults: found.faults,
          holds: found.holds,
          go: () => void zip(file, name, which, true),
        });
      else if (found.state === 'ask')
        ask({ clashes: found.clashes, go: (choices) => void zip(file, name, choices, partly) });
      else {
        const { taken, readings, pictures, proven } = found;
        const said = [
          ...takenWords(taken),
          readings > 0 && counted(readings, 'reading'),
          pictures > 0 && `${counted(pictures, 'picture')}`,
        ].filter(Boolean);
        enqueueSnackbar(said.length > 0 ? `${said.join('; ')}.` : 'All of it was here already.');
        if (!proven && !partly)
          enqueueSnackbar(
            'This backup does not say what was in it: its checksums hold, but nothing proves that no part is missing.',
            { variant: 'warning' },
          );
      }
    });

  const json = (envelope: Envelope, name: string, which: Choices | null): Promise<void> =>
    guarded(name, async () => {
      const clashes = await clashesWith(db, envelope.designs, envelope.trails);
      if (which === null && clashes.length > 0) {
        ask({ clashes, go: (choices) => void json(envelope, name, choices) });
        return;
      }
      const said = takenWords(
        await takeInFile(db, envelope, () => crypto.randomUUID(), Date.now(), which ?? {}),
      );
      enqueueSnackbar(said.length > 0 ? `${said.join('; ')}.` : 'The file holds no enclosure.');
    });

  const takeIn = async (file: Blob, name: string): Promise<void> => {
    setRefusal(null);
    if (isZip(new Uint8Array(await file.slice(0, 4).arrayBuffer())) || (await isRaw(file)))
      return zip(file, name, null, false);
    if (file.size > MAX_BYTES) {
      setRefusal({
        file: name,
        place: 'the whole file',
        message: 'it is larger than 20 MB, which no file written by Rincon is',
      });
      return;
    }
    const text = await file.text();
    // A page that was handed over holds the file.
    const read = readEnvelope(fileInPage(text) ?? text);
    if (read.ok) await json(read.value, name, null);
    else setRefusal({ file: name, place: read.place, message: read.message });
  };

  const dialog: ReactNode = damaged ? (
    <DamagedDialog damaged={damaged} onClose={() => setDamaged(null)} />
  ) : (
    asking && (
      <asking.Asking
        clashes={asking.clashes}
        catalogue={catalogue}
        onCancel={() => setAsking(null)}
        onChoose={(which) => {
          setAsking(null);
          asking.go(which);
        }}
      />
    )
  );
  return { takeIn, dialog, refusal, forget: () => setRefusal(null) };
}
