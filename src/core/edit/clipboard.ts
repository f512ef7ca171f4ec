import { z } from 'zod';
import {
  CellStyle,
  Element,
  Group,
  NamedMeasure,
  SpotInk,
  Swatch,
  TypeStyle,
  isMeasureRef,
  mapRefs,
  mapWithin,
  plainParagraphs,
  tableOfWords,
  withTableWords,
  Asset,
  type Job,
  type SideName,
} from '../job';
import { isMissing, landingOnBare, moveTo, placed, type Landing, type Rect, type SurfaceBoxes } from '../layout';
import { freshId, newElement } from './new-element';
import { added, changePiece, chosenOf, pieceOf, withElements, type Made } from './on-side';

const Place = z.object({ x: z.number(), y: z.number(), width: z.number().min(0), height: z.number().min(0) });

/** Things that were copied, with all that they need in another job. */
export const Copied = z.object({
  copied: z.literal('things of a yellow sheet'),
  elements: z.array(Element).min(1).max(5000),
  groups: z.array(Group),
  /** Where each of them stood, mm from the trimmed corner. */
  places: z.record(z.string(), Place),
  styles: z.array(TypeStyle),
  cellStyles: z.array(CellStyle),
  inks: z.array(SpotInk),
  swatches: z.array(Swatch),
  measures: z.array(NamedMeasure),
  assets: z.record(z.string(), Asset),
});
export type Copied = z.infer<typeof Copied>;

const PLAIN_ID = /^[\w-]+$/;

/** What is chosen of a side, with the styles, inks, colours, measures and files that it names. */
export function copied(job: Job, side: SideName, ids: readonly string[], boxes: SurfaceBoxes): Copied | undefined {
  const chosen = chosenOf(job, side, ids);
  if (chosen.length === 0) return undefined;
  // What comes from a base layout is known on a page by the ids of both: away from there it has one of its own.
  const names = new Map<string, string>();
  const plainId = (id: string): string => {
    if (PLAIN_ID.test(id)) return id;
    const name = names.get(id) ?? freshId();
    names.set(id, name);
    return name;
  };
  const elements = chosen.map((e): Element => ({ ...mapRefs(e, plainId), id: plainId(e.id) }));
  const cellStyles = named(job.cellStyles, elements, ({ id }) => id);
  const styles = withBases(
    job.styles,
    named(job.styles, [elements, cellStyles], ({ id }) => id),
  );
  const said = [elements, styles, cellStyles];
  const swatches = named(job.swatches ?? [], said, ({ name }) => name);
  return {
    copied: 'things of a yellow sheet',
    elements: [...elements],
    groups: named(pieceOf(job).groups, elements, ({ id }) => id),
    places: Object.fromEntries(
      chosen.flatMap(({ id }) => {
        const at = boxes.placed[id];
        return at ? [[plainId(id), { x: at.x, y: at.y, width: at.width, height: at.height }]] : [];
      }),
    ),
    styles,
    cellStyles,
    inks: named(job.inks ?? [], [...said, swatches], ({ name }) => name),
    swatches,
    measures: named(job.measures, said, ({ id }) => id),
    assets: Object.fromEntries(named(Object.entries(job.assets), elements, ([sha]) => sha)),
  };
}

/** Those of a list whose names are said somewhere in a value. */
function named<T>(list: readonly T[], within: unknown, nameOf: (one: T) => string): T[] {
  const said = JSON.stringify(within);
  return list.filter((one) => said.includes(JSON.stringify(nameOf(one))));
}

/** Styles with those that they are based on, or that follow them. */
function withBases(all: readonly TypeStyle[], some: readonly TypeStyle[]): TypeStyle[] {
  const more = named(all, some, ({ id }) => id);
  return more.length > some.length ? withBases(all, more) : more;
}

/**
 * Lays what was copied on a side, above all others, with ids of its own. What the job has under the same name is used;
 * what it lacks is brought with it. A thing that stood against something that is not here stands where it stood; one
 * that would lie exactly on its original lies a little further down.
 * @param boxes of the side
 */
