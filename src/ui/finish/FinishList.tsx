'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import { useState } from 'react';
import { baseOfSide, finishOn, followsWords, type Finishing } from '@/core/job';
import { finishLayers } from '@/core/marks';
import { counted } from '@/core/measure';
import { ChoiceField } from '../field/ChoiceField';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { Explained } from '../shell/Explained';
import { COLOURS, FACES } from '../shell/theme';
import { Fold } from '../shell/Fold';
import { AddFinishing } from './AddFinishing';
import { CoatFields, LineFields, type ChangeCoat } from './FinishingFields';
import { PROCESS_WORDS } from './words';
import { editFinish, movedFinishing, pieceOf } from '@/core/edit';

/** Lines and coatings of this side, one layer a purpose, in the order in which they are made. */
export function FinishList() {
  const { piece, surface, drawing, rules, nameIn } = useDesk();
  const edit = useJob((s) => s.change);
  const [open, setOpen] = useState<string>();
  const base = baseOfSide(surface.name);
  // Without what is only shown.
  const kept = useJob((s) => s.job);
  const list = finishOn(pieceOf(kept), surface.name);
  const own = finishLayers({ lines: surface.processLines, coats: [] }, rules);
  const lost = new Map(
    drawing.notes.flatMap((note) => (note.kind === 'finish-lost' ? [[note.finishing, note.why] as const] : [])),
  );
  const change = (label: string, to: (l: readonly Finishing[]) => readonly Finishing[]) =>
    edit(label, (now) => editFinish(now, piece.id, surface.name, to));
  const put = (label: string, to: Finishing) => change(label, (l) => l.map((f) => (f.id === to.id ? to : f)));
  const recoat = (id: string, to: ChangeCoat) =>
    change('Coating', (l) => l.map((f) => (f.id === id && f.does === 'coat' ? to(f) : f)));
  const hasFolds = surface.processLines.some((l) => l.process === 'fold' || l.process === 'score');
  if (base !== undefined)
    return (
      <Fold title="Lines and coatings" count={0} opened>
        <Box sx={{ fontSize: 13 }}>
          Lines and coatings are given to pages, not to the layout that pages follow. Show a page to give it some.
        </Box>
      </Fold>
    );
  return (
    <Fold title="Lines and coatings" count={list.length + own.length} opened>
      {own.map((layer) => (
        <Box key={layer.name} sx={{ display: 'flex', justifyContent: 'space-between', fontSize: 13.5, gap: 1 }}>
          <span>
            <b>{layer.name}</b> of the piece itself
          </span>
          <Box component="span" sx={{ fontFamily: FACES.figure, fontSize: 12.5 }}>
            {counted(layer.items.length, 'line')}
          </Box>
        </Box>
      ))}
      {hasFolds && (
        <ChoiceField
          label="folds reach the finisher"
          width="100%"
          value={piece.foldLines ?? 'die'}
          options={[
            { value: 'die', label: 'as lines for a die, on a plate' },
            { value: 'instruction', label: 'as ticks that instruct the folding machine' },
          ]}
          onChange={(to) =>
            edit('Fold lines', (now) => ({
              ...now,
              pieces: now.pieces.map((p) =>
                p.id === piece.id ? { ...p, foldLines: to === 'die' ? undefined : to } : p,
              ),
            }))
          }
        />
      )}
      {list.map((finishing, i) => (
        <Entry
          key={finishing.id}
          number={i + 1}
          title={titleOf(finishing, rules)}
          follows={followsWords(finishing, nameIn)}
          lost={lost.get(finishing.id)}
          isOpen={open === finishing.id}
          onOpen={() => setOpen(open === finishing.id ? undefined : finishing.id)}
        >
          {finishing.does === 'line' && <LineFields value={finishing} onChange={(to) => put('Line', to)} />}
          {finishing.does === 'coat' && <CoatFields value={finishing} onChange={(to) => recoat(finishing.id, to)} />}
          <Box sx={{ display: 'flex', gap: 0.5 }}>
            <Button
              size="small"
              disabled={i === 0}
              onClick={() => change('Earlier', (l) => movedFinishing(l, finishing.id, -1))}
            >
              Earlier
            </Button>
            <Button
              size="small"
              disabled={i === list.length - 1}
              onClick={() => change('Later', (l) => movedFinishing(l, finishing.id, 1))}
            >
              Later
            </Button>
            <Button size="small" onClick={() => change('Remove', (l) => l.filter((f) => f.id !== finishing.id))}>
              Remove
            </Button>
          </Box>
        </Entry>
      ))}
      {list.length === 0 && own.length === 0 && (
        <Box sx={{ fontSize: 13 }}>
          No line and no coating on this side yet. Printed sheets that are only cut to size need none.
        </Box>
      )}
      <AddFinishing
        onAdd={(label, finishing) => {
          change(label, (l) => [...l, finishing]);
          setOpen(finishing.id);
        }}
      />
      <Box sx={{ fontSize: 12, color: COLOURS.sheetSoft }}>
        <Explained term="die-line">Lines</Explained> and <Explained term="coating">coatings</Explained> lie above the
        artwork and <Explained term="overprint">overprint</Explained> it. Artwork cannot be printed in their colours.
      </Box>
    </Fold>
  );
}

const titleOf = (finishing: Finishing, rules: ReturnType<typeof useDesk>['rules']): string =>
  finishing.does === 'line' ? PROCESS_WORDS[finishing.process] : rules.coatings[finishing.coating].title;

interface EntryProps {
  readonly number: number;
  readonly title: string;
  readonly follows: string;
  readonly lost: string | undefined;
  readonly isOpen: boolean;
  readonly onOpen: () => void;
  readonly children: React.ReactNode;
}

function Entry({ number, title, follows, lost, isOpen, onOpen, children }: EntryProps) {
  return (
    <Box data-finishing={title} sx={{ borderTop: `1px dotted ${COLOURS.sheetLine}`, pt: 0.5 }}>
      <ButtonBase
        onClick={onOpen}
        aria-expanded={isOpen}
        sx={{
          display: 'grid',
          width: '100%',
          textAlign: 'left',
          justifyItems: 'start',
          justifyContent: 'start',
          fontFamily: FACES.text,
          minHeight: 24,
        }}
      >
        <Box sx={{ fontSize: 13.5 }}>
          <Box component="span" sx={{ fontFamily: FACES.figure, mr: 0.75 }}>
            {number}
          </Box>
          <b>{title}</b> · {follows}
        </Box>
        {lost && (
          <Box role="alert" sx={{ fontSize: 12.5, color: COLOURS.fault }}>
            Nothing is made of it: {lost}.
          </Box>
        )}
      </ButtonBase>
      {isOpen && <Box sx={{ display: 'grid', gap: 1, py: 0.75 }}>{children}</Box>}
    </Box>
  );
}
