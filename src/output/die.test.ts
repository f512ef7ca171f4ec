import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { readOutlineFile } from '../bring-in/outline';
import { FORMATS } from '../core/format';
import { blankOf, type Job } from '../core/job';
import { pathBounds } from '../core/layout';
import { some } from '../testing/all';
import { begin, box } from '../testing/jobs';
import { boxesOf, inFolder, platesOf, python, run } from '../testing/programs';
import { exported, pdfOf } from '../testing/exports';
import type { OutputFile } from './index';

const only = (made: readonly OutputFile[], end: string) => made.find((f) => f.name.endsWith(end)) ?? fail(end);
const textOf = (file: OutputFile) => new TextDecoder().decode(file.bytes);

/** What ezdxf 0.18 of Debian reads from a DXF: audit, layers, extent and every entity. */
const ezdxf = (dxf: string) =>
  python(
    `import ezdxf, io
from ezdxf import bbox
doc = ezdxf.read(io.StringIO(data))
box = bbox.extents(doc.modelspace())
print(json.dumps({
  'errors': len(doc.audit().errors),
  'units': doc.header.get('$INSUNITS'),
  'entities': [[e.dxftype(), e.dxf.layer, bool(getattr(e, 'closed', False))] for e in doc.modelspace()],
  'lines': {l.dxf.name: l.dxf.linetype for l in doc.layers},
  'size': [box.size.x, box.size.y],
}))`,
    dxf,
  ) as {
    errors: number;
    units: number;
    entities: [string, string, boolean][];
    lines: Record<string, string>;
    size: [number, number];
  };

describe('die lines', () => {
  test('a DXF has a layer for each process, true size in millimetres, closed outlines (ezdxf)', async () => {
    const made = await exported(begin('tuck-box'), 'die');
    const read = ezdxf(textOf(only(made, '.dxf')));
    expect(read.errors).toBe(0);
    expect(read.units).toBe(4);
    expect(read.lines).toMatchObject({ Cut: 'Continuous', Score: 'DASHED' });
    expect(read.entities.filter(([, layer]) => layer === 'Cut')).toEqual([['LWPOLYLINE', 'Cut', true]]);
    expect(read.entities.filter(([type, layer]) => type === 'LINE' && layer === 'Score').length).toBeGreaterThanOrEqual(
      10,
    );
    expect(read.size[0]).toBeCloseTo(184, 3);
    expect(read.size[1]).toBeCloseTo(170, 3);
  });

  test('the outline of a DXF or an SVG that was written is read back as an own format of the same size', async () => {
    for (const end of ['.dxf', '.svg']) {
      const job = begin('hang-tag');
      const text = textOf(only(await exported(job, 'die'), `front-die${end}`));
      const read = readOutlineFile(text);
      const own = begin('own', { outline: read.ok ? read.outline : read.problem });
      const [piece] = own.pieces;
      const outline = piece ? blankOf(own, piece).surfaces[0]?.outline : undefined;
      const size = pathBounds(outline ?? []);
      expect([end, Math.round(size.width * 100) / 100, Math.round(size.height * 100) / 100]).toEqual([end, 50, 90]);
    }
  });

  test('the PDF is cut to the trim and holds nothing but the lines, a layer each', async () => {
    const pdf = only(await exported(begin('door-hanger'), 'die'), '.pdf');
    const plates = await platesOf(pdf.bytes, 1, 72);
    expect(plates.get('Cut')?.mean).toBeGreaterThan(0);
    for (const ink of ['Cyan', 'Magenta', 'Yellow', 'Black']) expect(plates.get(ink)?.mean ?? 0).toBe(0);
  });

  test('a piece without lines says so', async () => {
    await expect(exported(begin('flyer'), 'die')).rejects.toThrow('no cut, fold or other line');
  });
});

