'use client';
import Box from '@mui/material/Box';
import { effectivePpi } from '@/core/compose';
import { leavesOf } from '@/core/drawing';
import { pictureAsset, type ElementOf } from '@/core/job';
import { formatNumber, pixels } from '@/core/measure';
import { ChoiceField } from '../field/ChoiceField';
import { FileButton } from '../field/FileButton';
import { NumberField } from '../field/NumberField';
import { useDesk } from '../open-job/use-desk';
import { useFiles } from '../open-job/use-files';
import { lookedAt } from '../view/bench-view';
import { AtTrim } from './AtTrim';
import { ColumnField } from './ColumnField';
import { FramingFields } from './FramingFields';
import { ToneFields } from './ToneFields';
import { useChange } from './use-change';
import { Group } from './Slip';

/** What is in the frame, and how it sits there. */
export function PictureFields({ element }: { readonly element: ElementOf<'picture'> }) {
  const change = useChange(element);
  const { job, drawing, rules } = useDesk();
  const files = useFiles(lookedAt);
  const asset = pictureAsset(job.assets, element.picture);
  const item = drawing.frames.find((f) => f.element === element.id)?.items;
  const picture = leavesOf(item ?? []).find((i) => i.kind === 'picture');
  const ppi = asset && picture?.kind === 'picture' ? effectivePpi(picture.image, asset) : undefined;
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
          <WantedWords element={element} />
        )}
      </Box>
      <FileButton
        asks="Picture file"
        accept="image/jpeg,image/png,image/tiff,image/webp"
        onFile={(file) => void files([file])}
      >
        {asset ? 'Replace' : 'Choose picture'}
      </FileButton>
      <ColumnField
        label="picture of a record"
        none="one for all"
        value={element.column}
        onChange={(column) => set('Column of the picture', { column })}
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
      <FramingFields element={element} onChange={(values) => set('Framing', values)} />
      <ToneFields element={element} onChange={(adjust) => set('Tones', { adjust })} />
      <AtTrim element={element} />
    </Group>
  );
}

/** What belongs into an empty frame, and the pixels it wants. */
function WantedWords({ element }: { readonly element: ElementOf<'picture'> }) {
  const { drawing, rules, blank } = useDesk();
  const rect = drawing.boxes.placed[element.id];
  const across = (mm: number) => pixels(mm * blank.scale, rules.ppi.value);
  return (
    <>
      <b>{element.wants || 'Empty frame'}</b>
      <br />
      {rect && `wants ${across(rect.width)} × ${across(rect.height)} px`}
    </>
  );
}
