import { z } from 'zod';

export const PROOF_STATES = ['sent', 'seen', 'changes', 'approved'] as const;
export type ProofState = (typeof PROOF_STATES)[number];

/** Something that a client says of a place on a proof. */
export const ProofRemark = z.strictObject({
  id: z.string().min(1).max(80),
  side: z.string().max(100),
  x: z.number().describe('mm from the trimmed top-left corner of the side.'),
  y: z.number(),
  text: z.string().max(2000).default(''),
  done: z.literal(true).optional(),
});
export type ProofRemark = z.infer<typeof ProofRemark>;

/** A proof that was made for somebody, and what came back. */
export const Proof = z.strictObject({
  id: z.string().min(1).max(80),
  revision: z.number().int().min(1).describe('The state of the job that it shows.'),
  at: z.iso.datetime().describe('When it was made.'),
  to: z.string().max(200).default('').describe('For whom.'),
  state: z.enum(PROOF_STATES).default('sent'),
  by: z.string().max(200).default('').describe('Who answered.'),
  on: z.iso.date().nullable().default(null).describe('When they answered.'),
  remarks: z.array(ProofRemark).max(500).default([]),
});
export type Proof = z.infer<typeof Proof>;
