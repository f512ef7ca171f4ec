import fc from 'fast-check';
import { begin } from '../../testing/jobs';
import { blankOf, describeJob, parametersOf, readJob, redecided, startJob, type Job } from '../job';
import { extentAt } from '../fold';
import { flatten, isInside, pathArea, pathBounds } from '../layout';
import { MM_PER_INCH } from '../measure';
import { FORMATS, formatOf, otherFace, type Blank } from './index';

const pieceIn = (job: Job) => job.pieces[0] ?? fail('no piece');
const blankFor = (kind: string, set: Record<string, string> = {}, unit?: 'mm' | 'in'): Blank => {
  const job = begin(kind, set, unit);
  return blankOf(job, pieceIn(job));
};
const figure = (blank: Blank, id: string) => blank.figures.find((f) => f.id === id) ?? fail(`no figure ${id}`);
const round = (values: readonly number[] | number, decimals = 3) =>
  [values].flat().map((v) => Math.round(v * 10 ** decimals) / 10 ** decimals);

/** A kind with its first size, where it has one, made larger or smaller by a factor. */
const anyBlank = fc.constantFrom(...FORMATS.map((f) => f.kind)).chain((kind) => {
  const { parameters } = formatOf(kind) ?? fail(kind);
  return fc.record({
    kind: fc.constant(kind),
    unit: fc.constantFrom('mm' as const, 'in' as const),
    factor: fc.double({ min: 0.9, max: 1.6, noNaN: true }),
    choices: fc.record(
      Object.fromEntries(
        Object.entries(parameters).flatMap(([name, p]) =>
          p.options && name !== 'holes' ? [[name, fc.constantFrom(...p.options.map((o) => o.value))]] : [],
        ),
      ),
    ),
  });
});

type Case = { kind: string; unit: 'mm' | 'in'; factor: number; choices: Record<string, string> };
function jobOf({ kind, unit, factor, choices }: Case): Job {
  const format = formatOf(kind) ?? fail(kind);
  const typed: Record<string, string> = { ...choices };
  const [name, first] = Object.entries(format.parameters)[0] ?? [];
  if (name && first?.kind === 'size' && first.default) {
    const habit = unit === 'in' ? first.default.imperial : first.default.metric;
    const read = first.read(habit, { unit, ppi: 300 });
    if (read.ok) {
      const { width, height } = read.value as { width: number; height: number };
      typed[name] = `${(width * factor).toFixed(2)}mm x ${(height * factor).toFixed(2)}mm`;
    }
  }
  const started = startJob(format, typed, { id: 'x', name: 'Test', unit });
  if (!started.ok) {
    // Some choices do not go together, and say so; the defaults always do.
    expect(started.error.message).not.toBe('');
    return begin(format.kind, {}, unit);
  }
  return started.job;
}

const quietly = { numRuns: 250 };

