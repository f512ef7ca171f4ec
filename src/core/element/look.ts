import { z } from 'zod';
import { Extent, Length, points } from './length';
import { SolidPaint } from './paint';

/** How letters look, every fact given. */
const character = {
  family: z.string().min(1).max(100),
  weight: z.number().int().min(1).max(1000),
  italic: z.boolean(),
  sizePt: points(0.5, 5000),
  tracking: z.number().min(-500).max(5000).describe('Thousandths of the size added after each letter.'),
  kerning: z.boolean().describe('Pairs set closer or wider as the font says.'),
  shiftPt: points(-1000, 1000).describe('Raised above the baseline, pt.'),
  case: z.enum(['typed', 'upper', 'lower', 'title', 'small-caps']),
  figures: z.enum(['usual', 'lining', 'old-style']).describe('Height of figures; `usual` is the font’s own.'),
  figureWidth: z.enum(['usual', 'tabular', 'proportional']),
  ligatures: z.enum(['usual', 'all', 'none']).describe('`all`: discretionary ones too.'),
  paint: SolidPaint,
  underline: z.boolean(),
  strike: z.boolean(),
} as const;

/** A tab stop, mm from the left of the text. */
export const TabStop = z.strictObject({
  at: Extent,
  align: z.enum(['left', 'centre', 'right', 'decimal']).default('left'),
  leader: z.string().max(4).default('').describe('Repeated up to the stop: `.` gives dots.'),
});
export type TabStop = z.infer<typeof TabStop>;

/** What stands before each paragraph of a list. */
export const ListMark = z.discriminatedUnion('list', [
  z.strictObject({ list: z.literal('bullet'), mark: z.string().min(1).max(8).default('•') }),
  z.strictObject({
    list: z.literal('number'),
    style: z.enum(['1', 'a', 'A', 'i', 'I']).default('1'),
    after: z.string().max(4).default('.').describe('Set after the number.'),
    start: z
      .number()
      .int()
      .min(0)
      .max(1_000_000)
      .nullable()
      .default(null)
      .describe('Begins anew here; null counts on.'),
  }),
]);
export type ListMark = z.infer<typeof ListMark>;

const percent = z.number().min(0).max(1000);

/** How far a justified line may be spaced, percent: of a usual word space, and of the size between letters. */
export const Justify = z.strictObject({
  wordLeast: percent,
  wordMost: percent,
  letterLeast: z.number().min(-20).max(0),
  letterMost: z.number().min(0).max(50),
});
export type Justify = z.infer<typeof Justify>;

/** How a paragraph stands, every fact given. */
const paragraph = {
  leadingPt: points(0.5, 10_000).nullable().describe('Baseline to baseline; null is 120 % of the size.'),
  align: z.enum(['left', 'centre', 'right', 'justified']),
  hyphenate: z.boolean(),
  breaking: z
    .enum(['paragraph', 'line', 'balanced'])
    .describe('Lines broken looking at the whole paragraph, one by one, or to be about equally long.'),
  justify: Justify,
  opticalMargin: z.boolean().describe('Points and hyphens hang a little past the edge.'),
  before: Extent.describe('Room above, mm; not at the head of a frame.'),
  after: Extent.describe('Room below, mm.'),
  indent: Extent.describe('From the left, mm.'),
  indentRight: Extent.describe('From the right, mm.'),
  firstIndent: Length.describe('Of the first line, beyond the indent; negative hangs out.'),
  tabs: z.array(TabStop).max(40),
  list: ListMark.nullable(),
  dropCap: z.number().int().min(0).max(20).describe('Lines that the first letter is high; below 2, none.'),
  keepWithNext: z.boolean().describe('Never last in a frame with the next paragraph in another.'),
  keepFirst: z.number().int().min(1).max(10).describe('Fewest lines left at the foot of a frame.'),
  keepLast: z.number().int().min(1).max(10).describe('Fewest lines carried to the head of the next.'),
  onGrid: z.boolean().describe('Baselines on the baseline grid of the side.'),
} as const;

export const CharacterLook = z.strictObject(character);
export type CharacterLook = z.infer<typeof CharacterLook>;

export const ParagraphLook = z.strictObject({ ...character, ...paragraph });
/** The whole look of a paragraph and of its letters. */
export type ParagraphLook = z.infer<typeof ParagraphLook>;

/** What of a look is said; the rest is inherited. */
export const CharacterChanges = CharacterLook.partial();
export type CharacterChanges = z.infer<typeof CharacterChanges>;
export const ParagraphChanges = ParagraphLook.partial();
export type ParagraphChanges = z.infer<typeof ParagraphChanges>;

export const CHARACTER_KEYS = CharacterLook.keyof().options;
export const PARAGRAPH_KEYS = ParagraphLook.keyof().options;

/** The look that everything inherits from, and that a text has before anything is said of it [cp]. */
export const USUAL_LOOK: ParagraphLook = {
  family: 'Source Sans 3',
  weight: 400,
  italic: false,
  sizePt: 10,
  tracking: 0,
  kerning: true,
  shiftPt: 0,
  case: 'typed',
  figures: 'usual',
  figureWidth: 'usual',
  ligatures: 'usual',
  paint: { kind: 'process', c: 0, m: 0, y: 0, k: 100 },
  underline: false,
  strike: false,
  leadingPt: null,
  align: 'left',
  hyphenate: false,
  breaking: 'paragraph',
  justify: { wordLeast: 80, wordMost: 150, letterLeast: 0, letterMost: 0 },
  opticalMargin: false,
  before: 0,
  after: 0,
  indent: 0,
  indentRight: 0,
  firstIndent: 0,
  tabs: [],
  list: null,
  dropCap: 0,
  keepWithNext: false,
  keepFirst: 2,
  keepLast: 2,
  onGrid: false,
};
