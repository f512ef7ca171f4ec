'use client';
import type { CharacterChanges, CharacterLook } from '@/core/job';
import { CheckField } from '../../field/CheckField';
import { ChoiceField } from '../../field/ChoiceField';
import { NumberField } from '../../field/NumberField';
import { useDesk } from '../../open-job/use-desk';
import { Group } from '../Slip';
import { familiesOf, nearestWeight, weightsOf } from '@/core/edit';

interface Props {
  readonly look: CharacterLook;
  readonly set: (label: string, look: CharacterChanges) => void;
}

const CASES = [
  { value: 'typed', label: 'as typed' },
  { value: 'upper', label: 'CAPITALS' },
  { value: 'lower', label: 'small' },
  { value: 'title', label: 'Each Word' },
  { value: 'small-caps', label: 'Small Capitals' },
] as const;

const FIGURES = [
  { value: 'usual', label: 'the font’s' },
  { value: 'lining', label: 'lining' },
  { value: 'old-style', label: 'old-style' },
] as const;

const WIDTHS = [
  { value: 'usual', label: 'the font’s' },
  { value: 'tabular', label: 'tabular' },
  { value: 'proportional', label: 'proportional' },
] as const;

const LIGATURES = [
  { value: 'usual', label: 'usual' },
  { value: 'all', label: 'all' },
  { value: 'none', label: 'none' },
] as const;

/** How letters look. */
export function LetterFields(props: Props) {
  return (
    <>
      <FaceFields {...props} />
      <SignFields {...props} />
    </>
  );
}

function FaceFields({ look, set }: Props) {
  const { job, resources } = useDesk();
  const families = familiesOf(job);
  const isKnown = families.includes(look.family);
  const weights = weightsOf(look.family, job);
  const isMissing = resources.fonts.find(look.family, look.weight, look.italic) === undefined && !isKnown;
  return (
    <Group title="Face">
      <ChoiceField
        label={isMissing ? 'face (missing)' : 'face'}
        width={150}
        value={look.family}
        options={(isKnown ? families : [look.family, ...families]).map((family) => ({
          value: family,
          label: family,
        }))}
        onChange={(family) => set('Face', { family, weight: nearestWeight(weightsOf(family, job), look.weight) })}
      />
      <ChoiceField
        label="weight"
        width={70}
        value={String(nearestWeight(weights, look.weight))}
        options={weights.map((w) => ({ value: String(w), label: String(w) }))}
        onChange={(weight) => set('Weight', { weight: Number(weight) })}
      />
      <NumberField
        label="size"
        name="type-size"
        value={look.sizePt}
        least={0.5}
        most={5000}
        width={80}
        after=" pt"
        onChange={(sizePt) => set('Size', { sizePt })}
      />
      <NumberField
        label="tracking"
        value={look.tracking}
        least={-500}
        most={5000}
        width={64}
        onChange={(tracking) => set('Tracking', { tracking })}
      />
      <NumberField
        label="raised"
        name="shift"
        value={look.shiftPt}
        least={-1000}
        most={1000}
        width={70}
        after=" pt"
        onChange={(shiftPt) => set('Baseline', { shiftPt })}
      />
      <CheckField label="italic" checked={look.italic} onChange={(italic) => set('Italic', { italic })} />
    </Group>
  );
}

function SignFields({ look, set }: Props) {
  return (
    <Group title="Signs">
      <ChoiceField
        label="case"
        width={124}
        value={look.case}
        options={CASES}
        onChange={(to) => set('Case', { case: to })}
      />
      <ChoiceField
        label="figures"
        width={96}
        value={look.figures}
        options={FIGURES}
        onChange={(figures) => set('Figures', { figures })}
      />
      <ChoiceField
        label="figure width"
        width={112}
        value={look.figureWidth}
        options={WIDTHS}
        onChange={(figureWidth) => set('Figure width', { figureWidth })}
      />
      <ChoiceField
        label="ligatures"
        width={84}
        value={look.ligatures}
        options={LIGATURES}
        onChange={(ligatures) => set('Ligatures', { ligatures })}
      />
      <CheckField label="kerning" checked={look.kerning} onChange={(kerning) => set('Kerning', { kerning })} />
      <CheckField
        label="underline"
        checked={look.underline}
        onChange={(underline) => set('Underline', { underline })}
      />
      <CheckField label="strike" checked={look.strike} onChange={(strike) => set('Strike', { strike })} />
    </Group>
  );
}