describe('every format', () => {
  test('all that the trade sets up are there, each with a title, a group and a way to make it from nothing', () => {
    expect(FORMATS.length).toBeGreaterThanOrEqual(36);
    expect(new Set(FORMATS.map((f) => f.kind)).size).toBe(FORMATS.length);
    for (const format of FORMATS)
      for (const unit of ['mm', 'in'] as const) expect(begin(format.kind, {}, unit).pieces).toHaveLength(1);
  });

  test('every figure says how it came about', () => {
    for (const format of FORMATS) {
      for (const f of blankFor(format.kind).figures) {
        expect([format.kind, f.id, f.working.length > 0, f.rule !== '']).toEqual([format.kind, f.id, true, true]);
      }
    }
  });

  test('panels in a row add up to the width, and no panel lies outside its surface', () => {
    fc.assert(
      fc.property(anyBlank, (c) => {
        const job = jobOf(c);
        for (const { panels, boxes, name } of blankOf(job, pieceIn(job)).surfaces) {
          for (const p of panels) {
            expect([c.kind, name, p.name, p.x >= -1e-6, p.x + p.width <= boxes.trim.width + 1e-6]).toEqual([
              c.kind,
              name,
              p.name,
              true,
              true,
            ]);
            expect(p.y).toBeGreaterThanOrEqual(-1e-6);
            expect(p.y + p.height).toBeLessThanOrEqual(boxes.trim.height + 1e-6);
          }
        }
      }),
      quietly,
    );
  });

  test('the bleed outline holds every point of the trimmed outline, and encloses at least as much', () => {
    fc.assert(
      fc.property(anyBlank, (c) => {
        const job = jobOf(c);
        for (const { outline, bleedOutline, boxes } of blankOf(job, pieceIn(job)).surfaces) {
          const widest = Math.max(boxes.trim.x - boxes.bleed.x, boxes.trim.y - boxes.bleed.y);
          if (widest < 0.01) continue;
          expect(pathArea(bleedOutline)).toBeGreaterThan(pathArea(outline));
          for (const p of flatten(outline).flat()) expect(isInside(p, bleedOutline)).toBe(true);
        }
      }),
      { numRuns: 80 },
    );
  });

  test('no process line leaves the blank', () => {
    fc.assert(
      fc.property(anyBlank, (c) => {
        const job = jobOf(c);
        for (const { processLines, boxes, name } of blankOf(job, pieceIn(job)).surfaces) {
          for (const line of processLines) {
            const box = line.path ? pathBounds(line.path) : undefined;
            const points = box
              ? [
                  { x: box.x, y: box.y },
                  { x: box.x + box.width, y: box.y + box.height },
                ]
              : [line.from, line.to];
            for (const p of points) {
              const inside =
                p.x >= -0.01 && p.y >= -0.01 && p.x <= boxes.trim.width + 0.01 && p.y <= boxes.trim.height + 0.01;
              expect([c.kind, name, line.process, inside]).toEqual([c.kind, name, line.process, true]);
            }
          }
        }
      }),
      quietly,
    );
  });

  test('outside and inside are true mirrors: the mirror of the mirror is the side itself', () => {
    for (const format of FORMATS) {
      const blank = blankFor(format.kind);
      const [outside, inside] = ['outside', 'inside'].map((n) => blank.surfaces.find((s) => s.name === n));
      if (!outside || !inside) continue;
      const width = outside.boxes.trim.width;
      const back = otherFace({ processLines: inside.processLines }, width);
      expect(JSON.stringify(round(back.processLines?.flatMap((l) => [l.from.x, l.from.y, l.to.x, l.to.y]) ?? []))).toBe(
        JSON.stringify(round(outside.processLines.flatMap((l) => [l.from.x, l.from.y, l.to.x, l.to.y]))),
      );
      expect(back.processLines?.map((l) => l.direction)).toEqual(outside.processLines.map((l) => l.direction));
      // Each panel lies behind one of the other side.
      for (const p of outside.panels) {
        const behind = inside.panels.find(
          (q) =>
            Math.abs(width - p.x - p.width - q.x) < 1e-6 &&
            Math.abs(p.y - q.y) < 1e-6 &&
            Math.abs(p.width - q.width) < 1e-6,
        );
        expect([format.kind, p.name, behind !== undefined]).toEqual([format.kind, p.name, true]);
      }
    }
  });

  test('what folds keeps its area, comes back to flat, and its parts hang together', () => {
    for (const format of FORMATS) {
      const { folding, surfaces } = blankFor(format.kind);
      if (!folding) continue;
      const [up] = surfaces.filter((s) => s.name === folding.up);
      const flat = extentAt(folding, 0);
      expect([format.kind, flat.z]).toEqual([format.kind, 0]);
      const area = folding.parts.reduce(
        (sum, part) => sum + pathArea([...part.outline.map((p, i) => [i === 0 ? 'M' : 'L', p.x, p.y] as const), ['Z']]),
        0,
      );
      expect(up ? Math.abs(area / pathArea(up.outline) - 1) : 1).toBeLessThan(0.02);
      for (const step of folding.steps) for (const turn of step.turns) expect(turn.facets).not.toContain(turn.stays);
    }
  });

  test('describe is the same after a round trip through the file, and in another unit but for its words', () => {
    fc.assert(
      fc.property(anyBlank, (c) => {
        const job = jobOf(c);
        const back = readJob(JSON.parse(JSON.stringify(job)));
        expect(back.ok && describeJob(back.job)).toEqual(describeJob(job));
        const plain = (j: Job) =>
          describeJob(j).map(({ figures, problems: _words, ...rest }) => ({
            ...rest,
            sheets: [],
            values: figures.filter((f) => !f.name.startsWith('Up on')).map((f) => f.value),
          }));
        const other = c.unit === 'mm' ? ('cm' as const) : ('pt' as const);
        expect(plain({ ...job, unit: other })).toEqual(plain(job));
      }),
      { numRuns: 120 },
    );
  });
});

