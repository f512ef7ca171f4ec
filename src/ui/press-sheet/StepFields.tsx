'use client';
import { WORK_STYLES, type WorkStyle } from '@/core/impose';
import { RECORD_ORDERS, type Imposed, type RecordOrder, type SheetOutput } from '@/core/job';
import { CheckField } from '../field/CheckField';
import { ChoiceField } from '../field/ChoiceField';
import { LengthField } from '../field/LengthField';
import { useDesk } from '../open-job/use-desk';

const WORK_WORDS: Readonly<Record<WorkStyle, string>> = {
  sheetwise: 'sheetwise: two sets of plates',
  turn: 'work and turn: one set, turned left to right',
  tumble: 'work and tumble: one set, turned head to foot',
  perfecting: 'perfecting: both sides in one pass',
};

const ORDER_WORDS: Readonly<Record<RecordOrder, string>> = {
  across: 'across each sheet',
  piles: 'down through the pile: cut, it lies in order',
};

const STAGE_WORDS = [
  { value: 2, label: 'twice: plain rows' },
  { value: 3, label: 'three times' },
  { value: 6, label: 'as often as it helps' },
] as const;

interface Props {
  readonly made: Imposed;
  readonly set: (label: string, to: Partial<SheetOutput>) => void;
}

/** How a piece is repeated on a sheet. Beside other jobs it is printed sheetwise, cut as often as it helps. */
export function StepFields({ made, set }: Props) {
  const { job } = useDesk();
  const own = job.output.sheet;
  const isAlone = !own?.guests?.length;
  return (
    <>
      <LengthField
        unit={job.unit}
        ppi={300}
        label="gutter"
        width={86}
        value={made.ok ? made.how.gutter : (own?.gutter ?? 0)}
        onChange={(gutter) => set('gutter', { gutter })}
      />
      {isAlone && (
        <>
          <ChoiceField<WorkStyle>
            label="the back"
            width="100%"
            value={own?.work ?? 'sheetwise'}
            options={WORK_STYLES.map((value) => ({ value, label: WORK_WORDS[value] }))}
            onChange={(work) => set('the back', { work })}
          />
          <ChoiceField
            label="cuts change direction"
            width={190}
            value={String(own?.stages ?? 3)}
            options={STAGE_WORDS.map(({ value, label }) => ({ value: String(value), label }))}
            onChange={(to) => set('cuts', { stages: Number(to) })}
          />
        </>
      )}
      {isAlone && job.records && (
        <ChoiceField<RecordOrder>
          label="records follow each other"
          width="100%"
          value={own?.order ?? 'across'}
          options={RECORD_ORDERS.map((value) => ({ value, label: ORDER_WORDS[value] }))}
          onChange={(order) => set('order of records', { order })}
        />
      )}
      <CheckField label="may be turned" checked={own?.turns ?? true} onChange={(turns) => set('turning', { turns })} />
    </>
  );
}
