import { PDFArray, PDFDict, PDFName, PDFRef, PDFStream, type PDFObject } from '@cantoo/pdf-lib';
import { operationsOf, type Operation, type Token } from '../../intake/pdf';
import { checkSpace, type Spots } from './colour';
import { dictOf, entry, listOf, name, nameText, numbersOf, resolved, unpacked, type OpenFile } from './reader';

/** What glyphs of a font a file draws: by code, and whether each is told by the font or beside it. */
export interface FontUse {
  readonly font: PDFDict;
  readonly codes: Map<number, { told: boolean }>;
}

export interface Walk {
  readonly file: OpenFile;
  readonly spots: Spots;
  readonly fonts: Map<PDFDict, FontUse>;
  readonly seen: Set<PDFObject>;
}

/**
 * How many operands an operator takes (ISO 32000-1, table 51); those that take a colour are looked at by themselves.
 */
const OPERANDS: Readonly<Record<string, number>> = {
  q: 0,
  Q: 0,
  cm: 6,
  w: 1,
  J: 1,
  j: 1,
  M: 1,
  d: 2,
  ri: 1,
  i: 1,
  gs: 1,
  m: 2,
  l: 2,
  c: 6,
  v: 4,
  y: 4,
  h: 0,
  re: 4,
  S: 0,
  s: 0,
  f: 0,
  F: 0,
  'f*': 0,
  B: 0,
  'B*': 0,
  b: 0,
  'b*': 0,
  n: 0,
  W: 0,
  'W*': 0,
  BT: 0,
  ET: 0,
  Tc: 1,
  Tw: 1,
  Tz: 1,
  TL: 1,
  Tf: 2,
  Tr: 1,
  Ts: 1,
  Td: 2,
  TD: 2,
  Tm: 6,
  'T*': 0,
  Tj: 1,
  TJ: 1,
  "'": 1,
  '"': 3,
  CS: 1,
  cs: 1,
  SCN: -1,
  scn: -1,
  SC: -1,
  sc: -1,
  G: 1,
  g: 1,
  RG: 3,
  rg: 3,
  K: 4,
  k: 4,
  sh: 1,
  Do: 1,
  MP: 1,
  DP: 2,
  BMC: 1,
  BDC: 2,
  EMC: 0,
  d0: 2,
  d1: 6,
  BX: 0,
  EX: 0,
  BI: 1,
};

const BLENDS = [
  'Normal',
  'Compatible',
  'Multiply',
  'Screen',
  'Overlay',
  'Darken',
  'Lighten',
  'ColorDodge',
  'ColorBurn',
  'HardLight',
  'SoftLight',
  'Difference',
  'Exclusion',
  'Hue',
  'Saturation',
  'Color',
  'Luminosity',
];
const INTENTS = ['Perceptual', 'Saturation', 'RelativeColorimetric', 'AbsoluteColorimetric'];
const FILTERS = [
  'FlateDecode',
  'DCTDecode',
  'JPXDecode',
  'CCITTFaxDecode',
  'RunLengthDecode',
  'ASCIIHexDecode',
  'ASCII85Decode',
  'JBIG2Decode',
];

/** Filters, and where the bytes are (ISO 15930-7, 6.1, from memory). */
export function checkStream({ say }: OpenFile, stream: PDFStream, where: string): void {
  const filter = stream.dict.lookup(name('Filter'));
  const filters = filter === undefined ? [] : filter instanceof PDFName ? [filter] : listOfNames(filter);
  for (const one of filters) if (!FILTERS.includes(one.decodeText())) say('filters', `${where}: ${one.decodeText()}`);
  if (stream.dict.has(name('F')) && stream.dict.lookup(name('F')) instanceof PDFDict)
    say('filters', `${where}: its bytes lie in another file`);
}

const listOfNames = (list: PDFObject): readonly PDFName[] =>
  list instanceof PDFArray ? list.asArray().filter((f): f is PDFName => f instanceof PDFName) : [];

