import { elementKind, type Element } from '../element';
import { followsWords, type Finishing } from '../finish';
import { finishOn } from './finish-on';
import { asInLayout, baseById, baseOfSide, elementsOf, elementsOn, sidesLaid } from './inherit';
import type { Asset } from './asset';
import type { Job, Piece, SideName } from './schema';

const MOST = 40;

/** An element that is not as it was. */
export interface ChangedElement {
  readonly side: SideName;
  readonly id: string;
  readonly how: 'added' | 'changed' | 'taken out';
  /** What it is now; what it was, where it was taken out. */
  readonly element: Element;
  readonly before: Element | undefined;
}

/** Elements that came, went or changed between two versions of a piece, side by side. */
export function changedElements(before: Piece, after: Piece): readonly ChangedElement[] {
  return [...new Set([...sidesLaid(after), ...sidesLaid(before)])].flatMap((side) => {
    const was = new Map(elementsOn(before, side).map((e) => [e.id, e]));
    const is = elementsOn(after, side);
    const here = new Set(is.map((e) => e.id));
    return [
      ...is.flatMap((element): ChangedElement[] => {
        const earlier = was.get(element.id);
        if (!earlier) return [{ side, id: element.id, how: 'added', element, before: undefined }];
        return same(earlier, element) ? [] : [{ side, id: element.id, how: 'changed', element, before: earlier }];
      }),
      ...[...was.values()]
        .filter((e) => !here.has(e.id))
        .map((element): ChangedElement => ({ side, id: element.id, how: 'taken out', element, before: element })),
    ];
  });
}

/** Facts of a piece that are said by its elements, or only order them. */
const NOT_SAID: readonly string[] = ['surfaces', 'bases', 'layouts', 'finish', 'id', 'decisions'];

/** The facts of a piece and the decisions of its kind, by their names. */
const factsOf = (piece: Piece): Readonly<Record<string, unknown>> => ({
  ...Object.fromEntries(Object.entries(piece).filter(([key]) => !NOT_SAID.includes(key))),
  ...piece.decisions,
});

const changedFacts = (
  before: Readonly<Record<string, unknown>>,
  after: Readonly<Record<string, unknown>>,
): readonly string[] =>
  [...new Set([...Object.keys(before), ...Object.keys(after)])].flatMap((key) =>
    same(before[key], after[key]) ? [] : [`${words(key)}: ${show(before[key])} → ${show(after[key])}`],
  );

/** Facts of a job that are no part of what is printed. */
const ABOUT: readonly string[] = ['pieces', 'assets', 'id', 'previous'];

/**
 * What differs between two versions of a job, in sentences: fields that changed, elements that came, went or changed,
 * with the words and pictures that did.
 * @param before the version compared with
 */
export function describeDifferences(before: Job, after: Job): readonly string[] {
  const lines: string[] = [];
  for (const key of Object.keys(after) as (keyof Job)[]) {
    if (ABOUT.includes(key)) continue;
    if (!same(before[key], after[key])) lines.push(`${words(key)}: ${show(before[key])} → ${show(after[key])}`);
  }
  const assets = { ...before.assets, ...after.assets };
  for (const piece of after.pieces) {
    const old = before.pieces.find((p) => p.id === piece.id);
    if (!old) {
      lines.push(`${piece.name} was added`);
      continue;
    }
    lines.push(...changedFacts(factsOf(old), factsOf(piece)));
    lines.push(...changedFinish(old, piece));
    for (const { side, how, element, before: was } of changedElements(old, piece)) {
      // What only follows its base layout is said there, once.
      if (how === 'changed' && asInLayout(piece, side, element.id) === element) continue;
      const where = baseById(piece, baseOfSide(side))?.name ?? side;
      const name = element.name || element.kind;
      const what = how === 'changed' && was ? contentChange(was, element, assets) : undefined;
      lines.push(`${where}: ${name} ${what ?? `was ${how}`}`);
    }
  }
  if (lines.length === 0) return ['Nothing differs.'];
  return lines.length > MOST ? [...lines.slice(0, MOST), `and ${lines.length - MOST} more`] : lines;
}

/** Lines and coatings that came, went or changed. */
function changedFinish(before: Piece, after: Piece): readonly string[] {
  const names = new Map(
    [before, after].flatMap((p) => elementsOf(p).map(({ element }) => [element.id, element.name || element.kind])),
  );
  const said = (f: Finishing) =>
    `${words(f.does === 'line' ? f.process : f.coating)}, ${followsWords(f, (id) => names.get(id))},`;
  return [...new Set([...Object.keys(after.finish ?? {}), ...Object.keys(before.finish ?? {})])].flatMap((side) => {
    const [was, is] = [finishOn(before, side), finishOn(after, side)];
    const earlier = (id: string) => was.find((f) => f.id === id);
    return [
      ...is.flatMap((f) =>
        same(earlier(f.id), f) ? [] : [`${side}: ${said(f)} was ${earlier(f.id) ? 'changed' : 'added'}`],
      ),
      ...was.filter((f) => !is.some((now) => now.id === f.id)).map((f) => `${side}: ${said(f)} was taken out`),
    ];
  });
}

/** What changed of an element, where that can be said in words. */
function contentChange(was: Element, is: Element, assets: Readonly<Record<string, Asset>>): string | undefined {
  if (was.kind !== is.kind) return undefined;
  const fileName = (sha: string | null) => (sha === null ? 'nothing' : (assets[sha]?.name ?? 'a picture'));
  return elementKind(is.kind).difference(was, is, fileName);
}

const same = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(a) === JSON.stringify(b);

const words = (key: string): string => key.replace(/[A-Z]/g, (c) => ` ${c.toLowerCase()}`).replace(/-/g, ' ');

function show(value: unknown): string {
  if (value === undefined || value === null || value === '') return 'none';
  if (typeof value !== 'object') return JSON.stringify(value).slice(0, 60);
  return Object.entries(value)
    .map(([k, v]) => `${words(k)} ${show(v)}`)
    .join(', ')
    .slice(0, 90);
}