describe('process lines in the press file', () => {
  const ground = (job: Job, width: number, height: number): Job => ({
    ...job,
    pieces: job.pieces.map((p) => ({
      ...p,
      surfaces: {
        outside: [box('ground', [0, 0, width, height], { fill: { kind: 'process', c: 60, m: 0, y: 0, k: 0 } })],
      },
    })),
  });

  test('each is a plate of its own, and overprints: the artwork’s plates are the same without it', async () => {
    const scored = ground(begin('brochure', { crease: 'score' }), 297, 210);
    const withLines = await platesOf(await pdfOf(scored), 1, 100);
    expect(withLines.get('Score')?.mean).toBeGreaterThan(0);
    const flat = ground(begin('flyer', { size: 'A4 landscape', sides: '1' }), 297, 210);
    const bare = await platesOf(
      await pdfOf({
        ...flat,
        pieces: flat.pieces.map((p) => ({ ...p, surfaces: { front: Object.values(p.surfaces)[0] ?? [] } })),
      }),
      1,
      100,
    );
    // Inside the trim, away from the marks, which differ by their fold ticks.
    const [a, b] = [withLines.get('Cyan'), bare.get('Cyan')];
    for (let x = 60; x < (a?.width ?? 0) - 60; x += 3)
      expect(a?.at(x, a.height / 2)).toBeCloseTo(b?.at(x, b.height / 2) ?? -1, 2);
  });

  test('each lies in a layer with its processing step (qpdf)', async () => {
    await inFolder(async (folder) => {
      const path = join(folder, 'f.pdf');
      writeFileSync(path, await pdfOf(begin('tuck-box')));
      expect(() => run('qpdf', ['--check', path])).not.toThrow();
      const json = run('qpdf', ['--json=2', '--json-key=qpdf', path]);
      for (const word of [
        '/OCProperties',
        '/GTS_ProcStepsGroup": "/Structural"',
        '"/Cutting"',
        '"/Creasing"',
        '"/Separation"',
        '"/Cut"',
        '"/Score"',
      ])
        expect(json).toContain(word);
    });
  });

  test('the house’s names, forms and weights are used, and a fold has ticks outside the bleed', async () => {
    const job = begin('brochure', { crease: 'score' });
    const house = {
      ...job.house,
      name: 'Test house',
      lines: { score: { spot: 'Rill', form: 'dash-dot' as const } },
      lineWeightPt: 0.75,
    };
    const plates = await platesOf(await pdfOf({ ...job, house }), 1, 150);
    expect(plates.get('Rill')?.mean).toBeGreaterThan(0);
    expect(plates.has('Score')).toBe(false);
    // On the first fold’s line, just outside the bleed: registration colour on the black plate.
    const black = plates.get('Black');
    const [piece] = job.pieces;
    const x = piece ? (blankOf(job, piece).surfaces[0]?.processLines[0]?.from.x ?? 0) : 0;
    const px = (mm: number) => (mm / 25.4) * 150;
    // Sheet: 2 mm rim, 8 mm of marks zone; the tick is 3 to 8 mm from the trim, below the colour bar’s 6 mm.
    const column = Array.from({ length: Math.round(px(12)) }, (_, y) => black?.at(px(10 + x), px(6) + y) ?? 0);
    expect(Math.max(...column)).toBeGreaterThan(0.5);
  });

  test('boxes are right for every format, and every file is sound', async () => {
    for (const format of some(FORMATS, 4)) {
      const job = begin(format.kind);
      const [piece] = job.pieces;
      const [first] = piece ? blankOf(job, piece).surfaces : [];
      await inFolder(async (folder) => {
        const path = join(folder, 'f.pdf');
        writeFileSync(path, await pdfOf(job));
        execFileSync('qpdf', ['--check', path], { stdio: 'ignore' });
        const { TrimBox } = boxesOf(path, 1);
        const width = ((TrimBox[2] ?? 0) - (TrimBox[0] ?? 0)) / (72 / 25.4);
        const height = ((TrimBox[3] ?? 0) - (TrimBox[1] ?? 0)) / (72 / 25.4);
        expect([
          format.kind,
          Math.abs(width - (first?.boxes.trim.width ?? 0)) < 0.01,
          Math.abs(height - (first?.boxes.trim.height ?? 0)) < 0.01,
        ]).toEqual([format.kind, true, true]);
      });
    }
  });

  test('a label is repeated at every place of its sheet', async () => {
    const job = begin('labels', { size: '63.5x38.1mm', sheet: 'A4', across: '3', down: '7' });
    const none = { corner: false, centre: false, register: false, colourBar: false, slugLine: false, fold: false };
    const laid = {
      ...job,
      output: { ...job.output, marks: none },
      pieces: job.pieces.map((p) => ({ ...p, surfaces: { label: [box('ground', [10, 10, 20, 10])] } })),
    };
    const plates = await platesOf(await pdfOf(laid), 2, 200);
    const cyan = plates.get('Cyan');
    // 21 boxes of 20 × 10 mm and no marks.
    const area = (cyan?.mean ?? 0) * (cyan?.width ?? 0) * (cyan?.height ?? 0) * (25.4 / 200) ** 2;
    expect(Math.abs(area / (21 * 200) - 1)).toBeLessThan(0.03);
  });
});

describe('the printable dummy', () => {
  test('is at true size, names every panel and says which way each crease goes (pdftotext)', async () => {
    await inFolder(async (folder) => {
      const path = join(folder, 'f.pdf');
      writeFileSync(path, only(await exported(begin('brochure'), 'dummy'), '.pdf').bytes);
      const { TrimBox } = boxesOf(path, 1);
      expect((((TrimBox[2] ?? 0) - (TrimBox[0] ?? 0)) * 25.4) / 72).toBeCloseTo(297, 1);
      const words = run('pdftotext', ['-raw', path, '-']);
      for (const name of [
        'tucked panel',
        'back cover',
        'front cover',
        'inside left',
        'fold toward you',
        'fold away from you',
        '1. Fold the right panel in',
        'metal rule',
      ])
        expect(words.replace(/\s+/g, ' ')).toContain(name);
    });
  });
});
