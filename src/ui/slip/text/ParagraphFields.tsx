'use client';
import {
  readTabs,
  writeTabs,
  type ListMark,
  type ParagraphChanges,
  type ParagraphLook,
  type TabStop,
} from '@/core/job';
import { AUTO_LEADING } from '@/core/type';
import { CheckField } from '../../field/CheckField';
import { ChoiceField } from '../../field/ChoiceField';
import { HeldLengthField } from '../../field/LengthField';
import { MeasureField } from '../../field/MeasureField';
import { NumberField } from '../../field/NumberField';
import { WordsField } from '../../field/WordsField';
import { useDesk } from '../../open-job/use-desk';
import { Group } from '../Slip';

interface Props {
  readonly look: ParagraphLook;
  readonly set: (label: string, look: ParagraphChanges) => void;
}

const BREAKING = [
  { value: 'paragraph', label: 'whole paragraph' },
  { value: 'line', label: 'line by line' },
  { value: 'balanced', label: 'even lines' },
] as const;

const LISTS = [
  { value: 'none', label: 'none' },
  { value: 'bullet', label: 'bullets' },
  { value: '1', label: '1, 2, 3' },
  { value: 'a', label: 'a, b, c' },
  { value: 'A', label: 'A, B, C' },
  { value: 'i', label: 'i, ii, iii' },
  { value: 'I', label: 'I, II, III' },
] as const;

const listOf = (list: ListMark | null): (typeof LISTS)[number]['value'] =>
  list === null ? 'none' : list.list === 'bullet' ? 'bullet' : list.style;

const withList = (value: ReturnType<typeof listOf>): ListMark | null =>
  value === 'none'
    ? null
    : value === 'bullet'
      ? { list: 'bullet', mark: '•' }
      : { list: 'number', style: value, after: '.', start: null };

/** How a paragraph stands. */
export function ParagraphFields(props: Props) {
  return (
    <>
      <Lines {...props} />
      {props.look.align === 'justified' && <Spaces {...props} />}
      <Room {...props} />
      <ListAndTabs {...props} />
      <Kept {...props} />
    </>
  );
}

function Lines({ look, set }: Props) {
  return (
    <Group title="Lines">
      <NumberField
        label={look.leadingPt === null ? 'leading (auto)' : 'leading'}
        name="leading"
        value={look.leadingPt ?? look.sizePt * AUTO_LEADING}
        least={0.5}
        most={10_000}
        width={92}
        after=" pt"
        onChange={(leadingPt) => set('Leading', { leadingPt })}
      />
      <ChoiceField
        label="broken"
        width={136}
        value={look.breaking}
        options={BREAKING}
        onChange={(breaking) => set('Breaking', { breaking })}
      />
      <CheckField
        label="hyphenate"
        checked={look.hyphenate}
        onChange={(hyphenate) => set('Hyphenation', { hyphenate })}
      />
      <CheckField
        label="optical margin"
        checked={look.opticalMargin}
        onChange={(opticalMargin) => set('Optical margin', { opticalMargin })}
      />
      <CheckField
        label="on the baseline grid"
        checked={look.onGrid}
        onChange={(onGrid) => set('Baseline grid', { onGrid })}
      />
    </Group>
  );
}

function Spaces({ look, set }: Props) {
  const { justify } = look;
  const limit = (label: string, key: keyof typeof justify, least: number, most: number) => (
    <NumberField
      label={label}
      name={key}
      value={justify[key]}
      least={least}
      most={most}
      width={74}
      after=" %"
      onChange={(to) => set('Justification', { justify: { ...justify, [key]: to } })}
    />
  );
  return (
    <Group title="Spaces of a justified line, of the usual">
      {limit('words, least', 'wordLeast', 30, 100)}
      {limit('words, most', 'wordMost', 100, 400)}
      {limit('letters, least', 'letterLeast', -20, 0)}
      {limit('letters, most', 'letterMost', 0, 50)}
    </Group>
  );
}