describe('values that practitioners know by heart [cp]', () => {
  test('letter fold of a US letter: outside reads tuck, back, front; inside mirrored', () => {
    const blank = blankFor('brochure', { size: 'letter landscape', fold: 'letter', allowance: 'shift:1mm' });
    const [outside, inside] = blank.surfaces;
    expect(outside?.panels.map((p) => [p.name, Math.round(p.width * 1000) / 1000])).toEqual([
      ['tucked panel', 91.133],
      ['back cover', 94.133],
      ['front cover', 94.133],
    ]);
    expect(inside?.panels.map((p) => Math.round(p.width * 1000) / 1000)).toEqual([94.133, 94.133, 91.133]);
    expect(blank.problems).toEqual([]);
  });

  test('a wrap of 130 + 13 + 130 × 184 is 273 × 184 flat, 279 × 190 with bleed, and lies on A4 landscape', () => {
    const blank = blankFor('wrap', { panel: '130x184mm', spine: '13mm' });
    expect(blank.flat).toEqual({ width: 273, height: 184 });
    expect(blank.withBleed).toEqual({ width: 279, height: 190 });
    expect(blank.pixels.finished).toEqual({ width: 3224, height: 2173 });
    expect(blank.surfaces[0]?.panels.map((p) => p.name)).toEqual(['back', 'spine', 'front']);
    expect(blank.sheets.find((s) => s.sheet === 'A4')).toMatchObject({ up: 1, width: 297, height: 210 });
  });

  test('a map of 24 × 36 in in fours folds at 6, 12, 18 and 9, 18, 27 in', () => {
    const blank = blankFor('map', { size: '24x36in', across: '4', down: '4' });
    const inside = blank.surfaces.find((s) => s.name === 'inside');
    const at = (axis: 'x' | 'y') =>
      [
        ...new Set(
          (inside?.processLines ?? [])
            .filter((l) => Math.abs(l.from[axis] - l.to[axis]) < 1e-9)
            .map((l) => Math.round((l.from[axis] / MM_PER_INCH) * 1e6) / 1e6),
        ),
      ].sort((a, b) => a - b);
    expect(at('x')).toEqual([6, 12, 18]);
    expect(at('y')).toEqual([9, 18, 27]);
    expect(round(blank.finished.width / MM_PER_INCH)).toEqual([6]);
    expect(round(blank.finished.height / MM_PER_INCH)).toEqual([9]);
  });

  test('a banner of 5 × 3 ft is 1524 × 914.4 mm, 6000 × 3600 px at 100 ppi, at whatever scale it is drawn', () => {
    for (const scale of ['1:1', '1:2', '1:10']) {
      const blank = blankFor('banner', { size: '5x3ft', scale, grommets: '500mm' });
      expect(round([blank.finished.width, blank.finished.height])).toEqual([1524, 914.4]);
      expect(blank.pixels).toMatchObject({ ppi: 100, finished: { width: 6000, height: 3600 } });
      // Corners included: 1524 − 2 × 25 in 3 parts, 914.4 − 50 in 2.
      expect(figure(blank, 'grommets').value).toBe(10);
    }
  });

  test('a card of 5 × 7 in goes into an A7; on a letter sheet ½ and ¾ in are left, and its score lies at 5½ in', () => {
    const blank = blankFor('folded-card', { size: '5x7in', fold: 'side', sheet: 'letter landscape' });
    expect(figure(blank, 'envelope').name).toBe('Envelope A7 (US)');
    expect(round(figure(blank, 'score-on-sheet').value, 6)).toEqual([5.5 * MM_PER_INCH]);
    const [sheet] = blank.sheets;
    expect(sheet?.up).toBe(1);
    expect(round([(sheet?.left ?? 0) / MM_PER_INCH, (sheet?.top ?? 0) / MM_PER_INCH])).toEqual([0.5, 0.75]);
  });

  test('a metric card of A5 goes into a C5, not into the American envelope that is a little smaller', () => {
    expect(figure(blankFor('folded-card', { size: 'A5' }), 'envelope').name).toBe('Envelope C5');
  });

  test('a spine is leaves × thickness: 100 pages of 0.13 mm are 6.5 mm, and the cover is back + spine + front', () => {
    const blank = blankFor('catalogue', { size: '170x240mm', pages: '100', binding: 'perfect', thickness: '0.13mm' });
    expect(round(figure(blank, 'spine').value)).toEqual([6.5]);
    expect(round([blank.flat.width, blank.flat.height])).toEqual([346.5, 240]);
    expect(blank.surfaces).toHaveLength(102);
    expect(blank.surfaces[2]?.boxes.safe.x).toBeGreaterThan(blank.surfaces[3]?.boxes.safe.x ?? 99);
  });

  test('creep grows by a thickness with each sheet further in', () => {
    const blank = blankFor('booklet', { pages: '32' });
    expect(figure(blank, 'creep').value).toBeCloseTo(7 * 0.128, 3);
  });

  test('21 labels of 63.5 × 38.1 on A4: the margins are solved', () => {
    const blank = blankFor('labels', { size: '63.5x38.1mm', sheet: 'A4', across: '3', down: '7' });
    expect(round(figure(blank, 'down').value)).toEqual([15.15, 38.1, 15.15]);
    expect(figure(blank, 'per-sheet').value).toBe(21);
    const pitched = blankFor('labels', {
      size: '63.5x38.1mm',
      sheet: 'A4',
      across: '3',
      down: '7',
      'pitch-across': '66mm',
    });
    expect(round(figure(pitched, 'across').value)).toEqual([7.25, 66, 7.25]);
    const margined = blankFor('labels', { size: '63.5x38.1mm', sheet: 'A4', across: '3', down: '7', left: '7.25mm' });
    expect(round(figure(margined, 'across').value)).toEqual([7.25, 66, 7.25]);
    const counted = blankFor('labels', { size: '63.5x38.1mm', sheet: 'A4', left: '7.25mm', 'pitch-across': '66mm' });
    expect(counted.figures.find((f) => f.id === 'per-sheet')?.working[0]).toContain('3 across');
  });

  test('A4 with a 20 mm head and 7.1 mm spacing carries 39 lines', () => {
    expect(figure(blankFor('ruled-paper', { size: 'A4', head: '20mm', spacing: '7.1mm' }), 'lines').value).toBe(39);
  });

  test('filing holes: 6 mm across, 80 mm apart, 12 mm from the edge, centred (ISO 838)', () => {
    const blank = blankFor('letterhead', { size: 'A4', holes: 'two', 'holes-made': 'by-printer' });
    const holes = blank.surfaces[0]?.processLines.filter((l) => l.process === 'drill') ?? [];
    const boxes = holes.map((h) => pathBounds(h.path ?? []));
    expect(boxes.map((b) => round([b.x + b.width / 2, b.y + b.height / 2, b.width], 2))).toEqual([
      [12, 108.5, 6],
      [12, 188.5, 6],
    ]);
  });

  test('a pole pocket is half the pole’s circumference and an allowance', () => {
    const blank = blankFor('banner', { size: '2x1m', pockets: 'head', pole: '40mm', 'pocket-allowance': '20mm' });
    expect(figure(blank, 'pocket').value).toBeCloseTo(Math.PI * 20 + 20, 9);
  });

  test('a disc sleeve is read from the outside: back, spine, front', () => {
    expect(blankFor('disc-sleeve').surfaces[0]?.panels.map((p) => p.name)).toEqual(['back', 'spine', 'front']);
    expect(
      blankFor('case-insert')
        .surfaces.find((s) => s.name === 'tray card')
        ?.panels.map((p) => p.name),
    ).toEqual(['left spine', 'back of the case', 'right spine']);
  });

  test('the picture page of a wall calendar is bound where the grid page is, mirrored', () => {
    const blank = blankFor('wall-calendar');
    const [, picture, grid] = blank.surfaces;
    const holes = (s: typeof picture) =>
      s?.processLines.map((l) => pathBounds(l.path ?? []).y).sort((a, b) => a - b) ?? [];
    expect(holes(grid)[0]).toBeLessThan(15);
    expect(holes(picture).at(-1)).toBeGreaterThan(195);
    expect(round(figure(blank, 'grid-box').value)).toEqual([297, 153]);
  });
});

