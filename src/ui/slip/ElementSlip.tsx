'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import { useRef } from 'react';
import { effectivePpi, nameOf } from '@/core/compose';
import { pictureAsset, jobFonts, type Element, type ElementOf, type Paint } from '@/core/job';
import { boxName } from '@/core/layout';
import { formatNumber } from '@/core/measure';
import { AUTO_LEADING, SHIPPED } from '@/core/type';
import { ChoiceField } from '../field/ChoiceField';
import { LengthField } from '../field/LengthField';
import { NumberField } from '../field/NumberField';
import { PaintField } from '../field/PaintField';
import { useJob } from '../job/context';
import { useDesk } from '../job/use-desk';
import { useFiles } from '../job/use-files';
import { COLOURS } from '../shell/theme';
import { ArrangeFields } from './ArrangeFields';
import { PlacementFields, useChange } from './PlacementFields';
import { Group, Groups, Slip } from './Slip';

/** What is selected, in words and figures. */
export function ElementSlip() {
  const { piece, drawing } = useDesk();
  const side = useJob((s) => s.side);
  const selection = useJob((s) => s.selection);
  const elements = piece.surfaces[side].filter((e) => selection.includes(e.id));
  const [only] = elements;
  if (!only) {
    return (
      <Slip label="Selection">
        <Box sx={{ fontSize: 14, color: 'text.secondary' }}>
          {drawing.frames.length === 0
            ? 'Nothing on this side yet.'
            : `${drawing.frames.length} elements. Select one to see its facts; hold Alt to reach what lies beneath; press / for every command.`}
        </Box>
      </Slip>
    );
  }
  if (elements.length > 1) {
    return (
      <Slip label="Selection">
        <Groups>
          <Title name={`${elements.length} elements`} where="arranged together" />
          <ArrangeFields />
        </Groups>
      </Slip>
    );
  }
  return (
    <Slip label="Selection">
      <Groups>
        <Name element={only} />
        <PlacementFields element={only} />
        <Kind element={only} />
        <Whole element={only} />
      </Groups>
    </Slip>
  );
}

function Title({ name, where }: { readonly name: string; readonly where: string }) {
  return (
    <Box sx={{ minWidth: 110 }}>
      <Box sx={{ fontWeight: 700, fontSize: 14 }}>{name}</Box>
      <Box sx={{ color: COLOURS.accent, fontSize: 12.5, fontWeight: 600 }}>{where}</Box>
    </Box>
  );
}

function Name({ element }: { readonly element: Element }) {
  const change = useChange(element);
  return (
    <Box sx={{ width: 96 }}>
      <TextField
        key={element.id}
        variant="standard"
        defaultValue={element.name}
        placeholder={nameOf(element)}
        slotProps={{ htmlInput: { 'aria-label': 'Name', style: { fontWeight: 700, fontSize: 14 }, maxLength: 200 } }}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && event.target instanceof HTMLElement) event.target.blur();
        }}
        onBlur={(event) => {
          const name = event.target.value.trim();
          if (name !== element.name) change('Name', (el) => ({ ...el, name }));
        }}
      />
      <Box sx={{ color: COLOURS.accent, fontSize: 12.5, fontWeight: 600 }}>on {boxName(element.placement.against)}</Box>
    </Box>
  );
}

/** What every element has: opacity and turn. */
function Whole({ element }: { readonly element: Element }) {
  const change = useChange(element);
  return (
    <Group title="Whole">
      <NumberField
        label="opacity"
        value={Math.round(element.opacity * 1000) / 10}
        least={0}
        most={100}
        width={60}
        after=" %"
        onChange={(percent) => change('Opacity', (el) => ({ ...el, opacity: percent / 100 }))}
      />
      <NumberField
        label="turn"
        value={element.placement.rotate}
        least={-360}
        most={360}
        width={56}
        after="°"
        onChange={(rotate) => change('Turn', (el) => ({ ...el, placement: { ...el.placement, rotate } }))}
      />
      <ArrangeFields />
    </Group>
  );
}

