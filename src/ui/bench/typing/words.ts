import {
  $createLineBreakNode,
  $createParagraphNode,
  $createRangeSelection,
  $createTabNode,
  $createTextNode,
  $getRoot,
  $getSelection,
  $getState,
  $isElementNode,
  $isLineBreakNode,
  $isRangeSelection,
  $isTextNode,
  $setSelection,
  $setState,
  createState,
  type ElementNode,
  type LexicalNode,
  type PointType,
  type TextNode,
} from 'lexical';
import { Paragraph, Run, type TextRange } from '@/core/job';

/*
 * Words between the job and the editor package. A paragraph of the job is a paragraph of the editor; what a run says of
 * its look travels in the text node’s style, so that what is typed beside it looks alike; U+2028 is a line break.
 */

const LINE_SEPARATOR = '\u2028';

const About = Paragraph.pick({ style: true, look: true });
type AboutParagraph = Pick<Paragraph, 'style' | 'look'>;
const RunLook = Run.pick({ style: true, look: true });
type AboutRun = Pick<Run, 'style' | 'look'>;

/** What a paragraph says of its look, as JSON. */
const aboutState = createState('about', { parse: (value) => (typeof value === 'string' ? value : '') });

const written = (about: AboutParagraph | AboutRun): string => {
  const { style, look } = about;
  return style === undefined && look === undefined
    ? ''
    : JSON.stringify({ ...(style !== undefined && { style }), ...(look && { look }) });
};

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

/** What comes from elsewhere, as a web page’s style, says nothing here. */
function aboutRun(style: string): AboutRun {
  const read = RunLook.safeParse(parsed(style));
  return read.success ? read.data : {};
}

/** What a text node says of its look. Bold, slanted and ruled words of another program’s clipboard stay so. */
function lookOf(node: TextNode): AboutRun {
  const about = aboutRun(node.getStyle());
  const foreign = {
    ...(node.hasFormat('bold') && { weight: 700 }),
    ...(node.hasFormat('italic') && { italic: true }),
    ...(node.hasFormat('underline') && { underline: true }),
    ...(node.hasFormat('strikethrough') && { strike: true }),
  };
  return Object.keys(foreign).length === 0 ? about : { ...about, look: { ...foreign, ...about.look } };
}

/** Where the words of a text that was changed from elsewhere stop being different: there the caret goes on. */
export function endOfChange(before: string, after: string): number | undefined {
  if (before === after) return undefined;
  const most = Math.min(before.length, after.length);
  let head = 0;
  while (head < most && before[head] === after[head]) head += 1;
  let tail = 0;
  while (tail < most - head && before.at(-1 - tail) === after.at(-1 - tail)) tail += 1;
  return after.length - tail;
}

function aboutParagraph(node: LexicalNode): AboutParagraph {
  const read = About.safeParse(parsed($getState(node, aboutState)));
  return read.success ? read.data : {};
}

export function $copyAbout(from: ElementNode, to: ElementNode, style?: string): void {
  $setState(to, aboutState, style === undefined ? $getState(from, aboutState) : written({ style }));
}

/** The paragraph style that an editor’s paragraph names. */
export const $styleOf = (node: ElementNode): string | undefined => aboutParagraph(node).style;

const SIGNS = /([\t\u2028])/;

/** Puts paragraphs into the editor. */
export function $putParagraphs(paragraphs: readonly Paragraph[]): void {
  const root = $getRoot();
  root.clear();
  for (const paragraph of paragraphs) {
    const node = $createParagraphNode();
    $setState(node, aboutState, written(paragraph));
    for (const run of paragraph.runs) {
      for (const part of run.text.split(SIGNS)) {
        if (part === '') continue;
        const made =
          part === '\t' ? $createTabNode() : part === LINE_SEPARATOR ? $createLineBreakNode() : $createTextNode(part);
        if ($isTextNode(made)) made.setStyle(written(run));
        node.append(made);
      }
    }
    root.append(node);
  }
}

