import { FinishList } from '../../finish/FinishList';
import { FinishSlip, SeeToggle } from '../../finish/FinishSlip';
import { InkList } from '../../finish/InkList';
import { SwatchList } from '../../finish/SwatchList';
import { defineStation } from '../../open-job/station';

/** Drawn lines are shown in the colours of their plates. */
export const finish = defineStation({
  id: 'finish',
  title: 'Finish',
  takes: 'select',
  shows: ['plates', 'finish', 'gamut', 'unprinted', 'line-code', 'selection'],
  steps: true,
  Bar: SeeToggle,
  Slip: FinishSlip,
  Sheet: Lists,
});

function Lists() {
  return (
    <>
      <FinishList />
      <InkList />
      <SwatchList />
    </>
  );
}
