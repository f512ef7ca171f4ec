/**
 * What jobs cost, against sheets worked by hand with the invented prices of the demo’s houses; weights by the grammage
 * of the paper (ISO 536: grams a square metre).
 */
import fc from 'fast-check';
import { begin, makeJob } from '../../testing/jobs';
import { SHIPPED_PRINTERS, Stock, type House } from '../shop';
import {
  carried,
  cheapest,
  costOf,
  costReport,
  crossings,
  quantities,
  wayOf,
  waysAt,
  type Cost,
  type Way,
} from './index';

const house = (name: string): House => {
  const found = SHIPPED_PRINTERS.find((printer) => printer.name === name);
  if (!found) throw new Error(name);
  return found;
};

const offset = house('Copperplate Yard');
const digital = house('Corner Counter');
const silk = Stock.parse({ kind: 'coated', grammage: 150 });
const four = () => 4;

const way = (...[job, at, inks = four, sheet]: Partial<Parameters<typeof wayOf>>): Way => {
  const found = wayOf(job ?? makeJob(), at ?? offset, inks, sheet);
  if (!found.ok) throw new Error(found.message);
  return found.way;
};

const cost = (one: Way, copies: number): Cost => {
  const made = costOf(one, copies);
  if (!made.ok) throw new Error(made.message);
  return made.cost;
};

const line = ({ lines }: Cost, name: string): number => lines.find((one) => one.name === name)?.money ?? 0;

describe('a flyer A5, two sides in four inks, on 150 g/m², in offset on 720 × 520 mm, by hand', () => {
  const flyer = makeJob([], { stock: silk }, { sides: 2 });
  const two = { ...flyer, pieces: flyer.pieces.map((p) => ({ ...p, decisions: { ...p.decisions, sides: 2 } })) };
  const one = way(two, offset, four, { width: 720, height: 520 });
  const made = cost(one, 10_000);

  test('nine copies a sheet (3 × 216 mm and 3 × 154 mm on 704 × 500), two sets of plates, two passes', () => {
    expect(one.sheets).toEqual([
      {
        name: 'front',
        kinds: 1,
        size: { width: 720, height: 520 },
        up: 9,
        sets: [4, 4],
        passes: 2,
        sides: [{ isColour: true }, { isColour: true }],
      },
    ]);
    expect(one.finishes).toEqual(['trim']);
  });

  test('each line', () => {
    // 10,000 / 9: 1,112; spoilt: 2 × 80, and 2 % of 1,112: 23; together 1,295.
    expect(made.sheets).toBe(1295);
    // 1,295 × 0.72 m × 0.52 m × 150 g/m² = 72.7272 kg, at £ 1,150 a tonne.
    expect(line(made, 'Paper')).toBeCloseTo(83.63628, 4);
    expect(line(made, 'Plates')).toBe(8 * 14);
    expect(line(made, 'Made ready')).toBe(2 * 32);
    expect(line(made, 'Run')).toBeCloseTo((2 * 1295 * 11) / 1000, 6);
    expect(line(made, 'Cut to size')).toBeCloseTo(12 + 1.295 * 6, 6);
    expect(line(made, 'Delivery')).toBe(22);
    expect(made.total).toBeCloseTo(83.63628 + 112 + 64 + 28.49 + 19.77 + 22, 3);
    expect(made.each).toBeCloseTo(made.total / 10_000, 10);
    expect(made.unpriced).toEqual([]);
  });

  test('weight: 10,000 × 0.148 m × 0.21 m × 150 g/m² = 46.62 kg, four parcels', () => {
    expect(carried(one, 10_000)?.kg).toBeCloseTo(46.62, 6);
    expect(carried(one, 10_000)).toMatchObject({ parcels: 4, pallets: 0 });
    expect(carried(one, 200_000)).toMatchObject({ pallets: 2 });
    expect(carried(way(makeJob()), 10)).toBeUndefined();
  });

  test('one set of plates, worked and turned, saves four plates and a make-ready', () => {
    const turned = { ...two, output: { ...two.output, sheet: { work: 'turn' as const, stages: 3, turns: true } } };
    const set = way(turned, offset, four, { width: 720, height: 520 });
    expect(set.sheets[0]).toMatchObject({ sets: [4], passes: 2 });
    const less = cost(set, 10_000);
    expect(line(less, 'Plates')).toBe(4 * 14);
    expect(line(less, 'Made ready')).toBe(32);
  });

  test('a side without ink needs neither plates nor a pass', () => {
    const plain = way(two, offset, (surface) => (surface === 'front' ? 1 : 0), { width: 450, height: 320 });
    expect(plain.sheets[0]).toMatchObject({ sets: [1], passes: 1, sides: [{ isColour: false }] });
  });
});

