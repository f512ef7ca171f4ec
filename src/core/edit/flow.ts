import { plainText, type ElementOf, elementsOf, mapElements, mapSides, type Job, type Piece, withPiece } from '../job';

type Text = ElementOf<'text'>;

const textsOf = (piece: Piece): readonly Text[] =>
  elementsOf(piece).flatMap(({ element }) => (element.kind === 'text' ? [element] : []));

const isEmpty = (text: Text): boolean => plainText(text.paragraphs) === '';

/**
 * The job with a text frame taking up what another has no room for. Words that it had go to the end of the text that
 * now runs through it; let go again, it is an empty frame.
 * @param from the frame before it; null to end the flow
 * @returns undefined where the text would flow in a circle
 */
export function withFlow(job: Job, pieceId: string, id: string, from: string | null): Job | undefined {
  const piece = job.pieces.find((p) => p.id === pieceId);
  const texts = piece ? textsOf(piece) : [];
  const text = texts.find((t) => t.id === id);
  if (!piece || !text) return undefined;
  const headOf = (start: string): Text | undefined => {
    const seen = new Set<string>();
    let at = texts.find((t) => t.id === start);
    while (at?.after && !seen.has(at.id)) {
      if (at.id === id) return undefined;
      seen.add(at.id);
      const before = at.after;
      at = texts.find((t) => t.id === before);
    }
    return at?.id === id ? undefined : at;
  };
  const head = from === null ? undefined : headOf(from);
  if (from !== null && !head) return undefined;
  const taken = head && !isEmpty(text) ? text.paragraphs : [];
  const change = (element: Text): Text => {
    if (element.id === id) return { ...element, after: from, ...(taken.length > 0 && { paragraphs: [{ runs: [] }] }) };
    // Two frames cannot both take up what one has no room for.
    if (from !== null && element.after === from) return { ...element, after: id };
    if (element.id === head?.id && taken.length > 0)
      return { ...element, paragraphs: isEmpty(element) ? taken : [...element.paragraphs, ...taken] };
    return element;
  };
  const next = mapElements(piece, (e) => (e.kind === 'text' ? change(e) : e));
  return withPiece(job, next);
}

/**
 * The piece without some elements. Words are not lost while another frame takes them up: it becomes the first of its
 * text.
 */
export function withoutElements(piece: Piece, ids: readonly string[]): Piece {
  let texts = textsOf(piece);
  for (const id of ids) {
    const gone = texts.find((t) => t.id === id);
    const next = texts.find((t) => t.after === id);
    if (!gone || !next) continue;
    const { style, look, language } = gone;
    const own = isEmpty(next) ? [] : next.paragraphs;
    const head = gone.after === null ? { style, look, language, paragraphs: [...gone.paragraphs, ...own] } : {};
    texts = texts.map((t) => (t.id === next.id ? { ...t, ...head, after: gone.after } : t)).filter((t) => t.id !== id);
  }
  const changed = new Map(texts.map((t) => [t.id, t]));
  return mapSides(piece, (list) => list.filter((e) => !ids.includes(e.id)).map((e) => changed.get(e.id) ?? e));
}
