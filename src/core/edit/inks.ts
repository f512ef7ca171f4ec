import {
  repaint,
  styleBook,
  type PlainPaint,
  type SolidPaint,
  type SpotInk,
  type Swatch,
  type TypeStyle,
  type CellStyle,
  type Finishing,
  mapElements,
  type Job,
  paintsUsed,
} from '../job';
import { NO_INK, deltaE2000, shownBuild, type ColourEngine } from '../colour';

type Change = (paint: SolidPaint) => SolidPaint;

/**
 * A job with each of its paints replaced: of elements, layouts, styles, coatings that follow a colour, and named
 * colours.
 */
export function repaintJob(job: Job, change: Change): Job {
  const book = styleBook(job);
  const styled = (style: TypeStyle): TypeStyle =>
    style.look.paint ? { ...style, look: { ...style.look, paint: change(style.look.paint) } } : style;
  const cell = (style: CellStyle): CellStyle =>
    style.cell.fill ? { ...style, cell: { ...style.cell, fill: change(style.cell.fill) } } : style;
  const finishing = (f: Finishing): Finishing =>
    f.does === 'coat' && f.of.from === 'paint' ? { ...f, of: { ...f.of, paint: change(f.of.paint) } } : f;
  return {
    ...job,
    styles: job.styles.map(styled),
    cellStyles: job.cellStyles.map(cell),
    ...(job.swatches && { swatches: job.swatches.map((s) => ({ ...s, paint: plainOf(change(s.paint), s.paint) })) }),
    pieces: job.pieces.map((piece) => ({
      ...mapElements(piece, (element) => repaint(element, book, change)),
      ...(piece.finish && {
        finish: Object.fromEntries(Object.entries(piece.finish).map(([side, list]) => [side, list.map(finishing)])),
      }),
    })),
  };
}

/** A named colour is never said by another name. */
const plainOf = (paint: SolidPaint, before: PlainPaint): PlainPaint => (paint.kind === 'swatch' ? before : paint);

/** The job’s inks with one more, or with one changed; a new name goes to all that is printed with it. */
export function withInk(job: Job, ink: SpotInk, before?: string): Job {
  const inks = job.inks ?? [];
  const listed = before === undefined ? [...inks, ink] : inks.map((i) => (i.name === before ? ink : i));
  const renamed =
    before === undefined || before === ink.name
      ? job
      : repaintJob(
          job,
          respotted((name) => (name === before ? ink.name : name)),
        );
  return { ...renamed, inks: listed };
}

/** Paints with their spot inks named otherwise. */
const respotted =
  (rename: (name: string) => string): Change =>
  (paint) =>
    paint.kind === 'spot' ? { ...paint, spots: paint.spots.map((s) => ({ ...s, ink: rename(s.ink) })) } : paint;

/** The job without an ink: what is printed with it takes the build that shows it. */
export function withoutInk(job: Job, name: string): Job {
  const inks = job.inks ?? [];
  const gone = inks.find((i) => i.name === name);
  if (!gone) return job;
  const printed = repaintJob(job, (paint) => {
    const share = paint.kind === 'spot' ? paint.spots.find((s) => s.ink === name) : undefined;
    if (paint.kind !== 'spot' || !share) return paint;
    const { c, m, y, k } = shownBuild({ build: paint, spots: [{ name, tint: share.tint, shown: gone }] });
    const spots = paint.spots.filter((s) => s.ink !== name);
    const laid = paint.overprint === undefined ? {} : { overprint: paint.overprint };
    return spots.length > 0 ? { kind: 'spot', c, m, y, k, spots, ...laid } : { kind: 'process', c, m, y, k, ...laid };
  });
  return { ...printed, inks: inks.filter((i) => i.name !== name) };
}

/** Two inks as one: what was printed with the first is printed with the second. */
export function mergedInks(job: Job, from: string, into: string): Job {
  const merged = repaintJob(job, (paint) => {
    if (paint.kind !== 'spot' || !paint.spots.some((s) => s.ink === from)) return paint;
    const tints = new Map<string, number>();
    for (const { ink, tint } of paint.spots) {
      const name = ink === from ? into : ink;
      tints.set(name, Math.min(100, (tints.get(name) ?? 0) + tint));
    }
    return { ...paint, spots: [...tints].map(([ink, tint]) => ({ ink, tint })) };
  });
  return { ...merged, inks: (merged.inks ?? []).filter((i) => i.name !== from) };
}

/** The job’s named colours with one more, or with one changed; a new name goes to all that has it. */
export function withSwatch(job: Job, swatch: Swatch, before?: string): Job {
  const swatches = job.swatches ?? [];
  const listed = before === undefined ? [...swatches, swatch] : swatches.map((s) => (s.name === before ? swatch : s));
  const renamed =
    before === undefined || before === swatch.name ? job : repaintJob(job, renamedSwatch(before, swatch.name));
  return { ...renamed, swatches: listed };
}

