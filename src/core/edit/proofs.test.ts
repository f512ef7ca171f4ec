import { readJob } from '../job';
import { makeJob } from '../../testing/jobs';
import {
  approvedOf,
  changeProof,
  changeRemark,
  nextVersion,
  openRemarks,
  pinned,
  proofsOf,
  withProof,
  withoutProof,
  withoutRemark,
} from './index';

const AT = new Date('2026-05-01T09:00:00Z');
const job = withProof(withProof(makeJob(), { revision: 3, at: AT, to: 'Ada' }), { revision: 7, at: AT, to: '' });
const [last, first] = proofsOf(job);
if (!last || !first) throw new Error('no proofs');

test('the last proof stands first, and the job can be kept', () => {
  expect(proofsOf(job).map(({ revision, state }) => [revision, state])).toEqual([
    [7, 'sent'],
    [3, 'sent'],
  ]);
  const read = readJob(JSON.parse(JSON.stringify(job)));
  expect(read.ok && read.job).toEqual(job);
});

test('what was approved last counts, by whom and when', () => {
  expect(approvedOf(job)).toBeUndefined();
  const approved = changeProof(job, first.id, (p) => ({ ...p, state: 'approved', by: 'Ada', on: '2026-05-02' }));
  expect(approvedOf(approved)).toMatchObject({ revision: 3, by: 'Ada', on: '2026-05-02' });
  expect(proofsOf(withoutProof(approved, first.id))).toEqual([last]);
});

test('a proof that is not there changes nothing, not even the object', () => {
  expect(changeProof(job, 'nobody', (p) => ({ ...p, state: 'seen' }))).toBe(job);
});

test('remarks are pinned, worded, ticked and taken out; the first of them asks for changes', () => {
  const one = pinned(last, 'front', { x: 12.5, y: 30 });
  expect(one).toMatchObject({ state: 'changes', remarks: [{ side: 'front', x: 12.5, y: 30, text: '' }] });
  const two = pinned(one, 'back', { x: 1, y: 2 });
  const [pin] = two.remarks;
  if (!pin) throw new Error('no pin');
  const done = changeRemark(two, pin.id, (r) => ({ ...r, text: 'Larger', done: true }));
  expect(openRemarks(done)).toBe(1);
  expect(withoutRemark(done, pin.id).remarks).toHaveLength(1);
  // What was approved stays so, whatever is said of it later.
  expect(pinned({ ...last, state: 'approved' }, 'front', { x: 0, y: 0 }).state).toBe('approved');
});

test('next year’s version begins without them', () => {
  expect(proofsOf(nextVersion(job, 'another', 9))).toEqual([]);
});
