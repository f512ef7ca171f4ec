'use client';
import Box from '@mui/material/Box';
import type { FinishingOf } from '@/core/job';
import { elementsOn, type BoxRef } from '@/core/job';
import { TRACED_BY } from '@/core/finish';
import { formatNumber } from '@/core/measure';
import { pathArea } from '@/core/layout';
import { COATINGS, PROCESSES } from '@/core/shop';
import { CheckField } from '../field/CheckField';
import { ChoiceField } from '../field/ChoiceField';
import { HeldLengthField, LengthField } from '../field/LengthField';
import { NumberField } from '../field/NumberField';
import { SolidPaintField } from '../field/PaintField';
import { useDesk } from '../open-job/use-desk';
import { api, wordsOf } from '../shell/api';
import { useSay } from '../shell/Messages';
import { FACES } from '../shell/theme';
import { PROCESS_WORDS, TRACE_WORDS } from './words';

const row = { display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'flex-end' } as const;

type LineProps = {
  readonly value: FinishingOf<'line'>;
  readonly onChange: (to: FinishingOf<'line'>) => void;
};

/** Where a process line runs. */
export function LineFields({ value, onChange }: LineProps) {
  const { job, rules, surface } = useDesk();
  const { unit } = job;
  const ppi = rules.ppi.value;
  const { course } = value;
  const panels = surface.panels.map((p) => p.name);
  const boxes: readonly { value: string; label: string; ref: BoxRef }[] = [
    { value: 'trim', label: 'trim', ref: { box: 'trim' } },
    { value: 'safe', label: 'safe area', ref: { box: 'safe' } },
    { value: 'bleed', label: 'bleed', ref: { box: 'bleed' } },
    ...panels.map((panel) => ({ value: `panel ${panel}`, label: panel, ref: { box: 'panel', panel } as const })),
  ];
  const keyOf = (ref: BoxRef) => (ref.box === 'panel' ? `panel ${ref.panel}` : ref.box);
  return (
    <>
      <Box sx={row}>
        <ChoiceField
          label="line"
          width={110}
          value={value.process}
          options={PROCESSES.map((p) => ({ value: p, label: PROCESS_WORDS[p].toLowerCase() }))}
          onChange={(process) => onChange({ ...value, process })}
        />
        {(course.course === 'straight' || course.course === 'divide') && (
          <>
            <ChoiceField
              label="runs"
              width={84}
              value={course.way}
              options={[
                { value: 'level', label: 'level' },
                { value: 'upright', label: 'upright' },
              ]}
              onChange={(way) => onChange({ ...value, course: { ...course, way } })}
            />
            <ChoiceField
              label="across"
              width={92}
              value={keyOf(course.against)}
              options={boxes}
              onChange={(key) =>
                onChange({
                  ...value,
                  course: { ...course, against: boxes.find((b) => b.value === key)?.ref ?? course.against },
                })
              }
            />
          </>
        )}
      </Box>
      <Box sx={row}>
        {course.course === 'straight' && (
          <HeldLengthField
            label={course.way === 'level' ? 'from its top edge' : 'from its left edge'}
            name="line-at"
            value={course.at}
            unit={unit}
            ppi={ppi}
            negative="allowed"
            hint="negative: from the other edge"
            width={130}
            onChange={(at) => onChange({ ...value, course: { ...course, at } })}
          />
        )}
        {course.course === 'divide' && (
          <NumberField
            label="equal parts"
            name="line-parts"
            value={course.into}
            least={2}
            most={100}
            whole
            width={84}
            onChange={(into) => onChange({ ...value, course: { ...course, into } })}
          />
        )}
        {course.course === 'outline' && (
          <HeldLengthField
            label="outside the outline"
            name="line-offset"
            value={course.offset}
            unit={unit}
            ppi={ppi}
            negative="allowed"
            hint="negative: inside"
            width={130}
            onChange={(offset) => onChange({ ...value, course: { ...course, offset } })}
          />
        )}
        {(course.course === 'straight' || course.course === 'divide') && (
          <LengthField
            label="past both ends"
            name="line-past"
            value={value.past}
            unit={unit}
            ppi={ppi}
            width={110}
            onChange={(past) => onChange({ ...value, past })}
          />
        )}
      </Box>
    </>
  );
}

/** What becomes of a coating as it is by then. */
export type ChangeCoat = (now: FinishingOf<'coat'>) => FinishingOf<'coat'>;

type CoatProps = {
  readonly value: FinishingOf<'coat'>;
  readonly onChange: (change: ChangeCoat) => void;
};

/** What a coating covers and how. */
export function CoatFields({ value, onChange }: CoatProps) {
  const { job, piece, rules, surface, drawing } = useDesk();
  const say = useSay();
  const { of } = value;
  const code = rules.coatings[value.coating];
  const coat = drawing.coats.find((c) => c.id === value.id);
  const retrace = async (by: (typeof TRACED_BY)[number], threshold: number) => {
    if (of.from !== 'picture') return;
    const element = elementsOn(piece, surface.name).find((e) => e.id === of.element);
    if (element?.kind !== 'picture' || element.picture === null) return;
    try {
      const { shapes, count } = await api.shapes(element.picture, by, threshold);
      if (count > 0)
        onChange((now) => (now.of.from === 'picture' ? { ...now, of: { ...now.of, by, threshold, shapes } } : now));
      else say({ tone: 'problem', text: 'So told, no shape stands out. The shapes stay as they were.' });
    } catch (error) {
      say({ tone: 'problem', text: wordsOf(error) });
    }
  };
  return (
    <>
      <Box sx={row}>
        <ChoiceField
          label="coating"
          width={150}
          value={value.coating}
          options={COATINGS.map((c) => ({ value: c, label: rules.coatings[c].title }))}
          onChange={(coating) => onChange((now) => ({ ...now, coating }))}
        />
        <HeldLengthField
          label="spread"
          name="coat-spread"
          value={value.spread}
          unit={job.unit}
          ppi={rules.ppi.value}
          negative="allowed"
          hint="negative: choke"
          width={96}
          onChange={(spread) => onChange((now) => ({ ...now, spread }))}
        />
      </Box>
      {of.from === 'picture' && (
        <Box sx={row}>
          <ChoiceField
            label="shapes are what is"
            width={180}
            value={of.by}
            options={TRACED_BY.map((by) => ({ value: by, label: TRACE_WORDS[by].label }))}
            onChange={(by) => void retrace(by, TRACE_WORDS[by].from)}
          />
          <NumberField
            label="by at least"
            name="trace-from"
            value={of.threshold}
            least={1}
            most={99}
            width={80}
            after=" %"
            onChange={(threshold) => void retrace(of.by, threshold)}
          />
        </Box>
      )}
      {of.from === 'paint' && (
        <SolidPaintField
          label="colour"
          value={of.paint}
          onChange={(paint) => paint && onChange((now) => ({ ...now, of: { ...of, paint } }))}
        />
      )}
      <CheckField
        label="knocks out the print beneath"
        checked={value.knocksOut === true}
        onChange={(on) => onChange((now) => ({ ...now, knocksOut: on ? true : undefined }))}
      />
      <Box sx={{ fontFamily: FACES.figure, fontSize: 12 }}>
        {coat && `${formatNumber(pathArea(coat.path) / 100, 2)} cm², `}plate “{code.spot}”, fits the print to ±
        {formatNumber(code.tolerance, 2)} mm, holds {formatNumber(code.least, 2)} mm
      </Box>
    </>
  );
}
