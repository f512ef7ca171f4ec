import { Helper } from 'dxf';
import type { OutlineReading } from './read-outline';

/** Millimetres for each code of $INSUNITS; a file that does not say is taken to be in millimetres. */
const MM: Readonly<Record<number, number>> = { 0: 1, 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1000 };

/** Ends closer than this are the same point, mm. */
const NEAR = 0.02;

type Vertex = readonly [number, number];

/** Every line and arc of a DXF file as one outline in millimetres; pieces that meet are joined. */
export function readDxfOutline(text: string): OutlineReading {
  try {
    const helper = new Helper(text);
    const { insUnits } = helper.parsed.header as { insUnits?: number };
    const k = MM[insUnits ?? 0] ?? 1;
    // Y runs up in DXF.
    const runs = helper.toPolylines().polylines.map((p) => p.vertices.map(([x, y]): Vertex => [x * k, -y * k]));
    const outline = joined(runs.filter((run) => run.length > 1)).map(written).join(' ');
    return outline === '' ? { ok: false, problem: 'There is no line in this DXF.' } : { ok: true, outline };
  } catch (error) {
    return { ok: false, problem: `This DXF cannot be read: ${error instanceof Error ? error.message.slice(0, 120) : 'it is broken'}.` };
  }
} // prettier-ignore

const meets = (a: Vertex | undefined, b: Vertex | undefined): boolean =>
  a !== undefined && b !== undefined && Math.hypot(a[0] - b[0], a[1] - b[1]) < NEAR;

/** Runs put end to end where their ends meet. */
function joined(runs: readonly (readonly Vertex[])[]): readonly (readonly Vertex[])[] {
  const left = [...runs];
  const out: (readonly Vertex[])[] = [];
  for (let first = left.shift(); first; first = left.shift()) {
    let run = [...first];
    for (;;) {
      const end = run.at(-1);
      if (meets(run[0], end) && run.length > 2) break;
      const at = left.findIndex((r) => meets(r[0], end) || meets(r.at(-1), end));
      const next = left[at];
      if (!next) break;
      left.splice(at, 1);
      run = [...run, ...(meets(next[0], end) ? next : [...next].reverse()).slice(1)];
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
