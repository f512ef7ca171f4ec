import { readFileSync } from 'node:fs';
import { PDFDocument, rgb } from '@cantoo/pdf-lib';
import { strToU8, zipSync } from 'fflate';
import sharp from 'sharp';
import { writeWorkingFile } from '../../bring-in/working-file';
import { pictureAsset, redecided, tableOfWords } from '../../core/job';
import { begin, box, makeJob, picture, pictureFacts, words } from '../jobs';
import { sha256 } from './sha256';
import { spoilt } from './spoil';

/** How something from outside reaches the program. */
export type Way = 'asset' | 'import' | 'state' | 'address' | 'events' | 'rows' | 'outline';

/** Something from outside that is broken, or made to do harm. Most of it ends in a refusal; some of it is sound. */
export interface Hostile {
  readonly what: string;
  readonly way: Way;
  /** What the file is called; for addresses the path. */
  readonly name: string;
  readonly bytes: Uint8Array;
}

const text = (what: string, way: Way, name: string, words: string): Hostile => ({
  what,
  way,
  name,
  bytes: strToU8(words),
});

const all = (way: Way, name: string, bytes: Uint8Array, count: number): readonly Hostile[] =>
  spoilt(name, bytes, count).map((spoiled) => ({ ...spoiled, way, name }));

async function pictures(): Promise<readonly Hostile[]> {
  const noise = sharp(Buffer.from(Uint8Array.from({ length: 120 * 90 * 3 }, (_, i) => (i * i * 31) & 255)), {
    raw: { width: 120, height: 90, channels: 3 },
  });
  const huge = await sharp({ create: { width: 16_000, height: 16_000, channels: 3, background: '#123' } })
    .png()
    .toBuffer();
  return [
    ...all('asset', 'noise.png', await noise.clone().png().toBuffer(), 24),
    ...all('asset', 'noise.jpg', await noise.clone().jpeg().toBuffer(), 24),
    ...all('asset', 'noise.tif', await noise.clone().tiff({ compression: 'lzw' }).toBuffer(), 24),
    ...all('asset', 'noise.webp', await noise.clone().webp().toBuffer(), 24),
    ...all('asset', 'inks.jpg', await noise.clone().toColourspace('cmyk').jpeg().toBuffer(), 18),
    { what: '256 million pixels in one colour', way: 'asset', name: 'huge.png', bytes: huge },
    text('words that call themselves a picture', 'asset', 'words.png', 'only words'),
    text('nothing at all', 'asset', 'nothing.jpg', ''),
  ];
}

