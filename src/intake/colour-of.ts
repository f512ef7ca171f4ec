import { PDFArray, PDFName, PDFStream, type PDFDict, type PDFObject } from '@cantoo/pdf-lib';
import type { Colour } from './painted';
import { dictOf, entry, listOf, name, nameText, resolved, type Opened } from './pdf';

/** A colour space as far as a press must know it. */
export interface Space {
  readonly kind: Colour['space'];
  readonly isTagged: boolean;
  readonly inks: readonly string[];
  /** What its numbers are at the beginning. */
  readonly first: readonly number[];
  /** Of a pattern without colours of its own, the space of those that it is laid with. */
  readonly under?: Space;
}

const space = (kind: Space['kind'], count: number, isTagged = false, inks: readonly string[] = []): Space => ({
  kind,
  isTagged,
  inks,
  first: Array.from({ length: count }, () => (kind === 'spot' ? 1 : 0)),
});

export const GREY = space('grey', 1);
const UNKNOWN = space('unknown', 1);
const DEVICE: Readonly<Record<string, Space>> = {
  DeviceGray: GREY,
  G: GREY,
  DeviceRGB: space('rgb', 3),
  RGB: space('rgb', 3),
  DeviceCMYK: space('cmyk', 4),
  CMYK: space('cmyk', 4),
  Pattern: space('pattern', 0),
};
const BY_COMPONENTS: Readonly<Record<number, Space['kind']>> = { 1: 'grey', 3: 'rgb', 4: 'cmyk' };

/** Spaces lead to others: a file that leads in a circle is followed so far. */
const DEEP = 8;

/** The colour space that an object is (ISO 32000-1, 8.6). @param resources where names and defaults are looked up */
export function spaceOf(file: Opened, object: PDFObject | undefined, resources: PDFDict | undefined, deep = 0): Space {
  const found = resolved(file, object);
  if (deep > DEEP) return UNKNOWN;
  if (found instanceof PDFName) {
    const said = found.decodeText();
    const own = dictOf(file, resources?.get(name('ColorSpace')));
    const isDevice = said in DEVICE;
    const stand = isDevice ? entry(file, own, said.replace('Device', 'Default')) : own?.get(found);
    if (stand !== undefined && stand !== found) return spaceOf(file, stand, resources, deep + 1);
    return DEVICE[said] ?? UNKNOWN;
  }
  if (!(found instanceof PDFArray)) return UNKNOWN;
  const kind = nameText(resolved(file, found.get(0))) ?? '';
  switch (kind) {
    case 'ICCBased': {
      const profile = resolved(file, found.get(1));
      const count = profile instanceof PDFStream ? Number(String(entry(file, profile.dict, 'N'))) : 0;
      return space(BY_COMPONENTS[count] ?? 'unknown', count in BY_COMPONENTS ? count : 1, true);
    }
    case 'CalGray':
      return space('grey', 1, true);
    case 'CalRGB':
      return space('rgb', 3, true);
    case 'Lab':
      return space('lab', 3, true);
    case 'Separation':
      return space('spot', 1, false, [nameText(resolved(file, found.get(1))) ?? '']);
    case 'DeviceN': {
      const inks = listOf(file, found.get(1)).map((ink) => nameText(ink) ?? '');
      return space('spot', inks.length, false, inks);
    }
    case 'Indexed':
    case 'I':
      return { ...spaceOf(file, found.get(1), resources, deep + 1), first: [0] };
    case 'Pattern':
      return {
        ...space('pattern', 0),
        ...(found.size() > 1 && { under: spaceOf(file, found.get(1), resources, deep + 1) }),
      };
    default:
      return DEVICE[kind] ?? UNKNOWN;
  }
}

export const colourIn = ({ kind, isTagged, inks }: Space, values: readonly number[]): Colour => ({
  space: kind,
  isTagged,
  inks,
  values,
});
