/** Several things at once: what they share, what each is told, and what is said of all of them. */
import { slipOf, undone } from '@/testing/part';
import { screen } from '@testing-library/react';
import { chosenOf } from '@/core/edit';
import { box, line, shape, words } from '@/testing/jobs';

const BAND = box('band', [10, 20, 60, 30], { opacity: 0.5 });
const HEAD = words('head', 'Meteor night', [10, 60, 80, 20], { sizePt: 20 });
const SMALL = words('small', 'Bring a blanket', [15, 100, 60, 10], { sizePt: 9 });
const RULE = line('rule', [10, 120, 60, 0]);
const ALL = [BAND, HEAD, SMALL, RULE];

const severalOf = async () => {
  const slip = await slipOf(ALL);
  return { ...slip, all: () => chosenOf(slip.job(), 'front', ['band', 'head', 'small', 'rule']) };
};

const placeholder = (label: string) => screen.getByRole('textbox', { name: label }).getAttribute('placeholder');

test('what all of them have alike is shown; what differs says so', async () => {
  const slip = await severalOf();
  expect(slip.field('turn').value).toBe('0°');
  expect(slip.field('left').value).toBe('');
  expect(placeholder('left')).toBe('several');
  // Two of them have type.
  expect(slip.field('type size of 2').value).toBe('');
});

test('each takes the value, or changes from what it is', async () => {
  const slip = await severalOf();
  const lefts = () => slip.all().map(({ placement }) => placement.x.start);
  await slip.write('left', '+2 mm');
  expect(lefts()).toEqual([12, 12, 17, 12]);
  await slip.write('left', '-1/2in');
  expect(lefts()).toEqual([-0.7, -0.7, 4.3, -0.7].map((x) => expect.closeTo(x, 9) as number));
  await slip.write('left', '8');
  expect(lefts()).toEqual([8, 8, 8, 8]);
  await slip.write('left', '=-3');
  expect(lefts()).toEqual([-3, -3, -3, -3]);
  await slip.write('width', '/2');
  expect(slip.all().map(({ placement }) => placement.x.size)).toEqual([30, 40, 30, 30]);
  await slip.write('opacity', '100');
  expect(slip.all().map(({ opacity }) => opacity)).toEqual([1, 1, 1, 1]);
  await slip.write('type size of 2', '*1.5');
  expect(slip.all().flatMap((e) => (e.kind === 'text' ? [e.look.sizePt] : []))).toEqual([30, 13.5]);
  expect(slip.store.getState().undoStack).toHaveLength(7);
  await undone(slip, slip.before);
});

test('what one of them cannot be is refused with its name, and none is changed', async () => {
  const slip = await severalOf();
  await slip.write('height', '-15');
  expect(slip.refusal('height')).toContain('“small” would be -5');
  await slip.write('opacity', '+60');
  expect(slip.refusal('opacity')).toContain('from 0 to 100');
  await slip.write('width', '*0');
  expect(slip.refusal('width')).toContain('A factor above 0');
  await slip.write('turn', 'round');
  expect(slip.refusal('turn')).toContain('A number is wanted');
  expect(slip.job()).toBe(slip.before);
});

test('a line is said of each that has such a thing', async () => {
  const slip = await severalOf();
  await slip.write('said of each that has it', 'ink 0 60 90 0');
  const inks = () => slip.all().flatMap((e) => (e.kind === 'text' ? [e.look.paint] : []));
  expect(inks()).toMatchObject([{ m: 60 }, { m: 60 }]);
  await slip.write('said of each that has it', 'safe: left 0');
  expect(slip.all().every(({ placement }) => placement.against.box === 'safe')).toBe(true);
  await slip.write('said of each that has it', 'ink nowhere');
  expect(slip.refusal('said of each that has it')).not.toBe('');
  await undone(slip, slip.before);
});

test('what stands on another that moves is carried by it, not moved twice', async () => {
  const under = shape('under', [0, 0, 10, 10], { form: 'rectangle' });
  const held = {
    ...under,
    placement: {
      ...under.placement,
      x: { ...under.placement.x, of: { box: 'element', element: 'band', part: 'whole' } },
    },
  } as typeof under;
  const slip = await slipOf([BAND, held]);
  const [, before] = chosenOf(slip.before, 'front', ['band', 'under']);
  await slip.write('left', '+5');
  const [band, after] = chosenOf(slip.job(), 'front', ['band', 'under']);
  expect(band?.placement.x.start).toBe(15);
  expect(after?.placement.x).toEqual(before?.placement.x);
});
