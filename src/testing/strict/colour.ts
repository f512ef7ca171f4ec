import type { PDFDict } from '@cantoo/pdf-lib';
import { PDFArray, PDFName, PDFStream, type PDFObject } from '@cantoo/pdf-lib';
import { dictOf, entry, listOf, name, nameText, numbersOf, resolved, unpacked, type OpenFile } from './reader';

const COMPONENTS: Readonly<Record<string, number>> = {
  DeviceGray: 1,
  DeviceCMYK: 4,
  CalGray: 1,
  CalRGB: 3,
  Lab: 3,
  Pattern: 1,
};

/** How each spot ink is shown, by its name. */
export type Spots = Map<string, string>;

/**
 * A colour space that a press can print (ISO 15930-7, 6.2.3 and 6.2.4, from memory).
 * @param resources where defaults are looked for
 * @returns how many components it has; undefined when it is no space
 */
export function checkSpace(
  file: OpenFile,
  space: PDFObject | undefined,
  resources: PDFDict | undefined,
  where: string,
  spots: Spots,
): number | undefined {
  const { say } = file;
  const found = resolved(file, space);
  if (found instanceof PDFName) {
    const kind = found.decodeText();
    if (kind === 'DeviceRGB') {
      const usual = entry(file, dictOf(file, resources?.get(name('ColorSpace'))), 'DefaultRGB');
      if (!(usual instanceof PDFArray)) say('colour', `${where}: RGB without a meaning`);
      return 3;
    }
    if (!(kind in COMPONENTS)) say('colour', `${where}: there is no colour space ${kind}`);
    return COMPONENTS[kind];
  }
  if (!(found instanceof PDFArray)) {
    say('colour', `${where}: no colour space`);
    return undefined;
  }
  const kind = nameText(resolved(file, found.get(0))) ?? '';
  switch (kind) {
    case 'ICCBased':
      return checkProfile(file, resolved(file, found.get(1)), where);
    case 'Separation':
      return checkSeparation(file, found, where, spots);
    case 'DeviceN':
      return checkDeviceN(file, found, where, spots);
    case 'Indexed':
      checkSpace(file, found.get(1), resources, where, spots);
      return 1;
    case 'Pattern':
      if (found.size() > 1) checkSpace(file, found.get(1), resources, where, spots);
      return 1;
    case 'CalGray':
    case 'CalRGB':
    case 'Lab':
      return COMPONENTS[kind];
    default:
      say('colour', `${where}: there is no colour space ${kind}`);
      return undefined;
  }
}

const ICC_SPACES: Readonly<Record<string, number>> = { GRAY: 1, 'RGB ': 3, CMYK: 4, 'Lab ': 3 };

function checkProfile(file: OpenFile, profile: PDFObject | undefined, where: string): number | undefined {
  if (!(profile instanceof PDFStream)) {
    file.say('colour', `${where}: a profile that is none`);
    return undefined;
  }
  const n = Number(String(entry(file, profile.dict, 'N')));
  const icc = unpacked(profile);
  const space = Buffer.from(icc.subarray(16, 20)).toString('latin1');
  if (ICC_SPACES[space] !== n) file.say('colour', `${where}: a profile for ${space.trim()} that says ${n} components`);
  return n;
}

const RESERVED = ['Cyan', 'Magenta', 'Yellow', 'Black'];

function checkSeparation(file: OpenFile, space: PDFArray, where: string, spots: Spots): number {
  const { say } = file;
  const ink = nameText(resolved(file, space.get(1)));
  if (ink === undefined || ink === '') say('names', `${where}: the name of an ink is not UTF-8`);
  if (space.size() !== 4) say('colour', `${where}: a separation of ${space.size()} parts`);
  const alternate = nameText(resolved(file, space.get(2)));
  if (alternate !== 'DeviceCMYK') say('colour', `${where}: ${ink ?? 'an ink'} is shown in ${alternate ?? 'no space'}`);
  const transform = dictOf(file, space.get(3));
  if (!transform) say('colour', `${where}: ${ink ?? 'an ink'} has no transform`);
  if (ink === 'All' || ink === 'None') return 1;
  const shown = `${alternate ?? ''} ${said(file, transform)}`;
  const before = spots.get(ink ?? '');
  if (before !== undefined && before !== shown) say('names', `${where}: ${ink ?? ''} is shown in two ways`);
  spots.set(ink ?? '', shown);
  const twin = [...spots.keys()].find((other) => other !== ink && plain(other) === plain(ink ?? ''));
  if (twin !== undefined) say('names', `${where}: ${ink ?? ''} and ${twin} are one ink in two spellings`);
  return 1;
}

const plain = (ink: string): string => ink.toLowerCase().replace(/[\s_-]+/g, '');

/** A function in words, so that two can be compared. */
function said(file: OpenFile, transform: PDFDict | undefined): string {
  if (!transform) return '';
  const numbers = (key: string) => numbersOf(file, transform.get(name(key))).join(' ');
  return ['FunctionType', 'Domain', 'Range', 'C0', 'C1', 'N']
    .map((key) => `${key} ${numbers(key) || String(transform.get(name(key)) ?? '')}`)
    .join(';');
}

function checkDeviceN(file: OpenFile, space: PDFArray, where: string, spots: Spots): number {
  const { say } = file;
  const inks = listOf(file, space.get(1)).map(nameText);
  if (inks.some((ink) => ink === undefined || ink === '')) say('names', `${where}: the name of an ink is not UTF-8`);
  if (inks.includes('All')) say('names', `${where}: All among several inks`);
  if (new Set(inks).size !== inks.length) say('names', `${where}: an ink twice in one space`);
  if (nameText(resolved(file, space.get(2))) !== 'DeviceCMYK')
    say('colour', `${where}: inks that are not shown in DeviceCMYK`);
  const colorants = dictOf(file, dictOf(file, space.get(4))?.get(name('Colorants')));
  for (const ink of inks) {
    if (ink === undefined || RESERVED.includes(ink) || ink === 'None') continue;
    const key = colorants?.keys().find((k) => nameText(k) === ink);
    const own = key && resolved(file, colorants?.get(key));
    if (!(own instanceof PDFArray)) say('colour', `${where}: ${ink} is not among the colorants`);
    else checkSeparation(file, own, where, spots);
  }
  return inks.length;
}
