import type { Hand } from './hand';
import { STOPS } from '../../src/demo/draw-trail';
import { EMBER, INK, PALE, YELLOW } from './inks';

/** The bookmark: four moons on its front, each under matt varnish; where to find us on its back. */
export async function bookmark(hand: Hand): Promise<void> {
  await hand.begin('Bookmark', {
    Name: 'Bookmark of four moons',
    'Finished size': '50 x 180 mm',
    Paper: 'Heather offset 300',
  });
  await hand.shape('Empty picture frame', 'picture', {
    box: 'trim',
    'x-left': 0,
    'x-width': '100 %',
    'y-top': 0,
    'y-height': '100 %',
  });
  await hand.bring('four-moons.jpg');
  await hand.name('Moons');
  await hand.text('Name', 'Quillrook Dark-Sky Society', {
    'x-left': 0,
    'x-width': '100 %',
    'y-height': 6,
    'y-bottom': 2,
    'set in': 'Familjen Grotesk 8.5/11 centred',
    ink: PALE,
  });

  await hand.key('b');
  await hand.shape('x', 'Pale', { box: 'trim', 'Fill/paint': PALE });
  await hand.key('w');
  await hand.text('Heading', 'Four moons\na month', {
    'x-left': 0,
    'x-width': '100 %',
    'y-height': 34,
    'y-top': 8,
    'set in': 'League Gothic 30/30 caps',
    ink: INK,
  });
  await hand.text(
    'Where',
    'The Old Toll House, Hollin Ford.\nOpen on every clear Friday,\nfrom dusk until the soup is gone.',
    { 'x-left': 0, 'x-width': '100 %', 'y-height': 24, 'y-bottom': 4, 'set in': 'Familjen Grotesk 8.5/13', ink: INK },
  );

  await hand.key('f');
  await hand.key('Tab');
  await hand.finish('coat with', 'Matt varnish', {}, 'the shapes in this picture');
}

/** A moon and its stars on clear film: each peels off by itself, with white beneath; the sheet is cut through. */
export async function moonSticker(hand: Hand): Promise<void> {
  await hand.begin('Sticker', {
    Name: 'Moon sticker',
    Paper: 'Window film, clear',
    Shape: '76 x 84 mm',
    Outline: 'rectangle',
    Border: '0',
    Cut: 'cut through',
  });
  await hand.place('crescent.svg', 'Moon', {
    box: 'trim',
    'x-width': 50,
    'x-left': 6,
    'y-height': 60,
    'y-off centre': 0,
  });
  await hand.within('Colours', () => hand.set({ 'colour 1': YELLOW, 'colour 2': '4 24 92 4', 'colour 3': INK }));
  await hand.shape('Star', 'Great star', {
    box: 'trim',
    'x-width': 20,
    'x-right': 8,
    'y-height': 20,
    'y-off centre': 2,
    'Fill/paint': YELLOW,
  });
  await hand.shape('Star', 'Star', {
    box: 'trim',
    'x-width': 12,
    'x-right': 4,
    'y-height': 12,
    'y-top': 8,
    'Fill/paint': EMBER,
  });
  await hand.shape('Star', 'Little star', {
    box: 'trim',
    'x-width': 9,
    'x-right': 6,
    'y-height': 9,
    'y-bottom': 9,
    'Fill/paint': EMBER,
  });

  await hand.unfold('On this side');
  await hand.select('Moon', 'Great star', 'Star', 'Little star');
  await hand.finish('coat with', 'White under-print', { 'coat-spread': '-0.15' });
  await hand.finish('line to', 'kiss-cut', { 'line-offset': '1.5' });
}

