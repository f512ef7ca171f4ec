import type { Hand } from './hand';
import { EMBER, INK, PALE, YELLOW } from './inks';

const FIGURES = [
  {
    icon: 'telescope',
    figure: '214',
    head: 'clear nights',
    body:
      'Counted from the roof of the observatory, eleven more than the year before. The best run was in March: ' +
      'nineteen nights without a cloud.',
  },
  {
    icon: 'people',
    figure: '3,906',
    head: 'visitors',
    body:
      'Every fourth of them came by the Friday bus. Two hundred and sixty saw the rings of Saturn for the ' +
      'first time, and said so in the book.',
  },
  {
    icon: 'lamp',
    figure: '61',
    head: 'lamps shaded',
    body:
      'Porches, a car park and the whole of Mill Lane now shine down only. The sky over Hollin Ford is a fifth ' +
      'of a magnitude darker for it.',
  },
] as const;

/** The year’s report as a poster: three columns, an icon to each, and rules between. */
export async function reportPoster(hand: Hand): Promise<void> {
  await hand.begin('Poster', { Name: 'Report of a dark year', 'Finished size': 'A2', 'Printed sides': '1' });
  await hand.unfold('Measures');
  await hand.measure('edge', 30);
  await hand.unfold('Grids');
  await hand.grid('report', { in: 'trim', columns: 3, gutter: 15, margin: 'edge' });

  await hand.bring('northern-lights-wide.jpg');
  await hand.say({ 'y-height': 262, 'focus down': 80 }, 'Northern lights');
  await hand.text('Kicker', 'Quillrook Dark-Sky Society, report 2026', {
    box: 'trim',
    'x-left': 'edge',
    'x-right': 'edge',
    'y-top': 'edge',
    'y-height': 12,
    ink: PALE,
    'set in': 'Familjen Grotesk 700 25/30',
  });
  await hand.text('Headline', 'A darker\nyear', {
    box: 'trim',
    'x-left': 'edge',
    'x-right': 'edge',
    'y-top': 40,
    'y-height': 218,
    ink: PALE,
    'set in': 'League Gothic 300/244 caps',
  });
  await hand.within('Effects', async () => {
    await hand.press('Drop shadow');
    await hand.set({ across: 0, down: 2, blur: 14, colour: INK, opacity: 60 });
  });

  await hand.text('Lead', 'For twelve months we counted nights, lamps and people. All three went the right way.', {
    box: 'trim',
    'x-left': 'edge',
    'x-right': 'edge',
    'y-top': 274,
    'y-height': 44,
    ink: INK,
    'set in': 'Lora 42/54',
  });
  // One rule, drawn once, repeated in every column.
  await hand.shape('l', 'Rule', {
    box: 'column 1 of report',
    'x-width': '',
    'x-left': 0,
    'x-right': 0,
    'y-top': 306,
    'Line/paint': INK,
    'stroke-width': 2,
  });
  const across = () =>
    hand.within('Repeat', async () => {
      await hand.press('In rows');
      await hand.set({ across: 3, 'gap across': 15, fills: 'trim' });
    });
  await across();
  for (const [i, { icon }] of FIGURES.entries())
    await hand.place(`${icon}.svg`, icon, {
      box: `column ${i + 1} of report`,
      'x-width': 27,
      'x-left': 0,
      'y-height': 27,
      'y-top': 318,
    });
  const place = (column: number) => ({ box: `column ${column} of report`, 'x-left': 0, 'x-right': 0 });
  const figure = { 'y-top': 346, 'y-height': 64, ink: EMBER, 'set in': 'League Gothic 150/146' };
  const head = { 'y-top': 407, 'y-height': 16, ink: INK, 'set in': 'Familjen Grotesk 700 31/38' };
  const body = {
    'y-top': 424,
    'y-height': 74,
    'set in': 'Source Serif 4 20/28.5 hyphenated',
  };
  for (const [i, words] of FIGURES.entries()) {
    const [first, n] = [i === 0, i + 1];
    const looks = [
      ['figure', figure],
      ['head', head],
      ['body', body],
    ] as const;
    for (const [part, look] of looks) {
      if (first) await hand.text(`${part} 1`, words[part], { ...place(1), ...look });
      else {
        await hand.select(`${part} 1`);
        await hand.another(`${part} ${n}`, words[part], place(n));
      }
    }
    if (first) await hand.unfold('On this side');
  }
  await hand.shape('x', 'Foot', {
    box: 'trim',
    'x-width': '100 %',
    'x-left': 0,
    'y-height': 62,
    'y-bottom': 0,
    'Fill/paint': INK,
  });
  await hand.text('Next', 'Next year: a second telescope, a darker bus stop, and the moths counted too.', {
    box: 'columns 1–2 of report',
    'x-left': 0,
    'x-right': 0,
    'y-bottom': -18,
    'y-height': 38,
    ink: PALE,
    'Frame › stands': 'middle',
    'set in': 'Lora italic 29/40',
  });
  await hand.place('emblem.svg', 'Emblem', {
    box: 'column 3 of report',
    'x-width': 40,
    'x-right': 0,
    'y-height': 40,
    'y-bottom': -19,
  });
  await hand.within('Colours', () => hand.set({ 'colour 1': PALE, 'colour 2': YELLOW }));
}
