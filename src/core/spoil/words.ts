import { applyChange, hasManyFamilies, readableFrom, type Subject } from '../check';
import {
  columnsOf,
  mapLooks,
  plainText,
  repaint,
  withTextLook,
  withWords,
  type Element,
  type ElementOf,
  type Job,
  type SolidPaint,
} from '../job';
import { edges, grow, overlaps } from '../layout';
import { isBlackOnly } from '../colour';
import { mmToPt } from '../measure';
import { leavesOf, type Frame } from '../drawing';
import { careFor } from '../type';
import { called, laid, otherwise, plainTexts, printed, smallestFirst, type Spoiler } from './spoiler';

/** A family that nobody has: what stands in for it is seen at once. */
const NOWHERE = 'Brackenfell Grotesk';

/** Two families that nobody takes for one. */
const FAR_APART = ['Dancing Script', 'IBM Plex Mono'];

/** Words that find no room. */
export const tooLong: Spoiler = {
  level: 1,
  *ways(subject) {
    for (const one of plainTexts(subject)) {
      const { rect, ink } = one.frame;
      const height = Math.min(rect.height, ink.height) * 0.5;
      if (height > 1)
        yield otherwise(`The frame of ${called(one)} was made half as high.`, laid(subject, one, { ...rect, height }));
    }
  },
  brings: ['near-miss', 'safe-area', 'empty-page'],
};

export const tableTooSmall: Spoiler = {
  level: 1,
  *ways(subject) {
    for (const one of printed(subject, 'table')) {
      const { rect } = one.frame;
      yield otherwise(
        `The box of ${called(one)} was made half as high.`,
        laid(subject, one, { ...rect, height: rect.height / 2 }),
      );
    }
  },
  brings: ['near-miss', 'safe-area'],
};

export const noRoom: Spoiler = {
  level: 1,
  *ways(subject) {
    for (const one of printed(subject, 'printable')) {
      const { rect } = one.frame;
      const to = { ...rect, width: rect.width / 12, height: rect.height / 12 };
      yield otherwise(`${called(one)} was given a box it does not fit into.`, laid(subject, one, to));
    }
  },
  brings: ['type-small', 'near-miss', 'line-thin', 'empty-page', 'curl'],
};

/** A picture taken out, or a font that is not there. */
export const takenOut: Spoiler = {
  level: 1,
  *ways(subject) {
    for (const one of smallestFirst(printed(subject, 'picture')))
      if (one.element.column === undefined)
        yield otherwise(`The picture was taken out of ${called(one)}.`, { ...one.element, picture: null });
    for (const one of printed(subject, 'text'))
      yield otherwise(
        `${called(one)} was set in a font that is not here.`,
        mapLooks(one.element, subject.book, () => ({ family: NOWHERE })),
      );
  },
  brings: ['text-overflow', 'finish-lost', 'kit', 'safe-area', 'type-families', 'empty-page', 'curl'],
};

const sizeAt = ({ items }: Frame): number =>
  leavesOf(items).reduce(
    (least, item) => (item.kind === 'glyphs' ? Math.min(least, mmToPt(item.size)) : least),
    Infinity,
  );

/** Type smaller than ink and paper hold. */
export const tooSmall: Spoiler = {
  level: 2,
  *ways(subject) {
    const least = subject.rules.minTypePt.value / subject.blank.scale;
    for (const one of plainTexts(subject))
      if (Number.isFinite(sizeAt(one.frame)))
        yield otherwise(
          `${called(one)} was set in ${(least * 0.7).toFixed(1)} pt.`,
          mapLooks(one.element, subject.book, () => ({ sizePt: least * 0.7 })),
        );
  },
  brings: ['type-distance', 'safe-area'],
};

/** Type that the press holds, and nobody reads from where it hangs. */
export const tooSmallFromAfar: Spoiler = {
  level: 3,
  *ways(subject) {
    const { scale } = subject.blank;
    const [readable, least] = [
      readableFrom(subject.job.readingDistance) / scale,
      subject.rules.minReversedTypePt.value / scale,
    ];
    if (readable * 0.8 < least) return;
    for (const one of plainTexts(subject))
      if (sizeAt(one.frame) >= readable)
        yield otherwise(
          `${called(one)} was set in ${(readable * 0.8).toFixed(1)} pt.`,
          mapLooks(one.element, subject.book, () => ({ sizePt: readable * 0.8 })),
        );
  },
};

/** A space too many, as a typewriter sets it. */
export const asTyped: Spoiler = {
  level: 3,
  *ways(subject) {
    for (const one of printed(subject, 'text')) {
      const { element } = one;
      const words = plainText(element.paragraphs);
      const language = element.language ?? subject.job.language;
      if (careFor(words, language).length > 0) continue;
      const at = /[a-z] [a-z]/i.exec(words)?.index;
      if (at === undefined) continue;
      const paragraphs = withWords(element.paragraphs, [at + 1, at + 2], '  ');
      yield otherwise(`A second space was typed into ${called(one)}.`, { ...element, paragraphs });
    }
  },
  brings: ['text-overflow', 'safe-area'],
};

