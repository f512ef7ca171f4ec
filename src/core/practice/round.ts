import {
  RULE_IDS,
  backOf,
  checkSurface,
  subjectOf,
  type DrawnSide,
  type Finding,
  type Fix,
  type RuleId,
  type Severity,
} from '../check';
import type { Random } from '../chance';
import type { Job, SideName } from '../job';
import { SPOILERS, waysToSpoil, type Level, type Spoilt } from '../spoil';

/** Something that was made wrong. */
export interface Fault {
  readonly rule: RuleId;
  readonly side: SideName;
  /** Elements that may be pointed at; none where it is the piece as a whole. */
  readonly elements: readonly string[];
  /** What was done. */
  readonly did: string;
  /** What the check says, why it matters, and how it is mended. */
  readonly message: string;
  readonly why: string;
  readonly severity: Severity;
  readonly fixes: readonly Fix[];
}

/** A piece with faults that were made in it. */
export interface Round {
  readonly is: 'round';
  readonly job: Job;
  readonly faults: readonly Fault[];
}

/** Why a piece cannot be spoilt. */
export interface NoRound {
  readonly is: 'not sound' | 'nothing to spoil';
}

export interface RoundAsked {
  readonly level: Level;
  /** How many faults, at most. */
  readonly faults: number;
  /** What is to come again: taken before anything else, whatever its level. */
  readonly due: readonly RuleId[];
  /** What is known for now: taken only where nothing else can be. */
  readonly known?: readonly RuleId[];
  readonly random: Random;
  /** Draws every side of a job. */
  readonly draw: (job: Job) => Promise<readonly DrawnSide[]>;
  /** Whether enough was tried; a piece of many sides takes long to draw. */
  readonly isEnough?: () => boolean;
}

/** Ways that are tried of one fault, and drawings that are made of all. */
const [MOST_WAYS, MOST_DRAWN] = [6, 80];

/** What nobody can be asked to find by looking, because nothing of it is seen or all of it is in the way. */
const UNSEEN: readonly RuleId[] = ['copies-left'];

/**
 * A sound piece, spoilt: each fault is one that its check finds, and nothing else is found that does not follow from
 * it.
 * @returns why not, where the piece has faults of its own, or nothing can be spoilt in it
 */
export async function makeRound(sound: Job, asked: RoundAsked): Promise<Round | NoRound> {
  let sides = await asked.draw(sound);
  const own = findingsOf(sound, sides);
  if (own.some(({ severity }) => severity !== 'note')) return { is: 'not sound' };
  let known = new Set(own.map(keyOf));
  let job = sound;
  let drawn = 0;
  const faults: Fault[] = [];
  for (const rule of orderOf(asked)) {
    if (faults.length === asked.faults || drawn >= MOST_DRAWN) break;
    for (const { side, way } of waysOn(rule, job, sides, asked.random)) {
      if (drawn >= MOST_DRAWN || asked.isEnough?.()) break;
      if (way.elements.some((id) => faults.some(({ elements }) => elements.includes(id)))) continue;
      const spoilt = way.spoil(job);
      drawn += 1;
      const now = await asked.draw(spoilt);
      const found = findingsOf(spoilt, now);
      const fault = faultOf(rule, side, way, found, known);
      if (!fault || !faults.every((before) => found.some((f) => isOf(before, f)))) continue;
      faults.push(fault);
      [job, sides, known] = [spoilt, now, new Set(found.map(keyOf))];
      break;
    }
  }
  return faults.length > 0 ? { is: 'round', job, faults } : { is: 'nothing to spoil' };
}

/** What is due, then faults of the level among easier ones, then what is known. */
function orderOf({ level, due, known = [], random }: RoundAsked): readonly RuleId[] {
  const others = RULE_IDS.filter((id) => !due.includes(id) && SPOILERS[id].level <= level);
  const mixed = shuffled(others, random).sort((a, b) => SPOILERS[b].level - SPOILERS[a].level);
  // Of the hardest not all: one that is easy belongs into every round.
  const [hard, easy] = [
    mixed.filter((id) => SPOILERS[id].level === level),
    mixed.filter((id) => SPOILERS[id].level < level),
  ];
  const woven = hard.flatMap((id, i) => [id, ...easy.slice(i, i + 1)]);
  const fresh = [...woven, ...easy.slice(hard.length)];
  const order = [...fresh.filter((id) => !known.includes(id)), ...fresh.filter((id) => known.includes(id))];
  return [...due, ...order].filter((id) => !UNSEEN.includes(id));
}

/** The plainest ways of all sides, sides in any order. */
function* waysOn(rule: RuleId, job: Job, sides: readonly DrawnSide[], random: Random) {
  for (const drawn of shuffled(sides, random)) {
    const { piece, surface, drawing, blank } = drawn;
    if (surface.repeats) continue;
    const own = job.pieces.find(({ id }) => id === piece.id) ?? piece;
    const subject = subjectOf(job, own, surface.name, drawing, { blank, back: backDrawing(drawn, sides) });
    const ways: Spoilt[] = [];
    for (const way of waysToSpoil(rule, subject)) if (ways.push(way) === MOST_WAYS) break;
    for (const way of shuffled(ways, random)) yield { side: surface.name, way };
  }
}

/** The fault that a check finds after something was done; undefined where it finds none, or something else too. */
function faultOf(
  rule: RuleId,
  side: SideName,
  { elements, did }: Spoilt,
  found: readonly Finding[],
  known: ReadonlySet<string>,
): Fault | undefined {
  const fresh = found.filter((finding) => !known.has(keyOf(finding)));
  const own = fresh.find((finding) => finding.rule === rule);
  const brings: readonly string[] = [rule, ...(SPOILERS[rule].brings ?? [])];
  if (!own || !fresh.every((finding) => brings.includes(finding.rule))) return undefined;
  const { message, why, severity, fixes } = own;
  const pointed = own.element !== null && elements.length > 0 ? [own.element] : [];
  return { rule, side, elements: [...new Set([...elements, ...pointed])], did, message, why, severity, fixes };
}

const isOf = ({ rule, elements }: Fault, finding: Finding): boolean =>
  finding.rule === rule && (elements.length === 0 || finding.element === null || elements.includes(finding.element));

/** Findings that say the same of the same are one, whatever their figures. */
const keyOf = ({ rule, surface, element }: Finding): string => `${rule} ${surface} ${element ?? ''}`;

const backDrawing = ({ piece, surface, blank }: DrawnSide, sides: readonly DrawnSide[]) => {
  const name = backOf(blank, surface.name);
  return sides.find((other) => other.piece.id === piece.id && other.surface.name === name)?.drawing;
};

/** All findings of a job that is drawn. */
const findingsOf = (job: Job, sides: readonly DrawnSide[]): readonly Finding[] =>
  sides.flatMap((drawn) => {
    const { piece, surface, drawing, blank } = drawn;
    const own = job.pieces.find(({ id }) => id === piece.id) ?? piece;
    return checkSurface(job, own, surface.name, drawing, { blank, back: backDrawing(drawn, sides) });
  });

/** In another order, each order as likely (Fisher and Yates). */
export function shuffled<T>(list: readonly T[], random: Random): T[] {
  const mixed = [...list];
  for (let i = mixed.length - 1; i > 0; i -= 1) {
    const j = Math.floor(random() * (i + 1));
    const [a, b] = [mixed[i], mixed[j]];
    if (a !== undefined && b !== undefined) [mixed[i], mixed[j]] = [b, a];
  }
  return mixed;
}
