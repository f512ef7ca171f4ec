import { seededRandom } from '@/core/chance';
import type { RuleId } from '@/core/check';
import { costReport } from '@/core/cost';
import type { House } from '@/core/shop';
import { makeRound, type NoRound, type Round } from '@/core/practice';
import type { Level } from '@/core/spoil';
import { openDesk } from '@/output';
import { unpack } from '../packed';
import { assets } from './kept';

interface ToSpoil {
  /** A sound state of a job as it is kept. */
  readonly document: Uint8Array;
  readonly level: Level;
  readonly faults: number;
  readonly due: readonly RuleId[];
  readonly known: readonly RuleId[];
  readonly seed: number;
  readonly houses: readonly House[];
}

/** What it would cost to print a piece anew. */
export interface Reprint {
  readonly house: string;
  readonly total: number;
  readonly currency: string;
}

/** Computing time after which what was made so far has to do, seconds. */
const ENOUGH = 6;

/** Copies that are reckoned with where a job says none. */
const COPIES = 500;

export type Spoilt = (Round & { readonly reprint: Reprint | undefined }) | NoRound;

/** Spoils a piece for somebody who practises. */
export async function spoil({ document, seed, houses, ...wish }: ToSpoil): Promise<Spoilt> {
  const job = unpack(document);
  const begun = process.cpuUsage();
  const isEnough = () => process.cpuUsage(begun).user > ENOUGH * 1e6;
  const draw = async (of: typeof job) => (await openDesk(of, assets)).sides;
  const round = await makeRound(job, { ...wish, random: seededRandom(seed), draw, isEnough });
  return round.is === 'round' ? { ...round, reprint: reprintOf(job, houses) } : round;
}

function reprintOf(job: Parameters<typeof costReport>[0], houses: readonly House[]): Reprint | undefined {
  const [best] = costReport(job, houses, {}, job.quantity ?? COPIES).houses;
  return best?.cost && { house: best.house, total: best.cost.total, currency: best.cost.currency };
}
