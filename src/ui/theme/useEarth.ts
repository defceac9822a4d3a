'use client';

import { useTheme } from '@mui/material/styles';
import type {} from '@mui/material/themeCssVarsAugmentation';

/** The palette as CSS variables: right in both schemes, and without a second render. */
export function useEarth() {
  return useTheme().vars.palette.earth;
}
