'use client';

import { createTheme } from '@mui/material/styles';
import type {} from '@mui/material/themeCssVarsAugmentation';

/** Paper, soil, moss, fired clay, water. Each pair of text and ground holds 4.5 to 1 or more. */
interface Earth {
  paper: string;
  card: string;
  ink: string;
  quiet: string;
  rule: string;
  /** Outline of what can be typed in or pressed: 3 to 1 or more on paper and card. */
  edge: string;
  moss: string;
  mossWash: string;
  clay: string;
  water: string;
  amber: string;
  /** The ledger: dark ground in both schemes. */
  ledger: string;
  ledgerInk: string;
  ledgerQuiet: string;
  ledgerAmber: string;
  sky: string;
}

declare module '@mui/material/styles' {
  interface Palette {
    earth: Earth;
  }
  interface PaletteOptions {
    earth?: Earth;
  }
}

export const light: Earth = {
  paper: '#F3EFE5',
  card: '#FBF9F3',
  ink: '#23281F',
  quiet: '#5F6354',
  rule: '#D9D2C1',
  edge: '#8C8672',
  moss: '#47663A',
  mossWash: '#DDE6D2',
  clay: '#9C4D2A',
  water: '#2F6B7B',
  amber: '#8A5A0F',
  ledger: '#23281F',
  ledgerInk: '#F6F2E8',
  ledgerQuiet: '#B9BBA9',
  ledgerAmber: '#E9B65C',
  sky: '#E9EEE6',
};

export const dark: Earth = {
  paper: '#181B15',
  card: '#20241C',
  ink: '#ECE7DA',
  quiet: '#A9AC99',
  rule: '#3A3F33',
  edge: '#747A68',
  moss: '#9DBE87',
  mossWash: '#2F3B28',
  clay: '#E39C78',
  water: '#86BECC',
  amber: '#E0AE5B',
  ledger: '#0F120D',
  ledgerInk: '#F2EDE0',
  ledgerQuiet: '#A9AC99',
  ledgerAmber: '#E9B65C',
  sky: '#232A26',
};

/** `pressed`: what the main colour turns to under the pointer; on dark ground it gets lighter, or its text would fade. */
const palette = (earth: Earth, onPrimary: string, pressed: { moss: string; clay: string }) => ({
  earth,
  background: { default: earth.paper, paper: earth.card },
  text: { primary: earth.ink, secondary: earth.quiet },
  divider: earth.rule,
  primary: { main: earth.moss, dark: pressed.moss, contrastText: onPrimary },
  secondary: { main: earth.clay, dark: pressed.clay, contrastText: onPrimary },
  error: { main: earth.clay },
  warning: { main: earth.amber },
  info: { main: earth.water },
  success: { main: earth.moss },
});

const TEXT = "'Figtree Variable', 'Figtree', system-ui, sans-serif";
const HEAD = "'Bricolage Grotesque Variable', 'Bricolage Grotesque', Georgia, serif";

export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'media' },
  colorSchemes: {
    light: { palette: palette(light, '#FFFFFF', { moss: '#385230', clay: '#813F22' }) },
    dark: { palette: palette(dark, '#14170F', { moss: '#B4D2A0', clay: '#EDB295' }) },
  },
  shape: { borderRadius: 10 },
  spacing: 8,
  typography: {
    fontFamily: TEXT,
    fontSize: 14,
    h1: { fontFamily: HEAD, fontWeight: 650, fontSize: '1.45rem', lineHeight: 1.2, letterSpacing: '-0.01em' },
    h2: { fontFamily: HEAD, fontWeight: 650, fontSize: '1.08rem', lineHeight: 1.3 },
    h3: { fontFamily: TEXT, fontWeight: 650, fontSize: '0.93rem', lineHeight: 1.35 },
    body1: { fontSize: '0.93rem', lineHeight: 1.45 },
    body2: { fontSize: '0.84rem', lineHeight: 1.45 },
    caption: { fontSize: '0.75rem', lineHeight: 1.35 },
    button: { textTransform: 'none', fontWeight: 600 },
  },
  components: {
    MuiCssBaseline: {
      styleOverrides: {
        body: { fontVariantNumeric: 'tabular-nums lining-nums' },
        '@media (prefers-reduced-motion: reduce)': {
          '*, *::before, *::after': { transition: 'none !important', animation: 'none !important' },
        },
        // Where the system sets the colours, grounds are gone: what is chosen is told by a line.
        '@media (forced-colors: active)': {
          '.Mui-selected, [aria-pressed=true], [aria-current=page], [data-selected=true] > td': {
            outline: '2px solid Highlight',
            outlineOffset: -2,
          },
        },
        '@media (prefers-contrast: more)': {
          ':root': {
            '--mui-palette-earth-quiet': 'var(--mui-palette-earth-ink)',
            '--mui-palette-earth-edge': 'var(--mui-palette-earth-ink)',
            '--mui-palette-earth-rule': 'var(--mui-palette-earth-edge)',
          },
        },
        '@media print': { 'header:not(.rincon-sheet-head), nav, .no-print': { display: 'none !important' } },
      },
    },
    MuiButtonBase: {
      defaultProps: { disableRipple: true },
      styleOverrides: {
        root: ({ theme: t }) => ({
          '&.Mui-focusVisible': { outline: `2px solid ${t.vars.palette.earth.clay}`, outlineOffset: 2 },
        }),
      },
    },
    MuiButton: {
      defaultProps: { disableElevation: true, size: 'small' },
      styleOverrides: {
        root: { borderRadius: 14, padding: '5px 14px', minHeight: 32 },
        outlined: ({ theme: t }) => ({
          borderColor: t.vars.palette.earth.edge,
          backgroundColor: t.vars.palette.earth.card,
          color: t.vars.palette.earth.ink,
        }),
      },
    },
    MuiPaper: { defaultProps: { elevation: 0 }, styleOverrides: { root: { backgroundImage: 'none' } } },
    MuiMenu: {
      styleOverrides: {
        paper: ({ theme: t }) => ({ border: `1px solid ${t.vars.palette.earth.rule}`, borderRadius: 12 }),
      },
    },
    MuiDialog: {
      styleOverrides: {
        paper: ({ theme: t }) => ({ border: `1px solid ${t.vars.palette.earth.rule}`, borderRadius: 14 }),
      },
    },
    MuiOutlinedInput: {
      defaultProps: { size: 'small' },
      styleOverrides: {
        root: ({ theme: t }) => ({ backgroundColor: t.vars.palette.earth.card, borderRadius: 8 }),
        notchedOutline: ({ theme: t }) => ({ borderColor: t.vars.palette.earth.edge }),
      },
    },
    MuiTextField: { defaultProps: { size: 'small' } },
    MuiTooltip: {
      defaultProps: { arrow: false, enterDelay: 400 },
      styleOverrides: {
        tooltip: ({ theme: t }) => ({
          backgroundColor: t.vars.palette.earth.ledger,
          color: t.vars.palette.earth.ledgerInk,
          fontSize: '0.78rem',
        }),
      },
    },
    MuiToggleButton: {
      styleOverrides: {
        root: ({ theme: t }) => ({
          padding: '4px 14px',
          border: `1px solid ${t.vars.palette.earth.edge}`,
          backgroundColor: t.vars.palette.earth.card,
          color: t.vars.palette.earth.quiet,
          fontWeight: 500,
          '&.Mui-selected, &.Mui-selected:hover': {
            backgroundColor: t.vars.palette.earth.mossWash,
            color: t.vars.palette.earth.ink,
            fontWeight: 650,
          },
        }),
      },
    },
  },
});
