import { elementKind, styleBook, textsIn, type CharacterLook, type Element, type StyleBook } from '../element';
import { composedKind } from './kinds';
import { weakMemo } from './memo';
import { elementsOf, jobFonts, type FontAsset, type Job } from '../job';
import { FALLBACK_FAMILY, SHIPPED_FACES, nearestFace, type ShippedFace } from '../type';

export interface FaceNeed {
  readonly family: string;
  readonly weight: number;
  readonly italic: boolean;
}

/** What the slug line and stand-ins are set in. */
export const SLUG_FACE: FaceNeed = { family: FALLBACK_FAMILY, weight: 400, italic: false };

/** What something is set in. */
interface SetIn {
  readonly look: CharacterLook;
  readonly language: string;
  readonly isHyphenated: boolean;
}

/** By element: a change makes one anew, and a side may have thousands. */
const known = weakMemo<readonly SetIn[]>();

/** The looks of everything that is set in a job, of its styles too: a style in hand is to be seen at once. */
function looksIn(job: Job): readonly SetIn[] {
  const { styles, cellStyles, language } = job;
  const book = styleBook(job);
  const set = job.pieces.flatMap((piece) =>
    elementsOf(piece).flatMap(({ element }) =>
      known(element, [styles, cellStyles, language], () => [
        ...textLooks(element, book, language),
        ...composedKind(element.kind)
          .looks(element)
          .map((look) => ({ look, language, isHyphenated: false })),
      ]),
    ),
  );
  const inHand = styles.map(({ id }) => ({ look: book.style(id), language, isHyphenated: book.style(id).hyphenate }));
  return [...set, ...inHand];
}

const textLooks = (element: Element, book: StyleBook, usual: string): readonly SetIn[] =>
  textsIn(element, book).flatMap((text) => {
    const language = text.language ?? usual;
    return text.paragraphs.flatMap((paragraph) => {
      const within = book.paragraph(text, paragraph);
      const looks = [within, ...paragraph.runs.map((run) => book.run(within, run))];
      return looks.map((look) => ({ look, language, isHyphenated: within.hyphenate }));
    });
  });

/** The faces a job’s text asks for, and the one that stands in. */
export function facesNeeded(job: Job): readonly FaceNeed[] {
  const needs = new Map([[keyOf(SLUG_FACE), SLUG_FACE]]);
  for (const { look } of looksIn(job)) {
    const { family, weight, italic } = look;
    needs.set(keyOf(look), { family, weight, italic });
  }
  return [...needs.values()];
}

/** The drawings that a job shows, by hash. */
export function drawingsNeeded(job: Job): readonly string[] {
  const found = job.pieces.flatMap((piece) =>
    elementsOf(piece).flatMap(({ element }) => (element.kind === 'vector' ? [element.drawing] : [])),
  );
  return [...new Set(found)];
}

/** Whether a job has codes to be made. */
export const needsCodes = (job: Job): boolean =>
  job.pieces.some((piece) => elementsOf(piece).some(({ element }) => element.kind === 'code'));

/** The files that a job cannot do without, by hash: what it shows, what it is set in, and its output profile. */
export function assetsUsed(job: Job): ReadonlySet<string> {
  const shown = job.pieces.flatMap((piece) =>
    elementsOf(piece).flatMap(({ element }) => elementKind(element.kind).file(element) ?? []),
  );
  const set = facesNeeded(job).flatMap((need) => {
    const source = faceFor(job, need);
    return source?.from === 'job' ? [source.font.sha] : [];
  });
  const { records } = job;
  const rows = records?.from === 'file' ? [records.file] : [];
  // Which pictures a column names is told by its rows alone.
  const isNamed = job.pieces.some((piece) =>
    elementsOf(piece).some(({ element }) => element.kind === 'picture' && element.column !== undefined),
  );
  const named = isNamed ? Object.keys(job.assets).filter((sha) => job.assets[sha]?.kind === 'picture') : [];
  const { profile } = job.output;
  return new Set([...rows, ...named, ...shown, ...set, ...(profile?.startsWith('icc-') ? [profile.slice(4)] : [])]);
}

/** Where a face comes from. */
export type FaceSource =
  | { readonly from: 'job'; readonly font: FontAsset & { readonly sha: string } }
  | { readonly from: 'shipped'; readonly face: ShippedFace };

/**
 * The face that a need comes down to: the nearest of the job’s own and the shipped ones, its own where both are as
 * near.
 */
export function faceFor(job: Job, need: FaceNeed): FaceSource | undefined {
  const own = jobFonts(job)
    .filter((font) => font.family === need.family)
    .map((font) => ({ from: 'job' as const, font, weight: font.weight, italic: font.italic }));
  const shipped = SHIPPED_FACES.filter((face) => face.family === need.family).map((face) => ({
    from: 'shipped' as const,
    face,
    weight: face.weight,
    italic: face.italic,
  }));
  return nearestFace([...own, ...shipped], need.weight, need.italic);
}

/** The languages whose hyphenation a job asks for. */
export const languagesNeeded = (job: Job): readonly string[] => [
  ...new Set(looksIn(job).flatMap(({ language, isHyphenated }) => (isHyphenated ? [language] : []))),
];

const keyOf = (need: FaceNeed) => `${need.family}/${need.weight}/${need.italic}`;
