import { readFileSync } from 'node:fs';
import type { Hand } from './hand';
import { EMBER, INK, PALE, YELLOW } from './inks';

/** Places of the styles in their list: their keys while words are typed. */
const [TEXT, OPENING] = [1, 2] as const;

const FILE = 'nights.csv';

/** The rows of the first nights, with the head of the file; all of them where no number is given. */
export function nights(count?: number): { readonly name: string; readonly bytes: Buffer } {
  const text = readFileSync(`assets/demo/${FILE}`, 'utf8');
  const starts = [...text.matchAll(/^\d{4},/gm)].map((m) => m.index);
  const end = count === undefined ? text.length : (starts[count] ?? text.length);
  return { name: FILE, bytes: Buffer.from(text.slice(0, end)) };
}

/** Pictures that the rows name. */
const picturesOf = ({ bytes }: { readonly bytes: Buffer }): readonly string[] => [
  ...new Set(bytes.toString().match(/[\w-]+\.jpg/g) ?? []),
];

/** Styles, three base layouts based on one another, and the nights laid onto spreads from page 4 on. */
export async function spreads(hand: Hand, count?: number): Promise<void> {
  await hand.unfold('Styles');
  await hand.style('Text', 'Source Serif 4 10.5/15.5 justified hyphenated first 4', { ink: INK });
  await hand.style('Opening', 'first 0 drop3');
  await hand.style('Name', 'League Gothic 60/56 caps left unhyphenated first 0');
  await hand.style('Small', 'Familjen Grotesk 8.5/11 left unhyphenated first 0', { ink: '60 48 30 10' });
  await hand.fold('Styles');
  await hand.unfold('Pages and base layouts');

  await hand.base('Folio');
  await hand.text('Folio', '', {
    box: 'trim',
    'x-width': 20,
    'x-right': 12,
    'y-height': 5,
    'y-bottom': 9,
    style: 'Small',
    'put in': 'page number, 1 2 3',
    lines: 'right',
  });
  await hand.text('Head', '', {
    box: 'trim',
    'x-width': '',
    'x-left': '24 %',
    'x-right': 34,
    'y-height': 5,
    'y-bottom': 9,
    style: 'Small',
    'put in': 'running head',
    lines: 'right',
  });

  await hand.base('Picture', 'Folio');
  // On the page beside it lies what crosses the spine.
  await hand.shape('Empty picture frame', 'picture', {
    box: 'both pages',
    'x-right': 0,
    'x-width': '57.5 %',
    'y-top': 0,
    'y-height': '63.5 %',
  });
  await hand.text('year', '2017', {
    box: 'trim',
    'x-width': 100,
    'x-right': 12,
    'y-height': 'content',
    'y-bottom': 25,
    'set in': 'League Gothic 120/96',
    ink: EMBER,
    lines: 'right',
  });
  await hand.text('place', 'Place', {
    box: 'trim',
    'x-width': 100,
    'x-right': 12,
    'y-height': 8,
    'y-bottom': 17,
    'set in': 'Lora italic 13/17',
    ink: INK,
    lines: 'right',
  });
  await hand.unfold('On this side');
  await hand.select('Head');
  await hand.key('Delete');

  await hand.base('Words', 'Folio');
  await hand.text('name', 'Name\nof a night', {
    box: 'trim',
    'x-width': '',
    'x-left': '24 %',
    'x-right': 12,
    'y-top': 16,
    'y-height': 'content',
    style: 'Name',
    'Frame › fitted to': 'width, by size',
  });
  await hand.text('facts', 'When, and who was there', {
    box: 'trim',
    'x-width': '',
    'x-left': '24 %',
    'x-right': 12,
    style: 'Small',
    'y-height': 5,
    down: 'past name',
    'y-top': 5,
  });
  await hand.story(
    'text',
    [
      [OPENING, 'What happened.'],
      [TEXT, 'And then.'],
    ],
    {
      box: 'trim',
      'x-width': '',
      'x-left': '24 %',
      'x-right': 12,
      down: 'past facts',
      'y-top': 12,
      'y-height': 'content',
    },
  );
  await hand.text('caption', 'Along the picture', {
    box: 'trim',
    'x-width': '60 %',
    'x-off centre': '-32.3 %',
    'y-height': 5,
    'y-off centre': '-7.7 %',
    style: 'Small',
    turn: '270',
  });
  await hand.fold('On this side');

  const rows = nights(count);
  await hand.toPage('page 4');
  await hand.fill(rows, picturesOf(rows), {
    'a row is': 'a spread',
    'fill-from': '4',
    'left-hand layout': 'Picture',
    'right-hand layout': 'Words',
  });
  await hand.setSheet('running heads from', 'Name');
  await hand.fold('Pages and base layouts');
}

/** The catalogue of ten years: a hundred pages, ten spreads of nights, and its cover. */
export async function catalogue(hand: Hand): Promise<void> {
  await hand.begin('Catalogue or book', {
    Name: 'Ten years of night skies',
    'Page size': '170 x 240 mm',
    Pages: '100',
    Paper: 'Stillwater silk 150',
    Printer: 'Copperplate Yard',
  });
  await spreads(hand);
  await hand.toPage('page 2');
  await hand.follow('2-3', 'Folio');
  await hand.toPage('page 24');
  await hand.follow('24-100', 'Folio');

  await hand.toPage('page 1');
  await hand.text('Title', 'Ten years\nof night skies', {
    box: 'trim',
    'x-left': 24,
    'x-width': '',
    'x-right': 24,
    'y-top': 60,
    'y-height': 'content',
    style: 'Name',
    'Frame › fitted to': 'width, by size',
  });
  await hand.text('Under it', 'Quillrook Dark-Sky Society, 2017 – 2026', {
    box: 'trim',
    'x-left': 24,
    'x-width': '',
    'x-right': 24,
    'y-height': 6,
    style: 'Small',
    down: 'past Title',
    'y-top': 6,
  });

  await hand.toPage('cover outside');
  await hand.shape('x', 'Ground', { box: 'trim', 'Fill/paint': INK });
  await hand.key('w');
  await hand.place('night-meteors.jpg', 'Meteors', {
    box: 'front cover',
    'x-left': 0,
    'x-width': '',
    'x-right': 0,
    'y-height': '',
    'y-top': 96,
    'y-bottom': 0,
  });
  await hand.text('Cover title', 'Ten years\nof night skies', {
    box: 'front cover',
    'x-left': 16,
    'x-width': '',
    'x-right': 16,
    'y-top': 18,
    'y-height': 'content',
    'set in': 'League Gothic 90/82 caps',
    ink: PALE,
    'Frame › fitted to': 'width, by size',
  });
  await hand.text('Spine', 'Ten years of night skies', {
    box: 'spine',
    'x-width': 200,
    'x-off centre': 0,
    'y-height': 4.4,
    'y-off centre': 0,
    'set in': 'Familjen Grotesk 700 9/11 centred',
    ink: YELLOW,
    turn: '90',
  });
  await hand.place('emblem.svg', 'Emblem', {
    box: 'back cover',
    'x-width': 34,
    'x-off centre': 0,
    'y-height': 34,
    'y-off centre': 0,
  });
  await hand.within('Colours', () => hand.set({ 'colour 1': PALE, 'colour 2': YELLOW }));
  await hand.toPage('cover inside');
  await hand.shape('x', 'Ground', { box: 'trim', 'Fill/paint': INK });
  await hand.key('w');
}
