'use client';
import { useEffect, useState } from 'react';
import { CanvasTexture, SRGBColorSpace, type Texture } from 'three';
import type { BlankSurface } from '@/core/format';
import type { Drawing } from '@/core/drawing';
import type { SvgContext } from '@/paint/svg';
import { sideCanvas } from '../view/side-canvas';

/** Longest side of a printed face, pixels: enough to read a headline on a turning model. */
const PIXELS = 1536;

/** A printed side as a picture that a model can wear; undefined while it is being drawn. */
export function useSideTexture(
  surface: BlankSurface | undefined,
  drawing: Drawing | undefined,
  context: SvgContext,
): Texture | undefined {
  const [texture, setTexture] = useState<Texture>();
  useEffect(() => {
    if (!surface) return;
    let current = true;
    let made: Texture | undefined;
    void sideCanvas({ surface, drawing, context, box: surface.boxes.trim, pixels: PIXELS }).then((canvas) => {
      if (!current || !canvas) return;
      made = new CanvasTexture(canvas);
      made.colorSpace = SRGBColorSpace;
      made.anisotropy = 8;
      setTexture(made);
    });
    return () => {
      current = false;
      made?.dispose();
    };
  }, [surface, drawing, context]);
  return texture;
}