function Kind({ element }: { readonly element: Element }) {
  switch (element.kind) {
    case 'rectangle':
    case 'ellipse':
      return <ShapeFields element={element} />;
    case 'line':
      return <LineFields element={element} />;
    case 'picture':
      return <PictureFields element={element} />;
    case 'text':
      return <TextFields element={element} />;
  }
}

const DASHES = [
  { value: 'solid', label: 'solid' },
  { value: 'dashed', label: 'dashed' },
  { value: 'dotted', label: 'dotted' },
] as const;

function ShapeFields({ element }: { readonly element: ElementOf<'rectangle' | 'ellipse'> }) {
  const change = useChange(element);
  const { job, rules } = useDesk();
  const patch = (label: string, values: Partial<ElementOf<'rectangle'>>) =>
    change(label, (el) => ({ ...el, ...values }) as Element);
  const stroke = element.stroke;
  return (
    <>
      <Group title="Fill">
        <PaintField label="paint" value={element.fill} none="None" onChange={(fill) => patch('Fill', { fill })} />
        {element.kind === 'rectangle' && (
          <>
            <LengthField
              label="corners"
              value={element.radius}
              unit={job.unit}
              ppi={rules.ppi.value}
              width={76}
              onChange={(radius) => patch('Round corners', { radius })}
            />
            <AtTrim element={element} />
          </>
        )}
      </Group>
      <Group title="Stroke">
        <PaintField
          label="paint"
          value={stroke?.paint ?? null}
          none="None"
          onChange={(paint) =>
            patch('Stroke', {
              stroke: paint && { widthPt: stroke?.widthPt ?? 1, dash: stroke?.dash ?? 'solid', paint },
            })
          }
        />
        {stroke && (
          <>
            <NumberField
              label="width"
              name="stroke-width"
              value={stroke.widthPt}
              least={0.01}
              most={500}
              width={76}
              after=" pt"
              onChange={(widthPt) => patch('Stroke', { stroke: { ...stroke, widthPt } })}
            />
            <ChoiceField
              label="form"
              width={84}
              value={stroke.dash}
              options={DASHES}
              onChange={(dash) => patch('Stroke', { stroke: { ...stroke, dash } })}
            />
          </>
        )}
      </Group>
    </>
  );
}

function AtTrim({ element }: { readonly element: ElementOf<'rectangle' | 'picture'> }) {
  const change = useChange(element);
  return (
    <FormControlLabel
      sx={{ mr: 0, mb: -0.5 }}
      control={
        <Checkbox
          size="small"
          checked={element.atTrim === 'bleeds'}
          onChange={(event) => {
            const atTrim = event.target.checked ? ('bleeds' as const) : ('stops' as const);
            change('At the trim', (el) => (el.kind === 'rectangle' || el.kind === 'picture' ? { ...el, atTrim } : el));
          }}
        />
      }
      label="bleeds at the trim"
      slotProps={{ typography: { sx: { fontSize: 13 } } }}
    />
  );
}

function LineFields({ element }: { readonly element: ElementOf<'line'> }) {
  const change = useChange(element);
  const { stroke } = element;
  const set = (values: Partial<typeof stroke>) =>
    change('Stroke', (el) => (el.kind === 'line' ? { ...el, stroke: { ...el.stroke, ...values } } : el));
  return (
    <Group title="Line">
      <PaintField label="paint" value={stroke.paint} onChange={(paint) => paint && set({ paint })} />
      <NumberField
        label="width"
        name="stroke-width"
        value={stroke.widthPt}
        least={0.01}
        most={500}
        width={76}
        after=" pt"
        onChange={(widthPt) => set({ widthPt })}
      />
      <ChoiceField label="form" width={84} value={stroke.dash} options={DASHES} onChange={(dash) => set({ dash })} />
      <ChoiceField
        label="runs"
        width={84}
        value={element.slope}
        options={[
          { value: 'down', label: 'down' },
          { value: 'up', label: 'up' },
        ]}
        onChange={(slope) => change('Slope', (el) => (el.kind === 'line' ? { ...el, slope } : el))}
      />
    </Group>
  );
}

