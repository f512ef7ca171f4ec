/** Sheets of the press: what Ghostscript separates of them is what it separates of a page alone, set down elsewhere. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { imposed, type Job } from '../core/job';
import { pieceOf } from '../core/edit';
import { overlaps } from '../core/layout';
import { formatNumber } from '../core/measure';
import { replyTo } from '../intake';
import { begin, box, makeJob, words } from '../testing/jobs';
import { exported, pdfOf } from '../testing/exports';
import { process as inks } from '../testing/plates';
import { inFolder, pageBoxes, platesOf, run } from '../testing/programs';
import { House } from '../core/shop';

const SRA3 = { width: 320, height: 450 };
const UNMARKED = { corner: false, centre: false, register: false, colourBar: false, slugLine: false, fold: false };

/** A card with a ground that bleeds, a corner of its own and words, on both sides. */
function card(sheet: object, quantity = 1000): Job {
  const front = [
    box('ground', [-3, -3, 91, 61], { fill: inks(20, 0, 10, 0) }),
    box('corner', [4, 4, 12, 8], { fill: inks(0, 90, 60, 0) }),
    words('t', 'Seven telescopes', [20, 20, 60, 8], { sizePt: 10 }),
  ];
  const back = [
    box('b', [-3, -3, 91, 61], { fill: inks(0, 20, 60, 0) }),
    box('c', [60, 40, 12, 8], { fill: inks(90, 0, 0, 30) }),
  ];
  const base = makeJob(
    front,
    { quantity, house: House.parse({ name: 'Yard' }) },
    { size: { width: 85, height: 55 }, sides: 2 },
  );
  return {
    ...base,
    output: {
      ...base.output,
      marks: UNMARKED,
      sheet: { sheet: SRA3, work: 'sheetwise', stages: 3, turns: true, ...sheet },
    },
    pieces: base.pieces.map((piece) => ({ ...piece, surfaces: { front: piece.surfaces['front'] ?? [], back } })),
  };
}

const sheetsOf = (job: Job) => {
  const made = imposed(job, pieceOf(job));
  if (!made.ok) throw new Error(made.message);
  return made.sheets;
};

const PPI = 72;
const px = (mm: number) => (mm / 25.4) * PPI;

/** The mean ink of a plate over a box, of pixels that lie wholly in it. */
function meanOf(
  plate: { readonly at: (x: number, y: number) => number } | undefined,
  r: { x: number; y: number; width: number; height: number },
): number {
  let [sum, count] = [0, 0];
  for (let y = Math.ceil(px(r.y)) + 1; y < Math.floor(px(r.y + r.height)) - 1; y += 1)
    for (let x = Math.ceil(px(r.x)) + 1; x < Math.floor(px(r.x + r.width)) - 1; x += 1) {
      sum += plate?.at(x, y) ?? 0;
      count += 1;
    }
  return sum / count;
}