/** The map of the star trail: a poster when it is opened out. Only folds are on it, for the folding machine’s die. */
export async function trailMap(hand: Hand): Promise<void> {
  await hand.begin('Map or folded poster', {
    Name: 'Star trail map',
    Paper: 'Heather offset 80',
    'Flat size': '24 x 36 in',
    'Parts across': '4',
    'Parts down': '4',
  });
  await hand.shape('x', 'Cover night', { box: 'trim', 'Fill/paint': INK });
  await hand.key('w');
  await hand.text('Cover', 'The\nstar\ntrail', {
    box: 'front cover',
    'x-left': '0.6in',
    'x-width': '4.8in',
    'y-height': 'content',
    'y-top': '0.6in',
    'set in': 'League Gothic 132/122 caps',
    ink: PALE,
  });
  await hand.text('Where from', 'Five dark places\nabove Hollin Ford,\nfor one clear night', {
    box: 'front cover',
    'x-left': '0.6in',
    'x-width': '4.8in',
    'y-height': 'content',
    'y-bottom': '0.6in',
    'set in': 'Familjen Grotesk 20/28',
    ink: YELLOW,
  });
  await hand.place('emblem.svg', 'Emblem', {
    box: 'back cover',
    'x-width': '2.4in',
    'x-off centre': '0in',
    'y-height': '2.4in',
    'y-off centre': '-1in',
  });
  await hand.within('Colours', () => hand.set({ 'colour 1': PALE, 'colour 2': YELLOW }));
  await hand.text('Address', 'Quillrook Dark-Sky Society\nThe Old Toll House, Hollin Ford', {
    box: 'back cover',
    'x-width': '4.8in',
    'x-off centre': '0in',
    'y-height': 'content',
    'y-bottom': '0.6in',
    'set in': 'Familjen Grotesk 16/24 centred',
    ink: PALE,
  });

  await hand.key('b');
  await hand.shape('x', 'Night', { box: 'trim' });
  await hand.key('w');
  await hand.gradient(
    'Fill/paint',
    [
      [0, INK],
      [100, '70 66 10 4'],
    ],
    { angle: 90 },
  );
  await hand.place('star-trails.svg', 'Trails', {
    box: 'bleed',
    'x-left': 0,
    'x-width': '100 %',
    'y-top': 0,
    'y-height': '100 %',
  });
  await hand.within('Colours', () => hand.set({ 'colour 1': PALE, 'colour 2': '92 82 44 60' }));
  await hand.text('Title', 'Walk until the\nstars turn', {
    box: 'trim',
    'x-left': '1in',
    'x-width': '22in',
    'y-height': 'content',
    'y-top': '1in',
    'set in': 'League Gothic 280/262 caps',
    ink: PALE,
  });
  for (const [i, [x, y]] of STOPS.entries()) {
    const words = [
      'Toll House,\nwhere it begins',
      'Adder Gate,\nno lamp in sight',
      'The Long Barrow,\nlie down here',
      'Quarry Edge,\nkeep to the wall',
      'Cold Spring,\ntea, and home',
    ];
    await hand.shape('o', `Stop ${i + 1}`, {
      box: 'trim',
      'x-left': `${((x - 0.02) * 24).toFixed(2)}in`,
      'x-width': '0.8in',
      'y-top': `${(y * 36).toFixed(2)}in`,
      'y-height': '0.8in',
      'Fill/paint': EMBER,
    });
    await hand.text(`Words ${i + 1}`, words[i] ?? '', {
      box: `past Stop ${i + 1}`,
      'x-left': '0.25in',
      'x-width': '3.8in',
      'set in': 'Familjen Grotesk 700 29/36',
      ink: PALE,
      down: `Stop ${i + 1}`,
      'y-top': '-0.14in',
      'y-height': '1.2in',
    });
  }
}