function PictureFields({ element }: { readonly element: ElementOf<'picture'> }) {
  const change = useChange(element);
  const { job, drawing, rules } = useDesk();
  const files = useFiles();
  const input = useRef<HTMLInputElement>(null);
  const asset = pictureAsset(job.assets, element.picture);
  const item = drawing.frames.find((f) => f.element === element.id)?.items.find((i) => i.kind === 'picture');
  const ppi = asset && item?.kind === 'picture' ? effectivePpi(item.image, asset) : undefined;
  const set = (label: string, values: Partial<ElementOf<'picture'>>) =>
    change(label, (el) => (el.kind === 'picture' ? { ...el, ...values } : el));
  return (
    <Group title="Picture">
      <Box sx={{ fontSize: 13, maxWidth: 190, lineHeight: 1.35 }}>
        {asset ? (
          <>
            <b>{asset.name}</b>
            <br />
            {asset.width} × {asset.height} px, {asset.colour.toUpperCase()}
            <br />
            <Box
              component="span"
              sx={{
                color: ppi !== undefined && ppi < rules.ppi.value - 0.5 ? 'error.main' : 'inherit',
                fontWeight: 600,
              }}
            >
              {ppi === undefined ? '' : `${formatNumber(ppi, 0)} ppi here, ${rules.ppi.value} wanted`}
            </Box>
          </>
        ) : (
          'Empty frame: drop a picture on it'
        )}
      </Box>
      <Button size="small" variant="outlined" onClick={() => input.current?.click()}>
        {asset ? 'Replace' : 'Choose picture'}
      </Button>
      <input
        ref={input}
        hidden
        type="file"
        accept="image/jpeg,image/png,image/tiff,image/webp"
        aria-label="Picture file"
        onChange={(event) => {
          void files([...(event.target.files ?? [])]);
          event.target.value = '';
        }}
      />
      <ChoiceField
        label="sits"
        width={92}
        value={element.fit.mode}
        options={[
          { value: 'fill', label: 'fill' },
          { value: 'fit', label: 'fit' },
          { value: 'scale', label: 'scale' },
        ]}
        onChange={(mode) => {
          const percent = ppi ? Math.min(5000, Math.max(1, (rules.ppi.value / ppi) * 100)) : 100;
          set('Fit', { fit: mode === 'scale' ? { mode, percent: Math.round(percent * 10) / 10 } : { mode } });
        }}
      />
      {element.fit.mode === 'scale' && (
        <NumberField
          label="scale"
          value={element.fit.percent}
          least={1}
          most={5000}
          width={76}
          after=" %"
          onChange={(percent) => set('Scale', { fit: { mode: 'scale', percent } })}
        />
      )}
      <NumberField
        label="focus across"
        value={Math.round(element.focus.x * 100)}
        least={0}
        most={100}
        width={80}
        after=" %"
        onChange={(x) => set('Focus', { focus: { ...element.focus, x: x / 100 } })}
      />
      <NumberField
        label="focus down"
        value={Math.round(element.focus.y * 100)}
        least={0}
        most={100}
        width={80}
        after=" %"
        onChange={(y) => set('Focus', { focus: { ...element.focus, y: y / 100 } })}
      />
      <AtTrim element={element} />
    </Group>
  );
}

const ALIGNS = [
  { value: 'left', label: 'left' },
  { value: 'centre', label: 'centre' },
  { value: 'right', label: 'right' },
  { value: 'justified', label: 'justified' },
] as const;

const CASES = [
  { value: 'typed', label: 'as typed' },
  { value: 'upper', label: 'CAPITALS' },
  { value: 'lower', label: 'small' },
  { value: 'title', label: 'Each Word' },
] as const;

