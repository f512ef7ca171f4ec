import type { Hand } from './hand';
import { EMBER, INK, PALE, YELLOW } from './inks';

const COLOURS = {
  'Colours/ink': INK,
  'Colours/pale lines': '40 34 20 8',
  'Colours/accent': EMBER,
  'Colours/areas': PALE,
};
const TYPE = { 'Type › words in': 'Familjen Grotesk', 'Type › titles in': 'Familjen Grotesk' };

/** The observing pad: what must be seen tonight and what the sky allows; two stand on a US letter. */
export async function observingPad(hand: Hand): Promise<void> {
  await hand.beginPrintable('List with boxes', {
    Name: 'Observing pad',
    'Finished size': '5 x 7.5 in',
    Paper: 'Heather offset 80',
    Sections: 'Must be seen tonight: 5\nIf the sky holds: 6\nAlso seen',
  });
  await hand.first();
  await hand.say({ ...COLOURS, ...TYPE, 'x-left': '0.1125 in', 'x-right': '0.1125 in', 'y-top': '1.32 in' }, 'List');
  await hand.shape('x', 'Band', {
    box: 'trim',
    'y-height': '1 in',
    'y-top': 0,
    'x-left': 0,
    'x-width': '100 %',
    'Fill/paint': INK,
  });
  await hand.text('Title', 'Tonight', {
    box: 'Band',
    'x-left': '0.3 in',
    'x-width': '3 in',
    'y-height': '0.6 in',
    'y-off centre': '0.1 in',
    'set in': 'League Gothic 34/34 caps',
    ink: PALE,
    'Frame › stands': 'middle',
  });
  await hand.place('emblem.svg', 'Emblem', {
    box: 'Band',
    'x-width': '0.55 in',
    'x-right': '0.3 in',
    'y-height': '0.55 in',
    'y-off centre': '0.1 in',
  });
  await hand.within('Colours', () => hand.set({ 'colour 1': PALE, 'colour 2': YELLOW }));
  await hand.printable('Name and date', 'Night and place', {
    box: 'trim',
    'x-left': '0.3 in',
    'x-right': '0.3 in',
    'y-top': '1.08 in',
    'y-height': '0.3 in',
    ...TYPE,
  });
  await hand.decide({ size: '8 pt', row: '0.3 in', fields: 'Night\nPlace\nMoon' });
}

/** The log of a night, on A4 and on US letter: one table, worked out for both. */
export async function ruledLog(hand: Hand): Promise<void> {
  await hand.beginPrintable('Log', {
    Name: 'Observing log',
    'Also on': 'US letter',
    Paper: 'Heather offset 80',
    Columns: 'Time = 20 mm\nObject\nSeen with = 30 mm\nSeeing = 20 mm\nWhat was seen = 60 mm',
  });
  await hand.unfold('Pages and base layouts');
  await hand.press('Lay out Log');
  await hand.first();
  await hand.say({ ...COLOURS, ...TYPE, 'y-top': 32 });
  await hand.decide({ row: '9 mm', fit: 'fill the height', bands: 'every second' });
  await hand.text('Title', 'Log of a night', {
    'x-left': 0,
    'x-width': 110,
    'y-top': 0,
    'y-height': 17,
    'set in': 'League Gothic 38/38 caps',
    ink: INK,
  });
  await hand.printable('Name and date', 'Who and when', {
    'x-left': 0,
    'x-right': 0,
    'y-top': 18,
    'y-height': 10,
    ...TYPE,
  });
  await hand.decide({ size: '9 pt', fields: 'Observer\nDate\nPlace\nFaintest star' });
}

/** The planets to write: each name once in full, then with fewer and fewer dots. */
export async function planetsTracing(hand: Hand): Promise<void> {
  await hand.beginPrintable('Words to trace', {
    Name: 'Planets to write',
    Paper: 'Heather offset 80',
    Words: 'Mercury\nVenus\nEarth\nMars\nJupiter\nSaturn\nUranus\nNeptune',
    'Between sets': '10 mm',
    Ground: 'tinted around the sets',
    Head: '6 mm',
  });
  await hand.first();
  await hand.say({ ...COLOURS, 'y-top': 40 }, 'Planets');
  await hand.decide({ fit: 'fill the height' });
  await hand.text('Title', 'The planets', {
    'x-left': 0,
    'x-width': 120,
    'y-top': 0,
    'y-height': 20,
    'set in': 'League Gothic 46/46 caps',
    ink: INK,
  });
  await hand.text('How', 'Begin each letter at its top. Go over the dots, then write on alone.', {
    'x-left': 0,
    'x-width': 120,
    'y-top': 19,
    'y-height': 7,
    'set in': 'Familjen Grotesk 11/14',
    ink: INK,
  });
  await hand.printable('Name and date', 'Who', { 'x-left': 0, 'x-right': 0, 'y-top': 28, 'y-height': 9, ...TYPE });
  await hand.decide({ size: '11 pt', fields: 'My name\nDate' });
  await hand.place('emblem.svg', 'Emblem', { 'x-width': 20, 'x-right': 0, 'y-height': 20, 'y-top': 0 });
  await hand.within('Colours', () => hand.set({ 'colour 1': INK, 'colour 2': EMBER }));
}

