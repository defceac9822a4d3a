import { ThemeProvider } from '@mui/material/styles';
import { cleanup, render } from '@testing-library/react';
import type { ReactElement } from 'react';
import { afterEach } from 'vitest';
import { METRIC, type UnitPrefs } from '@/core/units';
import { theme } from '../theme/theme';
import { UnitsProvider } from '../units';

afterEach(cleanup);

/** Draws a part of the interface as the application does: in its theme and a reader's units. */
export function draw(element: ReactElement, prefs: UnitPrefs = METRIC) {
  const inside = (it: ReactElement): ReactElement => (
    <ThemeProvider theme={theme}>
      <UnitsProvider prefs={prefs}>{it}</UnitsProvider>
    </ThemeProvider>
  );
  const drawn = render(inside(element));
  return { ...drawn, redraw: (next: ReactElement) => drawn.rerender(inside(next)) };
}