describe.each([
  ['sheetwise', {}],
  ['with pieces turned', { work: 'sheetwise', stages: 6 }],
  ['work and turn', { work: 'turn' }],
  ['work and tumble', { work: 'tumble' }],
  ['perfecting', { work: 'perfecting' }],
  ['with cuts shared', { gutter: 0 }],
])('%s', (_, how) => {
  test('each piece lies where the plan says, turned as it says, with the plates of the page alone', async () => {
    const job = card(how);
    const [sheet] = sheetsOf(job);
    if (!sheet) throw new Error('no sheet');
    const [pdf] = await exported(job, 'sheets');
    await inFolder((folder) => {
      const path = join(folder, 'f.pdf');
      writeFileSync(path, pdf?.bytes ?? new Uint8Array());
      expect(run('qpdf', ['--check', path])).toContain('No syntax or stream encoding errors');
      expect(pageBoxes(path)).toHaveLength(sheet.faces.length);
    });
    const single = await pdfOf(job);
    // The page of a press file without marks is the piece with its bleed.
    const of = { front: await platesOf(single, 1, PPI), back: await platesOf(single, 2, PPI) };
    for (const [n, face] of sheet.faces.entries()) {
      const plates = await platesOf(pdf?.bytes ?? new Uint8Array(), n + 1, PPI);
      for (const { surface, trim, quarters } of face.sides) {
        const corner =
          surface === 'front' ? { x: 4, y: 4, width: 12, height: 8 } : { x: 60, y: 40, width: 12, height: 8 };
        const at = placed(corner, trim, quarters);
        const name = surface === 'front' ? 'Magenta' : 'Cyan';
        const alone = meanOf(of[surface as 'front'].get(name), { ...corner, x: corner.x + 3, y: corner.y + 3 });
        expect(alone).toBeGreaterThan(0.5);
        expect(Math.abs(meanOf(plates.get(name), at) - alone)).toBeLessThan(0.02);
      }
    }
  });

  test('the back of each piece lies behind its front', () => {
    const [sheet] = sheetsOf(card(how));
    const [front, back] = sheet?.faces ?? [];
    const { width = 0, height = 0 } = sheet?.size ?? {};
    const about = sheet?.work === 'tumble' || sheet?.work === 'perfecting' ? 'level' : 'upright';
    const fronts = (front?.sides ?? []).filter(({ surface }) => surface === 'front');
    const backs = [...(front?.sides ?? []), ...(back?.sides ?? [])].filter(({ surface }) => surface === 'back');
    expect(backs).toHaveLength(fronts.length);
    for (const { trim } of fronts) {
      const behind =
        about === 'upright'
          ? { ...trim, x: width - trim.x - trim.width }
          : { ...trim, y: height - trim.y - trim.height };
      expect(backs.some(({ trim: b }) => Math.abs(b.x - behind.x) < 1e-6 && Math.abs(b.y - behind.y) < 1e-6)).toBe(
        true,
      );
    }
  });
});

/** Where a box of a piece lies on the sheet, its trim turned by quarters clockwise. */
function placed(
  r: { x: number; y: number; width: number; height: number },
  trim: { x: number; y: number; width: number; height: number },
  quarters: number,
) {
  const { x, y, width, height } = r;
  switch (quarters) {
    case 0:
      return { x: trim.x + x, y: trim.y + y, width, height };
    case 1:
      return { x: trim.x + trim.width - y - height, y: trim.y + x, width: height, height: width };
    case 2:
      return { x: trim.x + trim.width - x - width, y: trim.y + trim.height - y - height, width, height };
    default:
      return { x: trim.x + y, y: trim.y + trim.height - x - width, width: height, height: width };
  }
}

test('bleeds that meet end half way; at the rim they are whole', () => {
  const [sheet] = sheetsOf(card({ gutter: 2, stages: 2, turns: false }));
  const [front] = sheet?.faces ?? [];
  const bleeds = new Set(
    (front?.sides ?? []).flatMap(({ bleed }) => Object.values(bleed).map((mm) => Math.round(mm * 100) / 100)),
  );
  expect([...bleeds].sort()).toEqual([1, 3]);
});

test('the content of a piece is in the file once, however often it lies there', async () => {
  const [few] = await exported(card({ sheet: { width: 200, height: 140 } }), 'sheets');
  const [many] = await exported(card({ sheet: { width: 700, height: 1000 } }), 'sheets');
  const grows = (many?.bytes.length ?? 0) - (few?.bytes.length ?? 0);
  const up = sheetsOf(card({ sheet: { width: 700, height: 1000 } }))[0]?.up ?? 0;
  expect(up).toBeGreaterThan(80);
  expect(grows / up).toBeLessThan(200);
});

test('a house takes it, and the programme of the knife comes with it', async () => {
  const job = card({});
  const [pdf, csv, page] = await exported(job, 'sheets');
  const reply = await replyTo(pdf?.bytes ?? new Uint8Array(), job.house);
  expect(reply.remarks.filter(({ weight }) => weight === 'fault')).toEqual([]);
  const rows = new TextDecoder().decode(csv?.bytes).trim().split('\r\n');
  expect(rows[0]).toBe('sheet,cut,pile,turn,back gauge mm,in front of the knife');
  const cuts = sheetsOf(job)[0]?.cutting?.programme.cuts ?? [];
  expect(rows.length - 1).toBe(cuts.length);
  // The page says the same, cut by cut.
  const lines = await inFolder((folder) => {
    const path = join(folder, 'f.pdf');
    writeFileSync(path, page?.bytes ?? new Uint8Array());
    return run('pdftotext', ['-layout', path, '-']).split('\n');
  });
  const listed = lines.flatMap(
    (line) => /^\s*(\d+)\s+(\d+)\s+(?:\d+°\s+)?([\d.]+)\s+(pile|[\d.]+ mm)/.exec(line) ?? [],
  );
  expect(listed.filter((_, i) => i % 5 === 3)).toEqual(cuts.map(({ gauge }) => formatNumber(gauge, 2)));
});