test('digital: clicks a side, made ready once, the smallest bill', () => {
  const card = makeJob([], { stock: silk }, { size: { width: 85, height: 55 } });
  const one = way(card, digital, four, { width: 450, height: 320 });
  const made = cost(one, 100);
  const sheets = Math.ceil(100 / (one.sheets[0]?.up ?? 1));
  expect(made.sheets).toBe(sheets + 1 + Math.ceil(sheets / 100));
  expect(line(made, 'Print')).toBeCloseTo(made.sheets * 0.11, 6);
  expect(line(made, 'Made ready')).toBe(5);
  expect(line(made, 'Plates')).toBe(0);
  const black = cost(
    way(card, digital, () => 1, { width: 450, height: 320 }),
    100,
  );
  expect(line(black, 'Print')).toBeCloseTo(black.sheets * 0.03, 6);
  const dear: Way = { ...one, house: { ...digital, prices: digital.prices && { ...digital.prices, least: 500 } } };
  expect(cost(dear, 100)).toMatchObject({ total: 500 });
  expect(cost(dear, 100).lines.reduce((sum, { money }) => sum + money, 0)).toBeCloseTo(500, 6);
});

test('by the square metre the material is in the price', () => {
  const poster = makeJob([], {}, { size: { width: 1000, height: 700 } });
  const one = way(poster, house('Flatbed Nine'), four, { width: 1600, height: 5000 });
  const made = cost(one, 8);
  expect(line(made, 'Print')).toBeCloseTo(made.sheets * 1.6 * 5 * 21, 6);
  expect(made.unpriced).not.toContain('paper');
});

test('a book: each signature has its plates, it is folded sheet by sheet, stitched copy by copy', () => {
  const booklet = { ...begin('booklet', { size: '148 x 210 mm', pages: '28' }), stock: silk };
  const one = way(booklet, offset, four, { width: 520, height: 720 });
  expect(one.finishes).toEqual(expect.arrayContaining(['trim', 'fold', 'saddle']));
  const made = cost(one, 1000);
  expect(line(made, 'Stitch')).toBe(48 + 42);
  // Signatures of 8, 8, 8 and 4 pages: 16 do not go across 504 mm. Two sets of four plates each.
  const plates = made.lines.filter(({ name }) => name.startsWith('Plates'));
  expect(plates.reduce((sum, { money }) => sum + money, 0)).toBe(4 * 2 * 4 * 14);
  // 1,000 sheets each, 80 spoilt a set and 2 %: the sheets are folded, not the copies.
  expect(made.sheets).toBe(4000 + 8 * 80 + 80);
  expect(line(made, 'Fold')).toBeCloseTo(28 + (made.sheets / 1000) * 9, 6);
  // 28 pages are 14 leaves: 14 × 0.148 × 0.21 × 150 g = 65.27 g a copy.
  expect(one.copyWeight).toBeCloseTo(65.268, 3);
});

test('what has no price is named, and a house without prices says where they are set', () => {
  const gate = { ...begin('brochure', { fold: 'gate', size: 'A4' }), stock: silk };
  const bare = { ...offset, prices: offset.prices && { ...offset.prices, finish: {}, plate: undefined } };
  expect(cost(way(gate, bare), 500).unpriced).toEqual(expect.arrayContaining(['plates', 'cut to size', 'fold']));
  expect(costOf(way(gate, { ...offset, prices: undefined }), 500)).toMatchObject({ ok: false, message: /no prices/ });
  expect(cost(way({ ...gate, stock: Stock.parse({}) }), 500).unpriced).toContain('paper');
});

test('what a house does not do is said, and it is not the cheapest for it', () => {
  const book = { ...begin('catalogue', { binding: 'perfect', pages: '64', size: '170 x 240 mm' }), stock: silk };
  const made = cost(way(book, digital), 300);
  expect(made.undone).toContain('bind');
  const report = costReport({ ...book, quantity: 300 }, [digital, offset], {}, 300);
  expect(report.houses.map(({ house: name }) => name)).toEqual(['Copperplate Yard', 'Corner Counter']);
  expect(report.crossings).toEqual([{ from: 1, house: 'Copperplate Yard' }]);
});

test('signatures that are printed alike are one line, with their plates counted', () => {
  const book = { ...begin('catalogue', { binding: 'perfect', pages: '64', size: '170 x 240 mm' }), stock: silk };
  const made = cost(way(book, offset, four, { width: 720, height: 520 }), 1000);
  const plates = made.lines.filter(({ name }) => name.startsWith('Plates'));
  expect(plates.length).toBeLessThanOrEqual(3);
  expect(plates[0]?.working).toMatch(/^\d+ × \(4 \+ 4\) plates$/);
});