/** The box for an eyepiece on loan: glued, tucked in at both ends, its emblem under gloss. */
export async function eyepieceBox(hand: Hand): Promise<void> {
  await hand.begin('Tuck-end box', {
    Name: 'Eyepiece box',
    Paper: 'Tarn board 300',
    Width: '52 mm',
    Height: '84 mm',
    Depth: '52 mm',
  });
  // The walls run three millimetres past their folds at head and foot; the glue flap stays bare.
  await hand.shape('x', 'Walls', {
    box: 'trim',
    'x-width': '',
    'x-left': 14,
    'x-right': 0,
    'y-top': 64,
    'y-height': 90,
    'Fill/paint': INK,
  });
  await hand.shape('x', 'Lid night', {
    box: 'lid',
    'x-width': 58,
    'x-off centre': 0,
    'y-height': 70,
    'y-bottom': 0,
    'Fill/paint': INK,
  });
  await hand.shape('x', 'Foot night', {
    box: 'foot lid',
    'x-width': 58,
    'x-off centre': 0,
    'y-height': 70,
    'y-top': 0,
    'Fill/paint': INK,
  });
  await hand.place('emblem.svg', 'Emblem', {
    box: 'front',
    'x-width': 34,
    'x-off centre': 0,
    'y-height': 34,
    'y-top': 9,
  });
  await hand.within('Colours', () => hand.set({ 'colour 1': PALE, 'colour 2': YELLOW }));
  await hand.text('What', 'Eyepiece\non loan', {
    box: 'front',
    'x-width': 44,
    'x-off centre': 0,
    'y-height': 'content',
    'y-bottom': 7,
    'set in': 'League Gothic 40/38 caps centred',
    ink: PALE,
  });
  await hand.text('Care', 'Hold it by its rim. Keep the caps on.\nDew dries by itself: never wipe it.', {
    box: 'left side',
    'x-width': 44,
    'x-off centre': 0,
    'y-height': 44,
    'y-top': 9,
    'set in': 'Familjen Grotesk 12/18',
    ink: PALE,
  });
  await hand.text('Back to', 'Bring it back to\nThe Old Toll House,\nHollin Ford, on any\nclear Friday.', {
    box: 'right side',
    'x-width': 44,
    'x-off centre': 0,
    'y-height': 44,
    'y-top': 9,
    'set in': 'Familjen Grotesk 12/18',
    ink: PALE,
  });
  await hand.shape('o', 'Moon', {
    box: 'back',
    'x-width': 30,
    'x-off centre': 0,
    'y-height': 30,
    'y-off centre': 0,
    'Fill/paint': YELLOW,
  });
  await hand.shape('o', 'Shadow', {
    box: 'Moon',
    'x-width': 30,
    'x-left': 8,
    'y-height': 30,
    'y-top': -4,
    'Fill/paint': INK,
  });
  await hand.text('On the lid', 'This way up', {
    box: 'lid',
    'x-width': 44,
    'x-off centre': 0,
    'y-height': 14,
    'y-off centre': 0,
    'set in': 'League Gothic 24/26 caps centred',
    ink: YELLOW,
  });

  // Gloss holds no slit as fine as the dome’s: a disc that nobody sees carries it.
  await hand.shape('o', 'Gloss', { box: 'Emblem', 'More › not printed: for lines and coatings to follow': true });
  await hand.key('w');
  await hand.finish('coat with', 'UV gloss');
}

/** The label of an eyepiece’s box: a band and its rim in silver, which is an ink of its own. */
export async function eyepieceLabels(hand: Hand): Promise<void> {
  await hand.begin('Labels on a sheet', {
    Name: 'Eyepiece-box labels',
    Printer: 'Corner Counter',
    Paper: 'Label gloss, permanent',
    Label: '63.5 x 38.1 mm',
    Sheet: 'A4',
    Across: '3',
    Down: '7',
    'Pitch across': '66 mm',
  });
  await hand.ink('Moon silver', '24 16 18 8', 'metallic');
  await hand.shape('x', 'Night', { box: 'trim', 'Fill/paint': INK });
  await hand.key('w');
  await hand.shape('x', 'Band', {
    box: 'trim',
    'x-left': 0,
    'x-width': '100 %',
    'y-height': 9,
    'y-bottom': 6.5,
    'Fill/paint': 'Moon silver',
  });
  await hand.text('Focal length', '25 mm', {
    'x-left': 0.5,
    'x-width': 36,
    'y-height': 'content',
    'y-top': 0,
    'set in': 'League Gothic 38/38',
    ink: 'Moon silver',
  });
  await hand.text('What', 'Eyepiece 1¼ in', {
    box: 'Band',
    'x-left': 5.5,
    'x-width': 40,
    'y-height': 7,
    'y-off centre': 0,
    'set in': 'Familjen Grotesk 700 11/13',
    ink: INK,
    'Frame › stands': 'middle',
  });
  await hand.place('emblem.svg', 'Emblem', { 'x-width': 13, 'x-right': 0.5, 'y-height': 13, 'y-top': 0.5 });
  await hand.within('Colours', () => hand.set({ 'colour 1': 'Moon silver', 'colour 2': YELLOW }));
}