/** A graphics state (ISO 15930-7, 6.2.5 and 6.4, from memory). */
function checkState(walk: Walk, state: PDFDict | undefined, resources: PDFDict, where: string): void {
  const { file } = walk;
  const { say } = file;
  if (!state) return say('state', `${where}: there is none of that name`);
  for (const key of ['TR', 'HTP']) if (state.has(name(key))) say('state', `${where}: /${key}`);
  const transfer = state.lookup(name('TR2'));
  if (transfer !== undefined && transfer !== name('Default')) say('state', `${where}: a transfer function`);
  const blend = state.lookup(name('BM'));
  const modes = blend === undefined ? [] : blend instanceof PDFName ? [blend] : listOfNames(blend);
  for (const mode of modes)
    if (!BLENDS.includes(mode.decodeText())) say('state', `${where}: there is no blend mode ${mode.decodeText()}`);
  for (const key of ['ca', 'CA']) {
    const value = state.lookup(name(key));
    if (value !== undefined && !(Number(String(value)) >= 0 && Number(String(value)) <= 1))
      say('state', `${where}: /${key} ${String(value)}`);
  }
  const mode = state.lookup(name('OPM'));
  if (mode !== undefined && ![0, 1].includes(Number(String(mode)))) say('state', `${where}: /OPM ${String(mode)}`);
  const mask = state.lookup(name('SMask'));
  if (!(mask instanceof PDFDict)) return;
  if (!['Alpha', 'Luminosity'].includes(nameText(mask.lookup(name('S'))) ?? ''))
    say('masks', `${where}: a soft mask of no kind`);
  const form = mask.lookup(name('G'));
  if (!(form instanceof PDFStream)) return say('masks', `${where}: a soft mask without a form`);
  const group = entry(file, form.dict, 'Group');
  if (!(group instanceof PDFDict)) return say('masks', `${where}: the form of a soft mask is no group`);
  const space = group.get(name('CS'));
  if (nameText(mask.lookup(name('S'))) === 'Luminosity') {
    if (space === undefined) say('masks', `${where}: a soft mask by luminosity in no colour space`);
    const count = space === undefined ? undefined : checkSpace(file, space, resources, `${where}, mask`, walk.spots);
    const backdrop = mask.has(name('BC')) ? numbersOf(file, mask.get(name('BC'))).length : count;
    if (backdrop !== count)
      say('masks', `${where}: a backdrop of ${backdrop ?? 0} components in a space of ${count ?? 0}`);
  }
  drawForm(walk, form, resources, `${where}, mask`);
}

/** An image (ISO 15930-7, 6.2.4 and 6.8, from memory). */
function checkImage(walk: Walk, image: PDFStream, resources: PDFDict, where: string): void {
  const { file, spots } = walk;
  const { say } = file;
  for (const key of ['OPI', 'Alternates']) if (image.dict.has(name(key))) say('images', `${where}: /${key}`);
  const number = (key: string) => Number(String(entry(file, image.dict, key)));
  const [width, height] = [number('Width'), number('Height')];
  if (!(width > 0 && height > 0)) say('images', `${where}: no size`);
  const isMask = String(entry(file, image.dict, 'ImageMask')) === 'true';
  const bits = isMask ? 1 : number('BitsPerComponent');
  const packed = filterNames(image);
  if (!isMask && !packed.includes('JPXDecode') && ![1, 2, 4, 8, 16].includes(bits))
    say('images', `${where}: ${bits} bits`);
  const count = isMask ? 1 : checkSpace(file, image.dict.get(name('ColorSpace')), resources, where, spots);
  if (
    packed.length === 1 &&
    packed[0] === 'FlateDecode' &&
    count !== undefined &&
    !image.dict.has(name('DecodeParms'))
  ) {
    const wanted = Math.ceil((width * count * bits) / 8) * height;
    if (unpacked(image).length !== wanted) say('images', `${where}: its pixels are not as many as it says`);
  }
  const mask = image.dict.lookup(name('SMask'));
  if (mask instanceof PDFStream) {
    if (mask.dict.lookup(name('ColorSpace')) !== name('DeviceGray')) say('masks', `${where}: its mask is not grey`);
    if (mask.dict.has(name('SMask'))) say('masks', `${where}: a mask with a mask`);
    checkStream(file, mask, `${where}, mask`);
  }
}

const filterNames = (stream: PDFStream): readonly string[] => {
  const filter = stream.dict.lookup(name('Filter'));
  return filter instanceof PDFName
    ? [filter.decodeText()]
    : filter
      ? listOfNames(filter).map((f) => f.decodeText())
      : [];
};

