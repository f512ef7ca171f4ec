'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Impossible, pageNumberOf } from '@/core/format';
import { type Piece } from '@/core/job';
import { ChoiceField } from '../field/ChoiceField';
import { MeasureField } from '../field/MeasureField';
import { NumberField } from '../field/NumberField';
import {
  changePiece,
  freshId,
  pageCount,
  withBase,
  withNewBase,
  withPagesDuplicated,
  withPagesInserted,
  withPagesMoved,
  withoutPages,
  type PageRange,
} from '@/core/edit';
import { useJob, useJobStore } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { useSay } from '../shell/Messages';
import { Opener } from '../slip/Opener';
import { Group } from '../slip/Slip';
import { FillPages } from './FillPages';
import { rangeWords, readRange, sidesOfRange } from './strip';

interface Props {
  /** The pages that are chosen; undefined on a cover or a base layout. */
  readonly range: PageRange | undefined;
  readonly onRange: (range: PageRange) => void;
}

/** What can be done with the pages that are chosen. */
export function PageActions({ range, onRange }: Props) {
  const { piece, surface } = useDesk();
  const store = useJobStore();
  const say = useSay();
  const show = useJob((s) => s.show);
  const [filling, setFilling] = useState(false);
  const count = pageCount(piece) ?? 0;
  const act = (label: string, make: (piece: Piece) => Piece, to?: string) => {
    try {
      store.getState().change(label, (now) => changePiece(now, make));
      if (to !== undefined) show(to);
    } catch (error) {
      if (!(error instanceof Impossible)) throw error;
      say({ tone: 'problem', text: error.message });
    }
  };
  const sides = range
    ? sidesOfRange(range)
    : pageNumberOf(surface.name) === undefined && !surface.name.startsWith('base:')
      ? [surface.name]
      : [];
  const [first] = sides;
  const shared = sides.map((side) => piece.layouts[side]?.base ?? '');
  const one = shared.every((b) => b === shared[0]) ? (shared[0] ?? '') : MIXED;
  const job = () => store.getState().job;
  const words = range ? rangeWords(range) : surface.name;
  return (
    <Box sx={{ display: 'grid', alignContent: 'center', gap: 0.5, flex: 'none' }}>
      <Opener label="Pages" width={470}>
        {sides.length > 0 && (
          <Group title={range ? `Pages ${words} of ${count}` : 'This side'}>
            {range && (
              <MeasureField<PageRange>
                label="pages"
                name="page-range"
                width={86}
                shown={words}
                read={(text) => {
                  const read = readRange(text, count);
                  return read
                    ? { ok: true, value: read }
                    : {
                        ok: false,
                        error: {
                          at: 0,
                          length: text.length,
                          message: `Pages from 1 to ${count} are wanted, as 4 or 4–7.`,
                        },
                      };
                }}
                onChange={(to) => {
                  onRange(to);
                  if (!sidesOfRange(to).includes(surface.name)) show(`page ${to.from}`);
                }}
              />
            )}
            {sides.length > 0 && (
              <ChoiceField
                label="follow"
                width={150}
                value={one}
                options={[
                  ...(one === MIXED ? [{ value: MIXED, label: '(several)' }] : []),
                  { value: '', label: 'no base layout' },
                  ...piece.bases.map((b) => ({ value: b.id, label: b.name })),
                ]}
                onChange={(base) =>
                  base !== MIXED && act('Base layout', (p) => withBase(p, sides, base === '' ? null : base, freshId))
                }
              />
            )}
          </Group>
        )}
        {range && (
          <Group title="Change">
            <Button
              size="small"
              onClick={() =>
                act(
                  'Insert page',
                  (p) => withPagesInserted(job(), p, range.from, range.to - range.from + 1),
                  `page ${range.from}`,
                )
              }
            >
              Insert before
            </Button>
            <Button
              size="small"
              onClick={() =>
                act(
                  'Insert page',
                  (p) => withPagesInserted(job(), p, range.to + 1, range.to - range.from + 1),
                  `page ${range.to + 1}`,
                )
              }
            >
              Insert after
            </Button>
            <Button
              size="small"
              onClick={() =>
                act('Duplicate pages', (p) => withPagesDuplicated(job(), p, range, freshId), `page ${range.to + 1}`)
              }
            >
              Duplicate
            </Button>
            <Button
              size="small"
              onClick={() =>
                act('Remove pages', (p) => withoutPages(job(), p, range), `page ${Math.max(1, range.from - 1)}`)
              }
            >
              Remove
            </Button>
            <NumberField
              label="move before page"
              name="move-before"
              value={range.from}
              least={1}
              most={count + 1}
              whole
              width={120}
              onChange={(before) => {
                const size = range.to - range.from;
                const from = before > range.to ? before - 1 - size : before;
                act(`Move pages ${words}`, (p) => withPagesMoved(p, range, before), `page ${from}`);
                onRange({ from, to: from + size });
              }}
            />
          </Group>
        )}
        <Group title="Base layouts">
          {first !== undefined && (
            <Button
              size="small"
              onClick={() => act('New base layout', (p) => withNewBase(p, nextName(p), first, freshId).piece)}
            >
              Make one of what is on {first}
            </Button>
          )}
          <Button
            size="small"
            onClick={() => act('New base layout', (p) => withNewBase(p, nextName(p), undefined, freshId).piece)}
          >
            Add an empty one
          </Button>
          {piece.bases.length > 0 && (
            <Button size="small" variant="outlined" onClick={() => setFilling(true)}>
              Fill pages from CSV
            </Button>
          )}
        </Group>
      </Opener>
      {filling && <FillPages from={range?.from ?? 1} onClose={() => setFilling(false)} />}
    </Box>
  );
}

const MIXED = '·several·';

/** A, B, C …: a letter that no base layout is called by yet. */
function nextName(piece: Piece): string {
  const taken = new Set(piece.bases.map((b) => b.name));
  for (let i = 0; i < 26; i += 1) {
    const name = String.fromCharCode(65 + i);
    if (!taken.has(name)) return name;
  }
  return `Base ${piece.bases.length + 1}`;
}
