/** Every check finds what its opposite did, on every piece on which it can be done, and nothing else that is new. */
import { createHash } from 'node:crypto';
import { PDFDocument } from '@cantoo/pdf-lib';
import { readDocument } from '../bring-in/document';
import { RULE_IDS, RULES, backOf, subjectOf, type Finding, type RuleId } from '../core/check';
import { added } from '../core/edit';
import { Kit, blankOf, withSide, type Element, type Job } from '../core/job';
import { House, Stock } from '../core/shop';
import { SPOILERS, waysToSpoil } from '../core/spoil';
import { LAID_OUT } from '../demo';
import { IS_ALL } from '../testing/all';
import { demoPiece } from '../testing/demo';
import { begin, box, element, inMemory, makeJob, shape, words } from '../testing/jobs';
import { checkDesk, openDesk, type AssetSource } from './index';

/** Sides of a piece, and ways on a side, that are tried of a rule. */
const [SIDES, WAYS] = IS_ALL ? [6, 8] : [2, 1];
/** Of a book not every page is gone through for a place where something can be done. */
const LOOKED_AT = IS_ALL ? 24 : 8;

interface Sound {
  readonly name: string;
  readonly open: () => Promise<{ readonly job: Job; readonly assets: AssetSource }>;
}

const made = (name: string, job: () => Job): Sound => ({
  name,
  open: () => Promise.resolve({ job: job(), assets: inMemory() }),
});

const thin = Stock.parse({ kind: 'uncoated', grammage: 80 });
const area = (id: string, at: readonly [number, number, number, number], c: number, k: number) =>
  box(id, [...at], { fill: { kind: 'process', c, m: c, y: 0, k } });

const leaf = (front: readonly Element[], back: readonly Element[], more: Partial<Job>): Job => {
  const job = makeJob(front, more, { sides: 2 });
  return { ...job, pieces: job.pieces.map((piece) => withSide(piece, 'back', back)) };
};

/** A brochure whose panel is taken round the fold. */
function folder(): Job {
  const job = begin('brochure', { fold: 'half' });
  const [piece] = job.pieces;
  const [side] = piece ? blankOf(job, piece).surfaces : [];
  const [left] = side?.boxes.panels ?? [];
  if (!side || !left) throw new Error('no panels');
  const { trim } = side.boxes;
  return added(job, side.name, [box('panel', [trim.x - 3, trim.y - 3, left.width + 7, trim.height + 6])]).job;
}

async function withPage(): Promise<{ readonly job: Job; readonly assets: AssetSource }> {
  const document = await PDFDocument.create();
  const page = document.addPage([(154 / 25.4) * 72, (216 / 25.4) * 72]);
  page.setTrimBox((3 / 25.4) * 72, (3 / 25.4) * 72, (148 / 25.4) * 72, (210 / 25.4) * 72);
  page.drawRectangle({ x: 0, y: 0, width: 500, height: 700 });
  const bytes = await document.save({ useObjectStreams: false });
  const read = await readDocument('page.pdf', bytes);
  if (!read.ok) throw new Error(read.problem);
  const sha = createHash('sha256').update(bytes).digest('hex');
  const whole = { start: 0, end: 0 };
  const shown = element<'page'>({
    kind: 'page',
    id: 'p',
    document: sha,
    page: 1,
    beyond: 'own',
    placement: { against: { box: 'trim' }, x: whole, y: whole },
  });
  return { job: makeJob([shown], { assets: { [sha]: read.document } }), assets: inMemory(new Map([[sha, bytes]])) };
}

const KIT = Kit.parse({
  name: 'Society',
  colours: [{ name: 'night', paint: { kind: 'process', c: 90, m: 70, y: 20, k: 40 } }],
});