/** A form with what it draws with; without resources of its own it draws with those around it. */
function drawForm(walk: Walk, form: PDFStream, around: PDFDict, where: string): void {
  if (walk.seen.has(form)) return;
  walk.seen.add(form);
  const { file } = walk;
  checkStream(file, form, where);
  if (nameText(entry(file, form.dict, 'Subtype')) === 'PS' || form.dict.has(name('PS')))
    file.say('content', `${where}: PostScript`);
  for (const key of ['OPI', 'Ref']) if (form.dict.has(name(key))) file.say('content', `${where}: /${key}`);
  if (numbersOf(file, form.dict.get(name('BBox'))).length !== 4) file.say('content', `${where}: a form without a box`);
  const resources = dictOf(file, form.dict.get(name('Resources'))) ?? around;
  const group = entry(file, form.dict, 'Group');
  if (group instanceof PDFDict) checkGroup(walk, group, resources, where);
  drawContent(walk, unpacked(form), resources, where);
}

export function checkGroup({ file, spots }: Walk, group: PDFDict, resources: PDFDict, where: string): void {
  if (group.lookup(name('S')) !== name('Transparency')) file.say('groups', `${where}: a group of no kind`);
  const space = group.get(name('CS'));
  if (space === undefined) return;
  const count = checkSpace(file, space, resources, `${where}, group`, spots);
  const said = nameText(resolved(file, space));
  if (said === 'Pattern' || said === 'Lab' || (count !== 1 && count !== 3 && count !== 4))
    file.say('groups', `${where}: nothing mixes in ${said ?? 'that space'}`);
}

type Kind = 'XObject' | 'ExtGState' | 'ColorSpace' | 'Font' | 'Properties' | 'Shading' | 'Pattern';

