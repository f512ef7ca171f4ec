import { pathBounds, union, type Rect } from '../core/layout';
import { linesOn, pathOf, processLayers } from '../core/marks';
import { ptToMm } from '../core/measure';
import type { Process, ProcessLine } from '../core/shop';
import { rulesFor } from '../core/job';
import { dxfOf } from '../paint/dxf';
import { writePdf } from '../paint/pdf';
import { dieSvg } from '../paint/svg';
import { CannotExport } from './cannot-export';
import type { Desk, DeskSide } from './desk';
import type { Progress } from './file';
import type { OutputFile } from './file';
import { fileStem, sideStems } from './file-name';
import { fileId, commonParts } from './pdf-request';
import { outputProfile } from './profiles';

/**
 * Process lines alone, at true size, a layer for each process: one PDF, and an SVG and a DXF of each side that has any.
 */
export async function dieFiles(desk: Desk, at: Date, progress: Progress): Promise<readonly OutputFile[]> {
  const { job } = desk;
  const sides = distinct(desk.sides.filter((side) => linesOn(side.surface, side.drawing).length > 0));
  const [first] = sides;
  if (!first)
    throw new CannotExport(
      'This piece has no cut, fold or other line for a die maker. Give it some under Size or under Finish.',
    );
  const stem = fileStem(job.name);
  progress(0.2, 'Writing the PDF');
  const bytes = await writePdf({
    pages: sides.map(({ surface, drawing, rules }) => ({
      parts: processLayers(linesOn(surface, drawing), rules).map((layer) => ({ layer })),
      trim: surface.boxes.trim,
      bleed: surface.boxes.trim,
      sheet: around(surface.boxes.trim, linesOn(surface, drawing)),
    })),
    purpose: { kind: 'press' },
    metadata: { title: `${job.name}, die lines`, at, id: fileId(job, at, 'die') },
    profile: await outputProfile(job, rulesFor(job, first.piece).profile, desk.assets),
    ...(await commonParts(desk)),
    picture: () => {
      throw new Error('Die lines have no pictures.');
    },
  });
  const files: OutputFile[] = [{ name: `${stem}-die.pdf`, type: 'application/pdf', bytes }];
  const stems = sideStems(job, sides);
  for (const [i, { surface, drawing, rules }] of sides.entries()) {
    const lines = linesOn(surface, drawing);
    progress(0.2 + (0.8 * files.length) / (2 * sides.length + 1), `Writing the lines of the ${surface.name}`);
    const layer = (process: Process) => ({ name: rules.lines[process].spot, form: rules.lines[process].form });
    const own = `${stems[i] ?? stem}-die`;
    const svg = dieSvg(around(surface.boxes.trim, lines), lines, layer, ptToMm(rules.lineWeightPt.value));
    const dxf = dxfOf(lines, surface.boxes.trim.height, layer);
    files.push({ name: `${own}.svg`, type: 'image/svg+xml', bytes: new TextEncoder().encode(svg) });
    files.push({ name: `${own}.dxf`, type: 'image/vnd.dxf', bytes: new TextEncoder().encode(dxf) });
  }
  progress(1, 'Done');
  return files;
}

/** The trim with the lines that run past it. */
const around = (trim: Rect, lines: readonly ProcessLine[]): Rect =>
  union([trim, ...lines.map((line) => pathBounds(pathOf(line)))]);

/** Sides whose lines are those of an earlier side are not said twice. */
function distinct(sides: readonly DeskSide[]): readonly DeskSide[] {
  const known = new Set<string>();
  return sides.filter(({ surface, drawing }) => {
    const key = JSON.stringify([surface.outline, linesOn(surface, drawing)]);
    return !known.has(key) && known.add(key);
  });
}
