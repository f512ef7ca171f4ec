'use client';
import Box from '@mui/material/Box';
import Chip from '@mui/material/Chip';
import { asInLayout, baseById, baseOfSide, itemOf, type Element } from '@/core/job';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { changeSide } from '@/core/edit';

/** What facts of an element are called. */
const FACTS: Readonly<Record<string, string>> = {
  placement: 'place',
  paragraphs: 'words',
  look: 'type',
  rows: 'cells',
  adjust: 'tones',
  blend: 'mixing',
  wants: 'what it wants',
  clipTo: 'clip',
  atTrim: 'at the trim',
};

/** For an item of a base layout: what of it is said otherwise on this page, each to be given back. */
export function FollowsLayout({ element }: { readonly element: Element }) {
  const { piece, surface } = useDesk();
  const change = useJob((s) => s.change);
  const side = surface.name;
  const item = asInLayout(piece, side, element.id);
  const layout = baseOfSide(side) === undefined ? piece.layouts[side] : baseById(piece, baseOfSide(side));
  const base = baseById(piece, layout?.base);
  if (!item || !base || !layout) return null;
  const facts = Object.keys(layout.facts[itemOf(element.id) ?? ''] ?? {});
  const giveBack = (key: string) =>
    change('As its layout', (now) =>
      changeSide(now, side, (list) =>
        list.map((e) => (e.id === element.id ? { ...e, [key]: item[key as keyof Element] } : e)),
      ),
    );
  return (
    <Box sx={{ fontSize: 12.5, display: 'flex', gap: 0.5, flexWrap: 'wrap', alignItems: 'center', width: '100%' }}>
      <span>
        Follows <b>{base.name}</b>
        {facts.length > 0 ? ', but for its' : ''}
      </span>
      {facts.map((key) => (
        <Chip
          key={key}
          size="small"
          variant="outlined"
          label={FACTS[key] ?? key}
          onDelete={() => giveBack(key)}
          sx={{ height: 20 }}
          slotProps={{
            root: { 'aria-label': `${FACTS[key] ?? key}: otherwise than ${base.name}; press Delete to follow it` },
          }}
        />
      ))}
    </Box>
  );
}
