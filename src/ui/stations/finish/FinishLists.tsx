import { FinishList } from '../../finish/FinishList';
import { InkList } from '../../finish/InkList';
import { SwatchList } from '../../finish/SwatchList';

/** What the press and the finisher lay down, on the sheet. */
export function FinishLists() {
  return (
    <>
      <FinishList />
      <InkList />
      <SwatchList />
    </>
  );
}
