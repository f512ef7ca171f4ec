/** A family that ships with the application, under the SIL Open Font License 1.1. */
export interface ShippedFamily {
  readonly family: string;
  /** Name of its files, before subset, weight and slope. */
  readonly file: string;
  readonly weights: readonly number[];
  readonly italics: boolean;
  readonly kind: 'condensed' | 'geometric' | 'humanist' | 'serif' | 'script' | 'figures' | 'grotesque';
}

export const SHIPPED: readonly ShippedFamily[] = [
  { family: 'Familjen Grotesk', file: 'familjen-grotesk', weights: [400, 700], italics: true, kind: 'grotesque' },
  { family: 'Barlow', file: 'barlow', weights: [400, 600, 700], italics: true, kind: 'grotesque' },
  { family: 'League Gothic', file: 'league-gothic', weights: [400], italics: false, kind: 'condensed' },
  { family: 'Oswald', file: 'oswald', weights: [300, 400, 600, 700], italics: false, kind: 'condensed' },
  { family: 'Jost', file: 'jost', weights: [400, 600, 700], italics: true, kind: 'geometric' },
  { family: 'Montserrat', file: 'montserrat', weights: [400, 600, 800], italics: true, kind: 'geometric' },
  { family: 'Source Sans 3', file: 'source-sans-3', weights: [400, 600, 700], italics: true, kind: 'humanist' },
  { family: 'Source Serif 4', file: 'source-serif-4', weights: [400, 600, 700], italics: true, kind: 'serif' },
  { family: 'Lora', file: 'lora', weights: [400, 700], italics: true, kind: 'serif' },
  { family: 'Dancing Script', file: 'dancing-script', weights: [400, 700], italics: false, kind: 'script' },
  { family: 'IBM Plex Mono', file: 'ibm-plex-mono', weights: [400, 600], italics: false, kind: 'figures' },
];

/** The files of a face carry the characters in parts; the first that has a character sets it. */
export const SUBSETS = ['latin', 'latin-ext'] as const;

export const FALLBACK_FAMILY = 'Source Sans 3';

/** A face of the catalogue, with the names of its font files. */
export interface ShippedFace {
  readonly family: string;
  readonly weight: number;
  readonly italic: boolean;
  readonly postscript: string;
  readonly files: readonly string[];
}

const WEIGHT_NAMES: Readonly<Record<number, string>> = {
  300: 'Light',
  400: 'Regular',
  600: 'SemiBold',
  700: 'Bold',
  800: 'ExtraBold',
};

/** PostScript name from our own list: some of the files carry wrong ones. */
function postscriptName(family: string, weight: number, italic: boolean): string {
  const style = `${WEIGHT_NAMES[weight] ?? String(weight)}${italic ? 'Italic' : ''}`;
  return `${family.replace(/ /g, '')}-${style === 'RegularItalic' ? 'Italic' : style}`;
}

export const SHIPPED_FACES: readonly ShippedFace[] = SHIPPED.flatMap((family) =>
  family.weights.flatMap((weight) =>
    (family.italics ? [false, true] : [false]).map((italic) => ({
      family: family.family,
      weight,
      italic,
      postscript: postscriptName(family.family, weight, italic),
      files: SUBSETS.map((subset) => `${family.file}-${subset}-${weight}-${italic ? 'italic' : 'normal'}`),
    })),
  ),
);