export function pasted(job: Job, side: SideName, what: Copied, boxes: SurfaceBoxes): Made {
  const [withStyles, styleOf] = takeStyles(job, what);
  const ids = new Map(what.elements.map(({ id }) => [id, freshId()]));
  const fresh = new Set(ids.values());
  const isHere = (id: string | null): boolean => id !== null && (fresh.has(id) || boxes.placed[id] !== undefined);
  const groups = new Map(what.elements.flatMap(({ group }) => (group === null ? [] : [[group, freshId()] as const])));
  const here = new Map(pieceOf(job).layers.map((layer) => [layer.id, layer]));
  const top = pieceOf(job).layers.at(-1)?.id ?? '';
  const laid = (e: Element): Element => {
    const own = mapRefs(e, (id) => ids.get(id) ?? id);
    const plain = withoutMeasures(own, what, job);
    const styled = styleOf(plain);
    const element = {
      ...styled,
      id: ids.get(e.id) ?? e.id,
      group: e.group === null ? null : (groups.get(e.group) ?? null),
      layer: here.has(e.layer) ? e.layer : top,
      // What clips it, or what it is set along, has to have come with it or to be here.
      clipTo: isHere(styled.clipTo) ? styled.clipTo : null,
      ...(styled.kind === 'text' && {
        along: isHere(styled.along?.shape ?? null) ? styled.along : null,
        after: styled.after !== null && ids.has(e.kind === 'text' ? (e.after ?? '') : '') ? styled.after : null,
      }),
    } as Element;
    return standing(element, e, what, boxes, fresh);
  };
  const brought = what.groups.map((group): Group => {
    const { row, ...rest } = mapRefs(group, (id) => ids.get(id) ?? id);
    const isHeld = row && (fresh.has('element' in row.in ? row.in.element : '') || !isMissing(row.in, boxes));
    return { ...rest, id: groups.get(group.id) ?? group.id, ...(isHeld && { row }) };
  });
  const ready = changePiece(takeNames(withStyles, what), (piece) => ({
    ...piece,
    groups: [...piece.groups, ...brought],
  }));
  return added(ready, side, what.elements.map(laid));
}

/** How much further down a copy lies than its original, mm. */
const ASIDE = 5;

/** The element where its original stood, held by what there is of it here. */
function standing(
  element: Element,
  original: Element,
  { places }: Copied,
  boxes: SurfaceBoxes,
  fresh: ReadonlySet<string>,
): Element {
  const { placement } = element;
  const place = places[original.id];
  const refs = [placement.against, placement.x.of, placement.y.of].flatMap((ref) => ref ?? []);
  const isHeldHere = refs.every((ref) => (ref.box === 'element' && fresh.has(ref.element)) || !isMissing(ref, boxes));
  if (!place) return element;
  if (!isHeldHere) return { ...element, placement: { ...placement, ...pick(placed(place, { box: 'trim' }, boxes)) } };
  // What is held by another copy moves with it.
  const isFree = refs.every((ref) => ref.box !== 'element' || !fresh.has(ref.element));
  const isTaken = Object.values(boxes.placed).some((there) => isAlike(there, place));
  if (!isFree || !isTaken) return element;
  return {
    ...element,
    placement: moveTo(placement, { ...place, x: place.x + ASIDE, y: place.y + ASIDE }, boxes, place),
  };
}

const pick = ({ against, x, y }: Element['placement']) => ({ against, x, y });

const isAlike = (a: Rect, b: Rect): boolean =>
  (['x', 'y', 'width', 'height'] as const).every((key) => Math.abs(a[key] - b[key]) < 0.01);

