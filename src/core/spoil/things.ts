import { framed, type Subject } from '../check';
import { SYMBOLOGY } from '../code';
import { effectivePpi } from '../compose';
import { leavesOf } from '../drawing';
import { freshId } from '../edit';
import { Element, elementsOn, pictureAsset, withSide, type Axis, type Job } from '../job';
import type { Rect } from '../layout';
import { added } from './colours';
import { called, inJob, laid, otherwise, printed, smallestFirst, type Spoiler } from './spoiler';

/** Inks that a reader sees as white. */
const RED = { kind: 'process', c: 0, m: 95, y: 95, k: 0 } as const;

export const redCode: Spoiler = {
  level: 2,
  *ways(subject) {
    for (const one of printed(subject, 'code'))
      yield otherwise(`The bars of ${called(one)} were made red.`, { ...one.element, paint: RED });
  },
  brings: ['kit', 'total-ink'],
};

/** A code that says what cannot be encoded. */
export const wrongCode: Spoiler = {
  level: 1,
  *ways(subject) {
    for (const one of printed(subject, 'code'))
      yield otherwise(`What ${called(one)} says was spoilt.`, {
        ...one.element,
        content: SYMBOLOGY[one.element.symbology].form === 'bars' ? `${one.element.content}∑` : '',
      });
  },
};

export const tinyCode: Spoiler = {
  level: 2,
  *ways(subject) {
    for (const one of printed(subject, 'code')) {
      const note = subject.drawing.notes.find((n) => n.kind === 'code' && n.element === one.element.id);
      if (note?.kind !== 'code') continue;
      const by = (SYMBOLOGY[one.element.symbology].module.least * 0.7) / (note.module * subject.blank.scale);
      if (by < 1) yield otherwise(`${called(one)} was made too small.`, laid(subject, one, scaled(one.frame.rect, by)));
    }
  },
  brings: ['type-small', 'near-miss'],
};

const scaled = (rect: Rect, by: number): Rect => {
  const [width, height] = [rect.width * by, rect.height * by];
  return { x: rect.x + (rect.width - width) / 2, y: rect.y + (rect.height - height) / 2, width, height };
};

/** Something drawn into the white around a code. */
export const noWhite: Spoiler = {
  level: 3,
  *ways(subject) {
    const { piece, side, drawing } = subject;
    for (const note of drawing.notes) {
      if (note.kind !== 'code') continue;
      const { x, y, width, height } = note.whole;
      const rule = Element.parse({
        kind: 'shape',
        id: freshId(),
        name: 'Rule',
        placement: {
          against: { box: 'trim' },
          x: { start: x + width * 0.02, size: Math.max(0.4, width * 0.02) },
          y: { start: y + height * 0.1, size: height * 0.8 },
        },
        shape: { form: 'rectangle' },
        fill: { kind: 'process', c: 0, m: 0, y: 0, k: 90 },
      });
      yield {
        elements: [note.element, rule.id],
        did: 'A rule was drawn into the white around the code.',
        spoil: (job) => added(job, piece.id, side, rule),
      };
    }
  },
  brings: ['near-miss', 'kit'],
};

export const blownUp: Spoiler = {
  level: 2,
  *ways(subject) {
    const need = subject.rules.ppi.value;
    for (const one of printed(subject, 'picture')) {
      const item = leavesOf(one.frame.items).find((leaf) => leaf.kind === 'picture');
      const asset = pictureAsset(subject.job.assets, one.element.picture);
      if (item?.kind !== 'picture' || !asset) continue;
      const has = effectivePpi(item.image, asset) / subject.blank.scale;
      const percent = Math.min(5000, Math.ceil(Math.max(250, (250 * need) / has)));
      yield otherwise(`The picture in ${called(one)} was blown up.`, {
        ...one.element,
        fit: { mode: 'scale', percent },
      });
    }
  },
};

export const pixelLogo: Spoiler = {
  level: 4,
  *ways(subject) {
    for (const one of printed(subject, 'picture'))
      if (one.element.picture !== null && one.element.expects !== 'vector')
        yield otherwise(`${called(one)} wants a vector logo, and has a picture.`, {
          ...one.element,
          expects: 'vector',
        });
  },
};

/** A page of somebody else’s PDF without its fonts. */
export const withoutFonts: Spoiler = {
  level: 3,
  *ways(subject) {
    for (const one of printed(subject, 'page')) {
      const { document, page } = one.element;
      yield {
        ...inJob(`The PDF in ${called(one)} was saved without its fonts.`, ({ assets }) => {
          const asset = assets[document];
          if (asset?.kind !== 'document') return {};
          const pages = asset.pages.map((p, i) => (i === page - 1 ? { ...p, unembedded: ['Brackenfell Grotesk'] } : p));
          return { assets: { ...assets, [document]: { ...asset, pages } } };
        }),
        elements: [one.element.id],
      };
    }
  },
};

