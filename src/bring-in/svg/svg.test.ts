import { pathArea, pathBounds } from '../../core/layout';
import { readDocument } from '../document';
import { readSvg } from './index';

const svg = (inside: string, page = 'width="60mm" height="40mm" viewBox="0 0 60 40"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${page}>${inside}</svg>`;
function art(inside: string, page?: string) {
  const read = readSvg(svg(inside, page));
  if (!read.ok) throw new Error(read.problem);
  return read;
}
const fills = (inside: string) => art(inside).art.shapes.map((s) => s.fill);
const red = { kind: 'rgb', r: 255, g: 0, b: 0 };

describe('colours', () => {
  test.each([
    ['an attribute', '<rect width="9" height="9" fill="red"/>'],
    ['a style', '<rect width="9" height="9" fill="blue" style="fill:#f00"/>'],
    ['a group', '<g fill="#ff0000"><rect width="9" height="9"/></g>'],
    ['a class', '<style>.a, .b { fill: rgb(255,0,0) }</style><rect class="b" width="9" height="9"/>'],
    ['an id', '<style>#k{fill:hsl(0 100% 50%)}</style><rect id="k" width="9" height="9"/>'],
    ['the current colour', '<g color="red"><rect width="9" height="9" fill="currentColor"/></g>'],
  ])('from %s', (_name, inside) => expect(fills(inside)).toEqual([red]));
  test('black is meant where none is given; what has none is not there', () => {
    expect(fills('<rect width="9" height="9"/><rect width="9" height="9" fill="none"/>')).toEqual([
      { kind: 'rgb', r: 0, g: 0, b: 0 },
    ]);
  });
  test('opacity of groups and of fills is multiplied', () => {
    expect(art('<g opacity="0.5"><rect width="9" height="9" fill-opacity="50%"/></g>').art.shapes[0]?.opacity).toBe(
      0.25,
    );
  });
  test('hidden things are left out', () => {
    expect(
      fills(
        '<rect width="9" height="9" display="none"/><g visibility="hidden"><rect width="9" height="9"/></g>' +
          '<rect width="1" height="1" fill="red"/>',
      ),
    ).toEqual([red]);
  });
  test('a gradient becomes the colour in its middle, and that is said', () => {
    const read = art(
      '<defs><linearGradient id="g"><stop stop-color="blue"/><stop offset="1" ' +
        'stop-color="red"/></linearGradient></defs><rect width="9" height="9" fill="url(#g)"/>',
    );
    expect(read.art.shapes[0]?.fill).toEqual(red);
    expect(read.left.join()).toContain('gradients');
  });
});

describe('geometry', () => {
  test('millimetres of the page; strokes and dashes are scaled with their transforms', () => {
    const { art: found } = art(
      '<g transform="scale(2)"><path d="M0 0H10" stroke="red" stroke-width="1" stroke-dasharray="2 1" ' +
        'fill="none"/></g>',
      'width="120mm" height="80mm" viewBox="0 0 60 40"',
    );
    expect([found.width, found.height]).toEqual([120, 80]);
    expect(found.shapes[0]?.stroke).toMatchObject({ width: 4, dash: [8, 4] });
    expect(pathBounds(found.shapes[0]?.path ?? []).width).toBeCloseTo(40, 6);
  });
  test('a view box that begins elsewhere', () => {
    expect(
      pathBounds(
        art('<rect x="10" y="10" width="5" height="5"/>', 'width="60mm" height="40mm" viewBox="10 10 60 40"').art
          .shapes[0]?.path ?? [],
      ),
    ).toMatchObject({ x: 0, y: 0 });
  });
  test('a quadratic curve keeps its area', () => {
    expect(pathArea(art('<path d="M0 40Q40 -40 60 40Z"/>').art.shapes[0]?.path ?? [])).toBeCloseTo(
      (2 / 3) * ((60 * 80) / 2),
      -1,
    );
  });
  test('uses stand where they are put', () => {
    const { shapes } = art(
      '<defs><rect id="r" width="4" height="4"/></defs><use href="#r" x="10" y="5"/><use xlink:href="#r" ' +
        'transform="translate(20 0)"/>',
    ).art;
    expect(shapes.map((s) => pathBounds(s.path).x)).toEqual([10, 20]);
  });
});

describe('hostile files come to an end, and nothing in them acts', () => {
  const letter = (i: number) => String.fromCharCode(97 + i);
  const tenfold = (_: unknown, i: number) => `<!ENTITY ${letter(i + 1)} "${`&${letter(i)};`.repeat(10)}">`;
  const bomb = `<!DOCTYPE svg [<!ENTITY a "aaaaaaaaaa">${Array.from({ length: 12 }, tenfold).join('')}]>`;
  test.each([
    ['an entity bomb', `${bomb}${svg('<path d="&m;"/>')}`],
    ['half a file', '<svg xmlns="http://www.w3.org/2000/svg"><path d="M0 0'],
    ['numbers without end', svg(`<path d="M0 0L${'9'.repeat(400)} 0Z"/>`)],
    ['a path that is none', svg('<path d="M0 0 fish"/>')],
    ['too many shapes', svg('<rect width="1" height="1"/>'.repeat(20_001))],
    ['no drawing at all', '{"json": true}'],
  ])('%s is refused in words', (_name, text) => {
    const read = readSvg(text);
    expect(!read.ok && read.problem.length > 10).toBe(true);
  });
  test('a use of itself, and uses of uses, end', () => {
    const loop = '<g id="a"><use href="#a"/><rect width="1" height="1"/></g>';
    expect(readSvg(svg(loop)).ok).toBe(true);
    const many = Array.from(
      { length: 24 },
      (_, i) => `<g id="u${i + 1}"><use href="#u${i}"/><use href="#u${i}"/></g>`,
    ).join('');
    expect(readSvg(svg(`<defs><rect id="u0" width="1" height="1"/>${many}</defs><use href="#u24"/>`)).ok).toBe(false);
  });
  test('as many points as are read, on a page without a size, which is then as large as they reach', () => {
    const read = art(`<path d="M0 0${'L9 7'.repeat(150_000)}Z"/>`, '');
    expect([read.art.width, read.art.height].map((mm) => Math.round((mm * 96) / 25.4))).toEqual([9, 7]);
  });
  test('scripts, pictures, text, handlers and addresses elsewhere are left out and named', () => {
    const read = art(
      '<script>steal()</script><image href="http://example.com/x.png"/><text>x</text><use ' +
        'href="http://example.com/a.svg#b"/><foreignObject><iframe/></foreignObject><rect onclick="steal()" ' +
        'width="9" height="9" fill="red"/>',
    );
    expect(read.art.shapes).toHaveLength(1);
    expect(JSON.stringify(read.art)).not.toMatch(/steal|example/);
    expect(read.left).toHaveLength(5);
  });
});

describe('a PDF from outside', () => {
  const bytes = (text: string) => new TextEncoder().encode(text);
  test.each([
    ['what is none', bytes('hello')],
    ['a head alone', bytes('%PDF-1.6\n')],
    [
      'half a file',
      bytes('%PDF-1.6\n1 0 obj << /Type /Catalog /Pages 2 0 R >> endobj\n2 0 obj << /Type /Pages /Kids ['),
    ],
    [
      'no pages',
      bytes(
        '%PDF-1.4\n1 0 obj<</Type/Catalog/Pages 2 0 R>>endobj 2 0 obj<</Type/Pages/Kids[]/Count 0>>endobj\n' +
          'trailer<</Root 1 0 R>>',
      ),
    ],
  ])('%s is refused in words', async (_name, file) => {
    const read = await readDocument('x.pdf', file);
    expect(!read.ok && read.problem).toContain('x.pdf');
  });
});
