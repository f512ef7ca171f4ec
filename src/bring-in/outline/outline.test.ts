import { openEnd, readOutline } from '../../core/format';
import { pathArea, pathBounds } from '../../core/layout';
import { readOutlineFile } from './index';

const svg = (inside: string, page = 'width="100mm" height="50mm" viewBox="0 0 200 100"') =>
  `<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" ${page}>${inside}</svg>`;
const outlineOf = (text: string) => {
  const read = readOutlineFile(text);
  if (!read.ok) throw new Error(read.problem);
  const path = readOutline(read.outline);
  if ('problem' in path) throw new Error(path.problem);
  return path.path;
};

describe('SVG', () => {
  test('units of the page: a view box twice the millimetres halves every length', () => {
    expect(pathBounds(outlineOf(svg('<rect x="20" y="10" width="160" height="80"/>')))).toMatchObject({
      x: 10,
      y: 5,
      width: 80,
      height: 40,
    });
  });
  test('without a page size a length is a CSS pixel, 96 to the inch (CSS Values and Units 4)', () => {
    expect(pathBounds(outlineOf(svg('<rect width="96" height="48"/>', ''))).width).toBeCloseTo(25.4, 3);
  });
  test('transforms of groups are followed, inner ones first', () => {
    const box = pathBounds(
      outlineOf(svg('<g transform="translate(20 0)"><rect transform="scale(2)" width="10" height="10"/></g>')),
    );
    expect([box.x, box.width]).toEqual([10, 10]);
  });
  test.each([
    ['circle', '<circle cx="50" cy="50" r="40"/>', Math.PI * 400],
    ['ellipse', '<ellipse cx="50" cy="50" rx="40" ry="20"/>', Math.PI * 200],
    ['polygon', '<polygon points="0,0 80,0 80,40"/>', 400],
    ['round rectangle', '<rect width="80" height="40" rx="8"/>', 800 - (4 - Math.PI) * 16],
    ['arcs', '<path d="M0 40A40 40 0 0 1 80 40Z"/>', Math.PI * 200],
    ['quadratic curves', '<path d="M0 0Q40 80 80 0Z"/>', (2 / 3) * 40 * 20],
  ] as const)('%s', (_name, shape, area) =>
    expect(Math.abs(pathArea(outlineOf(svg(shape))) / area - 1)).toBeLessThan(0.005),
  );
  test('closed shapes make the outline, open lines beside them are left out', () => {
    const path = outlineOf(svg('<rect width="80" height="40"/><path d="M10 10L50 30"/>'));
    expect(path.filter((s) => s[0] === 'M')).toHaveLength(1);
  });
  test('where nothing is closed the gap is named', () => {
    expect(openEnd(outlineOf(svg('<path d="M0 0H80V40"/>')))).toContain('44.72 mm are missing');
  });
});

const dxf = (...entities: readonly string[]) =>
  ['0', 'SECTION', '2', 'ENTITIES', ...entities, '0', 'ENDSEC', '0', 'EOF'].join('\n');
const line = (x1: number, y1: number, x2: number, y2: number) =>
  ['0', 'LINE', '8', '0', '10', x1, '20', y1, '30', 0, '11', x2, '21', y2, '31', 0].join('\n');

describe('DXF', () => {
  test('lines that meet are joined, whichever way each was drawn, and y is turned over', () => {
    const path = outlineOf(dxf(line(0, 0, 60, 0), line(60, 40, 60, 0), line(60, 40, 0, 40), line(0, 0, 0, 40)));
    expect(pathBounds(path)).toMatchObject({ width: 60, height: 40 });
    expect(openEnd(path)).toBeUndefined();
  });
  test('a missing side is an open outline', () => {
    expect(openEnd(outlineOf(dxf(line(0, 0, 60, 0), line(60, 0, 60, 40))))).toContain('open');
  });
});

describe('hostile files cost little and are refused in words', () => {
  const letter = (i: number) => String.fromCharCode(97 + i);
  const tenfold = (_: unknown, i: number) => `<!ENTITY ${letter(i + 1)} "${`&${letter(i)};`.repeat(10)}">`;
  const bomb = `<!DOCTYPE svg [<!ENTITY a "aaaaaaaaaa">${Array.from({ length: 12 }, tenfold).join('')}]>`;
  test.each([
    ['an entity bomb', `${bomb}<svg xmlns="http://www.w3.org/2000/svg"><path d="&m;"/></svg>`],
    ['half a file', '<svg xmlns="http://www.w3.org/2000/svg"><path d="M0 0'],
    ['a script alone', svg('<script>alert(1)</script>')],
    ['numbers that are none', svg('<path d="M0 0L1e999 NaN"/>')],
    ['a picture', '\u0089PNG....'],
    ['a broken DXF', '0\nSECTION\n2\nENTITIES\n0\nLINE\n10\nfish'],
    ['more than five megabytes', `<svg>${' '.repeat(5_000_001)}</svg>`],
    ['a hundred nested groups round nothing', svg('<g>'.repeat(100) + '</g>'.repeat(100))],
  ])('%s', (_name, text) => {
    const start = performance.now();
    const read = readOutlineFile(text);
    expect(performance.now() - start).toBeLessThan(2000);
    const path = read.ok ? readOutline(read.outline) : { problem: read.problem };
    const finite = 'path' in path && path.path.every((s) => s.slice(1).every((n) => Number.isFinite(n)));
    expect('problem' in path ? path.problem.length > 10 : finite && openEnd(path.path) !== undefined).toBe(true);
  });
});
