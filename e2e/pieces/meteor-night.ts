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

  await hand.text('Headline', 'Meteor\nnight', { 'y-top': -4, 'y-height': 132, face: 'League Gothic', 'type-size': 178, leading: 146, ink: PALE, case: 'CAPITALS' }); // prettier-ignore
  await hand.within('Effects', async () => {
    await hand.press('Outer glow');
    await hand.set({ blur: 6, colour: '12 52 40 0', opacity: 55 });
  });
  await hand.text('Tagline', 'Lie down, look up,\ncount to sixty.', { 'y-top': 112, 'y-height': 20, face: 'Lora', 'type-size': 19, leading: 24, ink: 'paper' }); // prettier-ignore

  await hand.shape('x', 'Date band', { box: 'trim', 'x-width': '', 'x-left': 44, 'x-right': 0, 'y-height': 24, 'y-bottom': 48, paint: YELLOW }); // prettier-ignore
  await hand.within('Effects', async () => {
    await hand.press('Drop shadow');
    await hand.set({ across: -0.8, down: 1.6, blur: 3, opacity: 45 });
  });
  await hand.text('Date', 'Wed 12 August, from 20:30', { box: 'Date band', 'x-left': 7, 'y-top': 4.2, 'y-height': 9, face: 'Oswald', weight: 600, 'type-size': 20, leading: 24, ink: INK, case: 'CAPITALS' }); // prettier-ignore
  await hand.text('Place', 'Quillrook observatory, above Hollin Ford', { box: 'Date band', 'x-left': 7, 'y-bottom': 3.6, 'y-height': 6, weight: 600, 'type-size': 12.5, leading: 15, ink: INK }); // prettier-ignore

  // Names in two rows: each row keeps its gaps equal, however long the names are.
  const performer = { 'x-width': 'content', 'y-height': 6, 'y-bottom': 27, face: 'Familjen Grotesk', weight: 700, 'type-size': 13.5, leading: 16, ink: PALE, stands: 'middle' }; // prettier-ignore
  await hand.text('With', 'with music and stories by', { 'y-bottom': 35.5, 'y-height': 6, face: 'Lora', 'type-size': 11, leading: 14, ink: PALE, italic: true }); // prettier-ignore
  await hand.text('Player 1', 'Ada Fellwright', performer);
  await hand.another('Player 2', 'The Low Lanterns');
  await hand.another('Player 3', 'Tobiah Wren');
  await hand.another('Player 4', 'Marrow & Pine', { 'y-bottom': 18.5 });
  await hand.another('Player 5', 'Owlet Choir');
  await hand.another('Player 6', 'Issy Quill');
  await hand.unfold('On this side');
  for (const row of [[1, 2, 3], [4, 5, 6]]) {
    await hand.select(...row.map((n) => `Player ${n}`));
    await hand.key('Control+g');
    await hand.set({ 'stands in': 'a row across' });
  } // prettier-ignore
  await hand.shape('l', 'Rule', { 'x-width': '', 'x-left': 0, 'x-right': 0, 'y-bottom': 13.2, paint: PALE, 'stroke-width': 0.75 }); // prettier-ignore
  await hand.text('Society', 'Quillrook Dark-Sky Society', { 'y-bottom': 5.6, 'y-height': 6.5, face: 'Familjen Grotesk', weight: 700, 'type-size': 13.5, leading: 16, ink: 'paper' }); // prettier-ignore
  await hand.text('Credit', 'Free entry. Bring a blanket; leave white lamps at home.', { 'y-bottom': 0, 'y-height': 4.6, 'type-size': 8.5, leading: 11, ink: 'paper' }); // prettier-ignore
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
  await hand.shape('x', 'Ground', { box: 'trim', paint: '2 3 14 0' });
  await hand.key('w');
  await hand.shape('x', 'Head', { box: 'trim', 'y-top': 0, 'y-height': 56, 'x-width': '100 %', 'x-left': 0, paint: INK });
  await hand.shape('o', 'Moon', { 'y-top': 8, 'y-height': 26, 'x-width': 26, 'x-right': 6, paint: YELLOW });
  await hand.within('Effects', async () => {
    await hand.press('Outer glow');
    await hand.set({ blur: 5, colour: YELLOW, opacity: 40 });
  });
  await hand.shape('o', 'Moon’s shadow', { 'y-height': 24, 'x-width': 24, box: 'Moon', 'x-right': -5, 'y-top': -3, paint: INK });
  await hand.text('What is on', 'What\nis on', { 'y-top': 0, 'y-height': 47, face: 'League Gothic', 'type-size': 64, leading: 56, ink: PALE, case: 'CAPITALS' }); // prettier-ignore
  // One pitch of 40 pt for times, words and the rules between them.
  await hand.text('Times', PROGRAMME.map(([time]) => time).join('\n'), { 'y-top': 57, 'y-height': '240pt', 'x-width': 22, face: 'IBM Plex Mono', weight: 600, 'type-size': 12, leading: 40, ink: INK }); // prettier-ignore
  await hand.text('Programme', PROGRAMME.map(([, what]) => what).join('\n'), { 'y-top': 57, 'y-height': '240pt', 'x-left': 24, 'x-right': 0, 'type-size': 12.5, leading: 40, ink: '0 0 0 100' }); // prettier-ignore
  await hand.shape('l', 'Rule', { box: 'Programme', 'x-width': '', 'x-left': -24, 'x-right': 0, 'y-top': '36pt', paint: INK, 'stroke-width': 0.35 }); // prettier-ignore
  await hand.within('Repeat', async () => {
    await hand.press('In rows');
    await hand.set({ across: 1, down: 5, 'gap down': '40pt' });
  });
  await hand.text('Why dark', 'Why we keep it dark', { 'y-bottom': 36, 'y-height': 7, face: 'Familjen Grotesk', weight: 700, 'type-size': 12, leading: 14.4, ink: INK }); // prettier-ignore
  await hand.key('Escape');
  await hand.unfold('Grids');
  await hand.grid('notes', { columns: 2, gutter: 6 });
  const body = { 'y-bottom': 7, 'y-height': 27, face: 'Source Serif 4', 'type-size': 9.5, leading: 13, lines: 'justified', hyphenate: true };
  await hand.text('Why dark, left', 'Eyes need about twenty minutes to learn the dark and one headlamp to forget it. Please use red light only, and point it at the ground.', { box: 'column 1 of notes', ...body }); // prettier-ignore
  await hand.another('Why dark, right', 'The bus leaves Hollin Ford bridge at ten past eight and waits for everybody. If cloud comes in, we try again the night after.', { box: 'column 2 of notes', 'x-left': 0 }); // prettier-ignore
  await hand.shape('x', 'Foot band', { box: 'trim', 'y-height': 6, 'y-bottom': 0, 'x-width': '100 %', 'x-left': 0, paint: EMBER });
}
