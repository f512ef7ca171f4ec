'use client';
import { Groups } from '../../slip/Slip';
import { DeskFields } from './DeskFields';
import { MarkFields } from './MarkFields';

/** How the piece lies on a sheet: that of the press with its marks, and those of a desk printer. */
export function SheetFields() {
  return (
    <Groups>
      <MarkFields />
      <DeskFields />
    </Groups>
  );
}
