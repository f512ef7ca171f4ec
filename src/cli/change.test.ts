/** Lists of changes, as the built command line makes them. */
import { copyFileSync, existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { CHANGE_KINDS } from '../core/edit';
import { Job, type Element } from '../core/job';
import { toKept } from '../demo';
import { inFolder } from '../testing/programs';
import { ys } from '../testing/ys';
import { changesMarkdown } from './changes-docs';

type Step = Readonly<Record<string, unknown>>;

const list = (changes: readonly Step[], begin?: object) =>
  JSON.stringify({ format: 'yellow-sheet-changes', version: 1, ...(begin && { begin }), changes });

const jobIn = (file: string): Job => Job.parse(JSON.parse(readFileSync(file, 'utf8')));

test('the meteor-night flyer made by a list of changes is the one that was made by hand', async () => {
  await inFolder((folder) => {
    const out = join(folder, 'flyer.ysjob.json');
    expect(ys('demo', 'sky-over-the-moor.jpg', '--out', folder).status).toBe(0);
    const made = ys('change', '--do', 'docs/examples/meteor-night.json', '--files', folder, '--out', out);
    expect(made.stderr).toContain('written: 34 changes');
    const kept = JSON.parse(readFileSync('assets/demo/meteor-night.json', 'utf8')) as unknown;
    expect(toKept(jobIn(out))).toEqual(kept);
    expect(ys('check', out).json()).toEqual([]);
  });
}, 120_000);

const placed = (x: number, y: number, width: number, height: number) => ({
  against: { box: 'trim' },
  x: { start: x, size: width },
  y: { start: y, size: height },
});

/** What the examples of the registry speak of, beside what examples before them made. */
const FLYER: readonly Step[] = [
  {
    do: 'add',
    id: 'moon',
    name: 'Moon',
    element: { kind: 'shape', shape: { form: 'ellipse' }, placement: placed(10, 60, 20, 20) },
    fill: '4 62 68 0',
  },
  {
    do: 'add',
    name: 'Star',
    element: {
      kind: 'shape',
      shape: { form: 'star' },
      placement: placed(60, 70, 10, 10),
      repeat: [{ way: 'around', in: { box: 'trim' }, count: 5 }],
    },
    fill: '0 14 78 0',
  },
  {
    do: 'add',
    name: 'Times',
    element: { kind: 'table', placement: placed(10, 90, 60, 30) },
    rows: [
      ['a', 'b'],
      ['c', 'd'],
      ['e', 'f'],
    ],
  },
  { do: 'add', name: 'Notes', element: { kind: 'text', placement: placed(10, 130, 60, 20) }, words: 'Bring a blanket' },
  { do: 'add', name: 'More notes', element: { kind: 'text', placement: placed(80, 130, 60, 20) } },
  { do: 'put ink', ink: { name: 'Old silver', finish: 'metallic', c: 0, m: 0, y: 0, k: 20 } },
  { do: 'put swatch', name: 'Dusk', paint: '40 50 0 20' },
];

/** What an example needs of what others of the list have done away with by then. */
const NOT_ALONE: Readonly<Record<string, readonly Step[]>> = {
  'remove ink': [{ do: 'put ink', ink: { name: 'Moon silver', finish: 'plain', c: 0, m: 0, y: 0, k: 30 } }],
};

describe('every change of the registry', () => {
  const kinds = Object.entries(CHANGE_KINDS).flatMap(([about, list_]) => list_.map((kind) => ({ about, kind })));
  const examples = (about: (name: string) => boolean) =>
    kinds.filter((k) => about(k.about)).flatMap(({ kind }) => [...(NOT_ALONE[kind.do] ?? []), kind.example]);

  test('its example can be made, and what is left is a job', async () => {
    await inFolder((folder) => {
      copyFileSync('docs/examples/crescent.svg', join(folder, 'crescent.svg'));
      const make = (name: string, begin: object, steps: readonly Step[]) => {
        const [file, out] = [join(folder, `${name}.json`), join(folder, `${name}.ysjob.json`)];
        writeFileSync(file, list(steps, begin));
        const made = ys('change', '--do', file, '--out', out);
        expect(made.stderr).toContain(`written: ${steps.length} changes`);
        return jobIn(out);
      };
      const flyer = make('flyer', { kind: 'flyer', set: { sides: 2 } }, [
        ...FLYER,
        ...examples((about) => about !== 'Pages'),
      ]);
      const front = flyer.pieces[0]?.surfaces['front'] ?? [];
      expect(flyer.client).toBe('Quillrook Dark-Sky Society');
      expect(flyer.pieces[0]).toMatchObject({ decisions: { size: { width: 105, height: 148 } } });
      expect(front.find((e) => e.name === 'Band')).toMatchObject({
        placement: { y: { end: 0, size: 30 } },
        fill: { c: 0, m: 14, y: 78, k: 0 },
      });
      // Five copies, each an element of its own; the staves plain lines in a group; the drawing its shapes.
      expect(front.filter((e) => e.name === 'Star')).toHaveLength(5);
      const kindsOf = (list_: readonly Element[] = []) => new Set(list_.map((e) => e.kind));
      expect(kindsOf(flyer.pieces[0]?.surfaces['back'])).not.toContain('printable');
      expect(kindsOf(front)).not.toContain('vector');

      const book = make('book', { kind: 'booklet', set: { pages: 8 } }, [
        { do: 'add', side: 'page 2', name: 'Title', element: { kind: 'text', placement: placed(10, 10, 80, 10) } },
        { do: 'add', side: 'page 2', name: 'Words', element: { kind: 'text', placement: placed(10, 30, 80, 50) } },
        {
          do: 'add',
          side: 'page 2',
          name: 'Rule',
          element: { kind: 'line', placement: placed(10, 25, 80, 0), stroke: { paint: { kind: 'paper' }, widthPt: 1 } },
        },
        ...examples((about) => about === 'Pages'),
      ]);
      expect(book.pieces[0]?.bases).toEqual([]);
    });
  }, 120_000);

  test('and docs/changes.md is made of it', () => {
    expect(readFileSync('docs/changes.md', 'utf8')).toBe(changesMarkdown());
  });
});

describe('a list that cannot be followed', () => {
  test.each([
    ['no name', [{ do: 'fly' }], 'There is no change of this name. There are: set job'],
    ['nothing called so', [{ do: 'remove', on: 'Moon' }], 'Change 1, “remove”: Nothing is called “Moon”.'],
    ['a field too many', [{ do: 'free', at: 'once' }], '“at” is not known here'],
    [
      'type that is none',
      [{ do: 'add', element: { kind: 'text', placement: placed(0, 0, 9, 9) }, in: 'Lora vast' }],
      '“vast” is no face',
    ],
    ['a size that cannot be', [{ do: 'decide', set: { size: 'A' } }], 'size: '],
    [
      'a side that is not there',
      [{ do: 'add', side: 'spine', element: { kind: 'text', placement: placed(0, 0, 9, 9) } }],
      'There is no side “spine”',
    ],
  ] as const)('%s: said with its step, and nothing is written', async (_what, changes, message) => {
    await inFolder((folder) => {
      const [file, out] = [join(folder, 'list.json'), join(folder, 'job.ysjob.json')];
      writeFileSync(file, list(changes, { kind: 'flyer' }));
      const made = ys('change', '--do', file, '--out', out);
      expect(made.status).toBe(2);
      expect(made.stderr).toContain(message);
      expect(existsSync(out)).toBe(false);
    });
  });
});
