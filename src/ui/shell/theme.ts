'use client';
import { createTheme } from '@mui/material/styles';

/** Paper and ink: the colours of the program, light first. Contrast of each text pair is at least 4.5 : 1. */
export const COLOURS = {
  ink: '#1b2334',
  inkSoft: '#4a5265',
  bench: '#e9eae4',
  paper: '#ffffff',
  header: '#f6f6f1',
  line: '#cfd1c8',
  sheet: '#ffde63',
  sheetPale: '#fff1b8',
  sheetLine: '#a8841a',
  sheetSoft: '#5f4a06',
  accent: '#0b7369',
  fault: '#b3261e',
  warning: '#8a5a00',
  fold: '#7b2f6b',
} as const;

export const FACES = {
  title: '"Familjen Grotesk", sans-serif',
  text: 'Barlow, sans-serif',
  figure: '"Spline Sans Mono", monospace',
} as const;

export const theme = createTheme({
  cssVariables: true,
  palette: {
    mode: 'light',
    primary: { main: COLOURS.ink },
    secondary: { main: COLOURS.accent },
    error: { main: COLOURS.fault },
    warning: { main: COLOURS.warning },
    background: { default: COLOURS.bench, paper: COLOURS.paper },
    text: { primary: COLOURS.ink, secondary: COLOURS.inkSoft },
    divider: COLOURS.line,
  },
  shape: { borderRadius: 4 },
  typography: {
    fontFamily: FACES.text,
    fontSize: 14,
    h1: { fontFamily: FACES.title, fontWeight: 700, fontSize: '2.1rem', letterSpacing: '-0.01em' },
    h2: { fontFamily: FACES.title, fontWeight: 700, fontSize: '1.35rem' },
    h3: { fontFamily: FACES.title, fontWeight: 700, fontSize: '1.05rem' },
    button: { textTransform: 'none', fontWeight: 600 },
    overline: { fontWeight: 700, letterSpacing: '0.09em', lineHeight: 1.6, fontSize: '0.68rem' },
  },
  components: {
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { disableElevation: true },
      styleOverrides: { root: { minHeight: 32, paddingBlock: 3 } },
    },
    MuiTextField: { defaultProps: { size: 'small', variant: 'standard' } },
    MuiToggleButton: {
      styleOverrides: { root: { color: COLOURS.ink, '&.Mui-selected': { backgroundColor: '#d5d7cd' } } },
    },
    // What opens is there at once: nobody who works waits for a list to arrive.
    MuiPopover: { defaultProps: { transitionDuration: 0 } },
    MuiMenu: { defaultProps: { transitionDuration: 0 } },
    MuiPaper: { defaultProps: { elevation: 0 } },
    MuiTooltip: { defaultProps: { arrow: true, enterDelay: 500 } },
    MuiCssBaseline: {
      styleOverrides: {
        'html, body': { height: '100%' },
        body: { fontFeatureSettings: '"tnum" 1' },
        // The bench takes the focus with every press; a ring there is for the keyboard.
        '[data-bench]:focus:not(:focus-visible)': { outline: 'none' },
        ':focus-visible': { outline: `2px solid ${COLOURS.accent}`, outlineOffset: 2 },
      },
    },
  },
});
