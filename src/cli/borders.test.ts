import {
  cpSync,
  existsSync,
  mkdirSync,
  readFileSync,
  readdirSync,
  symlinkSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { createHash } from 'node:crypto';
import { join } from 'node:path';
import sharp from 'sharp';
import { tableOfWords, type Asset, type Job } from '../core/job';
import { checkJob } from '../output';
import { testOfAll } from '../testing/all';
import { box, element, inMemory, makeJob, picture, words } from '../testing/jobs';
import { inFolder, run } from '../testing/programs';
import { ys, ysIn } from '../testing/ys';

const sha256 = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

/** A page without anything on it. */
const ONE_PAGE_PDF =
  '%PDF-1.4\n1 0 obj<</Type/Catalog/Pages 2 0 R>>endobj\n2 0 obj<</Type/Pages/Kids[3 0 R]/Count 1>>endobj\n3 ' +
  '0 obj<</Type/Page/Parent 2 0 R/MediaBox[0 0 200 100]/Resources<<>>>>endobj\ntrailer<</Root 1 0 R>>\n' +
  '%%EOF\n';

/** The sentence that no input may lead to. */
const NEVER = /should not have happened|\n\s+at /;

type Findings = readonly {
  readonly rule: string;
  readonly severity: string;
  readonly message: string;
  readonly element: string | null;
}[];

/** A job file with files beside it, and a folder for what is made. */
async function withJob<T>(
  job: Job,
  files: ReadonlyMap<string, Uint8Array>,
  work: (file: string, assets: string, out: string) => Promise<T> | T,
): Promise<T> {
  return inFolder(async (folder) => {
    const assets = join(folder, 'assets');
    mkdirSync(assets);
    for (const [sha, bytes] of files) writeFileSync(join(assets, sha), bytes);
    const file = join(folder, 'a.ysjob.json');
    writeFileSync(file, JSON.stringify(job));
    return work(file, assets, join(folder, 'out'));
  });
}

const noise = () =>
  sharp({
    create: {
      width: 300,
      height: 200,
      channels: 3,
      background: '#777777',
      noise: { type: 'gaussian', mean: 120, sigma: 40 },
    },
  });

async function oneOf(kind: 'jpeg' | 'png' | 'tiff' | 'webp'): Promise<{ job: Job; sha: string; bytes: Uint8Array }> {
  const bytes = new Uint8Array(await noise()[kind]().toBuffer());
  const sha = sha256(bytes);
  const asset: Asset = {
    kind: 'picture',
    name: `moon.${kind}`,
    format: kind,
    width: 300,
    height: 200,
    colour: 'rgb',
    profile: null,
    alpha: false,
  };
  return { job: makeJob([picture('moon', sha, [10, 10, 60, 40])], { assets: { [sha]: asset } }), sha, bytes };
}

describe('a picture whose file is not what it should be is a fault of the job', () => {
  test.each(['jpeg', 'png', 'tiff', 'webp'] as const)('%s, cut short anywhere', async (kind) => {
    const { job, sha, bytes } = await oneOf(kind);
    const found = async (file: Uint8Array | undefined) => {
      const files = new Map(file ? [[sha, file]] : []);
      return (await checkJob(job, inMemory(files))).filter((f) => f.rule === 'file').map((f) => f.message);
    };
    expect(await found(bytes)).toEqual([]);
    for (const share of [0, 0.01, 0.3, 0.9]) {
      const [message = ''] = await found(bytes.subarray(0, Math.floor(bytes.length * share)));
      expect(message).toMatch(/cut short/);
    }
    expect(await found(bytes.map((b, i) => (i === bytes.length - 9 ? b ^ 1 : b)))).toEqual([
      expect.stringMatching(/another than/),
    ]);
    expect(await found(undefined)).toEqual([expect.stringMatching(/is not here/)]);
  });

  test('said by the command line, and nothing is made of it', async () => {
    const { job, sha, bytes } = await oneOf('jpeg');
    await withJob(job, new Map([[sha, bytes]]), (file, assets, out) => {
      truncateSync(join(assets, sha), Math.floor(bytes.length / 2));
      const checked = ys('check', file);
      expect([checked.status, checked.stderr]).toEqual([1, '']);
      expect((checked.json() as Findings).filter((f) => f.rule === 'file')).toMatchObject([
        { severity: 'fault', element: 'moon', message: expect.stringMatching(/cut short/) as string },
      ]);
      const made = ys('export', file, '--to', 'press', '--out', out);
      expect([made.status, NEVER.test(made.stderr)]).toEqual([2, false]);
      expect(made.stderr).toMatch(/moon/);
      expect(existsSync(out) && readdirSync(out).length > 0).toBe(false);
    });
  });

  testOfAll('one that is damaged though it is the very file', async () => {
    const { bytes } = await oneOf('jpeg');
    const cut = bytes.subarray(0, 9000);
    const sha = sha256(cut);
    const { job } = await oneOf('jpeg');
    const [asset] = Object.values(job.assets);
    const damaged: Job = {
      ...makeJob([picture('moon', sha, [10, 10, 60, 40])]),
      assets: asset ? { [sha]: asset } : {},
    };
    await withJob(damaged, new Map([[sha, cut]]), (file, _assets, out) => {
      expect(ys('check', file).json()).toEqual(expect.arrayContaining([expect.objectContaining({ rule: 'file' })]));
      const made = ys('export', file, '--to', 'press', '--out', out);
      expect([made.status, made.stderr.includes('damaged or cut short'), NEVER.test(made.stderr)]).toEqual([
        2,
        true,
        false,
      ]);
    });
  });
});

describe('no input leads to a trace', () => {
  const locked = (folder: string) => {
    writeFileSync(join(folder, 'plain.pdf'), ONE_PAGE_PDF);
    run('qpdf', [
      '--warning-exit-0',
      '--encrypt',
      'user',
      'owner',
      '256',
      '--',
      join(folder, 'plain.pdf'),
      join(folder, 'locked.pdf'),
    ]);
    return new Uint8Array(readFileSync(join(folder, 'locked.pdf')));
  };

  test('PDFs: protected, cut short, without the page', () =>
    inFolder((folder) => {
      const bytes = locked(folder);
      const path = join(folder, 'locked.pdf');
      for (const args of [
        ['pages', path],
        ['page', path, '--out', join(folder, 'x.png')],
        ['page', join(folder, 'plain.pdf'), '--page', '7', '--out', join(folder, 'x.png')],
      ]) {
        const said = ys(...args);
        expect([args[0], said.status, NEVER.test(said.stderr)]).toEqual([args[0], 2, false]);
      }
      writeFileSync(join(folder, 'cut.pdf'), bytes.subarray(0, 300));
      expect(ys('pages', join(folder, 'cut.pdf')).stderr).not.toMatch(NEVER);
    }));

  testOfAll('a page of a protected PDF that a job shows', async () => {
    const bytes = await inFolder(locked);
    const sha = sha256(bytes);
    const { placement } = box('p', [10, 10, 60, 40]);
    const page = element<'page'>({ kind: 'page', id: 'p', placement, document: sha });
    const map: Asset = { kind: 'document', name: 'map.pdf', pages: [{ width: 70, height: 35 }] };
    const job = makeJob([page], { assets: { [sha]: map } });
    await withJob(job, new Map([[sha, bytes]]), (file, _assets, out) => {
      for (const said of [
        ys('check', file),
        ys('export', file, '--to', 'press', '--out', out),
        ys('export', file, '--to', 'preview', '--out', out),
        ys('plates', file),
      ])
        expect(said.stderr).not.toMatch(NEVER);
    });
  });

  test.each([
    [],
    ['nonsense'],
    ['check'],
    ['check', 'not-there.ysjob.json'],
    ['check', 'src'],
    ['check', 'README.md'],
    ['check', 'package.json'],
    ['describe', 'assets/profiles/srgb.icc'],
    ['export', 'package.json', '--to', 'press', '--out', 'x'],
    ['export', 'package.json', '--to', 'nothing'],
    ['new', 'flyer', '--set', 'size=potato'],
    ['new', 'flyer', '--set', 'size'],
    ['new', 'flyer', '--out', '/proc/none/x.json'],
    ['new', 'nothing'],
    ['new', 'flyer', '--set', 'outline=@not-there.svg'],
    ['bring', 'package.json', 'README.md'],
    ['bring', 'not-there.json', 'README.md'],
    ['fill', 'package.json', 'README.md'],
    ['plates', 'package.json'],
    ['pages', 'README.md'],
    ['page', 'README.md', '--page', 'x', '--out', 'y'],
    ['demo', 'nothing'],
    ['help', 'nothing'],
    ['formats', '--what'],
  ])('ys %s %s %s %s %s', (...args) => {
    const said = ys(...args);
    expect([args.length === 0 || said.status === 2, NEVER.test(said.stderr), said.stderr.length > 0]).toEqual([
      true,
      false,
      true,
    ]);
  });
});

describe('what the hand can do', () => {
  test('a job is begun, pictures, a drawing, a page, a profile and rows come in, and it goes to press', () =>
    inFolder(async (folder) => {
      const at = (name: string) => join(folder, name);
      expect(ys('new', 'flyer', '--set', 'size=A5', '--out', at('f.json')).status).toBe(0);
      writeFileSync(at('moon.jpg'), await noise().jpeg().toBuffer());
      writeFileSync(
        at('star.svg'),
        '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10"><path d="M0 0H10V10Z" fill="#222"/></svg>',
      );
      writeFileSync(at('map.pdf'), ONE_PAGE_PDF);
      cpSync('assets/profiles/uncoated-fogra29.icc', at('house.icc'));
      const brought = ys('bring', at('f.json'), at('moon.jpg'), at('star.svg'), at('map.pdf'), at('house.icc'));
      expect([brought.status, brought.stderr]).toEqual([0, '']);
      const said = brought.json() as readonly {
        readonly sha: string;
        readonly element: string | null;
        readonly asset: { readonly kind: string };
      }[];
      expect(said.map((s) => s.asset.kind)).toEqual(['picture', 'drawing', 'document', 'profile']);
      expect(said[0]?.sha).toBe(sha256(readFileSync(at('moon.jpg'))));
      const job = JSON.parse(readFileSync(at('f.json'), 'utf8')) as Job;
      expect(job.pieces[0]?.surfaces['front']?.map((e) => e.kind)).toEqual(['picture', 'vector', 'page']);
      expect(job.output.profile).toBe(`icc-${said[3]?.sha ?? ''}`);
      // Another picture into the same frame.
      writeFileSync(at('sun.png'), await noise().png().toBuffer());
      expect(ys('bring', at('f.json'), at('sun.png'), '--into', 'moon').status).toBe(0);
      expect(ys('bring', at('f.json'), at('sun.png'), '--into', 'nobody').stderr).toContain(
        'Nothing on the front is called “nobody”',
      );
      expect(ys('bring', at('f.json'), at('sun.png'), '--into', 'star').stderr).toContain('cannot show a picture');
      const made = ys('export', at('f.json'), '--to', 'press', '--out', at('out'));
      expect([made.status, made.stderr.replace(/^✕.*\n/gm, '')]).toEqual([expect.any(Number), '']);
      expect(readdirSync(at('out'))).toHaveLength(1);
    }));

  test.each([
    ['columns', Array.from({ length: 61 }, (_, i) => i).join(','), 'Row 1 has 61 columns; at most 60 are taken.'],
    ['rows', 'Vega\n'.repeat(501), 'It has 501 rows; at most 500 are taken.'],
    ['letters', 'x'.repeat(20_001), 'Row 1, column 1 has 20,001 letters; at most 20,000 are taken in a cell.'],
  ])('a table does not lose %s of a file without a word', (_what, text, problem) => {
    const table = element({
      kind: 'table',
      id: 'table',
      name: 'table',
      placement: { against: { box: 'trim' }, x: { start: 5, size: 90 }, y: { start: 5, size: 60 } },
      ...tableOfWords([['Star']]),
    });
    return withJob(makeJob([table]), new Map([['rows.csv', Buffer.from(text)]]), (file, assets) => {
      const before = readFileSync(file, 'utf8');
      const brought = ys('bring', file, join(assets, 'rows.csv'), '--into', 'table');
      expect([brought.status === 0, brought.stderr]).toEqual([false, expect.stringContaining(problem)]);
      expect(readFileSync(file, 'utf8')).toBe(before);
    });
  });

  testOfAll('strict export makes no file of a job with faults, and a plain one says them', () =>
    withJob(makeJob([words('t', '\u4e2d', [20, 20, 60, 20])]), new Map(), (file, _assets, out) => {
      const strict = ys('export', file, '--to', 'press', '--out', out, '--strict');
      expect([strict.status, existsSync(out)]).toEqual([1, false]);
      expect(strict.stderr).toContain('The font has no sign for');
      const plain = ys('export', file, '--to', 'press', '--out', out);
      expect([plain.status, readdirSync(out).length]).toEqual([1, 1]);
      expect(plain.stderr).toContain('The font has no sign for');
    }),
  );

  test('plates as pictures and figures agree', () =>
    withJob(
      makeJob([box('a', [0, 0, 74, 210], { fill: { kind: 'process', c: 100, m: 0, y: 0, k: 50 } })]),
      new Map(),
      async (file, _assets, out) => {
        const [side] = ys('plates', file, '--out', out).json() as readonly {
          readonly most: number;
          readonly plates: readonly { readonly plate: string; readonly coverage: number; readonly file: string }[];
        }[];
        expect(side?.most).toBeCloseTo(150, 0);
        expect(side?.plates.map((p) => [p.plate, Math.round(p.coverage * 100)])).toEqual([
          ['Cyan', 50],
          ['Black', 25],
        ]);
        const { channels } = await sharp(join(out, side?.plates[0]?.file ?? '')).stats();
        expect(channels[0]?.min).toBe(0);
      },
    ));

  test('a template is not printed, as the description of the job file says', () =>
    withJob(makeJob([box('a', [0, 0, 20, 20])], { stage: 'template' }), new Map(), (file, _assets, out) => {
      const said = ys('export', file, '--to', 'press', '--out', out);
      expect([said.status, said.stderr]).toEqual([2, expect.stringContaining('is a template and is not printed')]);
      expect(ys('export', file, '--to', 'working', '--out', out).status).toBe(0);
    }));

  testOfAll('the version, help of each command, a piece of the demo', () =>
    inFolder((folder) => {
      expect(ys('--version').stdout.trim()).toBe(
        (JSON.parse(readFileSync('package.json', 'utf8')) as { version: string }).version,
      );
      for (const command of ['bring', 'export', 'plates']) {
        expect(ys('help', command).stderr).toContain(`ys ${command}`);
        expect(ys(command, '--help').stderr).toBe(ys('help', command).stderr);
      }
      expect(ys('demo', 'member-card-x', '--out', folder).status).toBe(2);
      const [first = ''] = ys('demo').json() as string[];
      expect(ys('demo', first, '--out', folder).status).toBe(0);
      expect(ys('check', join(folder, `${first}.ysjob.json`)).status).toBeLessThan(2);
    }),
  );
});

test('on a clone where nothing was made ready yet, type is set all the same', () =>
  inFolder((folder) => {
    // Everything that the repository and its packages hold, without public/, which is made.
    for (const name of ['dist', 'node_modules', 'assets', 'package.json', 'scripts'])
      symlinkSync(join(process.cwd(), name), join(folder, name));
    const file = join(folder, 'a.ysjob.json');
    writeFileSync(file, JSON.stringify(makeJob([words('t', 'Moon', [10, 10, 60, 20])])));
    const made = ysIn(folder, 'export', file, '--to', 'press', '--out', join(folder, 'out'));
    expect([made.status, made.stderr]).toEqual([0, '']);
    expect(run('pdffonts', [join(folder, 'out', 'test-job-press.pdf')])).toContain('SourceSans3');
  }));