describe('a booklet of 28 pages', () => {
  const booklet = begin('booklet', { size: '148 x 210 mm', pages: '28' });

  test('is printed in signatures that its house’s sheets take; pages creep toward their fold', () => {
    const sheets = sheetsOf(booklet);
    const pages = sheets.flatMap(({ faces }) => faces.flatMap(({ sides }) => sides.map(({ surface }) => surface)));
    expect(new Set(pages).size).toBe(28);
    const shiftOf = (page: number) =>
      sheets.flatMap(({ faces }) => faces.flatMap(({ sides }) => sides)).find((s) => s.surface === `page ${page}`)
        ?.shift ?? NaN;
    expect(shiftOf(1)).toBeCloseTo(0, 9);
    // A right-hand page moves to the left, a left-hand one to the right.
    expect(shiftOf(13)).toBeLessThan(0);
    expect(shiftOf(14)).toBeCloseTo(-shiftOf(15), 9);
  });

  test('its file has two pages a signature', async () => {
    const [pdf, ...others] = await exported(booklet, 'sheets');
    expect(others).toEqual([]);
    await inFolder((folder) => {
      const path = join(folder, 'f.pdf');
      writeFileSync(path, pdf?.bytes ?? new Uint8Array());
      expect(pageBoxes(path)).toHaveLength(2 * sheetsOf(booklet).length);
      const texts = run('pdftotext', ['-layout', path, '-']);
      expect(texts).toContain('signature 1');
    });
  });
});

test('a gathered book has a mark on the spine of each signature, each lower than the one before', async () => {
  const book = begin('catalogue', { size: '170 x 240 mm', pages: '96', binding: 'perfect' });
  const marks = sheetsOf(book).flatMap(({ collating, faces }) => {
    const pages = faces.find(({ name }) => name === 'outer')?.sides ?? [];
    // On the paper between two pages, and on none of them.
    for (const { trim } of pages) if (collating) expect(overlaps(trim, collating)).toBe(false);
    return collating ? [collating] : [];
  });
  expect(marks.length).toBeGreaterThan(2);
  for (const [i, mark] of marks.entries()) if (i > 0) expect(mark.y).toBeCloseTo((marks[i - 1]?.y ?? 0) + 9, 6);
  const [pdf] = await exported(book, 'sheets');
  const black = (await platesOf(pdf?.bytes ?? new Uint8Array(), 1, PPI)).get('Black');
  expect(meanOf(black, marks[0] ?? { x: 0, y: 0, width: 0, height: 0 })).toBeGreaterThan(0.95);
});

test('what fits on no sheet says so, and what is drawn to scale is no matter of sheets', async () => {
  const small = card({ sheet: { width: 80, height: 80 } });
  expect(imposed(small, pieceOf(small))).toMatchObject({ ok: false });
  await expect(exported(small, 'sheets')).rejects.toThrow(/does not fit on a sheet of 80 × 80 mm/);
  const banner = begin('banner', { size: '5 x 3 ft', scale: '1:10' });
  expect(imposed(banner, pieceOf(banner))).toMatchObject({ ok: false });
});

describe('what no guillotine cuts', () => {
  test.each(['labels', 'roll-labels', 'envelope'])('%s are laid on no sheet, and it is said why', (kind) => {
    const job = begin(kind);
    const made = imposed(job, pieceOf(job));
    expect(made.ok ? '' : made.message).toMatch(/already|by itself/);
  });

  test.each(['tuck-box', 'hang-tag', 'door-hanger'])(
    '%s lies there for a die, without a programme of the knife',
    async (kind) => {
      const job = begin(kind);
      const [sheet] = sheetsOf(job);
      expect(sheet?.cutting).toBeUndefined();
      expect(sheet?.working.join(' ')).toContain('a die cuts the outlines');
      const files = await exported(job, 'sheets');
      expect(files.map(({ type }) => type)).toEqual(['application/pdf']);
    },
  );
});
