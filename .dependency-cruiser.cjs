/** The arrows of docs/architecture.md: what may know what. */

/** Rooms of the core, the lowest floor first: a room knows those of lower floors, and none beside it. */
const CORE_FLOORS = [
  ['chance', 'colour', 'data', 'dates', 'measure'],
  ['figure', 'geometry', 'paper'],
  ['code', 'impose', 'parameter'],
  ['printable'],
  ['element'],
  ['layout', 'shop'],
  ['drawing', 'finish', 'fold', 'rules', 'shape', 'glossary'],
  ['format', 'type'],
  ['job', 'reckon'],
  ['compose', 'cost', 'eyes', 'marks', 'paperwork', 'records', 'save', 'schedule'],
  ['drift'],
  ['edit'],
  ['check'],
  ['spoil'],
  ['practice'],
];

/** Rooms of the interface, likewise. */
const UI_FLOORS = [
  ['shell'],
  ['open-job'],
  ['view', 'field'],
  ['format', 'dummy'],
  ['printable', 'slip'],
  ['sheet', 'records', 'finish', 'pile', 'press-sheet', 'size', 'pages', 'palette', 'from-pdf', 'versions'],
  ['bench', 'search', 'stations', 'reckoner', 'glossary', 'intake', 'books', 'board', 'weeks'],
  ['job-page'],
  ['practice'],
];

const core = CORE_FLOORS.flat().join('|');

/** One rule for each floor: its rooms know themselves and what is below. */
const floorRules = (house, floors) =>
  floors.flatMap((rooms, floor) => {
    const below = floors.slice(0, floor).flat();
    return rooms.map((room) => ({
      name: `floors-of-${house}: ${room}`,
      comment: `src/${house}/${room} knows only lower floors.`,
      severity: 'error',
      from: { path: `^src/${house}/${room}/`, pathNot: '\\.test\\.tsx?$' },
      to: {
        path: `^src/${house}/[^/]+/`,
        pathNot: `^src/${house}/(${[room, ...below].join('|')})/`,
      },
    }));
  });

/** Every folder of a house stands on a floor. */
const housed = (house, floors) => ({
  name: `housed-in-${house}`,
  comment: 'A new room is given its floor here.',
  severity: 'error',
  from: { path: `^src/${house}/[^/]+/`, pathNot: `^src/${house}/(${floors.flat().join('|')})/` },
  to: {},
});

const only = (name, from, allowed, comment) => ({
  name,
  comment,
  severity: 'error',
  from: { path: from, pathNot: '\\.test\\.tsx?$' },
  to: { path: '^src/', pathNot: [from, ...allowed] },
});

/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
  forbidden: [
    {
      name: 'no-circular',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    {
      name: 'no-orphans',
      severity: 'error',
      from: {
        orphan: true,
        pathNot: [
          '\\.d\\.ts$',
          '^src/app/',
          '^src/shims/',
          '^src/proxy',
          '^src/instrumentation',
          '\\.thread\\.ts$',
          '\\.test\\.tsx?$',
        ],
      },
      to: {},
    },
    only('core-knows-core', '^src/core/', [], 'The core runs anywhere: it knows no interface, no server, no file.'),
    only('paint-reads-core', '^src/paint/', ['^src/core/'], 'Readers know the drawing and what it is made of.'),
    only(
      'bring-in-reads-core',
      '^src/bring-in/',
      ['^src/core/'],
      'Readers of other people’s files give the core its own terms.',
    ),
    only(
      'intake-reads-bytes',
      '^src/intake/',
      ['^src/core/(chance|geometry|measure|shop|element|parameter)/'],
      'The print house at the other end knows the bytes and its own book; it shares nothing with what wrote them.',
    ),
    only(
      'output-puts-together',
      '^src/output/',
      ['^src/core/', '^src/paint/', '^src/bring-in/'],
      'Files are made from core, readers and what was brought in.',
    ),
    only(
      'workers-are-doors',
      '^src/workers/',
      ['^src/core/', '^src/paint/', '^src/bring-in/'],
      'Thin doors, run off the main thread.',
    ),
    only(
      'cli-has-no-screen',
      '^src/cli/',
      ['^src/core/', '^src/paint/', '^src/bring-in/', '^src/output/', '^src/demo/', '^src/upkeep/', '^src/intake/'],
      'The same core without a screen or a server.',
    ),
    only(
      'upkeep-knows-no-server',
      '^src/upkeep/',
      ['^src/core/'],
      'What looks after the data runs without a server too.',
    ),
    only('demo-is-data', '^src/demo/', ['^src/core/'], 'The demo world is jobs and pictures.'),
    only(
      'server-knows-no-screen',
      '^src/server/',
      ['^src/core/', '^src/paint/', '^src/bring-in/', '^src/output/', '^src/demo/', '^src/upkeep/', '^src/intake/'],
      'The server keeps and makes; it shows nothing.',
    ),
    only(
      'ui-knows-no-server',
      '^src/ui/',
      [
        '^src/core/',
        '^src/paint/',
        '^src/bring-in/',
        '^src/workers/',
        '^src/intake/(index|near-edge|painted|reply|reply-words|rule)',
      ],
      'The pages speak to the server over HTTP only.',
    ),
    {
      name: 'core-needs-no-platform',
      comment: 'No React, Next, database, file system or picture library in the core or in its readers.',
      severity: 'error',
      from: { path: '^src/(core|paint)/', pathNot: '\\.test\\.tsx?$' },
      to: {
        path: [
          'node_modules/(react|react-dom|next|@mui|sequelize|sqlite3|sharp|harfbuzzjs|lcms-wasm)/',
          '^(node:)?(fs|path|child_process|os|http|crypto|zlib)',
        ],
      },
    },
    ...floorRules('core', CORE_FLOORS),
    ...floorRules('ui', UI_FLOORS),
    housed('core', CORE_FLOORS),
    housed('ui', UI_FLOORS),
    {
      name: 'front-doors',
      comment: 'A room of the core is entered through its index.',
      severity: 'error',
      from: { path: `^src/core/(${core})/`, pathNot: '\\.test\\.tsx?$' },
      to: { path: `^src/core/(${core})/`, pathNot: [`^src/core/$1/`, '/index\\.ts$'] },
    },
    {
      name: 'front-doors-from-outside',
      severity: 'error',
      from: { path: '^src/(paint|bring-in|output|workers|ui|app|cli|demo|server)/' },
      to: { path: '^src/(core/[^/]+|paint/[^/]+|bring-in/[^/]+)/', pathNot: ['/index\\.ts$', '^src/$1/'] },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { conditionNames: ['import', 'require', 'node', 'default', 'types'] },
  },
};
