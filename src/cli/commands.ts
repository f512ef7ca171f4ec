import { EXPORT_KINDS } from '../output/exports';
import type { Arguments } from './arguments';

/** A command: how it is typed, what it does, and where it is. Only what is asked for is loaded. */
export interface Command {
  readonly name: string;
  readonly typed: readonly string[];
  readonly about: string;
  readonly options: readonly (readonly [option: string, about: string])[];
  readonly load: () => Promise<{ readonly run: (args: Arguments) => number | Promise<number> }>;
}

const JOB_OPTIONS = [['--assets DIR', 'where the pictures lie; otherwise assets/ beside the job file']] as const;

export const COMMANDS: readonly Command[] = [
  {
    name: 'formats',
    typed: ['ys formats --json'],
    about: 'The formats and their parameters.',
    options: [],
    load: () => import('./commands/formats'),
  },
  {
    name: 'printables',
    typed: ['ys printables --json'],
    about: 'The printables and their decisions.',
    options: [],
    load: () => import('./commands/printables'),
  },
  {
    name: 'schema',
    typed: ['ys schema'],
    about: 'The JSON Schema of a job file.',
    options: [],
    load: () => import('./commands/schema'),
  },
  {
    name: 'docs',
    typed: ['ys docs --out docs'],
    about: 'The formats and printables as pages, with a picture of each.',
    options: [['--out DIR', 'the folder for them; docs']],
    load: () => import('./commands/docs'),
  },
  {
    name: 'new',
    typed: [
      'ys new flyer --set size=A5 --set bleed=3mm --out flyer.ysjob.json',
      'ys new [KIND] --printable staves --set spacing=2mm --set size=letter --out staves.ysjob.json',
    ],
    about: 'Begins a job.',
    options: [
      [
        '--set NAME=VALUE',
        'a decision of its kind, as it is typed in a field; outline=@die.svg (or .dxf) reads a file',
      ],
      ['--printable ID', 'with a printable; see ys printables'],
      ['--name NAME', 'what the job is called'],
      ['--unit UNIT', 'mm, cm, in, pt or pica'],
      ['--printer NAME, --paper NAME', 'records that ship'],
      ['--out FILE', 'where it is written; otherwise on standard output'],
    ],
    load: () => import('./commands/new'),
  },
  {
    name: 'from',
    typed: ['ys from client.pdf --kind flyer --beyond mirrored --out flyer.ysjob.json'],
    about: 'Begins a job from somebody’s PDF: each page on a side, with the bleed it has or is given.',
    options: [
      ['--kind KIND', 'the kind of piece; otherwise what so many pages can be'],
      ['--size SIZE', 'the finished size, as it is typed in a field; otherwise that of the first page'],
      ['--beyond WAY', 'in the bleed: own, mirrored, stretched or nothing; otherwise its own, or mirrored'],
      ['--name NAME', 'what the job is called'],
      ['--printer NAME', 'a record that ships'],
      ['--out FILE', 'the job that is written'],
      ['--assets DIR', 'where its files are kept; otherwise beside it'],
    ],
    load: () => import('./commands/from'),
  },
  {
    name: 'bring',
    typed: ['ys bring JOB moon.jpg map.pdf --page 2 --side back', 'ys bring JOB rows.csv --into Programme'],
    about:
      'Brings pictures, drawings, PDF pages, fonts, output profiles and rows into a job; their hashes and ' +
      'facts are found.',
    options: [
      [
        '--into NAME',
        'the element that takes the file: a picture frame, a drawing, a page, a table; otherwise it gets one ' +
          'of its own',
      ],
      ['--side NAME', 'the side it lies on; otherwise the first'],
      ['--page N', 'the page of a PDF'],
      ['--out FILE', 'the job that is written; otherwise the same'],
      ...JOB_OPTIONS,
    ],
    load: () => import('./commands/bring'),
  },
  {
    name: 'change',
    typed: [
      'ys change JOB --do CHANGES.json',
      'ys change --do docs/examples/meteor-night.json --files DIR --out flyer.ysjob.json',
      'ys change --json',
    ],
    about: 'Makes changes by a list, as the hand would; a list that says how a job begins needs no job.',
    options: [
      ['--do FILE', 'the list of changes; docs/changes.md describes each'],
      ['--out FILE', 'the job that is written; otherwise the same'],
      ['--files DIR', 'where the files lie that it brings in; otherwise beside the list'],
      ['--json', 'prints the JSON Schema of such a list'],
      ...JOB_OPTIONS,
    ],
    load: () => import('./commands/change'),
  },
  {
    name: 'fill',
    typed: ['ys fill JOB rows.csv --page 4 --spreads'],
    about: 'Lays rows onto pages: each cell into the text or picture frame that is named as its column.',
    options: [
      ['--page N', 'the first page'],
      ['--spreads', 'a row on each two pages'],
      ['--out FILE', 'the job that is written; otherwise the same'],
    ],
    load: () => import('./commands/fill'),
  },
  {
    name: 'describe',
    typed: ['ys describe JOB --json'],
    about: 'Every figure, in mm.',
    options: JOB_OPTIONS,
    load: () => import('./commands/describe'),
  },
  {
    name: 'check',
    typed: ['ys check JOB --json'],
    about: 'Findings, of its files too: one that is missing, cut short or another is a fault.',
    options: JOB_OPTIONS,
    load: () => import('./commands/check'),
  },
  {
    name: 'plates',
    typed: ['ys plates JOB --ppi 150 --out DIR'],
    about: 'Every plate of a job: its coverage, and as a grey PNG (black is full ink).',
    options: [
      ['--side NAME', 'of one side; otherwise of all'],
      ['--ppi N', 'pixels to the inch; 72'],
      ['--out DIR', 'the folder for pictures; otherwise figures only'],
      ...JOB_OPTIONS,
    ],
    load: () => import('./commands/plates'),
  },
  {
    name: 'export',
    typed: ['ys export JOB --to press --out DIR'],
    about: 'Makes files. Faults are said, and the exit code is 1 where there are any.',
    options: [
      ['--to KIND', EXPORT_KINDS.join(', ')],
      ['--out DIR', 'the folder for them'],
      ['--at MOMENT', 'the moment the files name, such as 2026-05-01T09:00:00Z; the same gives the same bytes'],
      ['--revision N', 'the number that a proof names'],
      ['--strict', 'makes no file of a job with faults'],
      ['--unchecked', 'does not look for faults'],
      ...JOB_OPTIONS,
    ],
    load: () => import('./commands/export'),
  },
  {
    name: 'doctor',
    typed: ['ys doctor [--data DIR] [--mend]'],
    about: 'Looks at everything a server keeps: the database, every revision and file, space and copies.',
    options: [
      ['--data DIR', 'the data folder; data/ here'],
      ['--mend', 'mends what can be mended; no server may be working with it'],
    ],
    load: () => import('./commands/doctor'),
  },
  {
    name: 'restore',
    typed: ['ys restore [--data DIR] [--of DAY]'],
    about: 'Puts a copy of the database back; the one from before is kept beside it.',
    options: [
      ['--data DIR', 'the data folder; data/ here'],
      ['--of DAY', 'the day of the copy, such as 2026-11-29; otherwise the newest'],
    ],
    load: () => import('./commands/restore'),
  },
  {
    name: 'intake',
    typed: ['ys intake FILE.pdf … --printer NAME'],
    about: 'What a print house answers to files, anybody’s: taken, taken with remarks, or sent back.',
    options: [
      ['--printer NAME', 'a printer that ships; otherwise common practice'],
      ['--job JOB', 'the job that they were made of: its printer, sides, size and bleed are what was ordered'],
      ['--reply FILE', 'the reply as a page, PDF; of several files that of the last'],
    ],
    load: () => import('./commands/intake'),
  },
  {
    name: 'pages',
    typed: ['ys pages FILE.pdf'],
    about: 'The pages of a PDF and their sizes, mm.',
    options: [['--name NAME', 'what the file is called']],
    load: () => import('./commands/pages'),
  },
  {
    name: 'page',
    typed: ['ys page FILE.pdf --page N --wide PIXELS --out FILE.png'],
    about: 'A page of a PDF as a PNG.',
    options: [
      ['--page N', 'from 1'],
      ['--wide N', 'pixels across; 1600'],
      ['--out FILE', 'the picture'],
    ],
    load: () => import('./commands/page'),
  },
  {
    name: 'demo',
    typed: ['ys demo', 'ys demo meteor-night --out DIR', 'ys demo sky-over-the-moor.jpg --out DIR'],
    about: 'The pieces of the demo world; one that is named, as a job with its files; or one of its pictures.',
    options: [['--out DIR', 'the folder for them']],
    load: () => import('./commands/demo'),
  },
];
