'use client';
import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { CanvasTexture, SRGBColorSpace, type Texture } from 'three';
import { pageNumberOf } from '@/core/format';
import { foldSignature, type ImposedFace, type ImposedSheet, type ReadPage } from '@/core/job';
import { Dummy } from '../dummy/Dummy';
import { useDesk } from '../open-job/use-desk';
import { COLOURS, FACES, FAULT, INK } from '../shell/theme';
import { drawPageNumbers } from './draw-page-numbers';
import { drawSheet, type SideArt } from './draw-sheet';
import { useImposed, useShownSheet } from './use-imposed';
import { useSideArt } from './use-side-art';

/** Longest side of a printed form, px: enough to read a page number on a turning model. */
const PIXELS = 2048;

interface Props {
  /** What stands there where the sheet is not folded but cut. */
  readonly otherwise: ReactNode;
}

/** A sheet of a book as the folder folds it, both its forms printed, its pages numbered. */
export default function SheetDummy({ otherwise }: Props) {
  const shown = useShownSheet(useImposed());
  return shown?.sheet.signature ? <Folding sheet={shown.sheet} signature={shown.sheet.signature} /> : otherwise;
}

interface FoldingProps {
  readonly sheet: ImposedSheet;
  readonly signature: NonNullable<ImposedSheet['signature']>;
}

function Folding({ sheet, signature }: FoldingProps) {
  const { rules } = useDesk();
  const [hasNumbers, setNumbers] = useState(true);
  const { size, faces } = sheet;
  const folded = useMemo(() => foldSignature({ ...signature, sheet: size }), [signature, size]);
  const art = useSideArt(faces.flatMap(({ sides }) => sides.map(({ surface }) => surface)));
  const faceOf = (form: string) => faces.find(({ name }) => name === form);
  const up = useFormTexture(sheet, faceOf(folded.folding.up), art, hasNumbers);
  const down = useFormTexture(sheet, faceOf(folded.folding.down ?? ''), art, hasNumbers);
  return (
    <Dummy
      folding={folded.folding}
      flat={size}
      caliper={rules.thickness.value}
      up={up}
      down={down}
      choices={
        <FormControlLabel
          control={<Switch size="small" checked={hasNumbers} onChange={(_event, on) => setNumbers(on)} />}
          label="page numbers"
          sx={{ bgcolor: 'background.paper', px: 1, mr: 0, borderRadius: 1 }}
        />
      }
      said={(isFolded) =>
        isFolded && (
          <Box component="span" data-read sx={{ fontWeight: 400, ml: 2 }}>
            {readWords(folded.read)}
          </Box>
        )
      }
    />
  );
}

/** Which pages one comes to, leafing through: runs of them, and those that stand on their heads. */
export function readWords(read: readonly ReadPage[]): string {
  const runs: [from: number, to: number][] = [];
  for (const { page } of read) {
    const last = runs.at(-1);
    if (last && page === last[1] + 1) last[1] = page;
    else runs.push([page, page]);
  }
  const order = runs.map(([from, to]) => (from === to ? String(from) : `${from} to ${to}`)).join(', then ');
  const turned = read.filter(({ isTurned }) => isTurned).map(({ page }) => page);
  const stand = turned.length === 0 ? 'all upright' : `▲ on their heads: ${turned.join(', ')}`;
  return `Leafing through: pages ${order}, ${stand}.`;
}

/** A form of the sheet as a picture that a model wears; undefined until its pages are drawn. */
function useFormTexture(
  sheet: ImposedSheet,
  face: ImposedFace | undefined,
  art: ReadonlyMap<string, SideArt>,
  hasNumbers: boolean,
): Texture | undefined {
  const white = useDesk().job.stock.white ?? '#ffffff';
  const isDrawn = face?.sides.every(({ surface }) => art.has(surface)) ?? false;
  const texture = useMemo(() => {
    if (!face || !isDrawn) return undefined;
    const { width, height } = sheet.size;
    const scale = PIXELS / Math.max(width, height);
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [Math.round(width * scale), Math.round(height * scale)];
    const context = canvas.getContext('2d');
    if (!context) return undefined;
    const look = { ink: INK, soft: COLOURS.line, knife: FAULT, white, cut: undefined };
    drawSheet(context, { sheet, face, art: ({ surface }) => art.get(surface), ...look }, { scale, x: 0, y: 0 });
    if (hasNumbers) {
      context.scale(scale, scale);
      const pages = face.sides.flatMap((side) => {
        const number = pageNumberOf(side.surface);
        return number === undefined ? [] : [{ side, number }];
      });
      drawPageNumbers(context, pages, { ink: INK, paper: COLOURS.sheetPale, face: FACES.figure });
    }
    const made = new CanvasTexture(canvas);
    made.colorSpace = SRGBColorSpace;
    made.anisotropy = 8;
    return made;
  }, [sheet, face, art, isDrawn, hasNumbers, white]);
  useEffect(() => () => texture?.dispose(), [texture]);
  return texture;
}
