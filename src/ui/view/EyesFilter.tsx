'use client';
import { blurFrom, matrixOf, type ColourMatrix, type Vision } from '@/core/eyes';

interface Props {
  readonly id: string;
  readonly distance: number;
  readonly vision: Vision;
  /** Pixels to a millimetre. */
  readonly scale: number;
}

/** What eyes make of the picture, in linear light: blurred from a distance, and without one kind of cones. */
export function EyesFilter({ id, distance, vision, scale }: Props) {
  const matrix = matrixOf(vision);
  return (
    <filter id={id} x="0" y="0" width="100%" height="100%" colorInterpolationFilters="linearRGB">
      {distance > 0 && <feGaussianBlur stdDeviation={blurFrom(distance) * scale} edgeMode="duplicate" />}
      {matrix && <feColorMatrix type="matrix" values={valuesOf(matrix)} />}
    </filter>
  );
}

const valuesOf = (matrix: ColourMatrix): string => `${matrix.map((row) => `${row.join(' ')} 0 0`).join(' ')} 0 0 0 1 0`;
