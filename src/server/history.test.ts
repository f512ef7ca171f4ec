import fc from 'fast-check';
import { history } from './history';

type Kind = 'edit' | 'amend' | 'undo' | 'redo';

/** The plain model: states in a list, and a place in it. */
function model(kinds: readonly Kind[]) {
  const log: { number: number; kind: Kind }[] = [];
  let states: number[] = [];
  let at = -1;
  for (const kind of kinds) {
    if (kind === 'undo' && at <= 0) continue;
    if (kind === 'redo' && at >= states.length - 1) continue;
    const number = log.length + 1;
    log.push({ number, kind });
    if (kind === 'amend') states = [...states.slice(0, at), number];
    else if (kind === 'edit') {
      states = [...states.slice(0, at + 1), number];
      at += 1;
    } else at += kind === 'undo' ? -1 : 1;
  }
  return { log, undo: states.slice(0, Math.max(at, 0)), redo: states.slice(at + 1).reverse() };
}

test('replaying the log gives the states that undo and redo lead to, after any sequence', () => {
  fc.assert(
    fc.property(fc.array(fc.constantFrom<Kind>('edit', 'edit', 'amend', 'undo', 'redo'), { maxLength: 60 }), (rest) => {
      const { log, undo, redo } = model(['edit', ...rest]);
      expect(history(log)).toEqual({ undo, redo });
    }),
  );
});

test('an edit after an undo forgets what could be redone', () => {
  const log = (['edit', 'edit', 'undo', 'edit'] as const).map((kind, i) => ({ number: i + 1, kind }));
  expect(history(log)).toEqual({ undo: [1], redo: [] });
});
