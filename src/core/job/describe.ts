import type { Figure } from '../figure';
import type { Blank, BlankSurface, ProcessLine } from '../format';
import { insets, pathText, type EdgeLengths } from '../layout';
import { blankOf } from './blank-of';
import type { Job } from './schema';

type DescribedLine = Omit<ProcessLine, 'path'> & { readonly path?: string };

/** What `ys describe --json` prints for each piece; lengths in mm from the trimmed top-left corner, y down. */
export interface Description extends Omit<Blank, 'surfaces' | 'figures' | 'folding'> {
  readonly kind: string;
  readonly surfaces: readonly (Pick<BlankSurface, 'name' | 'panels'> & {
    readonly size: { readonly width: number; readonly height: number };
    /** As it is made on this surface: a sheet or web of labels has none of its own. */
    readonly bleed: EdgeLengths;
    /** Path data of the trimmed outline. */
    readonly outline: string;
    readonly processLines: readonly DescribedLine[];
    readonly zones: readonly { readonly name: string; readonly kind: string; readonly outline: string }[];
  })[];
  readonly figures: readonly Pick<Figure, 'name' | 'value' | 'unit' | 'working'>[];
  /** In which order it is folded, in words; empty where it is not. */
  readonly folding: readonly string[];
}

export const describeJob = (job: Job): readonly Description[] =>
  job.pieces.map((piece) => {
    const { id, name, surfaces, figures, folding, ...blank } = blankOf(job, piece);
    return {
      id,
      name,
      kind: piece.kind,
      ...blank,
      surfaces: surfaces.map(({ name, panels, processLines, outline, zones, boxes }) => ({
        name,
        size: { width: boxes.trim.width, height: boxes.trim.height },
        bleed: insets(boxes.trim, boxes.bleed),
        panels,
        processLines: processLines.map(({ path, ...line }) => ({ ...line, ...(path && { path: pathText(path) }) })),
        outline: pathText(outline),
        zones: zones.map((z) => ({ name: z.name, kind: z.kind, outline: pathText(z.outline) })),
      })),
      figures: figures.map(({ name, value, unit, working, rule }) => ({
        name,
        value,
        unit,
        working: [...working, rule],
      })),
      folding: folding?.steps.map((s) => s.name) ?? [],
    };
  });
