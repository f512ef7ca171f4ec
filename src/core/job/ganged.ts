import { isDied } from '../format';
import { gangUp, cellRoom, cuttingProgramme, onSheet, type Demand, type Form, type SheetRoom } from '../impose';
import { counted, formatNumber, formatSize, type Mm } from '../measure';
import {
  askedOf,
  bleedOf,
  howOf,
  imposedAlone,
  leavesOf,
  roomOf,
  sheetsFor,
  whyAlone,
  type Article,
  type Asked,
  type Imposed,
  type ImposedFace,
  type ImposedSheet,
  type LeafOf,
} from './imposed';
import { countOf } from './recorded';
import type { Job, Piece } from './schema';

/** Another job on the same sheets, in the state that is printed. */
export interface Guest {
  readonly job: Job;
  readonly quantity: number;
}

/** Something that lies on the sheets: a leaf of a job, of a record where it has records. */
interface Lying extends Article {
  readonly name: string;
  readonly leaf: LeafOf;
  readonly wanted: number;
}

/** What another set of plates costs, in sheets: make-ready [cp]. */
const FORM_COSTS = 50;
/** Most articles that are laid out together. */
const MOST = 120;

/**
 * A piece on the sheets of the press, by itself or with other jobs.
 * @param guests those that `output.sheet.guests` names, in its order
 * @returns in words why it cannot be
 */
export function imposed(job: Job, piece: Piece, guests: readonly Guest[] = []): Imposed {
  return guests.length > 0 ? ganged(job, piece, guests) : imposedAlone(job, piece);
}

function ganged(job: Job, piece: Piece, guests: readonly Guest[]): Imposed {
  const host = askedOf(job, piece);
  const all = [host, ...guests.map((guest) => askedOf(guest.job, guest.job.pieces[0] ?? piece))];
  for (const asked of all) {
    const refusal = refusalOf(host, asked);
    if (refusal !== undefined) return { ok: false, message: refusal };
  }
  const lying = all.flatMap((asked, i) => articlesOf(asked, i === 0 ? undefined : i - 1, guests[i - 1]?.quantity));
  if (lying.length > MOST)
    return {
      ok: false,
      message: `${lying.length} different pieces are too many for one layout; up to ${MOST} are taken.`,
    };
  const own = job.output.sheet;
  const bleed = Math.max(...all.map(({ blank }) => bleedOf(blank)));
  const gutter = own?.gutter ?? 2 * bleed;
  const turns = own?.turns ?? true;
  const forms = own?.forms ?? 1;
  const demands = lying.map(({ leaf, wanted }): Demand => {
    const { width, height } = leaf.front.boxes.trim;
    return { width: width + gutter, height: height + gutter, quantity: wanted, turns };
  });
  const tried = sheetsFor(host).flatMap((size) => {
    const room = roomOf(size, own, host);
    const { width, height } = cellRoom(room, 'sheetwise', { bleed, gutter });
    const gang =
      width > 0 && height > 0 ? gangUp({ width, height }, demands, { forms, formCosts: FORM_COSTS }) : undefined;
    return gang ? [{ room, gang, paper: gang.sheets * size.width * size.height }] : [];
  });
  const best = tried.reduce<(typeof tried)[number] | undefined>((a, b) => (a && a.paper <= b.paper ? a : b), undefined);
  if (!best)
    return {
      ok: false,
      message:
        'They do not lie on one sheet together. Take a larger sheet, more sets of plates, or print one of them alone.',
    };
  const { room, gang } = best;
  const spacing = { bleed, gutter };
  const sheets = gang.forms.map((form, i) =>
    sheetOf(host, form, lying, { room, spacing, number: i + 1, of: gang.forms.length }),
  );
  const [first, ...others] = sheets;
  if (!first) return { ok: false, message: 'There is nothing to lay out.' };
  const working = [
    `${counted(gang.sheets, 'sheet')} in all; by their area, fewer than ${gang.leastSheets} cannot be: ` +
      `${formatNumber(100 * (gang.sheets / gang.leastSheets - 1), 1)} % more`,
    `${formatNumber(100 * gang.waste, 1)} % of the paper is waste, gutters not counted`,
  ];
  return {
    ok: true,
    sheets: [{ ...first, working: [...working, ...first.working] }, ...others],
    how: howOf(room, { work: 'sheetwise', stages: 6, turns, gutter, signature: 4 }),
  };
}

