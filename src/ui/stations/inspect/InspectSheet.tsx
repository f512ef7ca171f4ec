'use client';
import { CopiesFields } from '../../pile/CopiesFields';
import { Findings } from './Findings';

/** What would go wrong, and what the machines make of a thousand copies. */
export function InspectSheet() {
  return (
    <>
      <Findings />
      <CopiesFields />
    </>
  );
}
