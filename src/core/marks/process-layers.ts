import type { Item, Path, ProcessLayer } from '../drawing';
import type { ProcessLine } from '../format';
import { IDENTITY, linePath } from '../layout';
import { ptToMm } from '../measure';
import type { Rules } from '../rules';
import { DASHES, PROCESSES, SHOWN, STEP_TYPES, type Process } from '../shop';

export const pathOf = (line: ProcessLine): Path => line.path ?? linePath(line.from, line.to);

/**
 * The process lines of a surface, each process on a layer and a plate of its own, in the form and weight that the
 * house wants. Lines never knock out what is beneath.
 */
export function processLayers(lines: readonly ProcessLine[], rules: Rules): readonly ProcessLayer[] {
  return PROCESSES.flatMap((process): ProcessLayer[] => {
    const own = lines.filter((line) => line.process === process);
    if (own.length === 0) return [];
    const { spot } = rules.lines[process];
    return [
      {
        name: spot,
        step: { group: 'Structural', type: STEP_TYPES[process] },
        items: own.map((line) => stroked(process, pathOf(line), rules)),
      },
    ];
  });
}

function stroked(process: Process, path: Path, rules: Rules): Item {
  const { form, spot } = rules.lines[process];
  const ink = { kind: 'technical' as const, name: spot, shown: SHOWN[process] };
  const width = ptToMm(rules.lineWeightPt.value);
  const stroke = { ink, width, dash: DASHES[form], cap: 'butt' as const };
  return { kind: 'path', from: process, opacity: 1, matrix: IDENTITY, path, fill: null, stroke };
}

/** The plates that process lines need, by name. */
export const processPlates = (lines: readonly ProcessLine[], rules: Rules): readonly string[] =>
  PROCESSES.filter((process) => lines.some((line) => line.process === process)).map((p) => rules.lines[p].spot);