/** Families beyond the two that stationery bears. */
export const manyFamilies: Spoiler = {
  level: 4,
  *ways(subject) {
    const { job, piece, side, blank, book } = subject;
    if (side !== blank.surfaces[0]?.name) return;
    const texts = smallestFirst(plainTexts(subject));
    for (const [i, one] of texts.entries())
      for (const other of texts.slice(i + 1)) {
        const changed = [one, other].map(({ element }, n) => inFamily(element, FAR_APART[n] ?? ''));
        const spoil = (of: Job): Job =>
          changed.reduce((now, element) => applyChange(now, { kind: 'element', element }), of);
        const spoilt = spoil(job).pieces.find(({ id }) => id === piece.id);
        if (spoilt && hasManyFamilies(spoilt, book))
          yield {
            elements: changed.map(({ id }) => id),
            did: `${called(one)} and ${called(other)} were set in families of their own.`,
            spoil,
          };
      }
  },
  brings: ['kit', 'text-overflow', 'safe-area', 'type-small', 'black-knocks-out'],
};

/** All its words in one family, whatever they were set in. */
const inFamily = (text: ElementOf<'text'>, family: string): ElementOf<'text'> => ({
  ...withTextLook(text, { family }),
  paragraphs: text.paragraphs.map((p) => ({
    ...p,
    runs: p.runs.map((run) => ({ text: run.text, look: { ...run.look, family } })),
  })),
});

/** Paints of the words of an element, changed. */
function* repainted(
  subject: Subject,
  change: (paint: SolidPaint) => SolidPaint,
  did: string,
): Generator<ReturnType<typeof otherwise>> {
  for (const one of printed(subject, 'text')) {
    const element: Element = repaint(one.element, subject.book, change);
    if (element !== one.element && JSON.stringify(element) !== JSON.stringify(one.element))
      yield otherwise(`${called(one)} ${did}.`, element);
  }
}

/** Small black type in four inks. */
export const richType: Spoiler = {
  level: 4,
  *ways(subject) {
    const rich = { kind: 'process', c: 60, m: 40, y: 40, k: 100 } as const;
    for (const one of plainTexts(subject)) {
      const isBlack = leavesOf(one.frame.items).every(
        (leaf) => leaf.kind !== 'glyphs' || (leaf.ink.kind === 'process' && isBlackOnly(leaf.ink.build)),
      );
      if (isBlack && sizeAt(one.frame) < 14)
        yield otherwise(
          `The black of ${called(one)} was mixed of four inks.`,
          mapLooks(one.element, subject.book, () => ({ paint: rich })),
        );
    }
  },
  brings: ['type-small', 'total-ink', 'kit'],
};

/** Black type told to knock out what lies beneath it. */
export const knockingOut: Spoiler = {
  level: 4,
  ways: (subject) =>
    overOthers(
      subject,
      repainted(
        subject,
        (paint) => (paint.kind === 'process' && isBlackOnly(paint) ? { ...paint, overprint: false } : paint),
        'was told to knock out what lies beneath',
      ),
    ),
};

/** Those of which something else lies beneath. */
function* overOthers(subject: Subject, ways: ReturnType<typeof repainted>) {
  const { frames } = subject.drawing;
  for (const way of ways) {
    const at = frames.findIndex(({ element }) => way.elements.includes(element));
    const own = frames[at];
    if (
      own &&
      frames
        .slice(0, at)
        .some((frame) => frame.items.length > 0 && overlaps(frame.bounds, grow(own.bounds, edges(-0.1))))
    )
      yield way;
  }
}

/** White type told to overprint, which is no type at all. */
export const whiteOver: Spoiler = {
  level: 3,
  ways: (subject) =>
    repainted(
      subject,
      (paint) => (paint.kind === 'paper' ? { kind: 'process', c: 0, m: 0, y: 0, k: 0, overprint: true } : paint),
      'was told to overprint, and is white',
    ),
};

/** A name between braces that no column has. */
export const unknownColumn: Spoiler = {
  level: 3,
  *ways(subject) {
    if (!subject.job.records) return;
    const [column] = columnsOf(subject.job);
    if (column === undefined) return;
    for (const one of printed(subject, 'text')) {
      const words = plainText(one.element.paragraphs);
      yield otherwise(`A column that the records do not have was named in ${called(one)}.`, {
        ...one.element,
        paragraphs: withWords(one.element.paragraphs, [words.length, words.length], ` {${column} 2}`),
      });
    }
  },
  brings: ['text-overflow', 'safe-area', 'type-small'],
};
