import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { withProfile, type Job, type SpotInk } from '../core/job';
import { USUAL_LOOK } from '../core/element';
import { runs } from '../testing/all';
import { pdfOf } from '../testing/exports';
import { box, inMemory, makeJob, words } from '../testing/jobs';
import { UNMARKED } from '../testing/plates';
import { inFolder, python, run } from '../testing/programs';

/** Objects of a file as qpdf reads them; names and strings come as `/name` and `u:text`. */
async function objectsOf(pdf: Uint8Array): Promise<readonly unknown[]> {
  return inFolder((folder) => {
    const path = join(folder, 'f.pdf');
    writeFileSync(path, pdf);
    run('qpdf', ['--check', path]);
    const read = JSON.parse(run('qpdf', ['--json=2', '--json-key=qpdf', path])) as {
      qpdf: readonly [unknown, Record<string, { value?: unknown; stream?: { dict?: unknown } }>];
    };
    return Object.values(read.qpdf[1]).map(({ value, stream }) => value ?? stream?.dict);
  });
}

const textOf = (pdf: Uint8Array): Promise<string> =>
  inFolder((folder) => {
    const path = join(folder, 'f.pdf');
    writeFileSync(path, pdf);
    return run('pdftotext', ['-layout', path, '-']);
  });

/** The title in the XMP, as an XML reader of Debian’s Python finds it. */
const xmpTitle = (pdf: Uint8Array): Promise<string> =>
  inFolder((folder) => {
    const path = join(folder, 'f.pdf');
    writeFileSync(path, pdf);
    return python(
      'import re\n' +
        'from xml.etree import ElementTree\n' +
        `bytes = open(data, 'rb').read()\n` +
        `xmp = bytes[bytes.index(b'<x:xmpmeta'):bytes.index(b'</x:xmpmeta>') + 12]\n` +
        `tree = ElementTree.fromstring(xmp.decode('utf-8'))\n` +
        `dc, rdf = 'http://purl.org/dc/elements/1.1/', 'http://www.w3.org/1999/02/22-rdf-syntax-ns#'\n` +
        `print(json.dumps(tree.find('.//{%s}title//{%s}li' % (dc, rdf)).text or ''))`,
      path,
    ) as string;
  });

describe('names of inks are written as they are called', () => {
  const NAMES = [
    'Silver #2',
    'Gold (metallic)',
    'Grün <matt>',
    'Näätä',
    '銀',
    'Deep/blue 100%',
    // What PDF and the names of its objects use themselves.
    'A#20B',
    '{braces}',
  ];
  const inks = NAMES.map((name): SpotInk => ({ name, finish: 'plain', c: 10, m: 20, y: 30, k: 0 }));
  const job = makeJob(
    NAMES.map((ink, i) =>
      box(`a${i}`, [10 * i, 0, 8, 8], {
        fill: { kind: 'spot', c: i % 2, m: 0, y: 0, k: 0, spots: [{ ink, tint: 100 }] },
      }),
    ),
    { inks, ...UNMARKED },
  );

  test('as qpdf reads them', async () => {
    const spaces = (await objectsOf(await pdfOf(job))).filter(
      (o): o is readonly unknown[] => Array.isArray(o) && (o[0] === '/Separation' || o[0] === '/DeviceN'),
    );
    const names = spaces.flatMap((space) => space[1] as string | string[]).filter((n) => n !== '/Cyan' && n !== '/All');
    expect(names.sort()).toEqual(NAMES.map((n) => `/${n}`).sort());
    const colorants = spaces.flatMap((space) =>
      Object.keys((space[4] as { '/Colorants'?: object } | undefined)?.['/Colorants'] ?? {}),
    );
    expect(colorants.every((name) => NAMES.includes(name.slice(1)))).toBe(true);
  });

  test('on plates of Ghostscript', async () => {
    const files = await inFolder(async (folder) => {
      writeFileSync(join(folder, 'f.pdf'), await pdfOf(job));
      run('gs', [
        '-q',
        '-dNOPAUSE',
        '-dBATCH',
        '-dSAFER',
        '-sDEVICE=tiffsep',
        '-r20',
        `-sOutputFile=${join(folder, 'p.tif')}`,
        join(folder, 'f.pdf'),
      ]);
      return run('ls', [folder]).split('\n');
    });
    expect(files.filter((f) => f.startsWith('p(')).length).toBe(4 + NAMES.length);
  });
});