/** What the pieces of the demo do not have. */
const MADE: readonly Sound[] = [
  { name: 'a page of a PDF', open: withPage },
  made('from a template', () => {
    const talk = words('talk', 'A talk', [20, 20, 80, 12]);
    return makeJob([{ ...talk, slot: { takes: 'text', open: false } }], { template: { job: 'talks', revision: 1 } });
  }),
  made('varnish on a moon', () =>
    makeJob(
      [shape('moon', [40, 60, 60, 60], { form: 'ellipse' })],
      {},
      {
        finish: {
          front: [{ does: 'coat', id: 'c', coating: 'uv', of: { from: 'elements', elements: ['moon'] }, spread: -1 }],
        },
      },
    ),
  ),
  made('a panel taken round a fold', folder),
  made('in the colours of a kit', () =>
    makeJob([box('bar', [20, 20, 60, 10], { fill: { kind: 'process', c: 90, m: 70, y: 20, k: 40 } })], { kit: KIT }),
  ),
  made('an area on thin paper', () =>
    leaf([area('panel', [30, 40, 50, 60], 30, 0)], [words('t', 'Behind', [20, 150, 60, 12])], {
      stock: thin,
      house: House.parse({ name: 'Yard', trimTolerance: 1, machines: { guillotine: { pile: 0 } } }),
    }),
  ),
  made('a pale ground on thin paper', () => leaf([area('ground', [-3, -3, 154, 216], 8, 0)], [], { stock: thin })),
];

/** Of many pages: their sides are of few sorts, and other pieces stand for them in a common run. */
const LONG = ['catalogue', 'moon-calendar', 'observing-planner'];

const PIECES: readonly Sound[] = [
  ...LAID_OUT.filter(({ file }) => IS_ALL || !LONG.includes(file)).map(({ file }): Sound => ({
    name: file,
    open: () => demoPiece(file, file === 'member-card' ? 1 : 0.2),
  })),
  ...MADE,
];

/** What is said of one thing is the same, whatever its figures. */
const keyOf = ({ rule, surface, element: of }: Finding): string => `${rule} ${surface} ${of ?? ''}`;

/** By rule, the pieces on which it was tried. */
const tried = new Map<RuleId, Set<string>>();

/** Tries every rule on a piece. @returns what went otherwise than it should */
async function faultsOf({ name, open }: Sound): Promise<readonly string[]> {
  const { job, assets } = await open();
  const sound = await openDesk(job, assets);
  const before = new Set(checkDesk(sound).map(keyOf));
  const wrong: string[] = [];
  const subjects = sound.sides.slice(0, LOOKED_AT).map(({ piece, surface, drawing, blank }) => {
    const other = backOf(blank, surface.name);
    const back = sound.sides.find((s) => s.piece === piece && s.surface.name === other)?.drawing;
    return subjectOf(sound.job, piece, surface.name, drawing, { blank, back });
  });
  for (const rule of RULE_IDS) {
    let sides = 0;
    for (const subject of subjects) {
      if (sides >= SIDES) break;
      let ways = 0;
      for (const way of waysToSpoil(rule, subject)) {
        if (ways === 0) sides += 1;
        if ((ways += 1) > WAYS) break;
        const fresh = checkDesk(await openDesk(way.spoil(sound.job), assets)).filter((f) => !before.has(keyOf(f)));
        const brings: readonly string[] = [rule, ...(SPOILERS[rule].brings ?? [])];
        const others = fresh.filter((f) => !brings.includes(f.rule)).map((f) => f.rule);
        if (!fresh.some((f) => f.rule === rule)) wrong.push(`${rule} does not find: ${way.did}`);
        if (others.length > 0) wrong.push(`${rule}: ${way.did} Found too: ${[...new Set(others)].join(', ')}`);
        tried.set(rule, (tried.get(rule) ?? new Set()).add(name));
      }
    }
  }
  return wrong;
}

test('rules and their ids are in one order', () => {
  expect(RULES.map(({ id }) => id)).toEqual(RULE_IDS);
});

test.each(PIECES)(
  '$name, spoilt in every way there is',
  async (piece) => {
    expect(await faultsOf(piece)).toEqual([]);
  },
  600_000,
);

test('every check was tried; so many pieces each', () => {
  const table = RULE_IDS.map(
    (rule) => `${rule.padEnd(20)} level ${SPOILERS[rule].level}  on ${tried.get(rule)?.size ?? 0}`,
  );
  console.log(`${table.join('\n')}\nfalse alarms: 0`);
  expect(RULE_IDS.filter((rule) => !tried.has(rule))).toEqual([]);
});

test('sound pieces of the demo have no fault and no warning', async () => {
  for (const { file } of LAID_OUT) {
    const { job, assets } = await demoPiece(file);
    const open = checkDesk(await openDesk(job, assets)).filter(({ severity }) => severity !== 'note');
    expect([file, open.map(({ rule, message }) => `${rule}: ${message}`)]).toEqual([file, []]);
  }
}, 300_000);
