'use client';
import { createTheme } from '@mui/material/styles';

/** Paper and ink: what stands on paper, and what surrounds it by day. Each text has a contrast of at least 4.5 : 1. */
const LIGHT = {
  ink: '#1b2334',
  inkSoft: '#4a5265',
  bench: '#e9eae4',
  card: '#ffffff',
  header: '#f6f6f1',
  line: '#cfd1c8',
  chosen: '#d5d7cd',
  /** Around letters that lie on anything. */
  halo: '#ffffff',
  accent: '#0b7369',
  fault: '#b3261e',
  warning: '#8a5a00',
  fold: '#7b2f6b',
} as const;

/** What surrounds paper in the dark; the paper stays as white as it is. */
const DARK: Readonly<Record<keyof typeof LIGHT, string>> = {
  ink: '#eceae2',
  inkSoft: '#b9bcc2',
  bench: '#25282d',
  card: '#2f3339',
  header: '#1b1d21',
  line: '#4a4f57',
  chosen: '#474c54',
  halo: '#25282d',
  accent: '#5fcabd',
  fault: '#ff9b91',
  warning: '#f0b34e',
  fold: '#dca0cf',
};

type Around = keyof typeof LIGHT;

const AROUND = Object.fromEntries(Object.keys(LIGHT).map((name) => [name, `var(--ys-${name})`])) as Record<
  Around,
  string
>;

/** The colours of the program. Those of ink and of what surrounds paper change in the dark. */
export const COLOURS = {
  ...AROUND,
  paper: '#ffffff',
  sheet: '#ffde63',
  sheetPale: '#fff1b8',
  sheetLine: '#a8841a',
  sheetSoft: '#5f4a06',
} as const;

/** Ink, and what is wrong, where a colour is wanted that is worked with. */
export const INK = LIGHT.ink;
export const FAULT = LIGHT.fault;

/** The parts of a colour, as the variables of the theme want them for what is half clear. */
const channels = (hex: string): string => [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16)).join(' ');

/** The variables of a surround: ours and those of the theme. */
function surround(colours: Readonly<Record<Around, string>>): Record<string, string> {
  const { ink, inkSoft, bench, card, line, accent, fault, warning } = colours;
  const onInk = colours === DARK ? LIGHT.ink : '#ffffff';
  return {
    ...Object.fromEntries(Object.entries(colours).map(([name, colour]) => [`--ys-${name}`, colour])),
    '--mui-palette-text-primary': ink,
    '--mui-palette-text-primaryChannel': channels(ink),
    '--mui-palette-text-secondary': inkSoft,
    '--mui-palette-text-secondaryChannel': channels(inkSoft),
    '--mui-palette-background-default': bench,
    '--mui-palette-background-paper': card,
    '--mui-palette-divider': line,
    '--mui-palette-primary-main': ink,
    '--mui-palette-primary-dark': ink,
    '--mui-palette-primary-mainChannel': channels(ink),
    '--mui-palette-primary-contrastText': onInk,
    '--mui-palette-secondary-main': accent,
    '--mui-palette-secondary-mainChannel': channels(accent),
    '--mui-palette-error-main': fault,
    '--mui-palette-error-mainChannel': channels(fault),
    '--mui-palette-warning-main': warning,
    '--mui-palette-warning-mainChannel': channels(warning),
    '--mui-palette-action-active': `rgb(${channels(ink)} / 0.6)`,
    '--mui-palette-action-activeChannel': channels(ink),
    '--mui-palette-action-disabled': `rgb(${channels(ink)} / 0.4)`,
    '--mui-palette-action-disabledBackground': `rgb(${channels(ink)} / 0.12)`,
    '--mui-palette-action-hover': `rgb(${channels(ink)} / 0.06)`,
    '--mui-palette-action-selectedChannel': channels(ink),
    '--mui-palette-common-onBackground': ink,
    '--mui-palette-common-onBackgroundChannel': channels(ink),
    color: ink,
  };
}

/** What is paper, or lies on it, keeps the ink of paper. */
const ON_PAPER = '.MuiPaper-root, [data-on=paper]';

export const FACES = {
  title: '"Familjen Grotesk", sans-serif',
  text: 'Barlow, sans-serif',
  figure: '"Spline Sans Mono", monospace',
} as const;

export const theme = createTheme({
  cssVariables: true,
  palette: {
    mode: 'light',
    primary: { main: LIGHT.ink },
    secondary: { main: LIGHT.accent },
    error: { main: LIGHT.fault },
    warning: { main: LIGHT.warning },
    background: { default: LIGHT.bench, paper: LIGHT.card },
    text: { primary: LIGHT.ink, secondary: LIGHT.inkSoft },
    divider: LIGHT.line,
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
      styleOverrides: {
        root: { color: COLOURS.ink, '&.Mui-selected': { backgroundColor: COLOURS.chosen, color: COLOURS.ink } },
      },
    },
    // What opens is there at once: nobody who works waits for a list to arrive.
    MuiPopover: { defaultProps: { transitionDuration: 0 } },
    MuiMenu: { defaultProps: { transitionDuration: 0 } },
    MuiPaper: { defaultProps: { elevation: 0 } },
    MuiTooltip: { defaultProps: { arrow: true, enterDelay: 500 } },
    MuiCssBaseline: {
      styleOverrides: {
        'html, body': { height: '100%' },
        ':root': surround(LIGHT),
        ':root[data-surround=dark]': { colorScheme: 'dark', ...surround(DARK) },
        [`:root[data-surround=dark] :is(${ON_PAPER})`]: { colorScheme: 'light', ...surround(LIGHT) },
        ':root[data-surround=dark] [data-on=surround]': surround(DARK),
        '@media (prefers-color-scheme: dark)': {
          ':root:not([data-surround])': { colorScheme: 'dark', ...surround(DARK) },
          [`:root:not([data-surround]) :is(${ON_PAPER})`]: { colorScheme: 'light', ...surround(LIGHT) },
          ':root:not([data-surround]) [data-on=surround]': surround(DARK),
        },
        body: { fontFeatureSettings: '"tnum" 1' },
        // The bench takes the focus with every press; a ring there is for the keyboard.
        '[data-bench]:focus:not(:focus-visible)': { outline: 'none' },
        ':focus-visible': { outline: `2px solid ${COLOURS.accent}`, outlineOffset: 2 },
      },
    },
  },
});
