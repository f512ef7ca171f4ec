'use client';
import { ImposedFields } from '../../press-sheet/ImposedFields';
import { RecordsHere } from '../../records/RecordList';
import { Files } from './Files';

/** How the piece lies on the sheets of the press, and the files that leave the house. */
export function OutputSheet() {
  return (
    <>
      <RecordsHere />
      <ImposedFields />
      <Files />
    </>
  );
}