/** A slot of a template that was not filled. */
export const leftOpen: Spoiler = {
  level: 2,
  *ways(subject) {
    if (!subject.job.template) return;
    for (const one of printed(subject, 'text', 'picture')) {
      const { element } = one;
      if (element.slot)
        yield otherwise(`${called(one)} was not filled in.`, {
          ...element,
          slot: { ...element.slot, open: true },
        } as Element);
    }
  },
};

/** Copies without measure. */
export const withoutMeasure: Spoiler = {
  level: 1,
  *ways(subject) {
    // The outlines of so many copies are not put together for a coating within a session.
    if (subject.drawing.coats.length > 0) return;
    for (const one of printed(subject, 'table', 'text', 'shape'))
      yield otherwise(`${called(one)} was copied 250,000 times.`, {
        ...one.element,
        repeat: [{ way: 'rows', in: { box: 'trim' }, across: 500, down: 500, gapAcross: 1, gapDown: 1 }],
      });
  },
  brings: [
    'safe-area',
    'zones',
    'hole-drift',
    'laid-twice',
    'code-quiet',
    'black-knocks-out',
    'uneven-border',
    'type-distance',
    'bleed',
    'cut-bleed',
    'trap',
  ],
};

export const hairline: Spoiler = {
  level: 3,
  *ways(subject) {
    const least = subject.rules.minLinePt.value * 0.4;
    for (const one of printed(subject, 'line', 'shape')) {
      const { element } = one;
      if (element.stroke)
        yield otherwise(`The line of ${called(one)} was made ${least.toFixed(2)} pt.`, {
          ...element,
          stroke: { ...element.stroke, widthPt: least },
        });
    }
  },
};

/** Pushed off the piece. */
export const offThePiece: Spoiler = {
  level: 1,
  *ways(subject) {
    const { bleed } = subject.drawing.boxes;
    for (const one of smallestFirst(printed(subject, 'text', 'shape', 'picture', 'code'))) {
      const { rect, bounds } = one.frame;
      const by = bleed.x + bleed.width - bounds.x + 8;
      yield otherwise(`${called(one)} was pushed off the piece.`, laid(subject, one, { ...rect, x: rect.x + by }));
    }
  },
  brings: [
    'near-miss',
    'coat-drift',
    'finish-lost',
    'cut-bleed',
    'white-missing',
    'empty-page',
    'curl',
    'show-through',
  ],
};

/** A hair off a distance that several keep. */
export const hairOff: Spoiler = {
  level: 4,
  *ways(subject) {
    for (const one of printed(subject, 'text', 'shape', 'picture', 'line', 'code')) {
      const { element } = one;
      for (const axis of ['x', 'y'] as const)
        for (const key of ['start', 'end'] as const) {
          const mm = numberAt(element.placement[axis], key);
          if (mm === undefined || mm <= 1) continue;
          const placement = { ...element.placement, [axis]: { ...element.placement[axis], [key]: mm + 0.3 } };
          const kept = keeping(subject, axis, mm, element.id);
          if (kept >= 3)
            yield otherwise(`${called(one)} was moved by 0.3 mm, off a distance that ${kept} others keep.`, {
              ...element,
              placement,
            });
        }
    }
  },
  brings: ['fold-meet', 'fold-drift', 'safe-area', 'coat-drift'],
};

const numberAt = (axis: Axis, key: 'start' | 'end'): number | undefined => {
  const said = axis[key];
  return typeof said === 'number' ? said : undefined;
};

/** How many others keep a distance along an axis. */
const keeping = (subject: Subject, axis: 'x' | 'y', mm: number, but: string): number =>
  framed(subject).flatMap(({ element }) =>
    element.id === but
      ? []
      : (['start', 'end'] as const).filter(
          (key) => Math.abs((numberAt(element.placement[axis], key) ?? NaN) - mm) < 0.005,
        ),
  ).length;

/** A copy exactly on its original. */
export const twice: Spoiler = {
  level: 4,
  *ways(subject) {
    const { piece, side } = subject;
    for (const one of smallestFirst(printed(subject, 'shape', 'line', 'picture', 'text'))) {
      const { element } = one;
      if (element.kind === 'text' && element.after !== null) continue;
      const copy: Element = { ...element, id: freshId() };
      yield {
        elements: [element.id, copy.id],
        did: `A copy was laid exactly on ${called(one)}.`,
        spoil: (job) => onTop(job, piece.id, side, element.id, copy),
      };
    }
  },
  // What is wrong with the one is wrong with the other.
  brings: ['picture-resolution', 'line-thin', 'type-small', 'near-miss'],
};

/** Right above an element. */
const onTop = (job: Job, piece: string, side: string, below: string, element: Element): Job => ({
  ...job,
  pieces: job.pieces.map((p) =>
    p.id === piece
      ? withSide(
          p,
          side,
          elementsOn(p, side).flatMap((e) => (e.id === below ? [e, element] : [e])),
        )
      : p,
  ),
});
