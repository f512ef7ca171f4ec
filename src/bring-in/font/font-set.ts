import { FALLBACK_FAMILY, nearestFace, type Face, type FontSet, type ShapingFont } from '../../core/type';

/** A face at hand, as its opened files. */
export function createFontSet(faces: readonly Face[]): FontSet {
  const files = new Map<string, ShapingFont>();
  for (const face of faces) for (const file of face.files) files.set(file.key, file);
  const of = (family: string) => faces.filter((face) => face.family === family);
  return {
    find: (family, weight, italic) => nearestFace(of(family), weight, italic),
    file: (key) => files.get(key),
    fallback: () => nearestFace(of(FALLBACK_FAMILY), 400, false) ?? faces[0],
  };
}
