import { begin } from '../../testing/jobs';
import { blankOf, startJob } from '../job';
import { pathBounds } from '../layout';
import { formatOf } from './index';

const bandOf = (set: Readonly<Record<string, string>>) => {
  const job = begin('wristband', set);
  const [piece] = job.pieces;
  if (!piece) throw new Error('no piece');
  return blankOf(job, piece);
};

test('its glue bears no ink, and as much at the other end is hidden by it', () => {
  const { finished, surfaces } = bandOf({});
  expect(finished).toEqual({ width: 250, height: 25 });
  const [front] = surfaces;
  expect(front?.zones.map(({ kind, outline }) => [kind, pathBounds(outline)])).toEqual([
    ['no-ink', { x: 220, y: 0, width: 30, height: 25 }],
    ['hidden', { x: 0, y: 0, width: 30, height: 25 }],
  ]);
  expect(front?.processLines).toEqual([]);
});

test('a stub is torn off at a perforation, and the band begins after it', () => {
  const [front] = bandOf({ length: '280mm', stub: '40mm' }).surfaces;
  expect(front?.processLines).toMatchObject([{ process: 'perforation', from: { x: 40, y: 0 }, to: { x: 40, y: 25 } }]);
  expect(pathBounds(front?.zones[1]?.outline ?? [])).toMatchObject({ x: 40, width: 30 });
});

test('one that cannot go around a wrist is refused at its length', () => {
  const format = formatOf('wristband');
  if (!format) throw new Error('no format');
  const about = { id: 'x', name: 'x', unit: 'mm' } as const;
  expect(startJob(format, { length: '160mm', stub: '40mm' }, about)).toMatchObject({ ok: false, parameter: 'length' });
});
