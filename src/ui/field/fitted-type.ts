/** Usual size of what stands in a field, px, and the least that is still read. */
const [USUAL, LEAST] = [14, 10];

/** How wide a sign is, of its size: figures all alike, letters on the average. */
const WIDE = { figures: 0.61, letters: 0.52 } as const;

/** How high a line in a field is, whatever the size of its type, px: fields beside each other stand on one line. */
export const FIELD_LINE = 20;

/**
 * The size of type at which something fits its field, so that none of it is cut off.
 * @param width room for it, px; undefined where the field is as wide as it has to be
 * @returns px
 */
export const fittedType = (text: string, width: number | undefined, kind: keyof typeof WIDE): number =>
  width === undefined || text.length === 0
    ? USUAL
    : Math.min(USUAL, Math.max(LEAST, width / (text.length * WIDE[kind])));
