/** A job file as it was parsed, of any version. */
type Raw = Readonly<Record<string, unknown>>;

const isObject = (value: unknown): value is Raw => typeof value === 'object' && value !== null && !Array.isArray(value);

/** What each version’s file needs to become one of the next; each knows only its own step. */
const STEPS: Readonly<Record<number, (job: Raw) => Raw>> = {
  1: (job) => ({ ...job, version: 2, pieces: eachElement(job, shapeOfOldBox) }),
  2: (job) => ({ ...job, version: 3, pieces: eachElement(job, paragraphsOfOldText) }),
  3: (job) => ({ ...job, version: 4, pieces: eachPiece(job, decisionsOfOldPiece) }),
};

/** A job file of an earlier version as one of the present; anything else comes back as it is. */
export function upgraded(data: unknown): unknown {
  let job = data;
  while (isObject(job) && typeof job['version'] === 'number') {
    const step = STEPS[job['version']];
    if (!step) break;
    job = step(job);
  }
  return job;
}

/** Boxes and ovals became forms of a shape. */
function shapeOfOldBox(element: Raw): Raw {
  const { kind, radius, ...rest } = element;
  if (kind === 'rectangle')
    return { kind: 'shape', shape: { form: 'rectangle', ...(radius !== undefined && { radius }) }, ...rest };
  if (kind === 'ellipse') return { kind: 'shape', shape: { form: 'ellipse' }, ...rest };
  return element;
}

/** A text’s one string became paragraphs, and its whole style what differs from the usual look. */
function paragraphsOfOldText(element: Raw): Raw {
  const { text, style, ...rest } = element;
  if (element['kind'] !== 'text' || typeof text !== 'string') return element;
  const paragraphs = text.split('\n').map((words) => ({ runs: words === '' ? [] : [{ text: words }] }));
  // Lines were broken one by one then, and stay as they were.
  return { ...rest, look: { ...(isObject(style) && style), breaking: 'line' }, paragraphs };
}

/** What every piece had beside the decisions of its kind. */
const FACTS: readonly string[] = [
  'kind',
  'id',
  'name',
  'bleed',
  'safe',
  'grid',
  'grids',
  'guides',
  'baselineGrid',
  'layers',
  'groups',
  'bases',
  'layouts',
  'numbering',
  'slug',
  'finish',
  'foldLines',
  'surfaces',
];

/** The decisions of a kind stood among the facts of every piece. */
function decisionsOfOldPiece(piece: Raw): Raw {
  const entries = Object.entries(piece);
  return {
    ...Object.fromEntries(entries.filter(([name]) => FACTS.includes(name))),
    decisions: Object.fromEntries(entries.filter(([name]) => !FACTS.includes(name))),
  };
}

function eachPiece(job: Raw, change: (piece: Raw) => Raw): unknown {
  const { pieces } = job;
  return Array.isArray(pieces) ? pieces.map((piece: unknown) => (isObject(piece) ? change(piece) : piece)) : pieces;
}

const eachElement = (job: Raw, change: (element: Raw) => Raw): unknown =>
  eachPiece(job, (piece) => {
    if (!isObject(piece['surfaces'])) return piece;
    const surfaces = Object.entries(piece['surfaces']).map(([side, list]) => [
      side,
      Array.isArray(list) ? list.map((e: unknown) => (isObject(e) ? change(e) : e)) : list,
    ]);
    return { ...piece, surfaces: Object.fromEntries(surfaces) as Raw };
  });