/** Why a job cannot lie on the sheets of another: one sheet is one paper, printed in one way. */
function refusalOf(host: Asked, asked: Asked): string | undefined {
  const { job } = asked;
  const alone =
    whyAlone(asked) ??
    (asked.blank.bound === 'saddle' || asked.blank.bound === 'perfect'
      ? 'It is a book: its pages lie in signatures.'
      : undefined);
  if (alone !== undefined) return `“${job.name}”: ${alone}`;
  if (asked.blank.surfaces.some(isDied)) return `“${job.name}”: A die cuts it, and a guillotine the others.`;
  if (asked === host) return undefined;
  const [here, there] = [host.job.stock, job.stock];
  const paper = ({ name, grammage }: typeof here) => `${name || 'a paper without a name'}, ${grammage} g/m²`;
  if (here.name !== there.name || here.grammage !== there.grammage)
    return `“${job.name}” is on ${paper(there)}; these sheets are ${paper(here)}.`;
  if (host.rules.profile !== asked.rules.profile)
    return `“${job.name}” goes to the press through another output profile than these sheets.`;
  return undefined;
}

function articlesOf(asked: Asked, guest: number | undefined, quantity: number | undefined): readonly Lying[] {
  const { job, blank } = asked;
  const copies = quantity ?? job.quantity ?? (job.records ? countOf(job) : 1);
  const records = job.records ? countOf(job) : 1;
  return leavesOf(blank.surfaces).flatMap((leaf, n, all) =>
    Array.from({ length: records }, (_, i): Lying => ({
      guest,
      record: job.records ? i : undefined,
      name: [job.name, ...(all.length > 1 ? [`leaf ${n + 1}`] : []), ...(job.records ? [`record ${i + 1}`] : [])].join(
        ', ',
      ),
      leaf,
      wanted: Math.ceil(copies / records),
    })),
  );
}

interface OfForm {
  readonly room: SheetRoom;
  readonly spacing: { readonly bleed: Mm; readonly gutter: Mm };
  readonly number: number;
  readonly of: number;
}

function sheetOf(
  host: Asked,
  form: Form,
  lying: readonly Lying[],
  { room, spacing, number, of }: OfForm,
): ImposedSheet {
  const isPrintedBehind = lying.some(({ leaf }, kind) => leaf.back && (form.up[kind] ?? 0) > 0);
  const laid = onSheet(form.layout, room, {
    work: 'sheetwise',
    sides: isPrintedBehind ? 2 : 1,
    spacing,
    kinds: lying.length,
  });
  const faces = laid.faces.map(({ name, places }): ImposedFace => ({
    name,
    sides: places.flatMap(({ kind, of: which, trim, quarters, bleed }) => {
      const here = lying[kind];
      const surface = which === 'back' ? here?.leaf.back : here?.leaf.front;
      if (!here || !surface) return [];
      const article = { guest: here.guest, record: here.record };
      return [{ surface: surface.name, trim, quarters, bleed, shift: 0, article }];
    }),
  }));
  const counts = lying.flatMap(({ name, guest, record, wanted }, kind) => {
    const up = form.up[kind] ?? 0;
    return up > 0 ? [{ name, guest, record, up, printed: up * form.run, wanted }] : [];
  });
  return {
    name: of > 1 ? `form ${number}` : 'sheet',
    size: room.sheet,
    room,
    work: 'sheetwise',
    faces,
    up: counts.reduce((sum, { up }) => sum + up, 0),
    run: form.run,
    over: counts.reduce((sum, { printed, wanted }) => sum + Math.max(0, printed - wanted), 0),
    cutting: { layout: laid.layout, programme: cuttingProgramme(room.sheet, laid.layout) },
    signature: undefined,
    used: laid.used,
    working: [
      `${formatSize(room.sheet, host.job.unit)}, ${formatNumber(room.gripper, 2)} mm held at its foot`,
      `${counts.length} different on it, ${formatNumber(spacing.gutter, 2)} mm apart`,
    ],
    counts,
  };
}