function TextFields({ element }: { readonly element: ElementOf<'text'> }) {
  const change = useChange(element);
  const { job, rules, resources } = useDesk();
  const type = useJob((s) => s.type);
  const { style } = element;
  const set = (label: string, values: Partial<typeof style>) =>
    change(label, (el) => (el.kind === 'text' ? { ...el, style: { ...el.style, ...values } } : el));
  const own = [...new Set(jobFonts(job).map((f) => f.family))];
  const families = [...own, ...SHIPPED.map((f) => f.family).filter((f) => !own.includes(f))];
  const isKnown = families.includes(style.family);
  const weights = weightsOf(style.family, job);
  const isMissing = resources.fonts.find(style.family, style.weight, style.italic) === undefined && !isKnown;
  return (
    <>
      <Group title="Type">
        <ChoiceField
          label={isMissing ? 'face (missing)' : 'face'}
          width={132}
          value={style.family}
          options={(isKnown ? families : [style.family, ...families]).map((family) => ({
            value: family,
            label: family,
          }))}
          onChange={(family) => set('Face', { family, weight: nearest(weightsOf(family, job), style.weight) })}
        />
        <ChoiceField
          label="weight"
          width={58}
          value={String(nearest(weights, style.weight))}
          options={weights.map((w) => ({ value: String(w), label: String(w) }))}
          onChange={(weight) => set('Weight', { weight: Number(weight) })}
        />
        <NumberField
          label="size"
          name="type-size"
          value={style.sizePt}
          least={0.5}
          most={5000}
          width={62}
          after=" pt"
          onChange={(sizePt) => set('Size', { sizePt })}
        />
        <NumberField
          label={style.leadingPt === null ? 'leading (auto)' : 'leading'}
          name="leading"
          value={style.leadingPt ?? style.sizePt * AUTO_LEADING}
          least={0.5}
          most={10_000}
          width={82}
          after=" pt"
          onChange={(leadingPt) => set('Leading', { leadingPt })}
        />
        <NumberField
          label="tracking"
          value={style.tracking}
          least={-500}
          most={5000}
          width={52}
          onChange={(tracking) => set('Tracking', { tracking })}
        />
        <PaintField
          label="ink"
          value={style.paint}
          onChange={(paint: Paint | null) => paint && set('Ink', { paint })}
        />
        <ChoiceField
          label="lines"
          width={80}
          value={style.align}
          options={ALIGNS}
          onChange={(align) => set('Align', { align })}
        />
        <ChoiceField
          label="stands"
          width={72}
          value={element.vertical}
          options={[
            { value: 'top', label: 'top' },
            { value: 'middle', label: 'middle' },
            { value: 'bottom', label: 'bottom' },
          ]}
          onChange={(vertical) => change('Vertical', (el) => (el.kind === 'text' ? { ...el, vertical } : el))}
        />
        <ChoiceField
          label="case"
          width={88}
          value={style.case}
          options={CASES}
          onChange={(to) => set('Case', { case: to })}
        />
      </Group>
      <Group title="Setting">
        <LengthField
          label="inset"
          value={element.inset.top}
          unit={job.unit}
          ppi={rules.ppi.value}
          width={58}
          onChange={(mm) =>
            change('Inset', (el) =>
              el.kind === 'text' ? { ...el, inset: { top: mm, right: mm, bottom: mm, left: mm } } : el,
            )
          }
        />
        <FormControlLabel
          sx={{ mr: 0, mb: -0.5 }}
          control={
            <Checkbox
              size="small"
              checked={style.italic}
              onChange={(event) => set('Italic', { italic: event.target.checked })}
            />
          }
          label="italic"
          slotProps={{ typography: { sx: { fontSize: 13 } } }}
        />
        <FormControlLabel
          sx={{ mr: 0, mb: -0.5 }}
          control={
            <Checkbox
              size="small"
              checked={style.hyphenate}
              onChange={(event) => set('Hyphenation', { hyphenate: event.target.checked })}
            />
          }
          label="hyphenate"
          slotProps={{ typography: { sx: { fontSize: 13 } } }}
        />
        <Button size="small" variant="outlined" onClick={() => type(element.id)}>
          Type here
        </Button>
      </Group>
    </>
  );
}

function weightsOf(family: string, job: ReturnType<typeof useDesk>['job']): readonly number[] {
  const own = jobFonts(job)
    .filter((f) => f.family === family)
    .map((f) => f.weight);
  const shipped = SHIPPED.find((f) => f.family === family)?.weights ?? [];
  const all = [...new Set([...own, ...shipped])].sort((a, b) => a - b);
  return all.length > 0 ? all : [400];
}

const nearest = (weights: readonly number[], to: number): number =>
  [...weights].sort((a, b) => Math.abs(a - to) - Math.abs(b - to))[0] ?? to;
