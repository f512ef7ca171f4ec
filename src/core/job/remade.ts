import type { Format } from '../format';
import { blankOf } from './blank-of';
import type { Job, Piece } from './schema';
import { makePiece, refusalOf } from './start';

/**
 * The piece as another kind: decisions of the same name and sort are kept, the rest takes its default; what was laid
 * on the first side lies on the first again, and so on.
 * @param decided decisions of the new kind, over those that are kept
 */
export function remade(job: Job, piece: Piece, format: Format, decided: Readonly<Record<string, unknown>> = {}): Piece {
  const kept = Object.fromEntries(
    Object.entries(format.parameters).flatMap(([name, parameter]) => {
      const value = piece.decisions[name];
      return value !== undefined && parameter.schema.safeParse(value).success ? [[name, value]] : [];
    }),
  );
  const { bleed, safe, grid, grids, guides, baselineGrid, layers, groups, bases, numbering, slug, id } = piece;
  // What was set for the piece itself stays, unless it is decided anew.
  const own = <T>(edges: T | undefined, name: string) =>
    edges && !Object.hasOwn(decided, name) ? { [name]: edges } : {};
  const make = (values: Readonly<Record<string, unknown>>) =>
    ({
      ...makePiece(format, id, values, job.unit),
      grid,
      grids,
      guides,
      baselineGrid,
      layers,
      groups,
      bases,
      numbering,
      layouts: {},
      slug,
      ...own(bleed, 'bleed'),
      ...own(safe, 'safe'),
    }) as Piece;
  // What was kept may not go together with the new kind; then its own defaults stand.
  const whole = make({ ...kept, ...decided });
  const made = refusalOf(job, whole) ? make(decided) : whole;
  const from = blankOf(job, piece).surfaces.map((s) => s.name);
  const to = refusalOf(job, made) ? [] : blankOf(job, made).surfaces.map((s) => s.name);
  const renamed = (name: string) => to[from.indexOf(name)] ?? name;
  const onSide = <T extends { readonly side?: string | undefined }>(list: readonly T[]): T[] =>
    list.map((entry) => (entry.side === undefined ? entry : { ...entry, side: renamed(entry.side) }));
  const bySide = <T>(record: Readonly<Record<string, T>>): Record<string, T> =>
    Object.fromEntries(Object.entries(record).map(([name, value]) => [renamed(name), value]));
  const { finish, foldLines } = piece;
  return {
    ...made,
    ...(finish && { finish: bySide(finish) }),
    ...(foldLines && { foldLines }),
    surfaces: bySide(piece.surfaces),
    layouts: bySide(piece.layouts),
    grids: onSide(grids),
    guides: onSide(guides),
  };
}
