import { createComposer, composeContextOf } from '../src/core/compose';
import { USUAL_LOOK, plainParagraphs, type Job, type Piece } from '../src/core/job';
import { composeText, faceContext, plainBox, type TypeContext } from '../src/core/type';
import { openDesk } from '../src/output';
import { inMemory, makeJob, words } from '../src/testing/jobs';
import { PROSE } from './pages';
import { mean, ms, note, times } from './report';

/** Frames that one text flows through, and paragraphs in it. */
const [FRAMES, PARAGRAPHS] = [20, 64];

/** One text through twenty frames of a page, justified and hyphenated. */
export function flowingJob(paragraphs = PARAGRAPHS): Job {
  const frames = Array.from({ length: FRAMES }, (_, i) =>
    words(
      `f${i}`,
      i === 0 ? Array.from({ length: paragraphs }, (_p, p) => `${p + 1}. ${PROSE}`).join('\n') : '',
      [5 + (i % 5) * 58, 5 + Math.floor(i / 5) * 102, 54, 98],
      i === 0 ? { sizePt: 8, align: 'justified', hyphenate: true } : {},
      i === 0 ? {} : { after: `f${i - 1}` },
    ),
  );
  return makeJob(frames, {}, { size: { width: 297, height: 420 } });
}

/**
 * Setting words: a whole paragraph looked at, beside line by line; then one letter typed into a text of twenty frames.
 */
export async function typing(): Promise<void> {
  const job = flowingJob();
  const desk = await openDesk(job, inMemory());
  const face = desk.fonts.set.find('Source Sans 3', 400, false);
  const [piece] = job.pieces;
  const [side] = desk.sides;
  if (!face || !piece || !side) throw new Error('nothing to set');
  const text = Array.from({ length: 50 }, () => PROSE).join('\n');
  const count = text.split(/\s+/).length;
  const set = (breaking: 'paragraph' | 'line') => {
    const look = { ...USUAL_LOOK, sizePt: 9, align: 'justified', breaking } as const;
    // A context of its own each time: nothing was measured before.
    const context = (): TypeContext => faceContext(face);
    return () =>
      composeText(
        plainParagraphs(text).map((paragraph) => ({ paragraph, look })),
        [plainBox(90, 1e5)],
        'en-GB',
        context(),
      );
  };
  const [whole, greedy] = [await mean(set('paragraph')), await mean(set('line'))];
  const perSecond = (took: number) => `${Math.round((count / took) * 1000).toLocaleString('en')} words/s`;
  note(
    'setting whole paragraphs, cold (floor: line by line)',
    perSecond(whole),
    perSecond(greedy),
    times(whole, greedy),
  );

  const composer = createComposer(composeContextOf(job, 300, desk.resources));
  const typed = (n: number): Piece => {
    const [head, ...rest] = piece.surfaces['front'] ?? [];
    if (head?.kind !== 'text') throw new Error('no text');
    const paragraphs = head.paragraphs.map((p, i) =>
      i === 3 ? { runs: [{ text: `${'m'.repeat(n % 30)} ${PROSE}` }] } : p,
    );
    return { ...piece, surfaces: { ...piece.surfaces, front: [{ ...head, paragraphs }, ...rest] } };
  };
  let n = 0;
  composer.piece(piece, [side.surface]);
  const keystroke = await mean(() => composer.piece(typed((n += 1)), [side.surface]));
  const anew = () => createComposer(composeContextOf(job, 300, desk.resources));
  const cold = await mean(() => anew().piece(piece, [side.surface]));
  note(
    `a letter typed into a text of ${FRAMES} frames: set and drawn again (floor: all of it anew)`,
    ms(keystroke),
    ms(cold),
    times(keystroke, cold),
  );
}
