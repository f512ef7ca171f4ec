import type { Hand } from './hand';
import { EMBER, INK, PALE, YELLOW } from './inks';

/**
 * The society’s letterhead: room for filing holes, an ornament mirrored about the letter’s own middle, a night behind.
 */
export async function letterhead(hand: Hand): Promise<void> {
  await hand.begin('Letterhead', {
    Name: 'Letterhead',
    'Finished size': 'A4',
    'Printed sides': '2',
    'Filing holes': 'two (ISO 838)',
    'Fold ticks': 'in thirds',
  });
  await front(hand);
  await hand.key('b');
  await back(hand);
}

async function front(hand: Hand): Promise<void> {
  // What the binder takes, and the letter beside it: its middle is not the sheet’s.
  await hand.unfold('Grids');
  await hand.grid('sheet', { in: 'trim', columns: 2, gutter: 0, widths: '20; rest' });
  const letter = 'column 2 of sheet';
  await hand.place('emblem.svg', 'Emblem', {
    box: letter,
    'x-width': 25,
    'x-off centre': 0,
    'y-height': 25,
    'y-top': 11,
  });
  const mirrored = () =>
    hand.within('Repeat', async () => {
      await hand.press('Mirror image');
      await hand.set({ 'centre of': letter });
    });
  await hand.shape('l', 'Rule', {
    box: letter,
    'x-left': 8,
    'x-width': 62,
    'Line/paint': INK,
    'stroke-width': 0.75,
    down: 'Emblem',
    'y-height': 0,
    'y-off centre': 0,
  });
  await mirrored();
  await hand.shape('Star', 'Star', {
    box: 'past Rule',
    'x-width': 4.4,
    'x-left': -2.2,
    points: 4,
    inner: 34,
    'Fill/paint': YELLOW,
    down: 'Emblem',
    'y-height': 4.4,
    'y-off centre': 0,
  });
  await mirrored();
  await hand.shape('o', 'Moon', {
    box: 'before Rule',
    'x-width': 2,
    'x-left': 0,
    'Fill/paint': EMBER,
    down: 'Emblem',
    'y-height': 2,
    'y-off centre': 0,
  });
  await mirrored();

  await hand.text('Society', 'Quillrook Dark-Sky Society', {
    box: letter,
    'x-left': 8,
    'x-right': 8,
    'y-top': 39,
    'y-height': 7,
    ink: INK,
    'set in': 'Familjen Grotesk 700 13/16 centred +20',
  });
  await hand.text('Motto', 'for the moor, the moths and the Milky Way', {
    box: letter,
    'x-left': 8,
    'x-right': 8,
    'y-top': 45.5,
    'y-height': 6,
    ink: INK,
    'set in': 'Lora italic 9.5/12 centred',
  });

  await hand.shape('l', 'Foot rule', {
    box: letter,
    'x-width': '',
    'x-left': 8,
    'x-right': 8,
    'y-bottom': 22,
    'Line/paint': INK,
    'stroke-width': 0.5,
  });
  await hand.text(
    'Address',
    'The Observatory, above Hollin Ford  ·  open every clear Friday  ·  hello@quillrook.example',
    { box: letter, 'x-left': 8, 'x-right': 8, 'y-bottom': 14, 'y-height': 5.5, ink: INK, 'set in': '8.5/11 centred' },
  );
}

async function back(hand: Hand): Promise<void> {
  await hand.shape('x', 'Night', { box: 'trim' });
  await hand.key('w');
  await hand.gradient(
    'Fill/paint',
    [
      [0, INK],
      [58, '74 66 16 10'],
      [100, '22 54 34 0'],
    ],
    { angle: 90 },
  );
  await hand.place('emblem.svg', 'Pale emblem', {
    box: 'trim',
    'x-width': 108,
    'x-off centre': 0,
    'y-height': 108,
    'y-off centre': 0,
    opacity: 22,
  });
  await hand.within('Colours', () => hand.set({ 'colour 1': PALE, 'colour 2': PALE }));
}
