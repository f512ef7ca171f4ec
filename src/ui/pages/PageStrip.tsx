'use client';
import {
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useDraggable,
  useSensor,
  useSensors,
  type DragMoveEvent,
  type KeyboardCoordinateGetter,
} from '@dnd-kit/core';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { useEffect, useRef, useState } from 'react';
import { pageNumberOf } from '@/core/format';
import { baseById, baseOfSide, type SideName, type Piece } from '@/core/job';
import { usePainting } from '../open-job/painting';
import { useJob, useJobStore } from '../open-job/context';
import { changePiece, pieceOf, pageCount, withPagesMoved, type PageRange } from '@/core/edit';
import { useDesk } from '../open-job/use-desk';
import { DRAWING_KEYS, INSTRUCTIONS, PULL } from '../shell/Sortable';
import { COLOURS, FACES } from '../shell/theme';
import { PageActions } from './PageActions';
import { PageThumb } from './PageThumb';
import { baseSides, moveWords, rangeWords, spreadsOf } from './strip';

const HEIGHT = 40;

/** How much of the page the strip takes, px. */
export const STRIP_HEIGHT = 65;

interface Dragged {
  readonly range: PageRange;
  /** Where it would go: before the page that has this number now. */
  readonly before: number;
}

/** Every page in small, spread by spread, and before them the base layouts; drawn elsewhere, a page goes there. */
export function PageStrip() {
  const { blank, piece, surface, resources, rules } = useDesk();
  const store = useJobStore();
  const show = useJob((s) => s.show);
  const context = usePainting(resources, rules.conversion);
  const [range, setRange] = useState<PageRange>();
  const [dragged, setDragged] = useState<Dragged>();
  const strip = useRef<HTMLDivElement>(null);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: PULL } }),
    useSensor(KeyboardSensor, { coordinateGetter: byArrows, keyboardCodes: DRAWING_KEYS }),
  );
  const count = pageCount(piece) ?? 0;
  const here = pageNumberOf(surface.name);
  const chosen =
    range && here !== undefined && here >= range.from && here <= range.to
      ? range
      : here === undefined
        ? undefined
        : { from: here, to: here };

  // The page shown is always in sight.
  useEffect(() => {
    strip.current?.querySelector('[aria-current=page]')?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [surface.name]);

  const choose = (side: SideName, extend: boolean) => {
    const n = pageNumberOf(side);
    if (extend && n !== undefined && here !== undefined) {
      const anchor = chosen && chosen.from !== chosen.to ? (here === chosen.from ? chosen.from : chosen.to) : here;
      setRange({ from: Math.min(anchor, n), to: Math.max(anchor, n) });
      return;
    }
    setRange(undefined);
    show(side);
  };

  /** Pages that go together: those that are chosen, where the page that is drawn is one of them. */
  const withIt = (n: number): PageRange => (chosen && n >= chosen.from && n <= chosen.to ? chosen : { from: n, to: n });

  /** Where a page would go that is drawn to its place by now. */
  const drawnTo = ({ active }: Pick<DragMoveEvent, 'active'>): Dragged | undefined => {
    const n = pageNumberOf(String(active.id));
    const { translated } = active.rect.current;
    if (n === undefined || !translated) return undefined;
    return { range: withIt(n), before: gapAt(strip.current, translated.left + translated.width / 2, count) };
  };

  const layDown = ({ range: moved, before }: Dragged) => {
    const { job, change } = store.getState();
    const recipe = (piece: Piece) => withPagesMoved(piece, moved, before);
    if (recipe(pieceOf(job)) === pieceOf(job)) return;
    change(`Move pages ${rangeWords(moved)}`, (now) => changePiece(now, recipe));
    const size = moved.to - moved.from;
    const from = before > moved.to ? before - 1 - size : before;
    setRange({ from, to: from + size });
    show(`page ${from}`);
  };

  const nameOf = (side: SideName) => baseById(piece, baseOfSide(side))?.name ?? side;
  const label = (side: SideName) => {
    const n = pageNumberOf(side);
    if (n === undefined) return nameOf(side);
    return String(n - 1 + piece.numbering.first);
  };
  const page = (side: SideName) => {
    const n = pageNumberOf(side);
    const base = baseById(piece, piece.layouts[side]?.base);
    return (
      <Page
        key={side}
        side={side}
        name={`${nameOf(side)}${base ? `, follows ${base.name}` : ''}`}
        title={base ? `${nameOf(side)} · ${base.name}` : nameOf(side)}
        label={label(side)}
        isHere={side === surface.name}
        isChosen={n !== undefined && chosen !== undefined && n >= chosen.from && n <= chosen.to}
        marked={marked(n)}
        onChoose={(extend) => choose(side, extend)}
        context={context}
      />
    );
  };
  const marked = (n: number | undefined) => {
    if (n === undefined || !dragged) return undefined;
    if (dragged.before === n) return 'left';
    return dragged.before === count + 1 && n === count ? 'right' : undefined;
  };
  const isPage = (side: SideName) => pageNumberOf(side) !== undefined;
  const sides = blank.surfaces.map((s) => s.name);
  const bases = baseSides(piece);
  return (
    <Box
      sx={{
        position: 'relative',
        display: 'flex',
        gap: 1.5,
        alignItems: 'stretch',
        px: 2,
        pt: 0.75,
        height: STRIP_HEIGHT,
      }}
    >
      <PageActions range={chosen} onRange={setRange} />
      <DndContext
        id="pages"
        sensors={sensors}
        onDragMove={(event) => setDragged(drawnTo(event))}
        onDragCancel={() => setDragged(undefined)}
        onDragEnd={(event) => {
          const to = drawnTo(event);
          setDragged(undefined);
          if (to) layDown(to);
        }}
        accessibility={{ announcements: SILENT, screenReaderInstructions: INSTRUCTIONS }}
      >
        <Box
          ref={strip}
          role="group"
          aria-label="Pages"
          data-strip
          sx={{
            flex: 1,
            minWidth: 0,
            display: 'flex',
            gap: 1,
            overflowX: 'auto',
            pt: '4px',
            px: '4px',
            scrollbarWidth: 'thin',
          }}
        >
          {bases.length > 0 && (
            <Box sx={{ display: 'flex', gap: 0.75, pr: 1, borderRight: `1px solid ${COLOURS.line}` }}>
              {bases.map(page)}
            </Box>
          )}
          {spreadsOf([...sides.filter((s) => !isPage(s)), ...sides.filter(isPage)]).map((spread) => (
            <Box key={spread[0]} sx={{ display: 'flex', gap: '1px' }}>
              {spread.map(page)}
            </Box>
          ))}
        </Box>
      </DndContext>
      {dragged && (
        <Box
          role="status"
          sx={{
            position: 'absolute',
            left: 120,
            bottom: -26,
            zIndex: 3,
            bgcolor: COLOURS.ink,
            color: '#fff',
            px: 1,
            py: 0.25,
            fontSize: 12.5,
            borderRadius: 0.5,
          }}
        >
          {moveWords(dragged.range, dragged.before, count)}
        </Box>
      )}
    </Box>
  );
}

