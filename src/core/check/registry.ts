import type { Blank } from '../format';
import type { Drawing } from '../drawing';
import { driftSide, type DriftSide } from '../drift';
import { TOUCH } from '../layout';
import { blankOf, elementsOn, rulesFor, styleBook, type Job, type Piece, type SideName } from '../job';
import { blankProblemsRule } from './blank-problems';
import { backDriftRule } from './back-drift';
import { bleedRule } from './bleed';
import { bleedNarrowRule } from './bleed-narrow';
import { emptyPageRule } from './empty-page';
import { kitRule } from './kit';
import { laidTwiceRule } from './laid-twice';
import { lineThinRule } from './line-thin';
import { missingRule } from './missing';
import { nearMissRule } from './near-miss';
import { pictureResolutionRule } from './picture-resolution';
import { placementRule } from './placement';
import { printableRoomRule } from './printable-room';
import { rgbLeftRule } from './rgb-left';
import { slotOpenRule } from './slot-open';
import { blackKnocksOutRule } from './black-knocks-out';
import { codeContrastRule } from './code-contrast';
import { codeQuietRule } from './code-quiet';
import { codeSmallRule } from './code-small';
import { codeWrongRule } from './code-wrong';
import { columnUnknownRule } from './column-unknown';
import { coatDriftRule } from './coat-drift';
import { coatFineRule } from './coat-fine';
import { coatKnocksOutRule } from './coat-knocks-out';
import { coatOnGlueRule } from './coat-on-glue';
import { coatSolidRule } from './coat-solid';
import { copiesLeftRule } from './copies-left';
import { pageBleedRule } from './page-bleed';
import { curlRule } from './curl';
import { cutBleedRule } from './cut-bleed';
import { foldDriftRule } from './fold-drift';
import { foldMeetRule } from './fold-meet';
import { foreignPageRule } from './foreign-page';
import { holeDriftRule } from './hole-drift';
import { finishLostRule } from './finish-lost';
import { gradientOverprintRule } from './gradient-overprint';
import { nearInksRule } from './near-inks';
import { outOfGamutRule } from './out-of-gamut';
import { plateNamesRule } from './plate-names';
import { richBlackRule } from './rich-black';
import { trapRule } from './trap';
import { whiteMissingRule } from './white-missing';
import { whiteOverprintsRule } from './white-overprints';
import type { Finding, Rule, Severity, Subject } from './rule';
import { safeAreaRule } from './safe-area';
import { slowDryingRule } from './slow-drying';
import { showThroughRule } from './show-through';
import { tablePastBoxRule } from './table-past-box';
import { textOverflowRule } from './text-overflow';
import { totalInkRule } from './total-ink';
import { typeDistanceRule } from './type-distance';
import { typeFamiliesRule } from './type-families';
import { typeSmallRule } from './type-small';
import { typographyRule } from './typography';
import { unevenBorderRule } from './uneven-border';
import { vectorWantedRule } from './vector-wanted';
import { zonesRule } from './zones';

/** Every rule, in the order a preflight reads best. */
export const RULES: readonly Rule[] = [
  blankProblemsRule,
  bleedNarrowRule,
  bleedRule,
  pageBleedRule,
  safeAreaRule,
  unevenBorderRule,
  zonesRule,
  holeDriftRule,
  textOverflowRule,
  tablePastBoxRule,
  printableRoomRule,
  copiesLeftRule,
  missingRule,
  codeWrongRule,
  columnUnknownRule,
  codeSmallRule,
  codeQuietRule,
  codeContrastRule,
  foreignPageRule,
  slotOpenRule,
  pictureResolutionRule,
  plateNamesRule,
  coatKnocksOutRule,
  coatSolidRule,
  coatFineRule,
  coatDriftRule,
  finishLostRule,
  cutBleedRule,
  coatOnGlueRule,
  foldMeetRule,
  foldDriftRule,
  whiteMissingRule,
  totalInkRule,
  rgbLeftRule,
  outOfGamutRule,
  nearInksRule,
  whiteOverprintsRule,
  blackKnocksOutRule,
  gradientOverprintRule,
  richBlackRule,
  trapRule,
  typeSmallRule,
  typeDistanceRule,
  typographyRule,
  typeFamiliesRule,
  kitRule,
  lineThinRule,
  placementRule,
  nearMissRule,
  laidTwiceRule,
  vectorWantedRule,
  emptyPageRule,
  showThroughRule,
  backDriftRule,
  slowDryingRule,
  curlRule,
];

const ORDER: readonly Severity[] = ['fault', 'warning', 'note'];

/** What is known beside a side that is checked. */
export interface Beside {
  readonly blank?: Blank;
  /** The other side of the same leaf. */
  readonly back?: Drawing | undefined;
  /** Left out, every rule. */
  readonly rules?: readonly Rule[];
}

/** The other side of the leaf that a side is on; undefined where it has none. */
export function backOf({ surfaces }: Blank, side: SideName): SideName | undefined {
  const at = surfaces.findIndex(({ name }) => name === side);
  const other = at < 0 ? undefined : surfaces[at % 2 === 0 ? at + 1 : at - 1];
  const own = surfaces[at];
  // A sheet that shows another surface again, and a cover beside its pages, are no back of it.
  const isLeaf =
    other && own && !other.repeats && !own.repeats && Math.abs(other.boxes.trim.width - own.boxes.trim.width) < TOUCH;
  return isLeaf ? other.name : undefined;
}

/** A side with all that a rule may look at. */
export function subjectOf(
  job: Job,
  piece: Piece,
  side: SideName,
  drawing: Drawing,
  { blank = blankOf(job, piece), back }: Pick<Beside, 'blank' | 'back'> = {},
): Subject {
  const elements = new Map(elementsOn(piece, side).map((element) => [element.id, element]));
  const rules = rulesFor(job, piece);
  let drift: { readonly side: DriftSide | undefined } | undefined;
  return {
    job,
    piece,
    side,
    blank,
    rules,
    drawing,
    back,
    elements,
    book: styleBook(job),
    drift: () => (drift ??= { side: driftSide({ blank, drawing, rules, press: job.house.press }) }).side,
  };
}

/** Checks one side against every rule; the worst comes first. */
export function checkSurface(
  job: Job,
  piece: Piece,
  side: SideName,
  drawing: Drawing,
  { blank = blankOf(job, piece), back, rules: asked = RULES }: Beside = {},
): readonly Finding[] {
  const subject = subjectOf(job, piece, side, drawing, { blank, back });
  const findings = asked.flatMap((rule) =>
    rule.check(subject).map((report): Finding => ({
      rule: rule.id,
      piece: piece.id,
      surface: side,
      why: rule.why,
      severity: report.severity,
      element: report.element,
      where: report.where,
      message: report.message,
      fixes: report.fixes ?? [],
      ...(report.copy !== undefined && { copy: report.copy }),
    })),
  );
  return findings.sort((a, b) => ORDER.indexOf(a.severity) - ORDER.indexOf(b.severity));
}