const renamedSwatch =
  (from: string, to: string): Change =>
  (paint) =>
    paint.kind === 'swatch' && paint.swatch === from ? { ...paint, swatch: to } : paint;

/** Two named colours as one. */
export function mergedSwatches(job: Job, from: string, into: string): Job {
  const merged = repaintJob(job, renamedSwatch(from, into));
  return { ...merged, swatches: (merged.swatches ?? []).filter((s) => s.name !== from) };
}

/** The job without a name for a colour: what has it keeps its inks. */
export function withoutSwatch(job: Job, name: string): Job {
  const gone = (job.swatches ?? []).find((s) => s.name === name);
  if (!gone) return job;
  const plain = repaintJob(job, (paint) =>
    paint.kind === 'swatch' && paint.swatch === name ? tintedPaint(gone.paint, paint.tint) : paint,
  );
  return { ...plain, swatches: (plain.swatches ?? []).filter((s) => s.name !== name) };
}

/** A share of a colour, percent; of sRGB the same distance from white. */
function tintedPaint(paint: PlainPaint, tint: number): PlainPaint {
  const k = tint / 100;
  switch (paint.kind) {
    case 'paper':
      return paint;
    case 'process':
      return { ...paint, c: paint.c * k, m: paint.m * k, y: paint.y * k, k: paint.k * k };
    case 'spot':
      return {
        ...paint,
        c: paint.c * k,
        m: paint.m * k,
        y: paint.y * k,
        k: paint.k * k,
        spots: paint.spots.map((s) => ({ ...s, tint: s.tint * k })),
      };
    case 'rgb': {
      const lighter = (v: number) => Math.round(255 - (255 - v) * k);
      return { ...paint, r: lighter(paint.r), g: lighter(paint.g), b: lighter(paint.b) };
    }
  }
}

/** Everything that has a paint takes a named colour instead. */
export const named = (job: Job, name: string, isMeant: (paint: SolidPaint) => boolean): Job => {
  const swatches = job.swatches ?? [];
  return {
    ...repaintJob(job, (paint) => (isMeant(paint) ? { kind: 'swatch', swatch: name, tint: 100 } : paint)),
    swatches,
  };
};

/** Named colours and inks that nothing uses. */
export function unusedColours(job: Job): { readonly inks: readonly string[]; readonly swatches: readonly string[] } {
  const used = [...paintsUsed(job).values(), ...coatPaints(job)];
  const swatches = (job.swatches ?? []).filter((s) => !used.some((p) => p.kind === 'swatch' && p.swatch === s.name));
  const printed = [...used, ...(job.swatches ?? []).map((s) => s.paint)].flatMap((p) =>
    p.kind === 'spot' ? p.spots.map((s) => s.ink) : [],
  );
  return {
    swatches: swatches.map((s) => s.name),
    inks: (job.inks ?? []).filter((i) => !printed.includes(i.name)).map((i) => i.name),
  };
}

/** Colours that coatings follow. */
const coatPaints = (job: Job): readonly SolidPaint[] =>
  job.pieces.flatMap((p) =>
    Object.values(p.finish ?? {}).flatMap((list) =>
      list.flatMap((f) => (f.does === 'coat' && f.of.from === 'paint' ? [f.of.paint] : [])),
    ),
  );

/** Nearer than this CIEDE2000, two colours pass for one [cp]. */
export const NEAR_DUPLICATE = 2;

/** Pairs of named things whose colours pass for each other, the nearest first. */
export function nearDuplicates<T extends { readonly name: string }>(
  list: readonly T[],
  labOf: (one: T) => Parameters<typeof deltaE2000>[0],
): readonly { readonly one: T; readonly two: T; readonly deltaE: number }[] {
  const labs = list.map(labOf);
  const pairs = list.flatMap((one, i) =>
    list.slice(i + 1).flatMap((two, n) => {
      const [a, b] = [labs[i], labs[i + 1 + n]];
      const deltaE = a && b ? deltaE2000(a, b) : Infinity;
      return deltaE < NEAR_DUPLICATE ? [{ one, two, deltaE }] : [];
    }),
  );
  return pairs.sort((a, b) => a.deltaE - b.deltaE);
}

/** How a spot ink looks: as it was measured, or as the build that shows it. */
export const inkLab = (ink: SpotInk, colour: Pick<ColourEngine, 'buildLab'>) =>
  ink.lab ?? colour.buildLab({ ...NO_INK, c: ink.c, m: ink.m, y: ink.y, k: ink.k });