describe('what is folded by hand closes', () => {
  const folded = (kind: string, set: Record<string, string> = {}) => {
    const { folding } = blankFor(kind, set);
    if (!folding) throw new Error(`${kind} does not fold`);
    const { x, y, z } = extentAt(folding, folding.steps.length);
    return round([x, y, z], 2);
  };
  test('a tuck-end box is as wide, high and deep as it says', () => {
    expect(folded('tuck-box', { width: '60mm', height: '90mm', depth: '25mm' })).toEqual([60, 90, 25]);
    expect(folded('tuck-box', { width: '120mm', height: '40mm', depth: '80mm' })).toEqual([120, 40, 80]);
  });
  test('a table tent stands as deep as its base, its faces meeting above', () => {
    const [width, across = 0, rise = 0] = folded('table-tent', { size: '100x150mm', base: '70mm' });
    expect(width).toBe(100);
    // The front lies still; the base stands on it at the angle of the foot: both measures are those of the triangle.
    const foot = Math.acos(35 / 150);
    expect(across).toBeCloseTo(150, 1);
    expect(rise).toBeCloseTo(70 * Math.sin(foot), 1);
  });
  test('a wrap goes around its spine', () =>
    expect(folded('wrap', { panel: '130x184mm', spine: '13mm' })).toEqual([13, 184, 130]));
  test('a belly band closes around what it holds', () => {
    expect(folded('belly-band', { around: '148x20mm', height: '60mm', play: '1mm' })).toEqual([149, 60, 20.5]);
  });
  test('a pocket folder closes flat, pockets inside', () => {
    expect(folded('pocket-folder', { size: '220x310mm' })).toEqual([220, 310, 0]);
  });
  test('a folded card is its finished size', () =>
    expect(folded('folded-card', { size: '5x7in' })).toEqual(round([127, 177.8, 0], 2)));
});

