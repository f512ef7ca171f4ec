import { FORMATS } from '../format';
import { blankOf } from '../job';
import { pieceOf } from '../edit';
import { begin } from '../../testing/jobs';
import { SKETCH, TERMS, sketchShapes, termById, termOfFigure } from '.';

test('each word stands once, says what it is, why, and what is usual, in sentences', () => {
  const ids = TERMS.map(({ id }) => id);
  expect(new Set(ids).size).toBe(ids.length);
  expect(new Set(TERMS.map(({ word }) => word)).size).toBe(ids.length);
  for (const { what, why, usual } of TERMS)
    for (const said of [what, why, usual]) expect(said).toMatch(/^[A-Z0-9±].{10,160}\.$/);
});

test('a word leads only to words that are there', () => {
  for (const { id, see = [] } of TERMS)
    for (const other of see) expect([id, other, termById(other)?.id]).toEqual([id, other, other]);
});

test('a figure is explained by one word, and each figure that a word names is on some sheet', () => {
  const named = TERMS.flatMap(({ figures = [] }) => figures);
  expect(new Set(named).size).toBe(named.length);
  const shown = new Set(['ink-most']);
  for (const { kind, parameters } of FORMATS) {
    // A sheet is asked for where a card is laid on one.
    const sets: Record<string, string>[] = [{}, ...('sheet' in parameters ? [{ sheet: 'SRA3' }] : [])];
    for (const [name, parameter] of Object.entries(parameters))
      for (const { value } of parameter.options ?? []) sets.push({ [name]: value });
    for (const set of sets) {
      const job = begin(kind, set);
      const piece = pieceOf(job);
      const gridded = { ...piece, grid: { ...piece.grid, columns: 2, rows: 2 } };
      for (const { id } of blankOf(job, gridded).figures) shown.add(id);
    }
  }
  expect(named.filter((figure) => !shown.has(figure))).toEqual([]);
  expect(termOfFigure('bleed')?.word).toBe('Bleed');
});

test('sketches stay within their paper', () => {
  for (const { id, sketch = [] } of TERMS)
    for (const { tag, attributes } of sketchShapes(sketch)) {
      const of = (name: string) => Number(attributes[name] ?? 0);
      const [right, down] =
        tag === 'circle'
          ? [of('cx') + of('r'), of('cy') + of('r')]
          : [Math.max(of('x') + of('width'), of('x2')), Math.max(of('y') + of('height'), of('y2'))];
      expect([id, right <= SKETCH.width, down <= SKETCH.height]).toEqual([id, true, true]);
    }
});
