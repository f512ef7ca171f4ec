import { z } from 'zod';

/** What is done to sheets or copies after printing, as it is priced. */
export const FINISHES = [
  'trim',
  'fold',
  'score',
  'perforation',
  'drill',
  'glue',
  'cut',
  'kiss-cut',
  'coating',
  'saddle',
  'perfect',
  'wire',
] as const;
export type FinishKind = (typeof FINISHES)[number];

export const FINISH_TITLES: Readonly<Record<FinishKind, string>> = {
  trim: 'Cut to size',
  fold: 'Fold',
  score: 'Score',
  perforation: 'Perforate',
  drill: 'Drill',
  glue: 'Glue',
  cut: 'Cut out',
  'kiss-cut': 'Cut through the face',
  coating: 'Coat',
  saddle: 'Stitch',
  perfect: 'Bind',
  wire: 'Bind with wire',
};

const money = z.number().min(0).max(1_000_000);

const FinishPrice = z.strictObject({
  setUp: money.default(0).describe('Once for a job.'),
  per1000: money.default(0).describe('For a thousand: sheets that are trimmed or coated, else copies.'),
});
export type FinishPrice = z.infer<typeof FinishPrice>;

/** What a house asks, in its currency. What is left out costs nothing there, and that is said. */
export const Prices = z.strictObject({
  currency: z.string().min(1).max(8).describe('Its sign or code, such as £ or EUR.'),
  paper: money.optional().describe('Paper and board, a tonne.'),
  plate: money.optional().describe('A plate.'),
  makeReady: money.optional().describe('To make a press ready, for each set of plates; digital, once for a job.'),
  makeReadySheets: z
    .number()
    .int()
    .min(0)
    .max(10_000)
    .default(0)
    .describe('Sheets spoilt by it, for each set of plates.'),
  spoilage: z.number().min(0).max(50).default(0).describe('Sheets spoilt on the run, percent.'),
  run: money.optional().describe('A thousand sheets through the press, each pass.'),
  click: z
    .strictObject({ colour: money, black: money })
    .optional()
    .describe('Digital: a side of a sheet, in colour or in black.'),
  square: money.optional().describe('Wide format: a square metre printed.'),
  finish: z.partialRecord(z.enum(FINISHES), FinishPrice).default({}),
  delivery: money.optional().describe('Once for a job.'),
  least: money.optional().describe('The smallest bill.'),
});
export type Prices = z.infer<typeof Prices>;
