import { readable } from '../../fields';
import type { ParagraphChanges } from '../../look';
import { plainText, stylesInParagraphs, type Paragraph } from '../../paragraph';
import { asItIs, defineElementKind, none } from '../define';
import { cutTo, oneLine, quoted } from '../words';
import { repaintWords } from './repaint-words';
import type { TextElement } from './schema';

const SIDES = { left: 'right', right: 'left' } as const;

/** Words that are told to stand left stand right. */
const mirroredLook = <L extends ParagraphChanges | undefined>(look: L): L =>
  look?.align === 'left' || look?.align === 'right' ? { ...look, align: SIDES[look.align] } : look;

const mirroredParagraph = (p: Paragraph): Paragraph => (p.look ? { ...p, look: mirroredLook(p.look) } : p);

export const text = defineElementKind<TextElement>({
  title: ({ paragraphs }) => {
    const words = readable(plainText(paragraphs)).trim().split(/\s+/).slice(0, 4).join(' ');
    return words ? cutTo(words, 32) : 'Empty text';
  },
  content: 'set',
  bleeds: () => false,
  file: none,
  texts: (element) => [element],
  mapTexts: (element, _, change) => change(element),
  stylesNamed: ({ style, paragraphs }) => [...(style === null ? [] : [style]), ...stylesInParagraphs(paragraphs)],
  repaint: repaintWords,
  onLeftPage: (element) => ({
    ...element,
    look: mirroredLook(element.look),
    paragraphs: element.paragraphs.map(mirroredParagraph),
  }),
  flipped: asItIs,
  difference: (was, is) => {
    const [before, after] = [oneLine(plainText(was.paragraphs)), oneLine(plainText(is.paragraphs))];
    if (before === after) return undefined;
    const isRestAlike = JSON.stringify({ ...was, paragraphs: null }) === JSON.stringify({ ...is, paragraphs: null });
    return `says ${quoted(after)}, not ${quoted(before)}${isRestAlike ? '' : ', and looks otherwise'}`;
  },
});
