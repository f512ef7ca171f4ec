'use client';
import type { TrackSizes } from '@/core/job';
import type { Unit } from '@/core/measure';
import { SizesField } from './SizesField';

interface Props {
  readonly label: string;
  readonly value: TrackSizes | undefined;
  readonly unit: Unit;
  readonly ppi: number;
  readonly onChange: (sizes: TrackSizes | undefined) => void;
}

/** Sizes of columns or rows one by one, parted by semicolons; `rest` shares what is left; empty is equal parts. */
export const TrackSizesField = (props: Props) => (
  <SizesField {...props} words={{ rest: null }} none="equal" most={100} />
);