/** Nineteen weeks, each on a spread, with the moon; a night on the cover. */
export async function observingPlanner(hand: Hand): Promise<void> {
  await hand.beginPrintable('Week on a spread', {
    Name: 'Observing planner 2028',
    From: '2028-01-03',
    Pages: '40',
    'Lines in a day': '5',
    Holidays: 'GB',
    'Own days': '2028-01-04 Quadrantids\n2028-04-22 Lyrids\n2028-05-05 Eta Aquariids\n',
    Moon: 'its four phases',
    Paper: 'Heather offset 80',
  });
  await hand.unfold('Pages and base layouts');
  await hand.press('Lay out Week on a spread');
  await hand.first();
  await hand.set({ ...COLOURS, ...TYPE });

  await hand.toPage('page 1');
  await hand.bring('sky-over-the-moor.jpg');
  await hand.name('Night');
  await hand.text('Title', 'Nights\n2028', {
    'x-left': 4,
    'x-width': 100,
    'y-top': 6,
    'y-height': 'content',
    'set in': 'League Gothic 96/84 caps',
    ink: PALE,
    'Frame › fitted to': 'width, by size',
  });
  await hand.text('Subtitle', 'January to May', {
    'x-left': 4,
    'x-width': 100,
    'y-height': 9,
    'set in': 'Familjen Grotesk 17/20',
    ink: YELLOW,
    down: 'past Title',
    'y-top': 2,
  });

  await hand.toPage('page 40');
  await hand.shape('x', 'Back', { box: 'trim', 'Fill/paint': INK });
  await hand.key('w');
  await hand.place('emblem.svg', 'Emblem', {
    box: 'trim',
    'x-width': 30,
    'x-off centre': 0,
    'y-height': 30,
    'y-off centre': 0,
  });
  await hand.within('Colours', () => hand.set({ 'colour 1': PALE, 'colour 2': YELLOW }));
}

/** Pictures of the calendar: the cover’s, then one a month. */
const CALENDAR_PICTURES = [
  'aurora-over-the-moor',
  'night-moon',
  'night-spiral',
  'night-comet',
  'night-meteors',
  'night-ringed-planet',
  'night-dome',
  'night-eclipse',
  'night-meteors',
  'night-northern-lights',
  'night-moon',
  'night-spiral',
  'night-dome',
] as const;

/** Months whose picture was there before: the other way round. */
const MIRRORED: readonly number[] = [8, 10, 11, 12];

/** The moon calendar: a cover, and a picture page and a grid page for each month. */
export async function moonCalendar(hand: Hand): Promise<void> {
  await hand.beginPrintable('Moon month', {
    Name: 'Moon calendar 2028',
    Year: '2028',
    Holidays: 'GB',
    'Own days':
      '2028-01-04 Quadrantids\n2028-04-22 Lyrids\n2028-08-12 Perseids\n2028-10-21 Orionids\n2028-12-14 Geminids',
    'Week rows': 'six',
    Paper: 'Heather offset 160',
  });
  await hand.unfold('Pages and base layouts');
  await hand.press('Lay out Moon month');
  await hand.first();
  await hand.set({ ...COLOURS, 'Type › words in': 'Familjen Grotesk', 'Type › titles in': 'League Gothic' });
  await hand.key('f');
  for (const [month, picture] of CALENDAR_PICTURES.entries()) {
    if (month > 0) await hand.key('PageDown');
    await hand.bring(`${picture}.jpg`);
    if (MIRRORED.includes(month)) await hand.set({ 'Framing › left to right': true });
    if (month > 0) await hand.key('PageDown');
  }
  await hand.key('f');
  await hand.text('Title', 'Moons\nof 2028', {
    'x-left': 14,
    'x-width': 150,
    'y-top': 22,
    'y-height': 'content',
    'set in': 'League Gothic 96/84 caps',
    ink: PALE,
  });
  await hand.text('Society', 'Quillrook Dark-Sky Society', {
    'x-left': 14,
    'x-width': 150,
    'y-bottom': 14,
    'y-height': 9,
    'set in': 'Familjen Grotesk 17/20',
    ink: YELLOW,
  });
}

/** A year for the pocket: a night in front, the days behind. */
export async function yearCard(hand: Hand): Promise<void> {
  await hand.beginPrintable('Pocket year', {
    Name: 'Year card 2028',
    Year: '2028',
    'Finished size': '85 x 55 mm',
    'Printed sides': '2',
    Paper: 'Heather offset 300',
    Holidays: 'GB',
  });
  await hand.first();
  await hand.set({ ...COLOURS, ...TYPE });
  await hand.key('b');
  await hand.shape('x', 'Night', { box: 'trim', 'Fill/paint': INK });
  await hand.key('w');
  await hand.place('emblem.svg', 'Emblem', {
    box: 'trim',
    'x-width': 29,
    'x-off centre': 0,
    'y-height': 29,
    'y-off centre': 0,
  });
  await hand.within('Colours', () => hand.set({ 'colour 1': PALE, 'colour 2': YELLOW }));
}

/** Tickets for the meteor night, ten to a sheet, numbered on the stub and on the ticket. */
export async function tickets(hand: Hand): Promise<void> {
  await hand.beginPrintable('Tickets with stubs', {
    Name: 'Meteor-night tickets',
    'First number': '1',
    Paper: 'Tarn board 300',
  });
  await hand.first();
  await hand.name('Tickets');
  await hand.set({ ...COLOURS, 'Type › words in': 'Familjen Grotesk', 'Type › titles in': 'League Gothic' });
  await hand.decide({ words: '11 August 2028, from 21:30\nThe dark field at Hollin Ford\nAdmits one, and a blanket' });
}
