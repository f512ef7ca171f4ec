'use client';
import { FIELDS, FIELD_WORDS, columnsOf, type ElementOf, type Field, type SolidPaint } from '@/core/job';
import { tokenOf } from '@/core/records';
import Button from '@mui/material/Button';
import { ChoiceField } from '../../field/ChoiceField';
import { SolidPaintField } from '../../field/PaintField';
import { useJob } from '../../open-job/context';
import { addStyle } from '@/core/edit';
import { useDesk } from '../../open-job/use-desk';
import { Opener } from '../Opener';
import { Group } from '../Slip';
import { FrameFields } from './FrameFields';
import { LetterFields } from './LetterFields';
import { ParagraphFields } from './ParagraphFields';
import { SpecField } from './SpecField';
import { useHead, useTextTarget } from './use-text-target';

const ALIGNS = [
  { value: 'left', label: 'left' },
  { value: 'centre', label: 'centre' },
  { value: 'right', label: 'right' },
  { value: 'justified', label: 'justified' },
] as const;

const MIXED = '·mixed·';

const fieldNames = Object.keys(FIELDS) as Field[];
const isField = (name: string): name is Field => Object.hasOwn(FIELDS, name);

interface Props {
  readonly element: ElementOf<'text'>;
  /** Texts that are changed with it: the cells of a table that are chosen. They have no frame of their own. */
  readonly among?: readonly string[];
  readonly title?: string;
}

/** Face, size and setting of a text, or of what is selected of it while it is typed. */
export function TextFields({ element, among, title = 'Type' }: Props) {
  const { job } = useDesk();
  const change = useJob((s) => s.change);
  const head = useHead(element);
  const { there, isPart, set, setParagraphStyle, setCharacterStyle, putIn } = useTextTarget(element, among);
  const { look, mixed, departs } = there;
  const stylesOf = (of: 'paragraph' | 'character', none: string, mixedStyle: boolean) => [
    ...(mixedStyle ? [{ value: MIXED, label: '(several)' }] : []),
    { value: '', label: none },
    ...job.styles.filter((s) => s.of === of).map((s) => ({ value: s.id, label: s.name })),
  ];
  const frame =
    Number(head.fit !== null) +
    Number(element.columns > 1) +
    Number(element.along !== null) +
    Number(element.after !== null);
  const hasCharacterStyles = job.styles.some((s) => s.of === 'character');
  return (
    <Group title={isPart ? 'Type of what is selected' : title}>
      <ChoiceField
        label={departs.size > 0 && there.paragraphStyle ? 'style (differs)' : 'style'}
        width={118}
        value={there.paragraphStyle === undefined ? MIXED : (there.paragraphStyle ?? '')}
        options={stylesOf('paragraph', 'none', there.paragraphStyle === undefined)}
        onChange={(style) => style !== MIXED && setParagraphStyle(style === '' ? null : style)}
      />
      <SpecField
        label={mixed.size > 0 ? 'set in (mixed)' : 'set in'}
        name="set in"
        width="100%"
        look={look}
        onChange={set}
      />
      <SolidPaintField
        label="ink"
        value={look.paint}
        onChange={(paint: SolidPaint | null) => paint && set('Ink', { paint })}
      />
      <ChoiceField
        label="lines"
        width={84}
        value={look.align}
        options={ALIGNS}
        onChange={(align) => set('Align', { align })}
      />
      <Opener label="Letters" width={660}>
        <LetterFields look={look} set={set} />
        {hasCharacterStyles && (
          <ChoiceField
            label="character style"
            width={160}
            value={there.characterStyle === undefined ? MIXED : (there.characterStyle ?? '')}
            options={stylesOf('character', 'none', there.characterStyle === undefined)}
            onChange={(style) => style !== MIXED && setCharacterStyle(style === '' ? null : style)}
          />
        )}
      </Opener>
      <Opener label="Paragraph" width={620}>
        <ParagraphFields look={look} set={set} />
        {there.paragraphStyle && departs.size > 0 && (
          <Button size="small" onClick={() => setParagraphStyle(there.paragraphStyle ?? null)}>
            As the style says ({[...departs].length} differ)
          </Button>
        )}
        {!among && (
          <Button
            size="small"
            onClick={() => change('New style', (now) => addStyle(now, head, isPart ? look : undefined))}
          >
            Make it a style
          </Button>
        )}
      </Opener>
      <ChoiceField
        label="put in"
        width={84}
        value=""
        options={[
          { value: '', label: '…' },
          ...columnsOf(job).map((column) => ({ value: tokenOf(column), label: tokenOf(column) })),
          ...fieldNames.map((f) => ({ value: f, label: FIELD_WORDS[f] })),
        ]}
        onChange={(what) => what !== '' && putIn('Put in', isField(what) ? FIELDS[what] : what)}
      />
      {!among && (
        <Opener label="Frame" count={frame} width={560}>
          <FrameFields element={element} />
        </Opener>
      )}
    </Group>
  );
}
