import type { Hand } from './hand';
import { INK, YELLOW } from './inks';

/** Places of the styles in their list: their keys while words are typed. */
const [BODY, SECTION, DATE, POST, POINT] = [1, 2, 3, 4, 5] as const;

/** The volunteer’s CV: three columns whose feet are level, in styles that are all based on one. */
export async function volunteerCv(hand: Hand): Promise<void> {
  await hand.begin('CV', { Name: 'Volunteer’s CV', 'Finished size': 'A4', 'Printed sides': '1' });
  await hand.size({ 'Safe margin/each edge': '15 mm', columns: '3', gutter: '8 mm' });
  await hand.unfold('Styles');
  await hand.style('Body', 'Source Serif 4 10/14.5 hyphenated', { ink: INK });
  await hand.style('Section', 'Familjen Grotesk 700 13/16 before 4.5 after 1.2 unhyphenated keep', {
    ink: INK,
    next: 'Body',
  });
  await hand.style('Date', 'Familjen Grotesk 9.5/12 before 2.5 unhyphenated keep', { ink: '60 48 30 10' });
  await hand.style('Post', 'Familjen Grotesk 700 10.5/14.5 after 0.5 unhyphenated keep', { ink: INK });
  await hand.style('Point', 'Source Serif 4 10/14.5 bullets indent 3.5 first -3.5 after 0.6', { ink: INK });
  await hand.fold('Styles');

  await hand.shape('x', 'Band', {
    box: 'trim',
    'x-width': '100 %',
    'x-left': 0,
    'y-top': 0,
    'y-height': 60,
    'Fill/paint': INK,
  });
  await hand.place('emblem.svg', 'Emblem', {
    box: 'column 3',
    'x-width': 26,
    'x-right': 0,
    'y-height': 26,
    down: 'Band',
    'y-off centre': 0,
  });
  await hand.within('Colours', () => hand.set({ 'colour 1': '2 6 26 0', 'colour 2': YELLOW }));
  await hand.text('Name', 'Ada Fellwright', {
    box: 'columns 1–2',
    'x-left': 0,
    'x-right': 0,
    'set in': 'League Gothic 64/64 caps +10',
    ink: '2 6 26 0',
    'Frame › fitted to': 'width, by size',
    'y-height': 'content',
    'y-top': 0,
  });
  await hand.text('Calling', 'keeps the telescopes, the soup and the quiet of the dark field', {
    box: 'columns 1–2',
    'x-left': 0,
    'x-right': 0,
    'set in': 'Lora italic 11.5/15',
    ink: YELLOW,
    'y-height': 6.5,
    down: 'Band',
    'y-bottom': 7,
  });

  const column = { 'x-left': 0, 'x-right': 0, 'y-height': '', 'y-top': 53, 'y-bottom': 40, 'Frame › stands': 'spread' };
  await hand.story(
    'Left',
    [
      [SECTION, 'At a glance'],
      [
        BODY,
        'Volunteer guide of the Quillrook Dark-Sky Society since it had one telescope and no roof. Explains ' +
          'the sky to people who came for the soup.',
      ],
      [SECTION, 'Reached at'],
      [BODY, 'The Old Toll House, Hollin Ford'],
      [BODY, 'ada@quillrook.example'],
      [BODY, '020 7946 0018, after dusk'],
      [SECTION, 'Good with'],
      [POINT, 'Dobsonian and refracting telescopes, their mirrors and their moods'],
      [undefined, 'Red torches, cold fingers and first questions'],
      [undefined, 'School classes of up to thirty, in rain'],
      [undefined, 'Sky-quality meters and the spreadsheets they fill'],
      [SECTION, 'Languages'],
      [BODY, 'English and Welsh; enough German to read an eyepiece catalogue'],
    ],
    { box: 'column 1', ...column },
  );
  await hand.story(
    'Work',
    [
      [SECTION, 'With the society'],
      [DATE, '2019 – now'],
      [POST, 'Keeper of the observatory'],
      [POINT, 'Opened the field on 214 clear Fridays; counted 11,300 visitors and 46 hedgehogs'],
      [undefined, 'Rebuilt the sliding roof from a greenhouse, on time and under the price of paint'],
      [undefined, 'Trained 22 guides, who now train each other'],
      [DATE, '2014 – 2019'],
      [POST, 'Guide and soup master'],
      [POINT, 'Wrote the ten-minute tour of the summer sky that is still given'],
      [undefined, 'Persuaded the parish to shade 61 street lamps; the Milky Way came back over Mill Lane'],
      [SECTION, 'Paid work'],
      [DATE, '2006 – now'],
      [POST, 'Instrument maker, Hollin Ford'],
      [POINT, 'Repairs barometers, levels and the odd church clock'],
      [undefined, 'Keeps a workshop of two benches and one apprentice'],
      [DATE, '1999 – 2006'],
      [POST, 'Optician’s technician, Brackenmere'],
      [POINT, 'Ground and fitted lenses for four shops'],
      [undefined, 'Learned that nobody reads the instructions, and how to write them so that somebody does'],
      [SECTION, 'Learning'],
      [DATE, '1996 – 1999'],
      [POST, 'Certificate in precision mechanics, Brackenmere College'],
      [BODY, 'With a year’s project on a clock drive for a six-inch reflector.'],
      [DATE, '2011'],
      [POST, 'First aid outdoors'],
      [BODY, 'Renewed every third year, last in 2026.'],
    ],
    {
      box: 'columns 2–3',
      ...column,
      'Frame › text-columns': 2,
      'Frame › column-gap': 8,
      'Frame › columns level': true,
    },
  );

  await hand.shape('l', 'Rule', {
    'x-width': '',
    'x-left': 0,
    'x-right': 0,
    'y-bottom': 34,
    'Line/paint': INK,
    'stroke-width': 0.75,
  });
  await hand.story('References', [[SECTION, 'References']], {
    'x-left': 0,
    'x-right': 0,
    'y-bottom': 25,
    'y-height': 7,
  });
  const reference = { 'x-left': 0, 'x-right': 0, 'y-bottom': 0, 'y-height': 22 };
  await hand.story(
    'Reference 1',
    [
      [POST, 'Tomos Brackwater'],
      [BODY, 'Chair of the society. Has known Ada since she asked to borrow the key.'],
    ],
    { box: 'column 1', ...reference },
  );
  await hand.story(
    'Reference 2',
    [
      [POST, 'Dr Wen Harrowgate'],
      [BODY, 'Head of science, Brackenmere School. Brings every class twice.'],
    ],
    { box: 'column 2', ...reference },
  );
  await hand.story(
    'Reference 3',
    [
      [POST, 'Ivo Lanternshaw'],
      [BODY, 'Clerk of the parish. Signed for the sixty-one lamps, and would again.'],
    ],
    { box: 'column 3', ...reference },
  );
}
