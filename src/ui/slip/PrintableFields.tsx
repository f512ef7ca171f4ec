'use client';
import Button from '@mui/material/Button';
import type { PrintableElement } from '@/core/job';
import { ChoiceField } from '../field/ChoiceField';
import { SolidPaintField } from '../field/PaintField';
import { WordsField } from '../field/WordsField';
import { useJob } from '../open-job/context';
import { frozenPrintable, withJob } from '@/core/edit';
import { useDesk } from '../open-job/use-desk';
import { AtTrim } from './AtTrim';
import { Opener } from './Opener';
import { Group } from './Slip';
import { familiesOf, nearestWeight, weightsOf } from '@/core/edit';
import { useChange } from './use-change';

const INKS = [
  ['ink', 'ink'],
  ['pale', 'pale lines'],
  ['accent', 'accent'],
  ['tint', 'areas'],
] as const;

/** What a printable looks like; its decisions stand on the sheet. */
export function PrintableFields({ element }: { readonly element: PrintableElement }) {
  const desk = useDesk();
  const change = useChange(element);
  const make = useJob((s) => s.make);
  const set = (label: string, to: Partial<PrintableElement>) =>
    change(label, (el) => (el.kind === 'printable' ? { ...el, ...to } : el));
  const freeze = () => make('Freeze', (now) => frozenPrintable(withJob(desk, now), element));
  return (
    <>
      <Group title="Colours">
        {INKS.map(([role, label]) => (
          <SolidPaintField
            key={role}
            label={label}
            value={element.inks[role]}
            onChange={(paint) => paint && set(`Colour: ${label}`, { inks: { ...element.inks, [role]: paint } })}
          />
        ))}
        <AtTrim element={element} />
        <Opener label="Type" width={440}>
          <Group title="Type">
            {(['text', 'title'] as const).map((face) => (
              <Face
                key={face}
                label={face === 'text' ? 'words in' : 'titles in'}
                value={element.type[face]}
                onChange={(to) => set('Typeface', { type: { ...element.type, [face]: to } })}
              />
            ))}
            <WordsField
              label="language"
              value={element.language ?? ''}
              most={20}
              width={84}
              refuse={notALanguage}
              onChange={(tag) => set('Language', { language: tag === '' ? null : tag })}
            />
          </Group>
        </Opener>
        <Button
          size="small"
          variant="outlined"
          onClick={freeze}
          title="Turns it into plain lines, shapes and texts; it counts no more"
        >
          Freeze
        </Button>
      </Group>
    </>
  );
}

function notALanguage(tag: string): string | undefined {
  if (tag === '') return undefined;
  try {
    return Intl.DateTimeFormat.supportedLocalesOf(tag).length > 0
      ? undefined
      : `There are no names of months in “${tag}” here.`;
  } catch {
    return 'A language is written as en-GB, de or pt-BR; left out, the job’s.';
  }
}

type Typeface = PrintableElement['type']['text'];

function Face({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: Typeface;
  readonly onChange: (to: Typeface) => void;
}) {
  const { job } = useDesk();
  const weights = weightsOf(value.family, job);
  return (
    <>
      <ChoiceField
        label={label}
        width={132}
        value={value.family}
        options={familiesOf(job).map((f) => ({ value: f, label: f }))}
        onChange={(family) => onChange({ family, weight: nearestWeight(weightsOf(family, job), value.weight) })}
      />
      <ChoiceField
        label="weight"
        width={64}
        value={String(value.weight)}
        options={weights.map((w) => ({ value: String(w), label: String(w) }))}
        onChange={(w) => onChange({ ...value, weight: Number(w) })}
      />
    </>
  );
}
