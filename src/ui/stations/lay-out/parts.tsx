import { AddBar } from '../../bench/AddBar';
import { PageStrip } from '../../pages/PageStrip';
import { BaseList } from '../../sheet/BaseList';
import { GridList } from '../../sheet/GridList';
import { GuideList } from '../../sheet/GuideList';
import { MeasureList } from '../../sheet/MeasureList';
import { PrintableFields } from '../../sheet/PrintableFields';
import { SideContents } from '../../sheet/SideContents';
import { SlotList } from '../../sheet/SlotList';
import { StyleList } from '../../sheet/StyleList';
import { ElementSlip } from '../../slip/ElementSlip';
import type { StationParts } from '../station-parts';

export const layOutParts: StationParts = { Bar: AddBar, Strip: PageStrip, Slip: ElementSlip, Sheet: Contents };

function Contents() {
  return (
    <>
      <SlotList />
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
