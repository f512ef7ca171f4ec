import { placeOfCell, styleBook, type Element, type ElementOf, type StyleBook } from '../element';
import { elementsOf, mapElements, mapTexts, plainName, type Asset, type Job } from '../job';

import { columnKey, fillParagraphs, fillText, type RecordValues } from './tokens';

/** Filled elements by what they were, and by what record: drawn again, they are the same. */
const filledOnce = new WeakMap<RecordValues, WeakMap<Element, Element>>();

/**
 * The job as a record fills it: names of columns in words and codes, and pictures that a column names.
 * @param typed text or cell that is typed in: it keeps its names, with all that its words flow through
 */
export function withRecord(job: Job, values: RecordValues | undefined, typed?: string): Job {
  if (!values) return job;
  const fill = filler(job, values);
  const kept = typed === undefined ? new Set<string>() : keptWith(job, typed);
  const pieces = job.pieces.map((piece) =>
    mapElements(piece, (element) => (kept.has(element.id) ? element : fill(element))),
  );
  return pieces.every((piece, i) => piece === job.pieces[i]) ? job : { ...job, pieces };
}

/** Ids of what keeps its names while something is typed: a whole table, and every frame of a text that flows. */
function keptWith({ pieces }: Job, typed: string): ReadonlySet<string> {
  const elements = pieces.flatMap((piece) => elementsOf(piece).map(({ element }) => element));
  const links = elements.flatMap((e) => (e.kind === 'text' && e.after !== null ? [[e.id, e.after] as const] : []));
  const kept = new Set([placeOfCell(typed)?.table ?? typed]);
  // Each turn reaches at least one frame more, or all are found.
  for (let size = 0; size !== kept.size;) {
    size = kept.size;
    for (const [id, after] of links)
      if (kept.has(id) || kept.has(after)) {
        kept.add(id);
        kept.add(after);
      }
  }
  return kept;
}

function filler(job: Job, values: RecordValues): (element: Element) => Element {
  const known = filledOnce.get(values) ?? new WeakMap<Element, Element>();
  filledOnce.set(values, known);
  const book = styleBook(job);
  const named = picturesByName(job.assets);
  return (element) => {
    const before = known.get(element);
    if (before) return before;
    const made = filled(element, values, { book, named });
    known.set(element, made);
    return made;
  };
}

interface Around {
  readonly book: StyleBook;
  readonly named: ReadonlyMap<string, string>;
}

function filled(element: Element, values: RecordValues, { book, named }: Around): Element {
  switch (element.kind) {
    case 'code': {
      const content = fillText(element.content, values);
      return content === element.content ? element : { ...element, content };
    }
    case 'picture':
      return element.column === undefined ? element : withNamed(element, values, named);
    default:
      return mapTexts(element, book, (text) => {
        const paragraphs = fillParagraphs(text.paragraphs, values);
        return paragraphs === text.paragraphs ? text : { ...text, paragraphs };
      });
  }
}

/** A frame with the picture that its column names; what is not among the job’s files is said to be missing. */
function withNamed(
  element: ElementOf<'picture'>,
  values: RecordValues,
  named: ReadonlyMap<string, string>,
): ElementOf<'picture'> {
  const name = values.get(columnKey(element.column ?? ''));
  if (name === undefined) return element;
  return { ...element, picture: named.get(plainName(name)) ?? null, wants: name };
}

/** Pictures of a job by the plain names of their files. */
export const picturesByName = (assets: Readonly<Record<string, Asset>>): ReadonlyMap<string, string> =>
  new Map(
    Object.entries(assets).flatMap(([sha, asset]) =>
      asset.kind === 'picture' ? [[plainName(asset.name), sha] as const] : [],
    ),
  );
