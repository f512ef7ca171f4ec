import { AddBar } from '../../palette/AddBar';
import { RecordList } from '../../records/RecordList';
import { BaseList } from '../../sheet/BaseList';
import { GridList } from '../../sheet/GridList';
import { GuideList } from '../../sheet/GuideList';
import { MeasureList } from '../../sheet/MeasureList';
import { PrintableFields } from '../../sheet/PrintableFields';
import { SideContents } from '../../sheet/SideContents';
import { SlotList } from '../../sheet/SlotList';
import { StyleList } from '../../sheet/StyleList';
import { ElementSlip } from '../../slip/ElementSlip';
import { defineStation } from '../../open-job/station';

export const layOut = defineStation({
  id: 'lay-out',
  title: 'Lay out',
  takes: 'edit',
  shows: [
    'unprinted',
    'line-code',
    'drawn-lines',
    'baselines',
    'empty-frames',
    'slots',
    'cells',
    'selection',
    'handles',
    'gradients',
  ],
  opens: true,
  steps: true,
  Bar: AddBar,
  Slip: ElementSlip,
  Sheet: Contents,
});

function Contents() {
  return (
    <>
      <SlotList />
      <RecordList />
      <PrintableFields />
      <SideContents />
      <StyleList />
      <BaseList />
      <MeasureList />
      <GridList />
      <GuideList />
    </>
  );
}
