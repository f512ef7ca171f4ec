import { moveTo } from '../layout';
import { elementsOf, type ElementOf } from '../job';
import { noted, replace, type Fix, type Rule, type Subject } from './rule';

/** Every word that was typed has to be on the paper. */
export const textOverflowRule: Rule = {
  id: 'text-overflow',
  title: 'Text does not fit',
  why: 'The words that found no room are not printed, and nobody misses them until the job is back.',
  check: (subject) => {
    const flowOn = flowFrom(subject);
    return noted(subject, 'overflow').map(({ note, element, frame }) => {
      const taller = { ...frame.rect, height: note.needs };
      const { boxes } = subject.drawing;
      const fits = taller.y + taller.height <= boxes.safe.y + boxes.safe.height;
      const placement = moveTo(element.placement, taller, boxes, frame.rect);
      const shown = note.text.length > 40 ? `${note.text.slice(0, 40)}…` : note.text;
      return {
        severity: 'fault',
        element: element.id,
        where: frame.rect,
        message: `${note.words} word${note.words === 1 ? '' : 's'} hidden: “${shown}”.`,
        fixes: [
          ...(fits ? [replace('Enlarge the frame', { ...element, placement })] : []),
          ...(element.kind === 'text' ? [...tightened(element), ...flowOn(element)] : []),
        ],
      };
    });
  },
};

/** Sizes reduced together, but not below nine tenths. A frame that takes up another’s text is not fitted by itself. */
const tightened = (text: ElementOf<'text'>): readonly Fix[] =>
  text.fit === null && text.along === null && text.after === null
    ? [replace('Tighten it, at most by a tenth', { ...text, fit: { to: 'frame', least: 90, most: 100 } })]
    : [];

/** A frame in the same place of the next side, into which the rest of a text flows. */
function flowFrom({ piece, side, blank }: Subject): (text: ElementOf<'text'>) => readonly Fix[] {
  const at = blank.surfaces.findIndex((s) => s.name === side);
  const [here, next] = [blank.surfaces[at], blank.surfaces[at + 1]];
  const { width, height } = here?.boxes.trim ?? {};
  if (!next || next.boxes.trim.width !== width || next.boxes.trim.height !== height) return () => [];
  const all = elementsOf(piece).map(({ element }) => element);
  const ids = new Set(all.map(({ id }) => id));
  const taken = new Set(all.flatMap((e) => (e.kind === 'text' && e.after !== null ? [e.after] : [])));
  return (text) => {
    // What stands against an element or a grid of this side would stand nowhere on the next.
    const refs = [text.placement.against, text.placement.x.of, text.placement.y.of];
    const isLocal = refs.some((ref) => ref && (ref.box === 'element' || ('grid' in ref && ref.grid !== undefined)));
    if (taken.has(text.id) || isLocal || text.along !== null) return [];
    const element = {
      ...text,
      id: idLike(text.id, ids),
      after: text.id,
      paragraphs: [{ runs: [] }],
      group: null,
      clipTo: null,
      fit: null,
    };
    return [{ label: `Flow on: ${next.name}`, change: { kind: 'add', piece: piece.id, side: next.name, element } }];
  };
}

/** An id like another that nothing has yet. */
function idLike(like: string, ids: ReadonlySet<string>): string {
  const stem = like.slice(0, 58);
  let n = 2;
  while (ids.has(`${stem}-${n}`)) n += 1;
  return `${stem}-${n}`;
}
