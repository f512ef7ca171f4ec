'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { ImposedSide, Job } from '@/core/job';
import { useDesk } from '../open-job/use-desk';
import { COLOURS, FAULT, INK } from '../shell/theme';
import { useSheetView } from '../view/sheet-view';
import { ArticleArt } from './ArticleArt';
import { drawSheet, placeIn, type SideArt } from './draw-sheet';
import { useGuests } from './use-guests';
import { useImposed, useShownSheet } from './use-imposed';
import { pixelsFor, useSideArt } from './use-side-art';

interface Props {
  readonly room: { readonly width: number; readonly height: number };
}

/** A sheet of the press in the place of the piece. Each side is drawn once and set down wherever it lies. */
export function ImposedPicture({ room }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const made = useImposed();
  const shown = useShownSheet(made);
  const cut = useSheetView((v) => v.cut);
  const { job } = useDesk();
  const { guests } = useGuests(job);
  const sides = shown?.face.sides ?? [];
  const own = useSideArt(sides.filter(({ article }) => !article).map(({ surface }) => surface));
  const [others, setOthers] = useState<ReadonlyMap<string, SideArt>>(new Map());
  const take = useCallback((key: string, art: SideArt) => setOthers((known) => new Map(known).set(key, art)), []);
  const articles = new Map(sides.filter(({ article }) => article).map((side) => [artKey(side), side] as const));
  const drawn = [...articles.keys()].filter((key) => others.has(key)).length + own.size;
  const ratio = typeof devicePixelRatio === 'number' ? devicePixelRatio : 1;
  const white = job.stock.white ?? '#ffffff';
  const artOf = (side: ImposedSide) => (side.article ? others.get(artKey(side)) : own.get(side.surface));
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context || !shown) return;
    const frame = requestAnimationFrame(() => {
      context.setTransform(ratio, 0, 0, ratio, 0, 0);
      context.clearRect(0, 0, room.width, room.height);
      const { sheet, face } = shown;
      const parts = { sheet, face, art: artOf, white, cut };
      const place = placeIn(room, sheet.size);
      drawSheet(context, { ...parts, ink: INK, soft: COLOURS.line, knife: FAULT }, place);
    });
    return () => cancelAnimationFrame(frame);
  });
  const words = shown ? `${shown.sheet.name}, ${shown.face.name}: ${shown.face.sides.length} on a sheet` : '';
  const pixels = pixelsFor(articles.size);
  return (
    <>
      <canvas
        ref={canvas}
        data-press-sheet={shown?.face.name}
        data-drawn={drawn}
        aria-label={words}
        role="img"
        width={Math.round(room.width * ratio)}
        height={Math.round(room.height * ratio)}
        style={{ position: 'absolute', inset: 0, width: room.width, height: room.height, pointerEvents: 'none' }}
      />
      {[...articles].map(([key, { surface, article }]) => {
        const of = article?.guest === undefined ? job : guests?.[article.guest]?.job;
        return (
          of && (
            <Article key={key} of={of} surface={surface} record={article?.record} {...{ name: key, pixels, take }} />
          )
        );
      })}
    </>
  );
}

/** Names what is drawn of a side that lies there with others. */
const artKey = ({ surface, article }: ImposedSide): string =>
  `${article?.guest ?? 'own'} ${article?.record ?? 'all'} ${surface}`;

interface ArticleProps {
  readonly name: string;
  readonly of: Job;
  readonly surface: string;
  readonly record: number | undefined;
  readonly pixels: number;
  readonly take: (key: string, art: SideArt) => void;
}

function Article({ name, of, surface, record, pixels, take }: ArticleProps) {
  const onArt = useCallback((art: SideArt) => take(name, art), [name, take]);
  return <ArticleArt job={of} side={surface} record={record} pixels={pixels} onArt={onArt} />;
}
