import { makeJob } from '../../testing/jobs';
import { saidOfStep, withoutSchedule } from './schedule';

test('what is said of a step is kept, and what is taken back leaves nothing behind', () => {
  const job = makeJob([], { due: '2027-04-01' });
  const moved = saidOfStep(job, 'print', { on: '2027-03-30' });
  const longer = saidOfStep(moved, 'print', { days: 2 });
  expect(longer.schedule).toEqual({ steps: { print: { on: '2027-03-30', days: 2 } } });
  const both = saidOfStep(longer, 'proof', { done: '2027-03-01' });
  expect(Object.keys(both.schedule?.steps ?? {})).toEqual(['print', 'proof']);
  const back = saidOfStep(saidOfStep(longer, 'print', { on: undefined }), 'print', { days: undefined });
  expect(back).toEqual(job);
  expect(withoutSchedule(both)).toEqual(job);
});