/** Reads content and everything that it names (ISO 15930-7, 6.2, from memory). */
export function drawContent(walk: Walk, bytes: Uint8Array, resources: PDFDict, where: string): void {
  const { file } = walk;
  const { say } = file;
  let operations: readonly Operation[];
  try {
    operations = operationsOf(bytes);
  } catch (error) {
    return say('content', `${where}: ${error instanceof Error ? error.message : String(error)}`);
  }
  const named = (kind: Kind, key: Token | undefined): PDFObject | undefined => {
    const text = key?.kind === 'name' ? key.text : '';
    const found = dictOf(file, resources.get(name(kind)))?.get(PDFName.of(text));
    if (found === undefined) say('content', `${where}: /${kind} has no ${text}`);
    return found;
  };
  const stack: ('q' | 'BT' | 'BDC')[] = [];
  const close = (what: (typeof stack)[number], operator: string) => {
    if (stack.pop() !== what) say('content', `${where}: ${operator} where it closes nothing`);
  };
  const beside: boolean[] = [];
  let font: FontUse | undefined;
  const space: Record<'fill' | 'stroke', number | undefined> = { fill: 1, stroke: 1 };
  const show = (token: Token | undefined): void => {
    if (token?.kind === 'list') return token.items.forEach(show);
    if (token?.kind !== 'string') return;
    if (!font) return say('content', `${where}: words without a font`);
    const told = beside.includes(true);
    const isWide = font.font.lookup(name('Subtype')) === name('Type0');
    for (let i = 0; i < token.bytes.length; i += isWide ? 2 : 1) {
      const code = isWide ? (token.bytes[i] ?? 0) * 256 + (token.bytes[i + 1] ?? 0) : (token.bytes[i] ?? 0);
      const before = font.codes.get(code);
      if (before) before.told &&= told;
      else font.codes.set(code, { told });
    }
  };
  for (const { operator, operands } of operations) {
    const wanted = OPERANDS[operator];
    if (wanted === undefined) {
      say('content', `${where}: there is no operator ${operator}`);
      continue;
    }
    if (wanted >= 0 && operands.length !== wanted)
      say('content', `${where}: ${operator} with ${operands.length} operands`);
    const [first, second] = operands;
    switch (operator) {
      case 'q':
        stack.push('q');
        break;
      case 'Q':
        close('q', operator);
        break;
      case 'BT':
        stack.push('BT');
        break;
      case 'ET':
        close('BT', operator);
        break;
      case 'BMC':
      case 'BDC': {
        stack.push('BDC');
        beside.push(second?.kind === 'dict' && second.entries.has('ActualText'));
        if (operator === 'BDC' && second?.kind === 'name') named('Properties', second);
        break;
      }
      case 'EMC':
        close('BDC', operator);
        beside.pop();
        break;
      case 'ri':
        if (first?.kind !== 'name' || !INTENTS.includes(first.text)) say('content', `${where}: no rendering intent`);
        break;
      case 'gs':
        checkState(walk, dictOf(file, named('ExtGState', first)), resources, where);
        break;
      case 'rg':
      case 'RG':
        checkSpace(file, name('DeviceRGB'), resources, where, walk.spots);
        break;
      case 'g':
      case 'k':
      case 'G':
      case 'K':
        for (const token of operands)
          if (token.kind !== 'number' || token.value < 0 || token.value > 1)
            say('colour', `${where}: ${operator} out of 0 to 1`);
        break;
      case 'cs':
      case 'CS': {
        const use = operator === 'cs' ? 'fill' : 'stroke';
        const device =
          first?.kind === 'name' && ['DeviceGray', 'DeviceRGB', 'DeviceCMYK', 'Pattern'].includes(first.text);
        const found = device ? name(first.text) : named('ColorSpace', first);
        space[use] = found && checkSpace(file, found, resources, where, walk.spots);
        break;
      }
      case 'scn':
      case 'SCN': {
        const count = space[operator === 'scn' ? 'fill' : 'stroke'];
        const last = operands.at(-1);
        if (last?.kind === 'name') drawPattern(walk, resolved(file, named('Pattern', last)), resources, where);
        else if (count !== undefined && operands.length !== count)
          say('colour', `${where}: ${operands.length} components in a space of ${count}`);
        break;
      }
      case 'sh': {
        const shading = dictOf(file, named('Shading', first));
        if (shading) checkSpace(file, shading.get(name('ColorSpace')), resources, `${where}, shading`, walk.spots);
        break;
      }
      case 'Do': {
        const drawn = resolved(file, named('XObject', first));
        if (!(drawn instanceof PDFStream)) break;
        checkStream(file, drawn, where);
        if (entry(file, drawn.dict, 'Subtype') === name('Image')) checkImage(walk, drawn, resources, where);
        else drawForm(walk, drawn, resources, `${where}/${first?.kind === 'name' ? first.text : ''}`);
        break;
      }
      case 'Tf': {
        const dict = dictOf(file, named('Font', first));
        if (!dict) break;
        font = walk.fonts.get(dict) ?? { font: dict, codes: new Map() };
        walk.fonts.set(dict, font);
        break;
      }
      case 'Tj':
      case 'TJ':
      case "'":
        show(first);
        break;
      case '"':
        show(operands[2]);
        break;
    }
  }
  if (stack.length > 0) say('content', `${where}: ${stack.join(', ')} not closed`);
}

function drawPattern(walk: Walk, pattern: PDFObject | undefined, resources: PDFDict, where: string): void {
  if (!pattern || walk.seen.has(pattern)) return;
  walk.seen.add(pattern);
  if (pattern instanceof PDFStream) {
    const own = dictOf(walk.file, pattern.dict.get(name('Resources'))) ?? resources;
    drawContent(walk, unpacked(pattern), own, `${where}, pattern`);
    return;
  }
  const shading = dictOf(walk.file, dictOf(walk.file, pattern)?.get(name('Shading')));
  if (shading) checkSpace(walk.file, shading.get(name('ColorSpace')), resources, `${where}, pattern`, walk.spots);
}

/** Every page, with all that it draws. */
export function drawPages(walk: Walk): void {
  const { file } = walk;
  file.document.getPages().forEach((page, i) => {
    const where = `page ${i + 1}`;
    const resources = page.node.Resources();
    if (!resources) return file.say('page', `${where}: no resources`);
    const group = entry(file, page.node, 'Group');
    if (group instanceof PDFDict) checkGroup(walk, group, resources, where);
    const contents = page.node.get(name('Contents'));
    const list = resolved(file, contents);
    const streams = list instanceof PDFStream ? [list] : listOf(file, contents instanceof PDFRef ? list : contents);
    const parts = streams.flatMap((s) => (s instanceof PDFStream ? [unpacked(s), Uint8Array.of(10)] : []));
    for (const s of streams) if (s instanceof PDFStream) checkStream(file, s, where);
    drawContent(walk, Buffer.concat(parts), resources, where);
  });
}