interface PageProps {
  readonly side: SideName;
  readonly name: string;
  readonly title: string;
  readonly label: string;
  readonly isHere: boolean;
  readonly isChosen: boolean;
  /** Where something that is drawn would go. */
  readonly marked: 'left' | 'right' | undefined;
  readonly onChoose: (extend: boolean) => void;
  readonly context: Parameters<typeof PageThumb>[0]['context'];
}

/** A page in small: pressed it is shown, drawn it goes to another place. */
function Page({ side, name, title, label, isHere, isChosen, marked, onChoose, context }: PageProps) {
  const n = pageNumberOf(side);
  const { setNodeRef, listeners, attributes } = useDraggable({ id: side, disabled: n === undefined });
  const ring = `${isHere ? 3 : 2}px solid ${COLOURS.accent}`;
  return (
    <Box sx={{ position: 'relative' }}>
      {marked && <Marker at={marked} />}
      <ButtonBase
        ref={setNodeRef}
        {...listeners}
        aria-describedby={n === undefined ? undefined : attributes['aria-describedby']}
        data-page={n}
        aria-label={name}
        aria-current={isHere ? 'page' : undefined}
        title={title}
        onClick={(event) => onChoose(event.shiftKey)}
        sx={{
          display: 'block',
          outline: isHere || isChosen ? ring : `1px solid ${COLOURS.line}`,
          touchAction: 'none',
          '&:focus-visible': { outline: `3px solid ${COLOURS.ink}` },
        }}
      >
        <PageThumb side={side} height={HEIGHT} context={context} />
      </ButtonBase>
      <Box sx={{ ...LABEL, fontWeight: isHere ? 700 : 400 }}>{label}</Box>
    </Box>
  );
}

const LABEL = {
  textAlign: 'center',
  fontFamily: FACES.figure,
  fontSize: 11,
  lineHeight: '15px',
  whiteSpace: 'nowrap',
};

/** The page before which something let go at a place of the screen would come, px. */
function gapAt(strip: HTMLElement | null, x: number, count: number): number {
  const after = [...(strip?.querySelectorAll('[data-page]') ?? [])].find((p) => {
    const box = p.getBoundingClientRect();
    return x < box.left + box.width / 2;
  });
  return after ? Number(after.getAttribute('data-page')) : count + 1;
}

/** An arrow moves a page that is taken up past the next one: so far, px. */
const STEP = 34;

const byArrows: KeyboardCoordinateGetter = (event, { currentCoordinates: { x, y } }) => {
  if (event.code === 'ArrowRight') return { x: x + STEP, y };
  if (event.code === 'ArrowLeft') return { x: x - STEP, y };
  return undefined;
};

/** Where it would go is said by the strip itself. */
const SILENT = {
  onDragStart: () => undefined,
  onDragOver: () => undefined,
  onDragEnd: () => undefined,
  onDragCancel: () => undefined,
};

function Marker({ at }: { readonly at: 'left' | 'right' }) {
  return (
    <Box
      aria-hidden
      sx={{ position: 'absolute', top: -3, bottom: 12, width: 3, bgcolor: COLOURS.accent, zIndex: 2, [at]: -4 }}
    />
  );
}
