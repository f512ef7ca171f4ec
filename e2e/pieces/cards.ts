import type { Hand } from './hand';
import { EMBER, INK, PALE, YELLOW } from './inks';

/** The business card of a volunteer: her name across the front, the emblem alone on the back. */
export async function businessCard(hand: Hand): Promise<void> {
  await hand.begin('Business card', {
    Name: 'Business card',
    'Finished size': '85 x 55 mm',
    'Printed sides': '2',
    Paper: 'Heather offset 300',
  });
  await hand.text('Name', 'Ada Fellwright', {
    'x-left': 1,
    'x-width': 54,
    'y-top': 1.5,
    'y-height': 'content',
    'set in': 'League Gothic 40/40 caps',
    ink: INK,
    'Frame › fitted to': 'width, by size',
  });
  await hand.text('Calling', 'Keeper of the observatory', {
    'x-left': 1,
    'x-width': 54,
    'y-height': 5,
    'set in': 'Familjen Grotesk 10/13',
    ink: INK,
    down: 'past Name',
    'y-top': 1,
  });
  await hand.text('Reached at', 'The Old Toll House, Hollin Ford\nada@quillrook.example\n020 7946 0018, after dusk', {
    'x-left': 1,
    'x-width': 60,
    'y-height': 13,
    'y-bottom': 0.5,
    'set in': 'Familjen Grotesk 8.5/12',
    ink: INK,
  });
  await hand.place('emblem.svg', 'Emblem', { 'x-width': 13, 'x-right': 1, 'y-height': 13, 'y-bottom': 1 });
  await hand.within('Colours', () => hand.set({ 'colour 1': INK, 'colour 2': EMBER }));

  await hand.key('b');
  await hand.shape('x', 'Night', { box: 'trim', 'Fill/paint': INK });
  await hand.key('w');
  await hand.place('emblem.svg', 'Emblem on the back', {
    box: 'trim',
    'x-width': 29,
    'x-off centre': 0,
    'y-height': 29,
    'y-off centre': 0,
  });
  await hand.within('Colours', () => hand.set({ 'colour 1': PALE, 'colour 2': YELLOW }));
}

/** The member card: a place for the member’s picture, name and number; the rules on the back. */
export async function memberCard(hand: Hand): Promise<void> {
  await hand.begin('Business card', {
    Name: 'Member cards',
    'Finished size': '85.6 x 54 mm',
    'Printed sides': '2',
    Corners: 'round',
    Paper: 'Heather offset 300',
  });
  await hand.shape('x', 'Night', { box: 'trim', 'Fill/paint': INK });
  await hand.key('w');
  await hand.shape('x', 'Band', {
    box: 'trim',
    'x-width': '100 %',
    'x-left': 0,
    'y-height': 11,
    'y-bottom': 0,
    'Fill/paint': YELLOW,
  });
  await hand.place('emblem.svg', 'Emblem', { 'x-width': 11, 'x-left': 0.5, 'y-height': 11, 'y-top': 0.5 });
  await hand.within('Colours', () => hand.set({ 'colour 1': PALE, 'colour 2': YELLOW }));
  await hand.text('Title', 'Quillrook\nDark-Sky Society', {
    box: 'past Emblem',
    'x-left': 2.5,
    'x-width': 40,
    'set in': 'League Gothic 14/13 caps',
    ink: PALE,
    down: 'Emblem',
    'y-height': 12,
    'y-off centre': 0,
    'Frame › stands': 'middle',
  });
  await hand.shape('Empty picture frame', 'picture', {
    box: 'trim',
    'x-width': 23,
    'x-right': 5,
    'y-height': 29,
    'y-top': 6.5,
  });
  await hand.bring('moon.jpg');
  await hand.text('Name', 'Ada Fellwright', {
    'x-left': 0.5,
    'x-width': 48,
    'y-top': 18,
    'y-height': 8,
    'set in': 'Familjen Grotesk 700 14/17',
    ink: 'paper',
  });
  await hand.text('Number', 'Member 0017, since 2017', {
    'x-left': 0.5,
    'x-width': 48,
    'y-top': 25,
    'y-height': 5,
    'set in': 'Familjen Grotesk 8.5/11',
    ink: PALE,
  });
  await hand.text('Valid', 'Valid until the next new moon of January 2028', {
    box: 'trim',
    'x-left': 4.5,
    'x-width': 76,
    'set in': 'Familjen Grotesk 700 8.5/11',
    ink: INK,
    'y-height': 5,
    down: 'Band',
    'y-off centre': 0,
    'Frame › stands': 'middle',
  });

  await hand.key('b');
  await hand.shape('x', 'Pale', { box: 'trim', 'Fill/paint': PALE });
  await hand.key('w');
  await hand.text(
    'Rules',
    'Shows the way to the dark field.\nOpens the gate on all clear Fridays.\nEntitles to one bowl of soup, ' +
      'and to silence.',
    {
      'x-left': 1,
      'x-width': '',
      'x-right': 1,
      'y-top': 3,
      'y-height': 24,
      'set in': 'Familjen Grotesk 10/15',
      ink: INK,
    },
  );
  await hand.text('Found', 'Found this card? The Old Toll House at Hollin Ford will be glad.', {
    'x-left': 1,
    'x-width': '',
    'x-right': 1,
    'y-height': 10,
    'y-bottom': 1,
    'set in': 'Familjen Grotesk 8/11',
    ink: INK,
    'Frame › stands': 'bottom',
  });
}

