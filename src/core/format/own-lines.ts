import { flatten, type Path } from '../layout';
import { parseLength, type FieldContext, type FieldError, type Mm } from '../measure';
import type { Size } from '../paper';
import { PROCESSES, type Process } from '../shop';
import type { ProcessLine } from './blank';

/** A process line as it is said: at places across or down, by equal division, or by a distance from an edge. */
type Saying =
  | { readonly kind: 'at'; readonly axis: 'x' | 'y'; readonly at: readonly Mm[] }
  | { readonly kind: 'every'; readonly axis: 'x' | 'y'; readonly parts: number }
  | { readonly kind: 'from'; readonly edge: 'left' | 'right' | 'top' | 'bottom'; readonly mm: Mm };

interface Said {
  readonly process: Process;
  readonly saying: Saying;
}

export const LINES_HELP =
  'fold every 1/4 across; score at x 30mm, 60mm; perforation 20mm from right. One after another, parted by ;';

/** Reads what own process lines are said to be. */
export function readLines(
  text: string,
  context: FieldContext,
): { readonly lines: readonly Said[] } | { readonly error: FieldError } {
  const lines: Said[] = [];
  let at = 0;
  for (const part of text.split(';')) {
    const words = part.trim();
    const wrong = (message: string) => ({
      error: { at: at + part.search(/\S|$/), length: Math.max(1, words.length), message },
    });
    if (words !== '') {
      const process = PROCESSES.find((p) => words.toLowerCase().startsWith(`${p} `));
      if (!process) return wrong(`A line begins with what is done: ${PROCESSES.join(', ')}.`);
      const rest = words.slice(process.length).trim();
      const every = /^every\s+1\s*\/\s*(\d+)\s+(across|down)$/i.exec(rest);
      const placed = /^at\s+([xy])\s+(\S.*)$/i.exec(rest);
      const edge = /\sfrom\s+(left|right|top|bottom)$/i.exec(rest);
      if (every) {
        const parts = Number(every[1]);
        if (parts < 2 || parts > 100) return wrong('Divide into 2 to 100 parts.');
        lines.push({
          process,
          saying: { kind: 'every', parts, axis: every[2]?.toLowerCase() === 'across' ? 'x' : 'y' },
        });
      } else if (placed) {
        const read = (placed[2] ?? '').split(',').map((t) => parseLength(t.trim(), context));
        const bad = read.find((r) => !r.ok);
        if (bad) return wrong(bad.error.message);
        lines.push({
          process,
          saying: {
            kind: 'at',
            axis: placed[1]?.toLowerCase() === 'x' ? 'x' : 'y',
            at: read.flatMap((r) => (r.ok ? [r.value] : [])),
          },
        });
      } else if (edge) {
        const read = parseLength(rest.slice(0, edge.index).trim(), context);
        if (!read.ok) return wrong(read.error.message);
        lines.push({ process, saying: { kind: 'from', mm: read.value, edge: edge[1]?.toLowerCase() as 'left' } });
      } else return wrong(`Say where: ${LINES_HELP}`);
    }
    at += part.length + 1;
  }
  return { lines };
}

/** The same in millimetres, as a job keeps it. */
export const writeLines = (said: readonly Said[]): string =>
  said
    .map(({ process, saying }) => {
      switch (saying.kind) {
        case 'at':
          return `${process} at ${saying.axis} ${saying.at.map((mm) => `${mm}mm`).join(', ')}`;
        case 'every':
          return `${process} every 1/${saying.parts} ${saying.axis === 'x' ? 'across' : 'down'}`;
        case 'from':
          return `${process} ${saying.mm}mm from ${saying.edge}`;
      }
    })
    .join('; ');

/** Where the lines run on an outline, cut off at its edge. */
export function placeLines(said: readonly Said[], size: Size, outline: Path): readonly ProcessLine[] {
  return said.flatMap(({ process, saying }) =>
    placesOf(saying, size).flatMap(({ axis, at }) =>
      chords(outline, axis, at).map(([a, b]): ProcessLine => ({
        process,
        from: axis === 'x' ? { x: at, y: a } : { x: a, y: at },
        to: axis === 'x' ? { x: at, y: b } : { x: b, y: at },
        ...((process === 'fold' || process === 'score') && { direction: 'up' as const }),
      })),
    ),
  );
}

export function placesOf(saying: Saying, size: Size): readonly { readonly axis: 'x' | 'y'; readonly at: Mm }[] {
  switch (saying.kind) {
    case 'at':
      return saying.at.map((at) => ({ axis: saying.axis, at }));
    case 'every': {
      const side = saying.axis === 'x' ? size.width : size.height;
      return Array.from({ length: saying.parts - 1 }, (_, i) => ({
        axis: saying.axis,
        at: (side * (i + 1)) / saying.parts,
      }));
    }
    case 'from':
      switch (saying.edge) {
        case 'left':
          return [{ axis: 'x', at: saying.mm }];
        case 'right':
          return [{ axis: 'x', at: size.width - saying.mm }];
        case 'top':
          return [{ axis: 'y', at: saying.mm }];
        case 'bottom':
          return [{ axis: 'y', at: size.height - saying.mm }];
      }
  }
}

/** Stretches of a straight line that lie inside a closed outline. */
export function chords(outline: Path, axis: 'x' | 'y', at: Mm): readonly (readonly [Mm, Mm])[] {
  const crossings: number[] = [];
  for (const part of flatten(outline)) {
    part.forEach((a, i) => {
      const b = part[(i + 1) % part.length] ?? a;
      const [au, av, bu, bv] = axis === 'x' ? [a.x, a.y, b.x, b.y] : [a.y, a.x, b.y, b.x];
      if (au > at !== bu > at) crossings.push(av + ((at - au) / (bu - au)) * (bv - av));
    });
  }
  crossings.sort((a, b) => a - b);
  return crossings.flatMap((from, i) =>
    i % 2 === 0 && crossings[i + 1] !== undefined ? [[from, crossings[i + 1] ?? from] as const] : [],
  );
}
