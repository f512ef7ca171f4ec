import { checkDesk, openDesk } from '../../output';
import { box, inMemory, makeJob, words } from '../../testing/jobs';
import { elementsOn, type Element } from '../job';
import { applyChange } from './index';

const found = async (front: readonly Element[]) => {
  const job = makeJob(front);
  const findings = checkDesk(await openDesk(job, inMemory())).filter((f) => f.rule === 'laid-twice');
  return { job, findings };
};

const title = words('title', 'Clear skies', [20, 20, 80, 20]);
const band = box('band', [10, 60, 100, 20], { fill: { kind: 'process', c: 0, m: 14, y: 78, k: 0 } });

test('what lies exactly on itself is found, and the fix takes the upper one off', async () => {
  const again: Element = { ...title, id: 'again', name: 'Title copy' };
  const { job, findings } = await found([title, band, again]);
  expect(findings.map((f) => f.element)).toEqual(['again']);
  const [fix] = findings[0]?.fixes ?? [];
  if (!fix) throw new Error('no fix');
  const [piece] = applyChange(job, fix.change).pieces;
  expect(piece && elementsOn(piece, 'front').map((e) => e.id)).toEqual(['title', 'band']);
});

test('the same place held by other edges is the same place', async () => {
  const placement = { ...band.placement, x: { end: 38, size: 100 } };
  expect((await found([band, { ...band, id: 'held', placement }])).findings).toHaveLength(1);
});

test.each<readonly [string, Element]>([
  ['a step beside it', { ...band, id: 'b', placement: { ...band.placement, x: { start: 10.5, size: 100 } } }],
  ['of another colour', box('b', [10, 60, 100, 20], { fill: { kind: 'paper' } })],
  ['lighter', { ...band, id: 'b', opacity: 0.5 }],
  ['turned', { ...band, id: 'b', placement: { ...band.placement, rotate: 5 } }],
])('%s it is something else', async (_how, other) => {
  expect((await found([band, other])).findings).toEqual([]);
});
