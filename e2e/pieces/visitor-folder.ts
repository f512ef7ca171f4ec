import type { Hand } from './hand';
import { EMBER, INK, PALE, YELLOW } from './inks';

/** The folder for visitors: A4 folded in three, both sides, with pictures that run across its panels. */
export async function visitorFolder(hand: Hand): Promise<void> {
  await hand.begin('Brochure', {
    Name: 'Visitor folder',
    Paper: 'Stillwater silk 130, short grain',
    Printer: 'Copperplate Yard',
    'Flat size': 'A4 landscape',
  });
  await hand.unfold('Measures');
  await hand.measure('panel edge', 9);
  await outside(hand);
  await hand.key('b');
  await inside(hand);
}

const inPanel = (panel: string) => ({ box: panel, 'x-left': 'panel edge', 'x-right': 'panel edge' });

async function outside(hand: Hand): Promise<void> {
  await hand.bring('aurora-over-the-moor.jpg');
  await hand.name('Aurora over the moor');
  // The cover.
  await hand.text('Title', 'The\ndark\nis open', {
    ...inPanel('front cover'),
    'y-top': 8,
    'y-height': 106,
    ink: PALE,
    'set in': 'League Gothic 104/84 caps',
  });
  await hand.within('Effects', async () => {
    await hand.press('Outer glow');
    await hand.set({ blur: 5, colour: '70 20 40 0', opacity: 50 });
  });
  await hand.text('Subtitle', 'A visitor’s guide to the observatory above Hollin Ford', {
    ...inPanel('front cover'),
    'y-top': 110,
    'y-height': 22,
    ink: 'paper',
    'set in': 'Lora italic 15/20',
  });
  await hand.place('emblem.svg', 'Emblem', {
    box: 'front cover',
    'x-width': 30,
    'x-off centre': 0,
    'y-height': 30,
    'y-bottom': 'panel edge',
  });
  await hand.within('Colours', () => hand.set({ 'colour 1': PALE, 'colour 2': YELLOW }));
  // The back: where, and when.
  await hand.place('bus.svg', 'Bus', {
    box: 'back cover',
    'x-width': 13,
    'x-off centre': 0,
    'y-height': 13,
    'y-bottom': 60,
  });
  await hand.within('Colours', () => hand.set({ 'colour 1': PALE }));
  await hand.text('Find us', 'Bus 8 from Hollin Ford bridge,\nFridays at ten past eight', {
    ...inPanel('back cover'),
    'y-bottom': 44,
    'y-height': 13,
    ink: PALE,
    'set in': 'Familjen Grotesk 700 11/15 centred',
  });
  await hand.text(
    'Society',
    'Quillrook Dark-Sky Society\nThe Observatory, above Hollin Ford\nhello@quillrook.example',
    { ...inPanel('back cover'), 'y-bottom': 'panel edge', 'y-height': 17, ink: 'paper', 'set in': '10/14 centred' },
  );
  // The panel that is tucked in: first thing seen when the cover opens.
  await hand.shape('x', 'Tucked', { box: 'tucked panel', 'Fill/paint': EMBER });
  await hand.key('w');
  await hand.text('Bring', 'Bring', {
    ...inPanel('tucked panel'),
    'y-top': 14,
    'y-height': 32,
    ink: PALE,
    'set in': 'League Gothic 72/72 caps',
  });
  await hand.text(
    'List',
    'a blanket, and one more\nsomething hot in a flask\na lamp that shines red\neyes that can wait',
    { ...inPanel('tucked panel'), 'y-top': 47, 'y-height': 68, ink: INK, 'set in': 'Lora 18/46' },
  );
  await hand.shape('l', 'List rule', {
    box: 'List',
    'x-width': '',
    'x-left': 0,
    'x-right': 0,
    'y-top': '42pt',
    'Line/paint': INK,
    'stroke-width': 0.75,
  });
  await hand.within('Repeat', async () => {
    await hand.press('In rows');
    await hand.set({ across: 1, down: 4, 'gap down': '46pt' });
  });
  await hand.place('lamp.svg', 'Lamp', {
    box: 'tucked panel',
    'x-width': 48,
    'x-left': 'panel edge',
    'y-height': 48,
    'y-bottom': 12,
  });
  await hand.within('Colours', () => hand.set({ 'colour 1': PALE }));
}

const WAYS = [
  {
    panel: 'inside left',
    icon: 'book',
    head: 'By day',
    body:
      'The library and the sun telescope are open from ten. Children may draw on the long table; the best ' +
      'sunspots of the year hang above it. Soup is at one, and the bus down goes at four.',
  },
  {
    panel: 'inside centre',
    icon: 'eye',
    head: 'At dusk',
    body:
      'Come while there is light to find your feet. Eyes need about twenty minutes to learn the dark. A guide ' +
      'tells the old names of the stars as they come out, and which of them are not stars at all.',
  },
  {
    panel: 'inside right',
    icon: 'telescope',
    head: 'In the dark',
    body:
      'Three telescopes and a field to lie down in. Red lamps only, pointed at the ground. If cloud comes in, ' +
      'the dome stays open and somebody reads aloud until it goes.',
  },
] as const;

async function inside(hand: Hand): Promise<void> {
  await hand.shape('x', 'Ground', { box: 'trim', 'Fill/paint': '2 3 14 0' });
  await hand.key('w');
  await hand.bring('moor-at-dusk.jpg');
  await hand.say(
    { box: 'trim', 'x-width': '100 %', 'x-left': 0, 'y-height': 72, 'y-bottom': 0, 'focus down': 100 },
    'Moor at dusk',
  );
  await hand.text('Headline', 'Three ways to see a night', {
    box: 'trim',
    'x-left': 'panel edge',
    'x-right': 'panel edge',
    'y-top': 7,
    'y-height': 34,
    ink: INK,
    'set in': 'League Gothic 76/76 caps',
  });
  await hand.unfold('On this side');
  for (const [i, { panel, icon, head, body }] of WAYS.entries()) {
    await hand.place(`${icon}.svg`, icon, {
      box: panel,
      'x-width': 15,
      'x-left': 'panel edge',
      'y-height': 15,
      'y-top': 45,
    });
    await hand.within('Colours', () => hand.set({ 'colour 1': INK }));
    if (i === 0) {
      await hand.shape('l', 'Rule', {
        'x-width': '',
        ...inPanel(panel),
        'y-top': 63,
        'Line/paint': EMBER,
        'stroke-width': 1.5,
      });
      await hand.text('head 1', head, {
        ...inPanel(panel),
        'y-top': 66,
        'y-height': 9,
        ink: INK,
        'set in': 'Familjen Grotesk 700 17/20',
      });
      await hand.text('body 1', body, {
        ...inPanel(panel),
        'y-top': 76,
        'y-height': 52,
        ink: INK,
        'set in': 'Source Serif 4 12/17 hyphenated',
      });
    } else {
      await hand.select('Rule');
      await hand.key('Control+Shift+d');
      await hand.say(inPanel(panel), `Rule ${i + 1}`);
      for (const [part, words] of [
        ['head', head],
        ['body', body],
      ] as const) {
        await hand.select(`${part} 1`);
        await hand.another(`${part} ${i + 1}`, words, inPanel(panel));
      }
    }
  }
}
