import { FinishList } from '../../finish/FinishList';
import { FinishSlip, SeeToggle } from '../../finish/FinishSlip';
import { InkList } from '../../finish/InkList';
import { SwatchList } from '../../finish/SwatchList';
import type { StationParts } from '../station-parts';

export const finishParts: StationParts = { Bar: SeeToggle, Slip: FinishSlip, Sheet: Lists };

function Lists() {
  return (
    <>
      <FinishList />
      <InkList />
      <SwatchList />
    </>
  );
}