describe('text from outside cannot break a file', () => {
  const HOSTILE = [
    // Signs of PDF, of XML, of lines, and halves of signs.
    '(',
    ')',
    '\\',
    '>>',
    'a (b',
    '\u0000\u0001\u000c',
    '<&>"\'',
    'é 銀 🌙',
    '\ud800',
    '\ufffe',
    '\r\n',
  ];

  const sound = async (name: string, about: string) => {
    const sha = createHash('sha256').update('profile').digest('hex');
    const bytes = readFileSync('assets/profiles/coated-fogra39.icc');
    const asset = { kind: 'profile', name: 'house.icc', about } as const;
    const plain = makeJob([box('a', [0, 0, 10, 10])], { name });
    const job: Job = withProfile(plain, sha, asset);
    const pdf = await pdfOf(job, inMemory(new Map([[sha, bytes]])));
    const objects = (await objectsOf(pdf)) as readonly Record<string, unknown>[];
    const catalog = objects.find((o) => o['/Type'] === '/Catalog');
    const [intent] = (catalog?.['/OutputIntents'] ?? []) as readonly Record<string, string>[];
    const info = objects.find((o) => '/CreationDate' in o);
    return { info: intent?.['/Info'], title: info?.['/Title'], xmp: await xmpTitle(pdf) };
  };

  /** What any file may say: see XML 1.0, 2.2. */
  const cleaned = (text: string) =>
    Array.from(text)
      .map((c) => (/[\ud800-\udfff]/.test(c) && c.length === 1 ? '\ufffd' : c))
      .join('')
      .replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\ufffe\uffff]/g, '');

  test.each(HOSTILE)('%j as the name of a job and of a profile', async (text) => {
    const said = await sound(`n${text}`, `p${text}`);
    expect(said.info).toBe(`u:p${cleaned(text)}`);
    expect(said.title).toBe(`u:n${cleaned(text)}`);
    expect(said.xmp).toBe(`n${cleaned(text)}`);
  });

  test('anything at all', async () => {
    const anything = fc.string({ unit: 'binary', minLength: 1, maxLength: 40 });
    await fc.assert(
      fc.asyncProperty(anything, anything, async (name, about) => {
        const said = await sound(`n${name}`, `p${about}`);
        expect([said.info, said.title]).toEqual([`u:p${cleaned(about)}`, `u:n${cleaned(name)}`]);
      }),
      { numRuns: runs(12, 4), seed: 7 },
    );
  });
});

describe('text copies as it was typed', () => {
  const set = (text: string, family = 'Source Sans 3') =>
    pdfOf(
      makeJob([words('t', text, [5, 5, 130, 30], { ...USUAL_LOOK, family, sizePt: 14, hyphenate: false })], UNMARKED),
    );

  test.each([
    ['an accent on a letter that no font has as one, then the letter alone', 'x\u0301 x e\u0301 e'],
    ['decomposed accents', 'cafe\u0301 A\u030angstro\u0308m'],
    ['a hyphen that does not break', 'co\u2011op pre\u2010set'],
    ['ligatures beside their letters', 'office fi f i'],
  ])('%s', async (_what, text) => {
    expect((await textOf(await set(text))).trim().normalize('NFC')).toBe(text.normalize('NFC'));
  });

  test('in a family that has neither hyphen', async () => {
    expect((await textOf(await set('co\u2011op', 'League Gothic'))).trim()).toBe('co\u2011op');
  });
});

test('a sign that no font has is printed as the box that the bench shows', async () => {
  const text = 'a\u4e2db';
  const job = makeJob([words('t', text, [5, 5, 130, 40], { family: 'Source Sans 3', sizePt: 60 })], UNMARKED);
  const ink = async (of: Job) => {
    const pdf = await pdfOf(of);
    return inFolder((folder) => {
      writeFileSync(join(folder, 'f.pdf'), pdf);
      return Number(
        run('gs', [
          '-q',
          '-dSAFER',
          '-dNOPAUSE',
          '-dBATCH',
          '-sDEVICE=ink_cov',
          '-r150',
          '-o',
          '-',
          join(folder, 'f.pdf'),
        ])
          .trim()
          .split(/\s+/)[3],
      );
    });
  };
  const without = makeJob([words('t', 'ab', [5, 5, 130, 40], { family: 'Source Sans 3', sizePt: 60 })], UNMARKED);
  expect(await ink(job)).toBeGreaterThan((await ink(without)) * 1.1);
});
