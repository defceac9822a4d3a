'use client';

import type { Design } from '@/core/document';
import { useStore } from '@/store';
import { UnitsMenu } from '@/ui/shell/UnitsMenu';
import { FileMenu } from './FileMenu';
import { Find } from './Find';

/** What every bar holds on its right. */
export function Tools({ open }: { readonly open?: () => Design }) {
  const { settings, set } = useStore();
  return (
    <>
      <Find />
      <UnitsMenu prefs={settings.units} onChange={(units) => void set('units', units)} />
      <FileMenu open={open} />
    </>
  );
}