function Room({ look, set }: Props) {
  const { job, rules } = useDesk();
  const context = { unit: job.unit, ppi: rules.ppi.value };
  const length = (label: string, key: 'before' | 'after' | 'indent' | 'indentRight' | 'firstIndent', name: string) => (
    <HeldLengthField
      label={label}
      name={name}
      value={look[key]}
      {...context}
      width={74}
      negative={key === 'firstIndent' ? 'allowed' : 'refused'}
      onChange={(to) => set(label, { [key]: to })}
    />
  );
  return (
    <Group title="Room">
      {length('before', 'before', 'before')}
      {length('after', 'after', 'after')}
      {length('indent', 'indent', 'indent')}
      {length('first line', 'firstIndent', 'first-indent')}
      {length('from right', 'indentRight', 'indent-right')}
      <NumberField
        label="dropped letter"
        name="drop-cap"
        value={look.dropCap}
        least={0}
        most={20}
        whole
        width={92}
        after=" lines"
        onChange={(dropCap) => set('Dropped letter', { dropCap })}
      />
    </Group>
  );
}

function ListAndTabs({ look, set }: Props) {
  const { job, rules } = useDesk();
  const context = { unit: job.unit, ppi: rules.ppi.value };
  const { list } = look;
  return (
    <Group title="List and tabs">
      <ChoiceField
        label="list"
        width={94}
        value={listOf(list)}
        options={LISTS}
        onChange={(value) =>
          set('List', {
            list: withList(value),
            ...(value !== 'none' && look.indent === 0 && look.firstIndent === 0 && { indent: 4, firstIndent: -4 }),
          })
        }
      />
      {list?.list === 'bullet' && (
        <WordsField
          label="sign"
          value={list.mark}
          most={8}
          width={56}
          refuse={(mark) => (mark === '' ? 'A sign is wanted.' : undefined)}
          onChange={(mark) => set('List', { list: { ...list, mark } })}
        />
      )}
      {list?.list === 'number' && (
        <>
          <WordsField
            label="after it"
            value={list.after}
            most={4}
            width={56}
            onChange={(after) => set('List', { list: { ...list, after } })}
          />
          <MeasureField<number | null>
            label="begins at"
            name="list-start"
            width={84}
            shown={list.start === null ? 'goes on' : String(list.start)}
            read={(text) =>
              /^(goes on)?$/.test(text.trim())
                ? { ok: true, value: null }
                : /^\d{1,6}$/.test(text.trim())
                  ? { ok: true, value: Number(text) }
                  : {
                      ok: false,
                      error: { at: 0, length: text.length, message: 'A number, or nothing to go on counting.' },
                    }
            }
            onChange={(start) => set('List', { list: { ...list, start } })}
          />
        </>
      )}
      <MeasureField<TabStop[]>
        label="tabs"
        width={220}
        shown={writeTabs(look.tabs, context)}
        placeholder="40 right ., 60 decimal"
        read={(text) => readTabs(text, context)}
        onChange={(tabs) => set('Tabs', { tabs })}
      />
    </Group>
  );
}

function Kept({ look, set }: Props) {
  return (
    <Group title="Kept together">
      <CheckField
        label="with the next paragraph"
        checked={look.keepWithNext}
        onChange={(keepWithNext) => set('Keep with next', { keepWithNext })}
      />
      <NumberField
        label="least at a foot"
        name="keep-first"
        value={look.keepFirst}
        least={1}
        most={10}
        whole
        width={92}
        after=" lines"
        onChange={(keepFirst) => set('Lines kept', { keepFirst })}
      />
      <NumberField
        label="least at a head"
        name="keep-last"
        value={look.keepLast}
        least={1}
        most={10}
        whole
        width={92}
        after=" lines"
        onChange={(keepLast) => set('Lines kept', { keepLast })}
      />
    </Group>
  );
}
