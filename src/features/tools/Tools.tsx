'use client';

import type { Design } from '@/core/design';
import { useStore } from '@/store';
import { UnitsMenu } from '@/ui/shell/UnitsMenu';
import { FileMenu } from './FileMenu';

/** What every bar holds on its right. */
export function Tools({ open }: { readonly open?: () => Design }) {
  const { settings, set } = useStore();
  return (
    <>
      <UnitsMenu prefs={settings.units} onChange={(units) => void set('units', units)} />
      <FileMenu open={open} />
    </>
  );
}
