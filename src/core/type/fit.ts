import type { ParagraphLook, TypeFit } from '../element';
import type { Mm } from '../measure';
import { composeText, type ComposedText, type Line, type LookedParagraph } from './compose';
import type { TypeContext } from './prepare';
import { inkSpan } from './line-ink';
import { plainBox, type TextBox } from './slots';

/** Text sized to what it has to fill. */
export interface FittedText {
  readonly text: ComposedText;
  /** How much wider than drawn the letters of each paragraph are made, about the left edge; left out, not at all. */
  readonly stretch?: readonly number[];
}

type Compose = (paragraphs: readonly LookedParagraph[], boxes: readonly TextBox[]) => ComposedText;

/** Smallest and largest size that fitting may come to, pt. */
const [LEAST_PT, MOST_PT] = [1, 5000];
const HALVINGS = 22;

const sized = (look: ParagraphLook, share: number): ParagraphLook => ({
  ...look,
  sizePt: Math.min(MOST_PT, Math.max(LEAST_PT, look.sizePt * share)),
  leadingPt: look.leadingPt === null ? null : look.leadingPt * share,
});

/** A paragraph with its own and its words’ sizes changed alike. */
function scaled({ paragraph, look }: LookedParagraph, share: number): LookedParagraph {
  const runs = paragraph.runs.map((run) =>
    run.look?.sizePt === undefined ? run : { ...run, look: { ...run.look, sizePt: run.look.sizePt * share } },
  );
  return { paragraph: { ...paragraph, runs }, look: sized(look, share) };
}

/**
 * Sets text so that it fills what it is fitted to.
 * @param boxes the frames it flows through; only one where it is fitted to a width
 */
export function fitText(
  paragraphs: readonly LookedParagraph[],
  boxes: readonly TextBox[],
  fit: TypeFit | null,
  language: string,
  context: TypeContext,
): FittedText {
  const compose: Compose = (list, into) => composeText(list, into, language, context);
  if (!fit) return { text: compose(paragraphs, boxes) };
  switch (fit.to) {
    case 'width':
      return toWidth(paragraphs, boxes, fit.by, compose, context);
    case 'frame':
      return {
        text: largest(
          paragraphs,
          boxes,
          compose,
          [fit.least / 100, fit.most / 100],
          (text) => text.hidden.length === 0,
        ),
      };
    case 'lines':
      return {
        text: largest(
          paragraphs,
          boxes,
          compose,
          [0.02, 40],
          (text, tried) => text.hidden.length === 0 && text.lines.length <= fit.lines && !breaksWords(text, tried),
        ),
      };
  }
}

/** Whether a line ends within a word that nothing allows to be broken. */
function breaksWords(text: ComposedText, paragraphs: readonly LookedParagraph[]): boolean {
  return text.lines.some((line) => {
    if (line.ends) return false;
    const words = paragraphs[line.paragraph]?.paragraph.runs.map((r) => r.text).join('') ?? '';
    const at = line.to - line.start;
    return (
      /[\p{L}\p{N}]/u.test(words[at - 1] ?? '') &&
      /[\p{L}\p{N}]/u.test(words[at] ?? '') &&
      line.glyphs.at(-1)?.text !== '-'
    );
  });
}

/** The largest share of its sizes at which the text still is as wanted. */
function largest(
  paragraphs: readonly LookedParagraph[],
  boxes: readonly TextBox[],
  compose: Compose,
  [from, to]: readonly [number, number],
  isGood: (text: ComposedText, paragraphs: readonly LookedParagraph[]) => boolean,
): ComposedText {
  const at = (share: number) => {
    const tried = paragraphs.map((p) => scaled(p, share));
    const text = compose(tried, boxes);
    return { text, isGood: isGood(text, tried) };
  };
  const most = at(to);
  if (most.isGood) return most.text;
  const least = at(from);
  if (!least.isGood) return least.text;
  let best = least.text;
  let [good, bad] = [from, to];
  for (let i = 0; i < HALVINGS && bad - good > 1e-5 * good; i += 1) {
    const middle = Math.sqrt(good * bad);
    const tried = at(middle);
    if (tried.isGood) {
      best = tried.text;
      good = middle;
    } else bad = middle;
  }
  return best;
}

const ENDLESS = plainBox(1e6, 1e6);

/** Each paragraph on one line whose ink is exactly as wide as the frame. */
function toWidth(
  paragraphs: readonly LookedParagraph[],
  boxes: readonly TextBox[],
  by: 'tracking' | 'size' | 'scale',
  compose: Compose,
  context: TypeContext,
): FittedText {
  const width = boxes[0]?.width ?? 0;
  const plain = paragraphs.map(({ paragraph, look }): LookedParagraph => ({
    paragraph,
    look: { ...look, align: 'left', breaking: 'line', indent: 0, indentRight: 0, firstIndent: 0, opticalMargin: false },
  }));
  const measured = (list: readonly LookedParagraph[]) => {
    const { lines } = compose(list, [ENDLESS]);
    return list.map((_, i) => lines.filter((l) => l.paragraph === i));
  };
  const spanOf = (lines: readonly Line[] | undefined) =>
    lines?.length === 1 && lines[0] ? inkSpan(lines[0], context) : undefined;
  const solve = (list: readonly LookedParagraph[]): readonly LookedParagraph[] => {
    const spans = measured(list).map(spanOf);
    switch (by) {
      case 'scale':
        return list;
      case 'size':
        return list.map((p, i) => {
          const span = spans[i];
          return span ? scaled(p, width / (span[1] - span[0])) : p;
        });
      case 'tracking':
        return tracked(list, width, measured, spanOf);
    }
  };
  const solved = solve(plain);
  const spans = measured(solved).map(spanOf);
  const text = compose(
    solved,
    boxes.map((box) => ({ ...box, columns: 1, width: 1e6 })),
  );
  const stretch = spans.map((span) => (span && by === 'scale' ? width / (span[1] - span[0]) : 1));
  const flush = (line: Line): Line => {
    const span = spans[line.paragraph];
    if (!span) return line;
    const share = stretch[line.paragraph] ?? 1;
    const left = -span[0] * share;
    return { ...line, left, x: left, width: line.width * share };
  };
  return {
    text: { ...text, lines: text.lines.map(flush), hidden: text.hidden.map(flush) },
    ...(by === 'scale' && { stretch }),
  };
}

/** Letters spaced until the ink fills a width; spaced letters have no ligatures, so that is measured too. */
function tracked(
  list: readonly LookedParagraph[],
  width: Mm,
  measured: (list: readonly LookedParagraph[]) => readonly (readonly Line[])[],
  spanOf: (lines: readonly Line[] | undefined) => readonly [Mm, Mm] | undefined,
): readonly LookedParagraph[] {
  const FIRST = 1;
  const withTracking = (p: LookedParagraph, tracking: number): LookedParagraph => ({
    paragraph: {
      ...p.paragraph,
      runs: p.paragraph.runs.map((r) => ({ ...r, ...(r.look && { look: { ...r.look, tracking } }) })),
    },
    look: { ...p.look, tracking },
  });
  const spaced = list.map((p) => withTracking(p, FIRST));
  const lines = measured(spaced);
  return spaced.map((p, i) => {
    const span = spanOf(lines[i]);
    const glyphs = lines[i]?.[0]?.glyphs ?? [];
    const gaps = glyphs.slice(0, -1).reduce((sum, g) => sum + (g.text === '' ? 0 : g.size), 0);
    if (!span || gaps <= 0) return p;
    return withTracking(p, FIRST + ((width - (span[1] - span[0])) / gaps) * 1000);
  });
}
