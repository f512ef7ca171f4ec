import { Helper, type DxfEntity, type DxfFile } from 'dxf';
import type { OutlineReading } from './reading';

/** Millimetres for each code of $INSUNITS; a file that does not say is taken to be in millimetres. */
const MM: Readonly<Record<number, number>> = { 0: 1, 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1000 };

/** Ends closer than this are the same point, mm. */
const NEAR = 0.02;

type Vertex = readonly [number, number];

/** Most lines and arcs of a drawing, blocks counted once for each place that they are laid in. */
const MOST_ENTITIES = 20_000;
/** Most turns that an arc may go round. */
const MOST_TURNS = 2;

/** Every line and arc of a DXF file as one outline in millimetres; pieces that meet are joined. */
export function readDxfOutline(text: string): OutlineReading {
  try {
    const helper = new Helper(text);
    const { insUnits } = helper.parsed.header;
    const k = MM[insUnits ?? 0] ?? 1;
    const problem = tooMuch(helper.parsed);
    if (problem !== undefined) return { ok: false, problem };
    // Y runs up in DXF.
    const runs = helper.toPolylines().polylines.map((p) => p.vertices.map(([x, y]): Vertex => [x * k, -y * k]));
    const outline = joined(runs.filter((run) => run.length > 1))
      .map(written)
      .join(' ');
    return outline === '' ? { ok: false, problem: 'There is no line in this DXF.' } : { ok: true, outline };
  } catch {
    return {
      ok: false,
      problem: 'This DXF is broken. Open it in the program it comes from and save it again, as plain text.',
    };
  }
}

/** Says what of a drawing would multiply beyond measure when it is drawn; undefined where nothing does. */
function tooMuch({ entities, blocks }: DxfFile): string | undefined {
  const all = [...entities, ...blocks.flatMap((block) => block.entities ?? [])];
  const turns = ({ startAngle = 0, endAngle = 0 }: DxfEntity) => Math.abs(endAngle - startAngle) / (2 * Math.PI);
  if (all.some((e) => !(turns(e) <= MOST_TURNS)))
    return 'An arc in this DXF goes round many times. Draw it again and save the file.';
  const inBlock = new Map(blocks.map((block) => [block.name, block.entities ?? []]));
  const counts = new Map<string | undefined, number>();
  const countOf = (list: readonly DxfEntity[]): number => list.reduce((sum, e) => sum + weightOf(e), 0);
  const weightOf = ({ type, block, rowCount = 1, columnCount = 1 }: DxfEntity): number => {
    if (type !== 'INSERT') return 1;
    const before = counts.get(block);
    // A block within itself has no end.
    if (before === undefined) {
      counts.set(block, Infinity);
      counts.set(block, countOf(inBlock.get(block) ?? []));
    }
    return 1 + Math.max(1, rowCount) * Math.max(1, columnCount) * (counts.get(block) ?? 0);
  };
  return countOf(entities) <= MOST_ENTITIES
    ? undefined
    : `Blocks and copies in this DXF make more than ${MOST_ENTITIES} lines. Save the outline alone.`;
}

const meets = (a: Vertex | undefined, b: Vertex | undefined): boolean =>
  a !== undefined && b !== undefined && Math.hypot(a[0] - b[0], a[1] - b[1]) < NEAR;

/** Ends of runs by where they are, so that those near a point are found without looking at all. */
class Ends {
  private readonly cells = new Map<string, number[]>();

  constructor(private readonly runs: readonly (readonly Vertex[])[]) {
    for (const [i, run] of runs.entries())
      for (const end of [run[0], run.at(-1)]) {
        if (!end) continue;
        const key = this.key(end[0] / NEAR, end[1] / NEAR);
        const cell = this.cells.get(key);
        if (cell) cell.push(i);
        else this.cells.set(key, [i]);
      }
  }

  private key(x: number, y: number): string {
    return `${Math.floor(x)} ${Math.floor(y)}`;
  }

  /** The first run with an end near a point, of those that are free. */
  near(point: Vertex, isFree: (run: number) => boolean): number | undefined {
    const [x, y] = [point[0] / NEAR, point[1] / NEAR];
    const found = [-1, 0, 1].flatMap((dx) =>
      [-1, 0, 1].flatMap((dy) => this.cells.get(this.key(x + dx, y + dy)) ?? []),
    );
    const fitting = found.filter(
      (i) => isFree(i) && (meets(this.runs[i]?.[0], point) || meets(this.runs[i]?.at(-1), point)),
    );
    return fitting.length > 0 ? Math.min(...fitting) : undefined;
  }
}

/** Runs put end to end where their ends meet. */
function joined(runs: readonly (readonly Vertex[])[]): readonly (readonly Vertex[])[] {
  const ends = new Ends(runs);
  const taken = new Set<number>();
  const out: (readonly Vertex[])[] = [];
  for (const [i, first] of runs.entries()) {
    if (taken.has(i)) continue;
    taken.add(i);
    const run = [...first];
    for (;;) {
      const end = run.at(-1);
      if (!end || (meets(run[0], end) && run.length > 2)) break;
      const at = ends.near(end, (r) => !taken.has(r));
      const next = at === undefined ? undefined : runs[at];
      if (at === undefined || !next) break;
      taken.add(at);
      for (const vertex of (meets(next[0], end) ? next : [...next].reverse()).slice(1)) run.push(vertex);
    }
    out.push(run);
  }
  return out;
}

const written = (run: readonly Vertex[]): string => {
  const closed = meets(run[0], run.at(-1));
  const points = (closed ? run.slice(0, -1) : run).map(([x, y]) => `${round(x)} ${round(y)}`);
  return `M${points.join('L')}${closed ? 'Z' : ''}`;
};

const round = (n: number): number => Math.round(n * 1e4) / 1e4;