/** Reads the editor’s paragraphs; one that did not change is the same object as before. */
export function paragraphReader(): () => Paragraph[] {
  let known = new Map<string, { readonly from: readonly unknown[]; readonly made: readonly Paragraph[] }>();
  return () => {
    const next = new Map<string, { readonly from: readonly unknown[]; readonly made: readonly Paragraph[] }>();
    const out = $getRoot()
      .getChildren()
      .flatMap((node): readonly Paragraph[] => {
        const parts = leavesOf(node);
        const from = [$getState(node, aboutState), ...parts];
        const before = known.get(node.getKey());
        const isSame = before?.from.length === from.length && before.from.every((v, i) => v === from[i]);
        const made = isSame ? before.made : paragraphsOf(node, parts);
        next.set(node.getKey(), { from, made });
        return made;
      });
    known = next;
    return out.length > 0 ? out : [{ runs: [] }];
  };
}

function leavesOf(node: LexicalNode): readonly LexicalNode[] {
  return $isElementNode(node) ? node.getChildren().flatMap(leavesOf) : [node];
}

/** A paragraph of the editor; line feeds within it, as some ways of input leave them, part it. */
function paragraphsOf(node: LexicalNode, parts: readonly LexicalNode[]): readonly Paragraph[] {
  const about = aboutParagraph(node);
  const runs: Run[][] = [[]];
  for (const part of parts) {
    const text = $isLineBreakNode(part) ? LINE_SEPARATOR : part.getTextContent();
    const look = $isTextNode(part) ? lookOf(part) : {};
    text.split('\n').forEach((words, i) => {
      if (i > 0) runs.push([]);
      const list = runs.at(-1) ?? [];
      const last = list.at(-1);
      if (words === '') return;
      const alike = last && ($isLineBreakNode(part) || written(last) === written(look));
      if (alike) list[list.length - 1] = { ...last, text: last.text + words };
      else list.push({ text: words, ...look });
    });
  }
  return runs.map((list) => ({ ...about, runs: list }));
}

const lengthOf = (node: LexicalNode): number => ($isLineBreakNode(node) ? 1 : node.getTextContentSize());

/** Words before a point of the editor. */
function indexOf(point: PointType): number {
  let at = 0;
  for (const paragraph of $getRoot().getChildren().filter($isElementNode)) {
    const parts = leavesOf(paragraph);
    if (point.type === 'element' && point.key === 'root') return at;
    if (point.type === 'element' && point.key === paragraph.getKey()) {
      return at + parts.slice(0, point.offset).reduce((sum, p) => sum + lengthOf(p), 0);
    }
    for (const part of parts) {
      if (part.getKey() === point.key) return at + point.offset;
      at += lengthOf(part);
    }
    at += 1;
  }
  return Math.max(0, at - 1);
}

/** What is selected, from where it was begun to where it was drawn. */
export function $selectedRange(): TextRange | undefined {
  const selection = $getSelection();
  return $isRangeSelection(selection) ? [indexOf(selection.anchor), indexOf(selection.focus)] : undefined;
}

interface Place {
  readonly key: string;
  readonly offset: number;
  readonly type: 'text' | 'element';
}

function placeAt(index: number): Place | undefined {
  let at = 0;
  let end: Place | undefined;
  for (const paragraph of $getRoot().getChildren().filter($isElementNode)) {
    const parts = leavesOf(paragraph);
    const length = parts.reduce((sum, p) => sum + lengthOf(p), 0);
    end = { key: paragraph.getKey(), offset: parts.length, type: 'element' };
    if (index > at + length) {
      at += length + 1;
      continue;
    }
    let from = at;
    for (const [i, part] of parts.entries()) {
      const size = lengthOf(part);
      if ($isTextNode(part) && index <= from + size) return { key: part.getKey(), offset: index - from, type: 'text' };
      if (index <= from) return { key: paragraph.getKey(), offset: i, type: 'element' };
      from += size;
    }
    return end;
  }
  return end;
}

export function $select([from, to]: TextRange): void {
  const [anchor, focus] = [placeAt(from), placeAt(to)];
  if (!anchor || !focus) return;
  const selection = $createRangeSelection();
  selection.anchor.set(anchor.key, anchor.offset, anchor.type);
  selection.focus.set(focus.key, focus.offset, focus.type);
  // What is typed there looks like the words before it.
  const beside = selection.focus.getNode();
  if ($isTextNode(beside)) selection.setStyle(beside.getStyle());
  $setSelection(selection);
}
