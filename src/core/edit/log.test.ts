import { makeJob } from '../../testing/jobs';
import { alikeIn, isAlike, lessonsIn } from '../job';
import { withEntry, withoutEntry } from './log';

const AT = new Date('2026-12-01T09:00:00Z');

test('what happened is written down in order, and taken out again without a trace', () => {
  const job = makeJob();
  const one = withEntry(job, 'call', '  The house asks for the files a day earlier. ', AT);
  const two = withEntry(one, 'complaint', 'Cut 2 mm into the date.', AT);
  expect(two.log).toMatchObject([
    { kind: 'call', text: 'The house asks for the files a day earlier.', at: '2026-12-01T09:00:00.000Z' },
    { kind: 'complaint', text: 'Cut 2 mm into the date.' },
  ]);
  expect(withEntry(two, 'note', '   ', AT)).toBe(two);
  const [first, second] = two.log ?? [];
  const left = withoutEntry(two, first?.id ?? '');
  expect(left.log).toEqual([second]);
  expect(withoutEntry(left, second?.id ?? '')).toEqual(job);
  expect(withoutEntry(left, 'nobody')).toBe(left);
});

test('complaints and what is to be done differently are lessons, the last first', () => {
  const job = (['note', 'complaint', 'call', 'differently'] as const).reduce(
    (now, kind) => withEntry(now, kind, `A ${kind}`, AT),
    makeJob(),
  );
  expect(lessonsIn(job.log).map(({ text }) => text)).toEqual(['A differently', 'A complaint']);
  expect(lessonsIn(undefined)).toEqual([]);
});

test('jobs are alike by their kind, or by two other facts; what is open counts for nothing', () => {
  const facts = (kind: string, client = '', printer = '', paper = '') => ({ kind, client, printer, paper });
  const flyer = facts('Flyer', 'Quillrook', 'Copperplate Yard', 'Silk 150');
  expect(alikeIn(flyer, facts('Flyer'))).toEqual(['kind']);
  expect(alikeIn(flyer, facts('Card', 'Quillrook', ' Copperplate Yard '))).toEqual(['client', 'printer']);
  expect(alikeIn(facts(''), facts(''))).toEqual([]);
  expect([[], ['kind'], ['client'], ['client', 'paper']].map((alike) => isAlike(alike as never))).toEqual([
    ...[false, true, false, true],
  ]);
});