describe('what cannot be is refused at its field, with what could', () => {
  test.each([
    [
      'brochure',
      { size: '60x210mm', fold: 'roll', panels: '8', allowance: 'shift:9mm' },
      'allowance',
      'negative width',
    ],
    ['booklet', { pages: '7' }, 'pages', 'take 8, with page 8 blank, or 4'],
    ['catalogue', { pages: '99' }, 'pages', 'take 100, with page 100 blank'],
    ['catalogue', { pages: '8', binding: 'perfect' }, 'pages', 'from 32 to 1200'],
    ['banner', { size: '1x0.3m', pockets: 'head', pole: '400mm' }, 'pole', 'at most'],
    ['labels', { size: '60x40mm', 'pitch-across': '50mm' }, 'pitch-across', 'at least the label'],
    ['labels', { size: '63.5x38.1mm', across: '9' }, 'across', 'At most 3 fit'],
    ['own', { outline: 'M0 0 L80 0 L80 50' }, 'outline', 'open'],
    ['own', { outline: 'M0 0 L80 bananas' }, 'outline', 'not an outline'],
    ['own', { lines: 'fold at x 900mm' }, 'lines', 'outside the piece'],
    ['own', { lines: 'tear at x 9mm' }, 'lines', 'begins with what is done'],
    ['envelope', { envelope: 'C99' }, 'envelope', 'There is no envelope'],
    ['letterhead', { size: '100x60mm', holes: 'two' }, 'holes', 'at least'],
    ['banner', { scale: '10:1' }, 'scale', '1:10'],
    ['brochure', { fold: 'origami' }, 'fold', 'one of half'],
    ['brochure', { allowance: 'shift:abc' }, 'allowance', 'abc'],
    ['door-hanger', { diameter: '120mm' }, 'diameter', 'at most'],
    ['hang-tag', { inset: '95mm' }, 'inset', 'outside the tag'],
    ['labels', { across: '1', down: '1', left: '300mm' }, 'left', 'beyond the sheet'],
    ['envelope', { flap: '0mm' }, 'flap', 'from 10 mm'],
    ['booklet', { size: '50x50mm', inner: '40mm' }, 'inner', 'at most 25 mm'],
    ['wall-calendar', { head: '400mm' }, 'head', 'at most'],
    ['letterhead', { size: 'A5', window: 'right' }, 'window', 'beyond this sheet'],
    ['map', { across: '10', down: '8' }, 'down', 'At most 6 down'],
    ['tuck-box', { flap: '60mm', width: '40mm' }, 'flap', 'narrower'],
  ] as const)('%s %j', (kind, set, parameter, words) => {
    const format = formatOf(kind);
    const started = format && startJob(format, set, { id: 'x', name: 'x', unit: 'mm' });
    expect(started).toMatchObject({ ok: false, parameter });
    expect(started && !started.ok ? started.error.message : '').toContain(words);
  });

  test('a job file with an impossible decision is refused with the decision named', () => {
    const job = begin('booklet');
    const bad = { ...job, pieces: [redecided(pieceIn(job), { pages: 6 })] };
    const read = readJob(JSON.parse(JSON.stringify(bad)));
    expect(read).toMatchObject({ ok: false });
    expect(!read.ok && read.problems[0]).toContain('pieces → booklet → pages');
  });
});

