import { FORMATS, formatOf, type Format } from '../format';
import { blankOf, rulesFor, startJob, type DocumentAsset, type Job, type NewJob, type Started } from '../job';
import { Element, type Beyond } from '../element';
import { plainName } from '../compose';
import { changeSide, pieceOf } from './on-side';
import { freshId } from './new-element';

/** A PDF that was brought in. */
export interface BroughtDocument {
  readonly sha: string;
  readonly asset: DocumentAsset;
}

/** What is wished of a job that begins from somebody’s PDF. */
export interface FromDocument {
  /** The kind of piece: one of `kindsFor`. */
  readonly kind: string;
  /** Finished size as it is typed; left out, that of the first page. */
  readonly size?: string | undefined;
  /** What is shown in the bleed; left out, what is usual. */
  readonly beyond?: Beyond | undefined;
}

const isFlat = ({ parameters }: Format): boolean =>
  parameters['size']?.kind === 'size' && parameters['sides'] !== undefined;

/** Kinds of piece that so many pages can be: a flat one of one or two sides, or one that is bound. */
export const kindsFor = (pages: number): readonly Format[] =>
  FORMATS.filter((format) => (pages <= 2 ? isFlat(format) : format.kind === 'booklet'));

const MM = (value: number): string => `${Number(value.toFixed(2))} mm`;

/** The finished size of the first page, as it is typed. */
export function sizeOf({ pages: [first] }: DocumentAsset): string {
  return first ? `${MM(first.width)} x ${MM(first.height)}` : '';
}

/** How far every page of a document goes on beyond its trim, mm. */
export const ownBleed = ({ pages }: DocumentAsset): number =>
  Math.min(...pages.map(({ beyond }) => (beyond ? Math.min(...Object.values(beyond)) : 0)));

/** The widest bleed that a job wants, mm. */
export const wantedBleed = (job: Job): number => Math.max(...Object.values(rulesFor(job, pieceOf(job)).bleed.value));

/** What is usual in the bleed: what the file has there, where that is enough; otherwise its edge mirrored. */
export const usualBeyond = (asset: DocumentAsset, wanted: number): Beyond =>
  ownBleed(asset) >= wanted - 0.01 ? 'own' : 'mirrored';

/** Pages that are folded and stitched come in fours. */
const inFours = (pages: number): number => Math.ceil(pages / 4) * 4;

/**
 * Begins a job from somebody’s PDF: each page on a side of its own, as it is, at the size of the first page or another,
 * with what is wished in the bleed.
 * @returns the job, or the decision that cannot be read or cannot be, and why
 */
export function beginFromDocument(
  { sha, asset }: BroughtDocument,
  { kind, size, beyond }: FromDocument,
  about: NewJob,
  more: Parameters<typeof startJob>[3] = {},
): Started {
  const format = formatOf(kind);
  if (!format || !kindsFor(asset.pages.length).includes(format))
    return refused(
      'size',
      `${asset.pages.length} pages make no ${kind}. They can be: ${kindsFor(asset.pages.length)
        .map((f) => f.kind)
        .join(', ')}.`,
    );
  const { length } = asset.pages;
  const typed = {
    size: size ?? sizeOf(asset),
    ...(isFlat(format) ? { sides: String(length) } : { pages: String(inFours(length)) }),
  };
  const started = startJob(format, typed, about, more);
  if (!started.ok) return started;
  const { surfaces } = blankOf(started.job, pieceOf(started.job));
  const way = beyond ?? usualBeyond(asset, wantedBleed(started.job));
  const known = { ...started.job, assets: { ...started.job.assets, [sha]: asset } };
  const job = asset.pages.reduce((now, _, i) => {
    const side = surfaces[i]?.name;
    return side === undefined ? now : changeSide(now, side, () => [pageElement({ sha, asset }, i + 1, way)]);
  }, known);
  return { ok: true, job };
}

const WHOLE = { against: { box: 'trim' }, x: { start: 0, end: 0 }, y: { start: 0, end: 0 } } as const;

/** A page as large as the side. */
const pageElement = ({ sha, asset }: BroughtDocument, page: number, beyond: Beyond): Element =>
  Element.parse({
    kind: 'page',
    id: freshId(),
    name: `${plainName(asset.name)}${asset.pages.length > 1 ? `, page ${page}` : ''}`.slice(-200),
    placement: WHOLE,
    document: sha,
    page,
    beyond,
  });

const refused = (parameter: string, message: string): Started => ({
  ok: false,
  parameter,
  error: { at: 0, length: 0, message },
});
