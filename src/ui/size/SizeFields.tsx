'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Drawer from '@mui/material/Drawer';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useState } from 'react';
import { formatOf, type Format } from '@/core/format';
import { JOB_UNITS } from '@/core/measure';
import { paperName, type Size } from '@/core/paper';
import { ChoiceField } from '../field/ChoiceField';
import { EdgesField } from '../field/EdgesField';
import { LengthField } from '../field/LengthField';
import { FormatGallery } from '../format/FormatGallery';
import { useJob } from '../open-job/context';
import type { StationProps } from '../open-job/station';
import { useDesk } from '../open-job/use-desk';
import { Group, Groups } from '../slip/Slip';
import { FromFile } from './FromFile';
import { ParameterField } from '../field/ParameterField';
import { useResize, type Resize } from './use-resize';
import { redecided } from '@/core/job';

/** The decisions of a piece’s size: its kind, what that kind has, and what surrounds it. */
export function SizeFields({ onCopy }: Pick<StationProps, 'onCopy'>) {
  const { piece } = useDesk();
  const { job, rules } = useDesk();
  const change = useJob((s) => s.change);
  const resize = useResize();
  const [choosing, setChoosing] = useState(false);
  const format = formatOf(piece.kind);
  if (!format) return null;
  const context = { unit: job.unit, ppi: rules.ppi.value };
  return (
    <>
      <Groups>
        <Group title={format.title}>
          <Button
            variant="outlined"
            size="small"
            onClick={() => setChoosing(true)}
            title="Another kind of piece"
            sx={{ bgcolor: 'background.paper' }}
          >
            Change kind
          </Button>
          <Button
            variant="outlined"
            size="small"
            onClick={onCopy}
            title="The same piece in another format, as a job of its own"
            sx={{ bgcolor: 'background.paper' }}
          >
            Copy to a format
          </Button>
          {Object.entries(format.parameters)
            .filter(([, p]) => !p.when || p.when(piece.decisions))
            .map(([name, parameter]) => (
              <ParameterField
                key={`${format.kind}-${name}`}
                name={name}
                parameter={parameter}
                value={piece.decisions[name]}
                resize={resize}
                {...context}
              />
            ))}
          <Orientation format={format} size={piece.decisions['size'] as Size | undefined} resize={resize} />
          {format.kind === 'own' && <FromFile resize={resize} />}
          <ChoiceField
            label="unit"
            width={64}
            value={job.unit}
            options={JOB_UNITS.map((u) => ({ value: u, label: u }))}
            onChange={(unit) => change('Change unit', (now) => ({ ...now, unit }))}
          />
          <Oversized
            format={format}
            resize={resize}
            context={context}
            size={piece.decisions['size'] as Size | undefined}
          />
        </Group>
        <Group title="Bleed" term="bleed">
          <EdgesField
            {...context}
            name="bleed"
            value={rules.bleed.value}
            onChange={(bleed) => resize.setAll('Change bleed', (p) => ({ ...p, bleed }))}
          />
        </Group>
        <Group title="Safe margin" term="safe-margin">
          <EdgesField
            {...context}
            name="safe"
            value={rules.safe.value}
            onChange={(safe) => resize.setAll('Change safe margin', (p) => ({ ...p, safe }))}
          />
        </Group>
        <Group title="Slug" term="slug">
          <LengthField
            {...context}
            label="width"
            name="slug"
            value={piece.slug}
            width={84}
            onChange={(slug) => resize.setAll('Change slug', (p) => ({ ...p, slug }))}
          />
        </Group>
      </Groups>
      <Drawer anchor="right" open={choosing} onClose={() => setChoosing(false)}>
        <Box sx={{ width: 'min(100vw, 560px)', p: 2.5 }}>
          <Box component="h2" sx={{ m: 0, mb: 1.5, typography: 'h2' }}>
            Make it another kind of piece
          </Box>
          <FormatGallery
            chosen={format.kind}
            unit={job.unit}
            onChoose={(to) => {
              setChoosing(false);
              if (to.kind !== format.kind) resize.become(to);
            }}
          />
        </Box>
      </Drawer>
    </>
  );
}

function Orientation({
  format,
  size,
  resize,
}: {
  readonly format: Format;
  readonly size: Size | undefined;
  readonly resize: Resize;
}) {
  if (!size || !Object.hasOwn(format.parameters, 'size') || size.width === size.height) return null;
  const turned = { width: size.height, height: size.width };
  return (
    <ToggleButtonGroup
      size="small"
      exclusive
      aria-label="Orientation"
      value={size.width > size.height ? 'landscape' : 'portrait'}
      onChange={(_event, to: string | null) => to && !resize.refuse('size', turned) && resize.set('size', turned)}
    >
      <ToggleButton value="portrait" sx={{ py: 0.25 }} title={paperName(size) ?? ''}>
        portrait
      </ToggleButton>
      <ToggleButton value="landscape" sx={{ py: 0.25 }} title={paperName(turned) ?? ''}>
        landscape
      </ToggleButton>
    </ToggleButtonGroup>
  );
}

/** A page that was set up with its bleed inside: naming the margin that is bleed makes it trim and bleed. */
function Oversized({
  format,
  size,
  resize,
  context,
}: {
  readonly format: Format;
  readonly size: Size | undefined;
  readonly resize: Resize;
  readonly context: { unit: 'mm' | 'cm' | 'in' | 'pt' | 'pica'; ppi: number };
}) {
  const [open, setOpen] = useState(false);
  if (!size || !Object.hasOwn(format.parameters, 'size')) return null;
  if (!open)
    return (
      <Button size="small" onClick={() => setOpen(true)} title="The file was set up larger, with its bleed inside">
        Bleed is inside
      </Button>
    );
  const trimmed = (mm: number) => ({ width: size.width - 2 * mm, height: size.height - 2 * mm });
  return (
    <LengthField
      {...context}
      label="outer margin that is bleed"
      name="oversized"
      value={0}
      width={160}
      refuse={(mm) =>
        trimmed(mm).width < 1 || trimmed(mm).height < 1
          ? `At most ${Math.floor(Math.min(size.width, size.height) / 2 - 1)} mm: something has to be left.`
          : undefined
      }
      onChange={(mm) => {
        setOpen(false);
        if (mm <= 0) return;
        const bleed = { top: mm, right: mm, bottom: mm, left: mm };
        resize.setAll('Make the margin bleed', (p) => ({ ...redecided(p, { size: trimmed(mm) }), bleed }));
      }}
    />
  );
}
