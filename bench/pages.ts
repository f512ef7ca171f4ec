import type { Element, Job } from '../src/core/job';
import { makeJob, picture, pictureFacts, shape, words } from '../src/testing/jobs';

/** A page of so many elements: boxes, ovals, lines and words in turn. */
export function crowdedPage(count: number): readonly Element[] {
  return Array.from({ length: count }, (_, i): Element => {
    const [x, y] = [8 + (i % 20) * 6.6, 8 + Math.floor(i / 20) * 7.6];
    return i % 4 === 3
      ? words(`w${i}`, `Row ${i}`, [x, y, 6, 5], { sizePt: 7 })
      : shape(
          `b${i}`,
          [x, y, 5, 5],
          { form: 'rectangle', radius: i % 3 },
          {
            fill: { kind: 'process', c: i % 100, m: (i * 7) % 100, y: 20, k: 0 },
          },
        );
  });
}

/** Rows of boxes, each held past the one before it at a measure: one change of it moves them all. */
export function chainedPage(count: number): readonly Element[] {
  const across = Math.ceil(Math.sqrt(count));
  return Array.from({ length: count }, (_, i): Element => {
    const made = shape(
      `c${i}`,
      [0, 0, 1, 1],
      { form: 'rectangle' },
      { fill: { kind: 'process', c: 60, m: 20, y: 0, k: 0 } },
    );
    const size = 100 / across;
    const gap = { measure: 'gap', times: 0.2 };
    const past = (element: string) => ({ box: 'element', element, part: 'past' }) as const;
    const x =
      i % across === 0 ? { start: 5, size, of: { box: 'trim' } as const } : { start: gap, size, of: past(`c${i - 1}`) };
    const y =
      i < across ? { start: 5, size, of: { box: 'trim' } as const } : { start: gap, size, of: past(`c${i - across}`) };
    return { ...made, placement: { ...made.placement, against: { box: 'trim' }, x, y } };
  });
}

export const PROSE =
  'Eyes need about twenty minutes to learn the dark and one headlamp to forget it. Please use red light ' +
  'only, and point it at the ground. The bus leaves the bridge at ten past eight and waits for everybody.';

/** Pages with a picture, a heading and a column of text each. */
export function manyPages(count: number, sha: string, width: number, height: number): Job {
  const job = makeJob([], { assets: { [sha]: { ...pictureFacts(width, height), format: 'jpeg' } } });
  const [first] = job.pieces;
  if (!first) throw new Error('no piece');
  return {
    ...job,
    pieces: Array.from({ length: count }, (_, i) => ({
      ...first,
      id: `page-${i}`,
      surfaces: {
        front: [
          picture(`p${i}`, sha, [0, 0, 148, 90]),
          words(`h${i}`, `Page ${i + 1}`, [10, 96, 120, 14], { sizePt: 24, family: 'Oswald', weight: 600 }),
          words(`t${i}`, Array.from({ length: 4 }, () => PROSE).join('\n'), [10, 114, 128, 86], {
            sizePt: 9,
            align: 'justified',
            hyphenate: true,
          }),
        ],
        back: [],
      },
    })),
  };
}
