import type { Hand } from './hand';
import { EMBER, INK, PALE, YELLOW } from './inks';

/** The flyer for the meteor night: A5, printed on both sides. */
export async function meteorNight(hand: Hand): Promise<void> {
  await hand.begin('Flyer', { Name: 'Meteor-night flyer', 'Finished size': 'A5', 'Printed sides': '2' });
  await front(hand);
  await hand.key('b');
  await back(hand);
}

async function front(hand: Hand): Promise<void> {
  await hand.bring('sky-over-the-moor.jpg');
  await hand.set({ 'focus down': 100 });
  await hand.name('Sky over the moor');

  await hand.text('Headline', 'Meteor\nnight', {
    'y-top': -4,
    'y-height': 132,
    ink: PALE,
    'set in': 'League Gothic 178/146 caps',
  });
  await hand.within('Effects', async () => {
    await hand.press('Outer glow');
    await hand.set({ blur: 6, colour: '12 52 40 0', opacity: 55 });
  });
  // A shade for the names to stand on: nothing at its head, ink at its foot.
  await hand.shape('x', 'Shade', {
    box: 'trim',
    'x-left': 0,
    'x-width': '100 %',
    'y-height': 72,
    'y-bottom': 0,
    'Fill/paint': INK,
  });
  await hand.gradient('Fill/paint', [
    [0, INK, 0],
    [62, INK, 92],
  ]);
  await hand.text('Tagline', 'Lie down, look up,\ncount to sixty.', {
    'y-top': 112,
    'y-height': 20,
    ink: 'paper',
    'set in': 'Lora 19/24',
  });

  await hand.shape('x', 'Date band', {
    box: 'trim',
    'x-width': '',
    'x-left': 44,
    'x-right': 0,
    'y-height': 24,
    'y-bottom': 50,
    'Fill/paint': YELLOW,
  });
  await hand.within('Effects', async () => {
    await hand.press('Drop shadow');
    await hand.set({ across: -0.8, down: 1.6, blur: 3, opacity: 45 });
  });
  await hand.text('Date', 'Wed 12 August, from 20:30', {
    box: 'Date band',
    'x-left': 7,
    'x-right': 5,
    'y-top': 2.6,
    'y-height': 12,
    ink: INK,
    'set in': 'Oswald 600 20/24 caps',
  });
  await hand.text('Place', 'Quillrook observatory, above Hollin Ford', {
    box: 'Date band',
    'x-left': 7,
    'x-right': 5,
    'y-bottom': 2.8,
    'y-height': 7,
    ink: INK,
    'set in': '600 12.5/15',
  });

  // Names in two rows: each row keeps its gaps equal, however long the names are.
  const performer = {
    'x-width': 'content',
    'y-height': 6,
    'y-bottom': 27,
    ink: PALE,
    'Frame › stands': 'middle',
    'set in': 'Familjen Grotesk 700 13.5/16',
  };
  await hand.text('With', 'with music and stories by', {
    'y-bottom': 35.5,
    'y-height': 6,
    ink: PALE,
    'set in': 'Lora italic 11/14',
  });
  await hand.text('Player 1', 'Ada Fellwright', performer);
  await hand.another('Player 2', 'The Low Lanterns');
  await hand.another('Player 3', 'Tobiah Wren');
  await hand.another('Player 4', 'Marrow & Pine', { 'y-bottom': 18.5 });
  await hand.another('Player 5', 'Owlet Choir');
  await hand.another('Player 6', 'Issy Quill');
  await hand.unfold('On this side');
  for (const row of [
    [1, 2, 3],
    [4, 5, 6],
  ]) {
    await hand.select(...row.map((n) => `Player ${n}`));
    await hand.key('Control+g');
    await hand.set({ 'stands in': 'a row across' });
  }
  await hand.shape('l', 'Rule', {
    'x-width': '',
    'x-left': 0,
    'x-right': 0,
    'y-bottom': 13.2,
    'Line/paint': PALE,
    'stroke-width': 0.75,
  });
  await hand.text('Society', 'Quillrook Dark-Sky Society', {
    'y-bottom': 5.6,
    'y-height': 6.5,
    ink: 'paper',
    'set in': 'Familjen Grotesk 700 13.5/16',
  });
  await hand.text('Credit', 'Free entry. Bring a blanket; leave white lamps at home.', {
    'y-bottom': 0,
    'y-height': 4.6,
    ink: 'paper',
    'set in': '8.5/11',
  });
}

