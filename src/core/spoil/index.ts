import { RULES, type RuleId, type Subject } from '../check';
import * as colours from './colours';
import * as edges from './edges';
import * as finishes from './finishes';
import * as things from './things';
import * as words from './words';
import type { Spoiler, Spoilt } from './spoiler';

/** For every check its opposite. */
export const SPOILERS: Readonly<Record<RuleId, Spoiler>> = {
  'blank-problems': edges.narrowMargins,
  'bleed-narrow': edges.narrowBleed,
  bleed: edges.stopsAtTrim,
  'page-bleed': edges.pageStops,
  'safe-area': edges.intoRim,
  'uneven-border': edges.narrowBorder,
  zones: edges.intoZone,
  'hole-drift': edges.intoHole,
  'text-overflow': words.tooLong,
  'table-past-box': words.tableTooSmall,
  'printable-room': words.noRoom,
  'copies-left': things.withoutMeasure,
  missing: words.takenOut,
  'code-wrong': things.wrongCode,
  'column-unknown': words.unknownColumn,
  'code-size': things.tinyCode,
  'code-quiet': things.noWhite,
  'code-contrast': things.redCode,
  'foreign-page': things.withoutFonts,
  'slot-open': things.leftOpen,
  'picture-resolution': things.blownUp,
  'plate-names': colours.plateTaken,
  'coat-knocks-out': finishes.knockedOut,
  'coat-solid': finishes.tinted,
  'coat-fine': finishes.drawnThin,
  'coat-drift': finishes.edgeOnEdge,
  'finish-lost': finishes.followingNothing,
  'cut-bleed': finishes.cutOnEdge,
  'coat-on-glue': finishes.overGlue,
  'fold-meet': edges.besideFold,
  'fold-drift': edges.onFold,
  'white-missing': finishes.withoutWhite,
  'total-ink': colours.tooMuchInk,
  'rgb-left': colours.asOnScreen,
  'out-of-gamut': colours.asOnlyOnScreen,
  'near-inks': colours.twoNames,
  'white-overprints': words.whiteOver,
  'black-knocks-out': words.knockingOut,
  'gradient-overprint': colours.halfOver,
  'rich-black': words.richType,
  trap: colours.onlyTouching,
  'type-small': words.tooSmall,
  'type-distance': words.tooSmallFromAfar,
  typography: words.asTyped,
  'type-families': words.manyFamilies,
  kit: colours.offKit,
  'line-thin': things.hairline,
  placement: things.offThePiece,
  'near-miss': things.hairOff,
  'laid-twice': things.twice,
  'vector-wanted': things.pixelLogo,
  'empty-page': edges.forgotten,
  'show-through': edges.thinPaper,
  'back-drift': colours.exactlyBehind,
  'slow-drying': colours.wetGround,
  curl: colours.fullOnOneSide,
};

/**
 * What can be done to a side that a check would find, and that it does not find there already.
 * @returns the plainest first; nothing where it cannot be done
 */
export function* waysToSpoil(rule: RuleId, subject: Subject): Generator<Spoilt> {
  const found = RULES.find(({ id }) => id === rule)?.check(subject) ?? [];
  const elements = new Set(found.map(({ element }) => element));
  // What is said of the side as a whole is not said twice.
  if (elements.has(null)) return;
  for (const way of SPOILERS[rule].ways(subject)) if (!way.elements.some((id) => elements.has(id))) yield way;
}

export { LEVELS, type Level, type Spoiler, type Spoilt } from './spoiler';
