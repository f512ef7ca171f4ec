import { Proof, ProofRemark, type Job } from '../job';
import type { Point } from '../layout';
import { freshId } from './new-element';

/** Which state of a job was shown, to whom, and when. */
export interface Shown {
  readonly revision: number;
  readonly at: Date;
  readonly to: string;
}

/** The proofs of a job, the last one first. */
export const proofsOf = ({ proofs = [] }: Job): readonly Proof[] => proofs.toReversed();

/** Notes that a proof was made. */
export const withProof = (job: Job, { revision, at, to }: Shown): Job => ({
  ...job,
  proofs: [...(job.proofs ?? []), Proof.parse({ id: freshId(), revision, at: at.toISOString(), to })],
});

/** One proof changed; the same job where it is not there. */
export function changeProof(job: Job, id: string, change: (proof: Proof) => Proof): Job {
  const proofs = job.proofs?.map((proof) => (proof.id === id ? change(proof) : proof));
  return proofs && proofs.some((proof, i) => proof !== job.proofs?.[i]) ? { ...job, proofs } : job;
}

/** Takes a proof out of the record. */
export const withoutProof = (job: Job, id: string): Job => ({
  ...job,
  proofs: job.proofs?.filter((proof) => proof.id !== id),
});

/** Pins a remark to a place of a side. */
export const pinned = (proof: Proof, side: string, { x, y }: Point): Proof => ({
  ...proof,
  state: proof.state === 'approved' ? proof.state : 'changes',
  remarks: [...proof.remarks, ProofRemark.parse({ id: freshId(), side, x, y })],
});

export const changeRemark = (proof: Proof, id: string, change: (remark: ProofRemark) => ProofRemark): Proof => ({
  ...proof,
  remarks: proof.remarks.map((remark) => (remark.id === id ? change(remark) : remark)),
});

export const withoutRemark = (proof: Proof, id: string): Proof => ({
  ...proof,
  remarks: proof.remarks.filter((remark) => remark.id !== id),
});

/** The proof that was approved last; undefined while none is. */
export const approvedOf = (job: Job): Proof | undefined => proofsOf(job).find(({ state }) => state === 'approved');

/** What stands open in a proof: wishes that are not met yet. */
export const openRemarks = ({ remarks }: Proof): number => remarks.filter(({ done }) => !done).length;
