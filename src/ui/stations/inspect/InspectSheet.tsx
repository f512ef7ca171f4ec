'use client';
import { CopiesFields } from '../../pile/CopiesFields';
import { EyesFields } from './EyesFields';
import { Findings } from './Findings';
import { HouseSays } from './HouseSays';

/** What the machines make of a thousand copies, what would go wrong, and what the house would say. */
export function InspectSheet() {
  return (
    <>
      <CopiesFields />
      <Findings />
      <HouseSays />
      <EyesFields />
    </>
  );
}