/** The solstice card: the longest night on its front, a wish within. */
export async function solsticeCard(hand: Hand): Promise<void> {
  await hand.begin('Folded card', {
    Name: 'Solstice card',
    'Finished size': '5 x 7 in',
    Paper: 'Bilberry card 240, short grain',
    Printer: 'Copperplate Yard',
  });
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
  await hand.shape('o', 'Sun', {
    box: 'front',
    'x-width': '2in',
    'x-off centre': '0in',
    'y-height': '2in',
    'y-off centre': '-1.55in',
    'Fill/paint': YELLOW,
  });
  await hand.shape('o', 'Moon', {
    box: 'Sun',
    'x-width': '1.9in',
    'x-left': '0.3in',
    'y-height': '1.9in',
    'y-top': '-0.12in',
    'Fill/paint': '84 75 32 28',
  });
  await hand.text('Greeting', 'The longest\nnight', {
    box: 'front',
    'x-width': '3.6in',
    'x-off centre': '0in',
    'y-height': 'content',
    'y-bottom': '0.6in',
    'set in': 'League Gothic 60/54 caps',
    ink: PALE,
    'Frame › fitted to': 'width, by size',
  });
  await hand.text('Colophon', 'Quillrook Dark-Sky Society, winter 2026', {
    box: 'back',
    'x-width': '4in',
    'x-off centre': '0in',
    'y-height': '0.25in',
    'y-bottom': '0.5in',
    'set in': 'Familjen Grotesk 9/12 centred',
    ink: PALE,
  });
  await hand.place('emblem.svg', 'Emblem', {
    box: 'back',
    'x-width': '0.8in',
    'x-off centre': '0in',
    'y-height': '0.8in',
    'y-bottom': '0.9in',
  });
  await hand.within('Colours', () => hand.set({ 'colour 1': PALE, 'colour 2': YELLOW }));

  await hand.key('b');
  await hand.text(
    'Wish',
    'May your nights be dark,\nyour soup be hot,\nand your first word at the eyepiece\nbe the one that everybody says.',
    {
      box: 'inside right',
      'x-width': '4in',
      'x-off centre': '0in',
      'y-height': '2in',
      'y-off centre': '-0.3in',
      'set in': 'Lora italic 15/24 centred',
      ink: INK,
      'Frame › stands': 'middle',
    },
  );
  await hand.shape('l', 'Rule', {
    box: 'inside right',
    'x-width': '0.8in',
    'x-off centre': '0in',
    'y-off centre': '1.1in',
    'Line/paint': EMBER,
    'stroke-width': 1.5,
  });
}
