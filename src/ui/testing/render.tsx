import { ThemeProvider } from '@mui/material/styles';
import { cleanup, render } from '@testing-library/react';
import { SearchParamsContext } from 'next/dist/shared/lib/hooks-client-context.shared-runtime';
import type { ReactElement } from 'react';
import { afterEach } from 'vitest';
import { METRIC, type UnitPrefs } from '@/core/units';
import { theme } from '../theme/theme';
import { UnitsProvider } from '../units';

afterEach(cleanup);

/** An address that asks for nothing. */
const NOTHING_ASKED = new URLSearchParams();

/** Draws a part of the interface as the application does: in its theme and a reader's units. */
export function draw(element: ReactElement, prefs: UnitPrefs = METRIC) {
  const inside = (it: ReactElement): ReactElement => (
    <SearchParamsContext.Provider value={NOTHING_ASKED}>
      <ThemeProvider theme={theme}>
        <UnitsProvider prefs={prefs}>{it}</UnitsProvider>
      </ThemeProvider>
    </SearchParamsContext.Provider>
  );
  const drawn = render(inside(element));
  return { ...drawn, redraw: (next: ReactElement) => drawn.rerender(inside(next)) };
}
