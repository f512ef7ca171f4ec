import { FinishList } from '../../finish/FinishList';
import { InkList } from '../../finish/InkList';
import { Plates } from '../../finish/Plates';
import { SwatchList } from '../../finish/SwatchList';

/** What the press and the finisher lay down, on the sheet. */
export function FinishLists() {
  return (
    <>
      <Plates />
      <FinishList />
      <InkList />
      <SwatchList />
    </>
  );
}
