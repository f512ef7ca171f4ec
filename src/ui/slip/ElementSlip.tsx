'use client';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { boxOfAxis, elementsOn, type Element } from '@/core/job';
import { boxName, type SurfaceBoxes } from '@/core/layout';
import { readWords, useDraft } from '../field/use-draft';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { COLOURS } from '../shell/theme';
import { ArrangeFields } from './ArrangeFields';
import { EffectFields } from './EffectFields';
import { FollowsLayout } from './FollowsLayout';
import { GroupFields } from './GroupFields';
import { handlingOf } from './kinds';
import { Opener } from './Opener';
import { AxisBoxes, PlacementFields } from './PlacementFields';
import { RepeatFields } from './RepeatFields';
import { SeveralFields } from './SeveralFields';
import { Group, Groups, Slip } from './Slip';
import { useChange } from './use-change';
import { WholeFields } from './WholeFields';
import { nameOf } from '@/core/element';

/** What is selected, in words and figures. */
export function ElementSlip() {
  const { piece } = useDesk();
  const side = useJob((s) => s.side);
  const selection = useJob((s) => s.selection);
  const cells = useJob((s) => s.cells);
  const elements = elementsOn(piece, side).filter((e) => selection.includes(e.id));
  const [only] = elements;
  if (!only) return null;
  if (elements.length > 1) {
    return (
      <Slip label="Selection">
        <Groups>
          <Title name={`${elements.length} elements`} where="changed together" />
          <SeveralFields elements={elements} />
          <Group title="Arrangement">
            <ArrangeFields />
          </Group>
          <GroupFields />
        </Groups>
      </Slip>
    );
  }
  const { Fields } = handlingOf(only.kind);
  return (
    <Slip label="Selection">
      <FollowsLayout element={only} />
      <Groups>
        <Name element={only} />
        {/* While cells are chosen, the fields are theirs. */}
        {!cells && <PlacementFields element={only} />}
        <Fields element={only} />
        {!cells && <Whole element={only} />}
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

/** The boxes that hold an element, in words. */
function whereOf({ placement }: Element, boxes: SurfaceBoxes): string {
  const [across, down] = (['x', 'y'] as const).map((axis) => boxName(boxOfAxis(placement, axis), boxes));
  return across === down ? (across ?? '') : `${across} and ${down}`;
}

function Name({ element }: { readonly element: Element }) {
  const change = useChange(element);
  const { boxes } = useDesk().drawing;
  const { field } = useDraft({
    shown: element.name,
    read: readWords,
    onTake: (text) => change('Name', (el) => ({ ...el, name: text.trim() })),
  });
  return (
    <Box sx={{ width: '100%', display: 'flex', alignItems: 'baseline', gap: 1.5 }}>
      <TextField
        sx={{ flex: 1 }}
        key={element.id}
        variant="standard"
        {...field}
        // Left with Enter too: the next key is one of the bench.
        onKeyDown={(event) => {
          if (event.key === 'Enter' && event.target instanceof HTMLElement) event.target.blur();
          else field.onKeyDown(event);
        }}
        placeholder={nameOf(element)}
        slotProps={{ htmlInput: { 'aria-label': 'Name', style: { fontWeight: 700, fontSize: 14 }, maxLength: 200 } }}
      />
      <Opener plain label={`on ${whereOf(element, boxes)}`}>
        <AxisBoxes element={element} />
      </Opener>
    </Box>
  );
}

/** What every element has: opacity, turn, effects, copies, and what it belongs to. */
function Whole({ element }: { readonly element: Element }) {
  return (
    <Group title="Whole">
      <WholeFields element={element} />
      <EffectFields element={element} />
      <RepeatFields element={element} />
      <ArrangeFields />
    </Group>
  );
}
