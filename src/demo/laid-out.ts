import { elementsOn, withSide, type Element, type Job } from '../core/job';
import { fromKept, type BroughtIn, type Kept } from './keep';

type Board = Pick<Job, 'stage' | 'notes'> & { readonly due: string; readonly quantity: number };

/**
 * A piece that was laid out on the bench, by the name of its file under `assets/demo`, and what the board says of it.
 */
export interface LaidOut extends Board {
  readonly file: string;
  readonly name: string;
}

export const LAID_OUT: readonly LaidOut[] = [
  {
    file: 'volunteer-cv',
    name: 'Volunteer’s CV',
    stage: 'sent',
    due: '2027-01-22',
    quantity: 12,
    notes: 'For the county’s volunteer prize. The jury reads it on paper, in A4 and in US letter.',
  },
  {
    file: 'letterhead',
    name: 'Letterhead',
    stage: 'sent',
    due: '2027-01-15',
    quantity: 1500,
    notes: 'The filing margin stays empty; letters are printed on it at the observatory.',
  },
  {
    file: 'report-poster',
    name: 'Report of a dark year',
    stage: 'checked',
    due: '2027-01-08',
    quantity: 60,
    notes: 'Hangs in the library and at the bus stop. Read from a metre away.',
  },
  {
    file: 'tent-banner',
    name: 'Tent banner',
    stage: 'in work',
    due: '2027-01-30',
    quantity: 2,
    notes: 'Tied to the poles of the soup tent.',
  },
  {
    file: 'visitor-folder',
    name: 'Visitor folder',
    stage: 'in work',
    due: '2027-02-12',
    quantity: 4000,
    notes: 'Lies beside the till, and goes out with every letter.',
  },
  {
    file: 'catalogue',
    name: 'Ten years of night skies',
    stage: 'in work',
    due: '2027-04-15',
    quantity: 600,
    notes: 'Ten nights, one a year; the pages after them are for the members’ own.',
  },
  {
    file: 'business-card',
    name: 'Business card',
    stage: 'sent',
    due: '2027-01-12',
    quantity: 250,
    notes: 'For the guides; names change, the rest stays.',
  },
  {
    file: 'observer-cards',
    name: 'Observer cards',
    stage: 'in work',
    due: '2027-01-19',
    quantity: 800,
    notes: 'A hundred for each of the eight; the code leads to their page.',
  },
  {
    file: 'loan-labels',
    name: 'Loan labels',
    stage: 'in work',
    due: '2027-02-05',
    quantity: 10_000,
    notes: 'One for every book of the lending shelf, on a roll.',
  },
  {
    file: 'member-card',
    name: 'Member cards',
    stage: 'checked',
    due: '2027-01-05',
    quantity: 450,
    notes: 'Each with a picture that the member sends; round corners are punched.',
  },
  {
    file: 'solstice-card',
    name: 'Solstice card',
    stage: 'in work',
    due: '2026-12-10',
    quantity: 120,
    notes: 'Printed here, scored, folded by volunteers.',
  },
  {
    file: 'observing-pad',
    name: 'Observing pad',
    stage: 'sent',
    due: '2027-02-26',
    quantity: 300,
    notes: 'Fifty sheets to a pad. Two stand on a US letter, cut here.',
  },
  {
    file: 'ruled-log',
    name: 'Observing log',
    stage: 'checked',
    due: '2027-02-26',
    quantity: 500,
    notes: 'For us on A4, for the friends overseas on US letter.',
  },
  {
    file: 'planets-tracing',
    name: 'Planets to write',
    stage: 'checked',
    due: '2027-03-05',
    quantity: 200,
    notes: 'For the children who come on family nights.',
  },
  {
    file: 'observing-planner',
    name: 'Observing planner 2028',
    stage: 'in work',
    due: '2027-10-01',
    quantity: 250,
    notes: 'Nineteen weeks, so that it fits a coat pocket.',
  },
  {
    file: 'moon-calendar',
    name: 'Moon calendar 2028',
    stage: 'in work',
    due: '2027-09-01',
    quantity: 350,
    notes: 'Wire-bound. Next year’s is this one with another year.',
  },
  {
    file: 'year-card',
    name: 'Year card 2028',
    stage: 'sent',
    due: '2027-11-12',
    quantity: 1000,
    notes: 'Goes into every letter of December.',
  },
  {
    file: 'meteor-tickets',
    name: 'Meteor-night tickets',
    stage: 'in work',
    due: '2028-06-30',
    quantity: 400,
    notes: 'Perforated by the house, numbered here.',
  },
  {
    file: 'bookmark',
    name: 'Bookmark of four moons',
    stage: 'checked',
    due: '2027-01-29',
    quantity: 800,
    notes: 'Matt varnish over the moons alone; it goes into every book of the lending shelf.',
  },
  {
    file: 'moon-sticker',
    name: 'Moon sticker',
    stage: 'in work',
    due: '2027-01-12',
    quantity: 2000,
    notes:
      'On clear film for the windows of the library: the moon and its stars come off one by one, the sheet ' +
      'is cut through.',
  },
  {
    file: 'trail-map',
    name: 'Star trail map',
    stage: 'brief',
    due: '2027-03-01',
    quantity: 2000,
    notes: 'Folds to a pocket; opened out it hangs on the wall of the youth hostel.',
  },
  {
    file: 'eyepiece-box',
    name: 'Eyepiece box',
    stage: 'checked',
    due: '2027-05-03',
    quantity: 500,
    notes: 'For the eyepieces that are sent out on loan.',
  },
  {
    file: 'eyepiece-labels',
    name: 'Eyepiece-box labels',
    stage: 'in work',
    due: '2026-12-18',
    quantity: 210,
    notes: 'The band is printed in silver, from a can of its own.',
  },
  {
    file: 'meteor-night',
    name: 'Meteor-night flyer',
    stage: 'in work',
    due: '2026-12-11',
    quantity: 2500,
    notes: 'Handed out at the library and the bus stops. Same night as last year, one week later if cloudy.',
  },
];

/** The job of a piece, from what was kept of it. */
export function laidOut(piece: LaidOut, kept: Kept, files: ReadonlyMap<string, BroughtIn>): Job {
  const { file, name, stage, due, quantity, notes } = piece;
  const client = 'Quillrook Dark-Sky Society';
  return fromKept(kept, files, { id: `demo-${file}`, name, client, stage, due, quantity, notes });
}

/**
 * The flyer as it was first sent in: the band on the front stops at the trim, and the credit line stands too near the
 * knife. Both are there for the checks to find.
 */
export function firstProof(flyer: Job): Job {
  const faulty = (e: Element): Element => {
    if (e.kind === 'shape' && e.name === 'Date band') return { ...e, atTrim: 'stops' };
    if (e.name !== 'Credit') return e;
    return {
      ...e,
      placement: { ...e.placement, against: { box: 'trim' }, x: { start: 5, end: 5 }, y: { end: 1.6, size: 4.6 } },
    };
  };
  const pieces = flyer.pieces.map((p) => withSide(p, 'front', elementsOn(p, 'front').map(faulty)));
  return { ...flyer, id: 'demo-first-proof', name: 'Meteor night, first proof', pieces };
}
