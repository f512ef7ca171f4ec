'use client';
import { CopiesFields } from '../../pile/CopiesFields';
import { Findings } from './Findings';

/** What the machines make of a thousand copies, and what would go wrong. */
export function InspectSheet() {
  return (
    <>
      <CopiesFields />
      <Findings />
    </>
  );
}
