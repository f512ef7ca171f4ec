import type { Rgb } from '../colour';

/** How colours are seen: as most people do, or without one of the three kinds of cones. */
export const VISIONS = ['usual', 'protan', 'deutan', 'tritan'] as const;
export type Vision = (typeof VISIONS)[number];

/** Row by row, on linear RGB. */
export type ColourMatrix = readonly [
  readonly [number, number, number],
  readonly [number, number, number],
  readonly [number, number, number],
];

/**
 * Machado, Oliveira and Fernandes 2009, “A Physiologically-based Model for Simulation of Color Vision Deficiency”, the
 * tables for a severity of 1.0 (figures from memory).
 */
const MATRICES: Readonly<Record<Exclude<Vision, 'usual'>, ColourMatrix>> = {
  protan: [
    [0.152286, 1.052583, -0.204868],
    [0.114503, 0.786281, 0.099216],
    [-0.003882, -0.048116, 1.051998],
  ],
  deutan: [
    [0.367322, 0.860646, -0.227968],
    [0.280085, 0.672501, 0.047413],
    [-0.01182, 0.04294, 0.968881],
  ],
  tritan: [
    [1.255528, -0.076749, -0.178779],
    [-0.078411, 0.930809, 0.147602],
    [0.004733, 0.691367, 0.3039],
  ],
};

/** The matrix of a way of seeing; undefined where nothing changes. */
export const matrixOf = (vision: Vision): ColourMatrix | undefined =>
  vision === 'usual' ? undefined : MATRICES[vision];

/** sRGB of 0 to 255 in linear light, 0 to 1 (IEC 61966-2-1). */
export function linear(value: number): number {
  const c = value / 255;
  return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
}

function encoded(light: number): number {
  const c = Math.min(1, Math.max(0, light));
  return 255 * (c <= 0.0031308 ? c * 12.92 : 1.055 * c ** (1 / 2.4) - 0.055);
}

/** A colour of the screen as it is seen. */
export function seenBy(vision: Vision, { r, g, b }: Rgb): Rgb {
  const matrix = matrixOf(vision);
  if (!matrix) return { r, g, b };
  const [x, y, z] = [linear(r), linear(g), linear(b)];
  const [red, green, blue] = matrix;
  const row = ([i, j, k]: ColourMatrix[number]) => encoded(i * x + j * y + k * z);
  return { r: row(red), g: row(green), b: row(blue) };
}