const svg = (inside: string, attributes = 'width="10mm" height="10mm" viewBox="0 0 10 10"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${attributes}>${inside}</svg>`;

function drawings(): readonly Hostile[] {
  const drawing = (what: string, inside: string, attributes?: string) =>
    text(what, 'asset', 'drawing.svg', svg(inside, attributes));
  const rect = '<rect width="1" height="1"/>';
  const doubled = Array.from(
    { length: 40 },
    (_, i) => `<g id="a${i + 1}"><use href="#a${i}"/><use href="#a${i}"/></g>`,
  ).join('');
  const plain = svg(
    `<style>.a{fill:#c00}</style><g transform="rotate(9)">${Array.from(
      { length: 60 },
      (_, i) => `<path class="a" d="M${i} 0C1 2 3 4 5 ${i}Z"/>`,
    ).join('')}</g>`,
  );
  return [
    ...all('asset', 'plain.svg', strToU8(plain), 48),
    drawing('a use within itself', '<g id="a"><use href="#a"/></g>'),
    drawing('uses that double forty times', `<defs><g id="a0">${rect}</g>${doubled}</defs><use href="#a40"/>`),
    drawing('fifty thousand digits in a width', rect, `width="${'1'.repeat(50_000)}x" height="9"`),
    drawing('two hundred thousand letters of style', `<style>${'a'.repeat(200_000)}</style>${rect}`),
    drawing('comments that never end', `<style>${'/*'.repeat(100_000)}</style>${rect}`),
    drawing('a style of an element without an end', `<rect width="1" height="1" style="${'fill:'.repeat(40_000)}"/>`),
    drawing('groups a hundred thousand deep', `${'<g>'.repeat(100_000)}${rect}${'</g>'.repeat(100_000)}`),
    drawing('thirty thousand shapes', rect.repeat(30_000)),
    drawing('a path of nine hundred thousand characters', `<path d="M0 0${'L1 1'.repeat(220_000)}"/>`),
    drawing('arcs of endless radius', `<path d="M0 0${'A1e300 1e300 0 1 1 1 1'.repeat(2_000)}"/>`),
    drawing('numbers beyond all bounds', '<rect width="1e999" height="-1e999"/><circle r="1e308"/>'),
    drawing('a transform of two hundred thousand steps', `<g transform="${'rotate(1)'.repeat(20_000)}">${rect}</g>`),
    drawing('ten thousand classes', `<rect width="1" height="1" class="${'a '.repeat(10_000)}"/>`),
    drawing('entities', '&lol;', 'width="1" height="1"'),
    text(
      'entities that multiply',
      'asset',
      'lol.svg',
      '<!DOCTYPE svg ' +
        `[${Array.from({ length: 12 }, (_, i) => `<!ENTITY l${i + 1} "${`&l${i};`.repeat(10)}">`).join('')}` +
        `<!ENTITY l0 "lol">]>${svg('<desc>&l12;</desc>')}`,
    ),
    drawing(
      'a script, a link and a picture from elsewhere',
      `<script>alert(1)</script><image href="http://127.0.0.1:9/x.png"/><a href="javascript:1">${rect}</a>`,
    ),
    drawing(
      'attributes in a hundred thousand',
      `<rect ${Array.from({ length: 50_000 }, (_, i) => `a${i}="1"`).join(' ')} width="1" height="1"/>`,
    ),
    text('no end', 'asset', 'open.svg', '<svg xmlns="http://www.w3.org/2000/svg" width="1" height="1"><g>'),
    text('another language', 'asset', 'page.svg', '<svg xmlns="http://www.w3.org/1999/xhtml"><p>hello</p></svg>'),
  ];
}

function fonts(): readonly Hostile[] {
  const bytes = readFileSync('public/fonts/barlow-latin-400-normal.ttf');
  return [
    ...all('asset', 'barlow.ttf', bytes, 42),
    text('words that call themselves a font', 'asset', 'x.ttf', 'only words, but a fair number of them'),
    {
      what: 'a table of tables',
      way: 'asset',
      name: 'tables.otf',
      bytes: Buffer.concat([Buffer.from([0, 1, 0, 0, 0xff, 0xff, 0, 0, 0, 0, 0, 0]), Buffer.alloc(2_000_000, 1)]),
    },
    {
      what: 'a web font of nothing',
      way: 'asset',
      name: 'x.woff2',
      bytes: Buffer.concat([Buffer.from('wOF2'), Buffer.alloc(4_000, 0xff)]),
    },
  ];
}

function profiles(): readonly Hostile[] {
  const bytes = readFileSync('assets/profiles/coated-fogra39.icc');
  const tags = Buffer.alloc(144);
  tags.writeUInt32BE(144, 0);
  tags.write('acsp', 36, 'latin1');
  tags.writeUInt32BE(0xffff_ffff, 128);
  return [
    ...all('asset', 'press.icc', bytes, 36),
    { what: 'four thousand million tags', way: 'asset', name: 'tags.icc', bytes: tags },
    text('words that call themselves a profile', 'asset', 'x.icc', 'acsp '.repeat(40)),
  ];
}

async function documents(): Promise<readonly Hostile[]> {
  const made = await PDFDocument.create();
  for (let i = 0; i < 3; i += 1)
    made.addPage([200, 300]).drawRectangle({ x: 10, y: 10, width: 50, height: 80, color: rgb(1, 0, 0) });
  const loose = await made.save({ useObjectStreams: false });
  const pdf = (what: string, body: string) => text(what, 'asset', 'x.pdf', `%PDF-1.7\n${body}\n%%EOF`);
  return [
    ...all('asset', 'streams.pdf', await made.save(), 30),
    ...all('asset', 'loose.pdf', loose, 30),
    pdf(
      'a page tree within itself',
      '1 0 obj<</Type/Catalog/Pages 2 0 R>>endobj 2 0 obj<</Type/Pages/Kids[2 0 R]/Count 1>>endobj trailer<' +
        '</Root 1 0 R>>',
    ),
    pdf(
      'a million pages',
      '1 0 obj<</Type/Catalog/Pages 2 0 R>>endobj 2 0 obj<</Type/Pages/Kids[]/Count 1000000>>endobj trailer<' +
        '</Root 1 0 R>>',
    ),
    pdf('brackets that never close', '['.repeat(200_000)),
    pdf('nothing within', ''),
  ];
}

/** A zip whose entries all lie over the same bytes. */
function overlapping(): Uint8Array {
  const one = zipSync({ 'job.json': Buffer.alloc(1_000_000, 32) }, { level: 9 });
  const view = new DataView(one.buffer, one.byteOffset, one.byteLength);
  const end = one.length - 22;
  const directory = view.getUint32(end + 16, true);
  const entry = one.subarray(directory, end);
  const count = 1_500;
  const entries = Buffer.concat(
    Array.from({ length: count }, (_, i) => {
      const copy = Buffer.concat([entry.subarray(0, 46), strToU8(`assets/${String(i).padStart(64, '0')}`)]);
      copy.writeUInt16LE(71, 28);
      return copy;
    }),
  );
  const tail = Buffer.from(one.subarray(end));
  tail.writeUInt16LE(count, 8);
  tail.writeUInt16LE(count, 10);
  tail.writeUInt32LE(entries.length, 12);
  return Buffer.concat([one.subarray(0, directory), entries, tail]);
}

async function workingFiles(): Promise<readonly Hostile[]> {
  const png = await sharp({ create: { width: 40, height: 40, channels: 3, background: '#c00' } })
    .png()
    .toBuffer();
  const sha = sha256(png);
  const facts = pictureAsset({ [sha]: pictureFacts(40, 40) }, sha);
  const job = makeJob([picture('p', sha, [10, 10, 30, 30])], facts ? { assets: { [sha]: facts } } : {});
  const sound = writeWorkingFile(job, new Map([[sha, png]]));
  const zip = (what: string, entries: Parameters<typeof zipSync>[0]): Hostile => ({
    what,
    way: 'import',
    name: 'x.zip',
    bytes: zipSync(entries, { level: 9 }),
  });
  return [
    ...all('import', 'working.zip', sound, 36),
    { what: 'entries over the same bytes', way: 'import', name: 'overlap.zip', bytes: overlapping() },
    zip('a way out of the folder', { 'job.json': strToU8('{}'), '../../x': strToU8('x') }),
    zip('an absolute path', { '/etc/passwd': strToU8('x') }),
    zip('no job', { [`assets/${sha}`]: png }),
    zip('a job of two hundred million spaces', { 'job.json': Buffer.alloc(60_000_000, 32) }),
    zip('another file under a picture’s name', {
      'job.json': strToU8(JSON.stringify(job)),
      [`assets/${sha}`]: strToU8('not it'),
    }),
    zip(
      'three thousand entries',
      Object.fromEntries(
        Array.from({ length: 3_000 }, (_, i) => [`assets/${String(i).padStart(64, '0')}`, strToU8('x')]),
      ),
    ),
  ];
}

function jobs(): readonly Hostile[] {
  const file = (what: string, job: unknown) =>
    text(what, 'import', 'x.ysjob.json', typeof job === 'string' ? job : JSON.stringify(job));
  const plain = makeJob([box('a', [10, 10, 40, 40]), words('w', 'Look up', [10, 60, 60, 20])]);
  const withElements = (what: string, elements: readonly unknown[]) =>
    file(what, {
      ...plain,
      pieces: plain.pieces.map((piece) => ({ ...piece, surfaces: { ...piece.surfaces, front: elements } })),
    });
  const table = (rows: number, columns: number) => ({
    kind: 'table',
    id: 't',
    placement: { against: { box: 'trim' }, x: { start: 1, size: 100 }, y: { start: 1, size: 100 } },
    ...tableOfWords(Array.from({ length: rows }, (_, i) => Array.from({ length: columns }, () => `night ${i}`))),
  });
  const shadow = { effect: 'shadow', paint: { kind: 'process', c: 0, m: 0, y: 0, k: 100 }, blur: 200, spread: 100 };
  const long = (n: number, word: string) =>
    words('long', word.repeat(n), [5, 5, 60, 200], { hyphenate: true, align: 'justified' });
  return [
    ...all('import', 'plain.ysjob.json', strToU8(JSON.stringify(plain)), 30),
    file('two hundred thousand unknown keys', {
      ...plain,
      ...Object.fromEntries(Array.from({ length: 200_000 }, (_, i) => [`k${i}`, 1])),
    }),
    file('lists a hundred thousand deep', `${'['.repeat(100_000)}${']'.repeat(100_000)}`),
    file('a job within jobs, ten thousand deep', `${'{"pieces":'.repeat(10_000)}1${'}'.repeat(10_000)}`),
    file('a version of the future', { ...plain, version: 999 }),
    file('an older version with nothing in it', { format: 'yellow-sheet-job', version: 1 }),
    file('null', null),
    file('a list', []),
    file('words', 'hello'),
    file('nothing', ''),
    file('an id that climbs', { ...plain, id: '../../../etc' }),
    file('a name of a million letters', { ...plain, name: 'n'.repeat(1_000_000) }),
    file('a size beyond all bounds', {
      ...plain,
      pieces: plain.pieces.map((p) => redecided(p, { size: { width: 1e308, height: 1e308 } })),
    }),
    file('a size of nothing', {
      ...plain,
      pieces: plain.pieces.map((p) => redecided(p, { size: { width: 0, height: -5 } })),
    }),
    file('a prototype', '{"__proto__":{"x":1},"constructor":{"prototype":{}}}'),
    withElements('a hundred thousand soft hyphens', [long(50_000, 'a\u00ad')]),
    withElements('a word of a hundred thousand letters', [long(100_000, 'w')]),
    withElements('a hundred thousand letters, justified', [long(6_000, 'under the stars ')]),
    withElements('letters with a thousand accents each', [long(60, `a${'\u0301'.repeat(1_000)}`)]),
    withElements(
      'twenty thousand boxes',
      Array.from({ length: 20_000 }, (_, i) => box(`b${i}`, [i % 100, i / 200, 1, 1])),
    ),
    withElements(
      'two thousand blurred shadows',
      Array.from({ length: 2_000 }, (_, i) => ({ ...box(`s${i}`, [1, 1, 90, 90]), effects: [shadow] })),
    ),
    withElements('a box five hundred times five hundred times', [
      { ...box('r', [0, 0, 1, 1]), repeat: [{ way: 'rows', in: { box: 'trim' }, across: 500, down: 500 }] },
    ]),
    withElements('a table five thousand times', [
      { ...table(40, 10), repeat: [{ way: 'rows', in: { box: 'trim' }, across: 100, down: 50 }] },
    ]),
    withElements('a table of ten thousand cells', [table(500, 20)]),
    withElements('a path of two hundred thousand points', [
      {
        ...box('p', [1, 1, 90, 90]),
        shape: {
          form: 'path',
          path: `M0 0${Array.from({ length: 100_000 }, (_, i) => `L${i % 97} ${i % 89}`).join('')}Z`,
        },
      },
    ]),
  ];
}

/** States of jobs as the page sends them, one by one made to take long. */
function states(): readonly Hostile[] {
  const state = (what: string, job: unknown) =>
    text(what, 'state', 'x.json', typeof job === 'string' ? job : JSON.stringify(job));
  const plain = makeJob([box('a', [10, 10, 40, 40])]);
  const teeth = Array.from({ length: 9_000 }, (_, i) => {
    const [turn, radius] = [(2 * Math.PI * i) / 9_000, i % 2 === 0 ? 60 : 40];
    return `${(80 + radius * Math.cos(turn)).toFixed(3)} ${(80 + radius * Math.sin(turn)).toFixed(3)}`;
  });
  const many = Array.from({ length: 300 }, (_, i) => words(`w${i}`, 'star '.repeat(8_000), [5, 5, 60, 60]));
  return [
    ...all('state', 'x.json', strToU8(JSON.stringify(plain)), 12),
    state('an outline of nine thousand teeth', begin('own', { outline: `M${teeth.join('L')}Z` })),
    state('a job of twelve million letters', makeJob(many)),
    state('a job beyond what is taken in', { ...plain, notes: 'n'.repeat(20_000_000) }),
    state('lists a hundred thousand deep', `${'['.repeat(100_000)}${']'.repeat(100_000)}`),
    state('two hundred thousand unknown keys', {
      ...plain,
      ...Object.fromEntries(Array.from({ length: 200_000 }, (_, i) => [`k${i}`, 1])),
    }),
    state('a million names of swatches', { ...plain, swatches: Array.from({ length: 1_000_000 }, () => 'x') }),
  ];
}

function rows(): readonly Hostile[] {
  const file = (what: string, words: string) => text(what, 'rows', 'rows.csv', words);
  return [
    ...all('rows', 'rows.csv', strToU8(Array.from({ length: 60 }, (_, i) => `night ${i},"a, b",${i}`).join('\n')), 18),
    file('a quotation mark that never closes', `a,b\n"${'x,'.repeat(200_000)}`),
    file('quotation marks alone', '"'.repeat(300_000)),
    file('a million columns', `${','.repeat(1_000_000)}\n1`),
    file('a million rows', 'a\n'.repeat(1_000_000)),
    file('separators of every sort', '\t;,|'.repeat(100_000)),
    file('zeros', '\u0000'.repeat(100_000)),
    file('nothing', ''),
  ];
}

function events(): readonly Hostile[] {
  const event = (...lines: readonly string[]) =>
    [
      'BEGIN:VCALENDAR',
      'VERSION:2.0',
      'BEGIN:VEVENT',
      'UID:1',
      'DTSTART;VALUE=DATE:20260101',
      'SUMMARY:Night',
      ...lines,
      'END:VEVENT',
      'END:VCALENDAR',
    ].join('\r\n');
  const file = (what: string, words: string) => text(what, 'events', 'days.ics', words);
  return [
    ...all('events', 'days.ics', strToU8(event('RRULE:FREQ=MONTHLY;BYDAY=1MO')), 18),
    file('the thirty-first of February', event('RRULE:FREQ=DAILY;BYMONTH=2;BYMONTHDAY=31')),
    file('the fifth Monday of a week', event('RRULE:FREQ=YEARLY;BYWEEKNO=54;BYDAY=5MO')),
    file('every second for ever', event('RRULE:FREQ=SECONDLY')),
    file('an interval without end', event('RRULE:FREQ=DAILY;INTERVAL=2147483647')),
    file('an interval of nothing', event('RRULE:FREQ=DAILY;INTERVAL=0')),
    file(
      'a million exceptions',
      event('RRULE:FREQ=DAILY', `EXDATE:${Array.from({ length: 100_000 }, () => '20260102').join(',')}`),
    ),
    file('the year 99999', event('DTEND;VALUE=DATE:999990101')),
    file('components two thousand deep', `${'BEGIN:VCALENDAR\r\n'.repeat(2_000)}${'END:VCALENDAR\r\n'.repeat(2_000)}`),
    file('a line of a million letters', event(`DESCRIPTION:${'x'.repeat(1_000_000)}`)),
    file('nothing', ''),
  ];
}

function outlines(): readonly Hostile[] {
  const dxf = (...pairs: readonly (string | number)[]) =>
    ['0', 'SECTION', '2', 'ENTITIES', ...pairs, '0', 'ENDSEC', '0', 'EOF'].join('\n');
  const file = (what: string, words: string, name = 'die.dxf') => text(what, 'outline', name, words);
  const line = (i: number) => ['0', 'LINE', '8', '0', '10', i, '20', i % 7, '11', i + 0.4, '21', i % 5];
  const block = [
    '0',
    'SECTION',
    '2',
    'BLOCKS',
    '0',
    'BLOCK',
    '2',
    'B',
    '10',
    0,
    '20',
    0,
    ...line(1),
    '0',
    'INSERT',
    '2',
    'B',
    '0',
    'ENDBLK',
    '0',
    'ENDSEC',
  ];
  return [
    ...all('outline', 'die.dxf', strToU8(dxf(...Array.from({ length: 30 }, (_, i) => line(i)).flat())), 18),
    ...all('outline', 'die.svg', strToU8(svg('<path d="M0 0H90V60H0Z"/>')), 12),
    file('eight thousand loose lines', dxf(...Array.from({ length: 8_000 }, (_, i) => line(i)).flat())),
    file('a block within itself', [...block, dxf('0', 'INSERT', '2', 'B')].join('\n')),
    file(
      'a grid of thirty thousand squared',
      [
        ...block.slice(0, 22),
        '0',
        'ENDBLK',
        '0',
        'ENDSEC',
        dxf('0', 'INSERT', '2', 'B', '70', 30_000, '71', 30_000, '44', 1, '45', 1),
      ].join('\n'),
    ),
    file('an arc of a thousand million degrees', dxf('0', 'ARC', '10', 0, '20', 0, '40', 10, '50', 0, '51', 1e9)),
    file('a spline without knots', dxf('0', 'SPLINE', '70', 1, '71', 3, '72', 0, '73', 0)),
    file(
      'uses that double',
      svg(
        `<defs><g id="a0"><path d="M0 0H1V1Z"/></g>${Array.from(
          { length: 40 },
          (_, i) => `<g id="a${i + 1}"><use href="#a${i}"/><use href="#a${i}"/></g>`,
        ).join('')}</defs><use href="#a40"/>`,
      ),
      'die.svg',
    ),
    file('nothing', ''),
  ];
}

function addresses(): readonly Hostile[] {
  const ids = [
    '%00',
    '%ff',
    '..%2F..%2F',
    'x%2F..%2F..%2F',
    '%2e%2e',
    '%',
    '%zz',
    'a'.repeat(5_000),
    '💫',
    "';DROP TABLE jobs;--",
    '__proto__',
  ];
  const paths = [
    '/api/jobs/ID',
    '/api/jobs/ID/thumbnail?rev=1',
    '/api/jobs/ID/checks?rev=ID',
    '/api/jobs/ID/revisions/ID',
    '/api/assets/ID/bench?profile=ID',
    '/api/exports/ID',
    '/api/exports/ID/files/ID',
    '/api/papers/ID',
  ];
  return ids.flatMap((id) =>
    paths.map((path) => text(`${path} with ${id.slice(0, 20)}`, 'address', path.replaceAll('ID', id), '')),
  );
}

/** More than six hundred things that come in by every way there is, the same in every run. */
export async function hostileThings(): Promise<readonly Hostile[]> {
  return [
    ...(await pictures()),
    ...drawings(),
    ...fonts(),
    ...profiles(),
    ...(await documents()),
    ...(await workingFiles()),
    ...jobs(),
    ...states(),
    ...rows(),
    ...events(),
    ...outlines(),
    ...addresses(),
  ];
}