describe('what the paper will not take is said', () => {
  const problems = (kind: string, set: Record<string, string>, stock: Partial<Job['stock']>) => {
    const job = begin(kind, set);
    const on = { ...job, stock: { ...job.stock, ...stock } };
    return blankOf(on, pieceIn(on))
      .problems.map((p) => p.message)
      .join(' ');
  };
  test('heavy paper is scored by itself, and cracks when it is told not to be', () => {
    const job = begin('brochure');
    const on = { ...job, stock: { ...job.stock, grammage: 250 } };
    expect(blankOf(on, pieceIn(on)).surfaces[0]?.processLines[0]?.process).toBe('score');
    expect(problems('brochure', { crease: 'fold' }, { grammage: 250 })).toContain('cracks');
  });
  test('margins that leave no safe place', () =>
    expect(problems('notepad', { size: '9x9mm' }, {})).toContain('no room'));
  test('against the grain', () =>
    expect(problems('brochure', { fold: 'letter' }, { grain: 'long' })).toContain('against the grain'));
  test('too many right-angle folds', () =>
    expect(problems('map', { across: '8', down: '4' }, { grammage: 170 })).toContain('right-angle folds'));
  test('leaves of a gate that meet', () =>
    expect(problems('brochure', { fold: 'gate', allowance: 'even' }, {})).toContain('meet'));
  test('a tucked panel that is as wide as the others', () =>
    expect(problems('brochure', { fold: 'letter', allowance: 'even' }, {})).toContain('buckles'));
  test('a card as large as its envelope', () =>
    expect(problems('folded-card', { size: '162x114mm', envelope: 'C6' }, {})).toContain('does not go into a C6'));
});

describe('own formats', () => {
  test('folds at every quarter, a perforation from an edge, a score at a place; cut off at the outline', () => {
    const job = begin('own', {
      outline: 'M0 0 H80 V60 L40 100 L0 60 Z',
      lines: 'fold every 1/4 across; perforation 20mm from top; score at x 40mm',
    });
    const lines = blankOf(job, pieceIn(job)).surfaces[0]?.processLines ?? [];
    const of = (process: string) => lines.filter((l) => l.process === process);
    expect(of('fold').map((l) => [l.from.x, l.to.y])).toEqual([
      [20, 80],
      [40, 100],
      [60, 80],
    ]);
    expect(of('perforation')).toMatchObject([{ from: { x: 0, y: 20 }, to: { x: 80, y: 20 } }]);
    expect(of('cut')).toHaveLength(1);
  });

  test('bare numbers mean the job’s unit', () => {
    const job = begin('own', { lines: 'fold at x 1' }, 'in');
    expect(blankOf(job, pieceIn(job)).surfaces[0]?.processLines[0]?.from.x).toBeCloseTo(25.4, 9);
  });
});

test('every parameter is read back as it is written', () => {
  for (const format of FORMATS) {
    const job = begin(format.kind);
    for (const [name, parameter] of Object.entries(parametersOf(format))) {
      const value = pieceIn(job).decisions[name];
      if (value === undefined) continue;
      const read = parameter.read(parameter.write(value, 'mm'), { unit: 'mm', ppi: 300 });
      expect([format.kind, name, read.ok && read.value]).toEqual([format.kind, name, value]);
    }
  }
});
