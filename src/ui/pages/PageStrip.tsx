'use client';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { useEffect, useRef, useState } from 'react';
import { pageNumberOf } from '@/core/format';
import { baseById, baseOfSide, type SideName, type Piece } from '@/core/job';
import { usePainting } from '../open-job/painting';
import { useJob, useJobStore } from '../open-job/context';
import { changePiece, pieceOf, pageCount, withPagesMoved, type PageRange } from '@/core/edit';
import { useDesk } from '../open-job/use-desk';
import { COLOURS, FACES } from '../shell/theme';
import { PageActions } from './PageActions';
import { PageThumb } from './PageThumb';
import { baseSides, moveWords, rangeWords, spreadsOf } from './strip';

const HEIGHT = 40;

/** How much of the page the strip takes, px. */
export const STRIP_HEIGHT = 65;

/** A press that goes further than this is a drag, px. */
const DRAG = 5;

interface Dragged {
  readonly range: PageRange;
  /** Where it would go: before the page that has this number now. */
  readonly before: number;
}

/** Every page in small, spread by spread, and before them the base layouts; drag to reorder. */
export function PageStrip() {
  const { blank, piece, surface, resources, rules } = useDesk();
  const store = useJobStore();
  const show = useJob((s) => s.show);
  const context = usePainting(resources, rules.conversion);
  const [range, setRange] = useState<PageRange>();
  const [dragged, setDragged] = useState<Dragged>();
  const strip = useRef<HTMLDivElement>(null);
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

  /** The page before which something let go at a place of the screen would come. */
  const gapAt = (x: number): number => {
    const pages = [...(strip.current?.querySelectorAll('[data-page]') ?? [])];
    const after = pages.find((p) => {
      const box = p.getBoundingClientRect();
      return x < box.left + box.width / 2;
    });
    return after ? Number(after.getAttribute('data-page')) : count + 1;
  };

  const onPointerDown = (event: React.PointerEvent<HTMLElement>, side: SideName) => {
    const n = pageNumberOf(side);
    if (n === undefined || event.button !== 0) return;
    const start = event.clientX;
    const moved: PageRange = chosen && n >= chosen.from && n <= chosen.to ? chosen : { from: n, to: n };
    let at: Dragged | undefined;
    const move = (e: PointerEvent) => {
      if (!at && Math.abs(e.clientX - start) < DRAG) return;
      at = { range: moved, before: gapAt(e.clientX) };
      setDragged(at);
    };
    const stop = (isKept: boolean) => {
      window.removeEventListener('pointermove', move);
      window.removeEventListener('pointerup', up);
      window.removeEventListener('keydown', key, true);
      setDragged(undefined);
      if (at && isKept) {
        const to = at;
        const { job, change } = store.getState();
        const recipe = (piece: Piece) => withPagesMoved(piece, to.range, to.before);
        if (recipe(pieceOf(job)) !== pieceOf(job)) {
          change(`Move pages ${rangeWords(to.range)}`, (now) => changePiece(now, recipe));
          const size = to.range.to - to.range.from;
          const from = to.before > to.range.to ? to.before - 1 - size : to.before;
          setRange({ from, to: from + size });
          show(`page ${from}`);
        }
      }
    };
    const up = () => stop(true);
    const key = (e: KeyboardEvent) => {
      if (e.key !== 'Escape') return;
      e.stopPropagation();
      stop(false);
    };
    window.addEventListener('pointermove', move);
    window.addEventListener('pointerup', up);
    window.addEventListener('keydown', key, true);
  };

  const nameOf = (side: SideName) => baseById(piece, baseOfSide(side))?.name ?? side;
  const label = (side: SideName) => {
    const n = pageNumberOf(side);
    if (n === undefined) return nameOf(side);
    return String(n - 1 + piece.numbering.first);
  };
  const page = (side: SideName) => {
    const n = pageNumberOf(side);
    const isHere = side === surface.name;
    const isChosen = n !== undefined && chosen !== undefined && n >= chosen.from && n <= chosen.to;
    const base = baseById(piece, piece.layouts[side]?.base);
    return (
      <Box key={side} sx={{ position: 'relative' }}>
        {dragged?.before === n && n !== undefined && <Marker at="left" />}
        <ButtonBase
          data-page={n}
          aria-label={`${nameOf(side)}${base ? `, follows ${base.name}` : ''}`}
          aria-current={isHere ? 'page' : undefined}
          title={base ? `${nameOf(side)} · ${base.name}` : nameOf(side)}
          onPointerDown={(event) => onPointerDown(event, side)}
          onClick={(event) => !dragged && choose(side, event.shiftKey)}
          sx={{
            display: 'block',
            outline: isHere
              ? `3px solid ${COLOURS.accent}`
              : isChosen
                ? `2px solid ${COLOURS.accent}`
                : `1px solid ${COLOURS.line}`,
            touchAction: 'none',
            '&:focus-visible': { outline: `3px solid ${COLOURS.ink}` },
          }}
        >
          <PageThumb side={side} height={HEIGHT} context={context} />
        </ButtonBase>
        <Box
          sx={{
            textAlign: 'center',
            fontFamily: FACES.figure,
            fontSize: 11,
            lineHeight: '15px',
            whiteSpace: 'nowrap',
            fontWeight: isHere ? 700 : 400,
          }}
        >
          {label(side)}
        </Box>
        {dragged?.before === count + 1 && n === count && <Marker at="right" />}
      </Box>
    );
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

function Marker({ at }: { readonly at: 'left' | 'right' }) {
  return (
    <Box
      aria-hidden
      sx={{ position: 'absolute', top: -3, bottom: 12, width: 3, bgcolor: COLOURS.accent, zIndex: 2, [at]: -4 }}
    />
  );
}