const PROGRAMME = [
  ['20:30', 'Gates and hot soup at the hut'],
  ['21:00', 'How to look up: a talk for beginners'],
  ['21:30', 'Telescopes open: Saturn, then the moon'],
  ['22:15', 'Walk out to the dark field, red lamps only'],
  ['22:30', 'Counting meteors, lying down'],
  ['00:30', 'Last look, cocoa, and the bus back'],
] as const;

async function back(hand: Hand): Promise<void> {
  await hand.shape('x', 'Ground', { box: 'trim', 'Fill/paint': '2 3 14 0' });
  await hand.key('w');
  await hand.shape('x', 'Head', {
    box: 'trim',
    'y-top': 0,
    'y-height': 56,
    'x-width': '100 %',
    'x-left': 0,
    'Fill/paint': INK,
  });
  await hand.shape('o', 'Moon', { 'y-top': 8, 'y-height': 26, 'x-width': 26, 'x-right': 6, 'Fill/paint': YELLOW });
  await hand.shape('o', 'Moon’s shadow', {
    'y-height': 24,
    'x-width': 24,
    box: 'Moon',
    'x-right': -5,
    'y-top': -3,
    'Fill/paint': INK,
  });
  await hand.text('What is on', 'What\nis on', {
    'y-top': 0,
    'y-height': 47,
    ink: PALE,
    'set in': 'League Gothic 64/56 caps',
  });
  await hand.table('Programme', PROGRAMME, {
    'y-top': 57,
    'x-left': 0,
    'x-width': '',
    'x-right': 0,
    'y-height': '258pt',
    'set in': '12.5/15',
    'column-widths': '24; rest',
    'in a higher box': 'all rows alike',
  });
  await hand.within('Rows', () => hand.set({ 'header-rows': 0 }));
  await hand.within('Cells', () => hand.set({ 'words stand': 'middle', 'inset-left': 0 }));
  await hand.within('Lines', async () => {
    await hand.set({ paint: INK, 'stroke-width': 0.5 });
    await hand.press('between rows');
  });
  await hand.cells(['ArrowDown', 5], { 'set in': 'IBM Plex Mono 600 12/15', ink: INK });
  await hand.text('Why dark', 'Why we keep it dark', {
    'y-bottom': 33,
    'y-height': 7,
    ink: INK,
    'set in': 'Familjen Grotesk 700 12/14.4',
  });
  await hand.key('Escape');
  await hand.unfold('Grids');
  await hand.grid('notes', { columns: 2, gutter: 6 });
  const body = {
    'y-bottom': 7,
    'y-height': 27,
    'set in': 'Source Serif 4 9.5/13 justified hyphenated',
  };
  await hand.text(
    'Why dark, left',
    'Eyes need about twenty minutes to learn the dark and one headlamp to forget it. Please use red light ' +
      'only, and point it at the ground.',
    { box: 'column 1 of notes', 'x-left': 0, 'x-right': 0, ...body },
  );
  await hand.another(
    'Why dark, right',
    'The bus leaves Hollin Ford bridge at ten past eight and waits for everybody. If cloud comes in, we try ' +
      'again the night after.',
    { box: 'column 2 of notes', 'x-left': 0, 'x-right': 0 },
  );
  await hand.shape('x', 'Foot band', {
    box: 'trim',
    'y-height': 6,
    'y-bottom': 0,
    'x-width': '100 %',
    'x-left': 0,
    'Fill/paint': EMBER,
  });
}