/** Named measures that the job does not have, as the lengths that they were. */
function withoutMeasures<T>(value: T, { measures }: Copied, job: Job): T {
  const known = new Set(job.measures.map(({ id }) => id));
  const worth = new Map(measures.map((m) => [m.id, m.value]));
  return mapWithin(value, (v) =>
    isMeasureRef(v) && !known.has(v.measure) ? (worth.get(v.measure) ?? 0) * (v.times ?? 1) + (v.plus ?? 0) : v,
  );
}

/** The job with the styles that it lacks, and how an element names them there: by the style of the same name. */
function takeStyles(job: Job, { styles, cellStyles }: Copied): readonly [Job, (element: Element) => Element] {
  const names = new Map<string, string>();
  const lacking = <S extends { readonly id: string; readonly name: string }>(have: readonly S[], come: readonly S[]) =>
    come.flatMap((style): S[] => {
      const same = have.find((s) => s.name.toLowerCase() === style.name.toLowerCase());
      if (same) {
        names.set(style.id, same.id);
        return [];
      }
      const id = have.some((s) => s.id === style.id) ? freshId() : style.id;
      names.set(style.id, id);
      return [{ ...style, id }];
    });
  const newStyles = lacking(job.styles, styles);
  const newCells = lacking(job.cellStyles, cellStyles);
  const renamed = <T>(value: T): T => renameStyles(value, (id) => names.get(id) ?? id);
  return [
    {
      ...job,
      styles: [...job.styles, ...newStyles.map(renamed)],
      cellStyles: [...job.cellStyles, ...newCells.map(renamed)],
    },
    renamed,
  ];
}

/** Where a style is named. */
const STYLED: ReadonlySet<string> = new Set(['style', 'basedOn', 'next']);

const renameStyles = <T>(value: T, rename: (id: string) => string): T =>
  mapWithin(value, (v, under) => (typeof v === 'string' && STYLED.has(under) ? rename(v) : v));

/** The job with the inks, colours and files that it lacks. */
function takeNames(job: Job, { inks, swatches, assets }: Copied): Job {
  const lacking = <T extends { readonly name: string }>(have: readonly T[] = [], come: readonly T[]) => [
    ...have,
    ...come.filter(({ name }) => !have.some((h) => h.name.toLowerCase() === name.toLowerCase())),
  ];
  return {
    ...job,
    ...(inks.length > 0 && { inks: lacking(job.inks, inks) }),
    ...(swatches.length > 0 && { swatches: lacking(job.swatches, swatches) }),
    assets: { ...assets, ...job.assets },
  };
}

/** Rows of a table in a text from elsewhere: cells between tabs. @returns undefined where it is no table */
export function rowsIn(text: string): readonly (readonly string[])[] | undefined {
  const rows = text
    .replace(/\r\n?/g, '\n')
    .trimEnd()
    .split('\n')
    .map((row) => row.split('\t').map((cell) => cell.trim()));
  return rows.some((row) => row.length > 1) ? rows : undefined;
}

/**
 * Text from elsewhere: rows with tabs are a table, or the words of the table that is selected; everything else is a
 * text, a paragraph a line.
 */
export function pastedText(
  job: Job,
  side: SideName,
  text: string,
  selection: readonly string[],
  boxes: SurfaceBoxes,
  landing: Landing = landingOnBare(boxes),
): Made {
  const rows = rowsIn(text);
  const [only] = chosenOf(job, side, selection.length === 1 ? selection : []);
  if (rows && only?.kind === 'table')
    return {
      job: withElements(job, side, (e) => (e.id === only.id && e.kind === 'table' ? withTableWords(e, rows) : e)),
      ids: [only.id],
    };
  if (rows) {
    const table = newElement('table', boxes, landing);
    return added(job, side, [{ ...table, ...tableOfWords(rows) } as Element]);
  }
  const words = newElement('text', boxes, landing);
  const paragraphs = plainParagraphs(text.replace(/\r\n?/g, '\n').trim());
  // As high as it needs to be.
  const { placement } = words;
  const whole = { ...placement, y: { ...placement.y, size: 'content' } } as const;
  return added(job, side, [{ ...words, paragraphs, placement: whole } as Element]);
}