test('the report has a curve over the quantity, the crossing of two houses, and what the run weighs', () => {
  const flyer = makeJob([], { stock: silk, quantity: 1000 });
  const report = costReport(
    flyer,
    [offset, digital, { ...offset, name: 'Dear', prices: undefined }],
    { front: 4 },
    1000,
  );
  expect(report.houses.at(-1)).toMatchObject({ house: 'Dear', problem: 'No prices are known. Set them under Books.' });
  expect(report.curve[0]?.copies).toBe(50);
  expect(report.curve.at(-1)?.copies).toBe(20_000);
  for (const { each } of report.curve) expect(Object.keys(each).sort()).toEqual(['Copperplate Yard', 'Corner Counter']);
  expect(report.crossings).toHaveLength(2);
  expect(report.carried?.kg).toBeCloseTo(0.148 * 0.21 * 150, 6);
});

test('records share the quantity: each is made as often as the others, none less than once', () => {
  const cards = makeJob(
    [],
    { stock: silk, records: { from: 'count', first: 1, step: 1, count: 8, digits: 3 } },
    { size: { width: 85, height: 55 } },
  );
  const one = way(cards, offset);
  expect(one.records).toBe(8);
  expect(cost(one, 800).copies).toBe(800);
  expect(cost(one, 801).copies).toBe(808);
  expect(cost(one, 1).copies).toBe(8);
  // 800 × 0.085 m × 0.055 m × 150 g/m² = 0.561 kg.
  expect(carried(one, 800)?.kg).toBeCloseTo(0.561, 6);
});

test('a perfecting press prints both sides in one pass, from two sets of plates', () => {
  const folder = { ...begin('brochure', { fold: 'half', size: 'A4' }), stock: silk };
  const both = {
    ...folder,
    output: { ...folder.output, sheet: { work: 'perfecting' as const, stages: 3, turns: true } },
  };
  expect(way(folder).sheets[0]).toMatchObject({ sets: [4, 4], passes: 2 });
  expect(way(both).sheets[0]).toMatchObject({ sets: [4, 4], passes: 1 });
  expect(line(cost(way(both), 5000), 'Run')).toBeLessThan(line(cost(way(folder), 5000), 'Run'));
});

test('all pieces of a job are priced, and weighed', () => {
  const flyer = makeJob([], { stock: silk });
  const [piece] = flyer.pieces;
  const two = { ...flyer, pieces: piece ? [piece, { ...piece, id: 'second' }] : [] };
  const [alone, together] = [way(flyer), way(two)];
  expect(line(cost(together, 1000), 'Plates')).toBe(2 * line(cost(alone, 1000), 'Plates'));
  expect(together.copyWeight).toBeCloseTo(2 * (alone.copyWeight ?? 0), 9);
});

test('what cannot lie on a sheet says why, not that it has no price', () => {
  const labels = { ...begin('labels'), stock: silk, quantity: 1000 };
  const [at] = costReport(labels, [offset], {}, 1000).houses;
  expect(at?.cost).toBeUndefined();
  expect(at?.problem).toMatch(/labels lie on a sheet or a web of their own/);
});

test('the cheapest way of a house is on one of its sheets', () => {
  const flyer = makeJob([], { stock: silk });
  const { ways } = waysAt(flyer, offset, four);
  const best = cheapest(ways, 5000);
  for (const one of ways) expect(cost(one, 5000).total).toBeGreaterThanOrEqual(best?.cost.total ?? 0);
  expect(cheapest([], 5000)).toBeUndefined();
});

describe('over quantity', () => {
  const flyer = makeJob([], { stock: silk });
  const houses = [digital, offset].map((house) => waysAt(flyer, house, four).ways);

  test('the digital house is cheaper for few, the other from a quantity on that can be checked', () => {
    const found = crossings(houses, 100_000);
    expect(found.map((one) => one.house)).toEqual(['Corner Counter', 'Copperplate Yard']);
    const from = found[1]?.from ?? 0;
    const total = (ways: readonly Way[], copies: number) => cheapest(ways, copies)?.cost.total ?? 0;
    expect(total(houses[1] ?? [], from)).toBeLessThan(total(houses[0] ?? [], from));
    expect(total(houses[1] ?? [], from - 1)).toBeGreaterThanOrEqual(total(houses[0] ?? [], from - 1));
  });

  test('more copies never cost less, and each of them never more but for what is spoilt or begun', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200_000 }), fc.integer({ min: 1, max: 5000 }), (copies, more) => {
        for (const ways of houses)
          for (const one of ways.slice(0, 2))
            expect(cost(one, copies + more).total).toBeGreaterThanOrEqual(cost(one, copies).total - 1e-9);
      }),
      { numRuns: 60 },
    );
  });

  test('quantities are whole, in order, from the first to the last', () => {
    const all = quantities(10, 10_000, 30);
    expect(all[0]).toBe(10);
    expect(all.at(-1)).toBe(10_000);
    expect([...all].sort((a, b) => a - b)).toEqual(all);
  });
});
