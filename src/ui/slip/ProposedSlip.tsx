'use client';
import { Proposed } from '../open-job/Proposed';
import { useJob } from '../open-job/context';
import { Slip } from './Slip';

/** A change that waits to be agreed to, where nothing else is selected. */
export function ProposedSlip() {
  const isAsked = useJob((s) => s.proposal !== undefined);
  return isAsked ? (
    <Slip label="A change that waits">
      <Proposed />
    </Slip>
  ) : null;
}
