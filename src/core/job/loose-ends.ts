import { isMeasureRef, stylesNamed, type SolidPaint } from '../element';
import { elementsOf } from './inherit';
import type { Job, Piece } from './schema';
import { paintsUsed } from './paints-used';

/** Most sentences that are of use at once. */
const MOST = 12;

/** Names that a job uses and does not define: measures, layers, groups. Boxes may be gone: the sheet says where. */
export function looseEnds(job: Job): string[] {
  const found = new Set<string>();
  const measures = new Set(job.measures.map((m) => m.id));
  for (const id of measuresUsed(job.pieces))
    if (!measures.has(id)) found.add(`The measure “${id}” is used but not listed under measures.`);
  const styles = new Set([...job.styles, ...job.cellStyles].map((s) => s.id));
  for (const { basedOn, name } of [...job.styles, ...job.cellStyles])
    if (basedOn !== null && !styles.has(basedOn))
      found.add(`The style “${name}” is based on “${basedOn}”, which is not listed under styles.`);
  for (const { numbering } of job.pieces)
    if (numbering.heads !== null && !styles.has(numbering.heads))
      found.add(`Running heads repeat the style “${numbering.heads}”, which is not listed under styles.`);
  const { profile } = job.output;
  if (profile?.startsWith('icc-') && job.assets[profile.slice(4)]?.kind !== 'profile')
    found.add('The output profile is not among the files of the job.');
  const { records } = job;
  if (records?.from === 'file' && job.assets[records.file]?.kind !== 'data')
    found.add('The records are not among the files of the job.');
  for (const problem of looseColours(job)) found.add(problem);
  for (const piece of job.pieces)
    for (const problem of [...looseIn(piece), ...looseStyles(piece, styles)]) found.add(problem);
  return [...found].slice(0, MOST);
}

/** Inks and named colours that paints speak of and the job does not have: they would print nothing. */
function looseColours(job: Job): string[] {
  const inks = new Set((job.inks ?? []).map((i) => i.name));
  const swatches = new Set((job.swatches ?? []).map((s) => s.name));
  const said: readonly SolidPaint[] = [
    ...paintsUsed(job).values(),
    ...(job.swatches ?? []).map((s) => s.paint),
    ...(job.kit?.colours ?? []).map((c) => c.paint),
  ];
  return said.flatMap((paint) =>
    paint.kind === 'spot'
      ? paint.spots.filter((s) => !inks.has(s.ink)).map((s) => `The ink “${s.ink}” is used but not listed under inks.`)
      : paint.kind === 'swatch' && !swatches.has(paint.swatch)
        ? [`The colour “${paint.swatch}” is used but not listed under swatches.`]
        : [],
  );
}

function looseIn(piece: Piece): string[] {
  const layers = new Set(piece.layers.map((l) => l.id));
  const groups = new Set(piece.groups.map((g) => g.id));
  return elementsOf(piece).flatMap(({ element }) => [
    ...(layers.has(element.layer)
      ? []
      : [`“${element.name || element.id}” lies on the layer “${element.layer}”, which is not listed.`]),
    ...(element.group === null || groups.has(element.group)
      ? []
      : [`“${element.name || element.id}” is in the group “${element.group}”, which is not listed.`]),
  ]);
}

/** Styles that texts name and the job does not have. */
function looseStyles(piece: Piece, styles: ReadonlySet<string>): string[] {
  return [...new Set(elementsOf(piece).flatMap(({ element }) => stylesNamed(element)))]
    .filter((id) => !styles.has(id))
    .map((id) => `The style “${id}” is used but not listed under styles.`);
}

/** Ids of the measures that anything within a value refers to. */
export function measuresUsed(value: unknown): ReadonlySet<string> {
  const used = new Set<string>();
  const walk = (v: unknown): void => {
    if (typeof v !== 'object' || v === null) return;
    if (isMeasureRef(v)) used.add(v.measure);
    else for (const inner of Object.values(v)) walk(inner);
  };
  walk(value);
  return used;
}
