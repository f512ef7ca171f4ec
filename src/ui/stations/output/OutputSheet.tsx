'use client';
import { ImposedFields } from '../../press-sheet/ImposedFields';
import { Files } from './Files';

/** How the piece lies on the sheets of the press, and the files that leave the house. */
export function OutputSheet() {
  return (
    <>
      <ImposedFields />
      <Files />
    </>
  );
}
