/** The slip: what is written about the thing that is selected is in the job at once, and undo gives back exactly. */
import { slipOf, undone } from '@/testing/part';
import { screen } from '@testing-library/react';
import { FORM_KINDS, Form, formKind, Repeat } from '@/core/job';
import { box, line, shape, words } from '@/testing/jobs';

const BAND = box('band', [10, 20, 60, 30], { fill: { kind: 'process', c: 0, m: 14, y: 78, k: 0 } });

test('where a box stands: two facts an axis, the third follows, and the last written one holds', async () => {
  const slip = await slipOf([BAND]);
  expect(slip.field('width', 'Across').value).toBe('60 mm');
  await slip.write('left', '12', 'Across');
  expect(slip.now().placement.x).toEqual({ start: 12, size: 60 });
  await slip.write('right', '0', 'Across');
  expect(slip.now().placement.x).toMatchObject({ end: 0 });
  await slip.write('height', '50 %', 'Down');
  expect(slip.now().placement.y).toMatchObject({ size: { percent: 50 } });
  await undone(slip, slip.before);
});

test('where a box stands in one line: read as it is written, refused where it is wrong', async () => {
  const slip = await slipOf([BAND]);
  const line = () => slip.field('in one line', 'Against').value;
  expect(line()).toBe('trim: left 10 mm, width 60 mm, top 20 mm, height 30 mm | fill 0 14 78 0');
  await slip.write('in one line', 'safe: left 0, right 0, top 12', 'Against');
  expect(slip.now().placement).toMatchObject({
    against: { box: 'safe' },
    x: { start: 0, end: 0 },
    y: { start: 12, size: 30 },
  });
  expect(line()).toBe('safe: left 0 mm, right 0 mm, top 12 mm, height 30 mm | fill 0 14 78 0');
  await slip.write('in one line', 'Emblem: left 0', 'Against');
  expect(slip.refusal('in one line', 'Against')).toContain('no box called “Emblem”');
  expect(slip.now().placement.against).toEqual({ box: 'safe' });
  await undone(slip, slip.before);
});

test('a name, a fill and an opacity', async () => {
  const slip = await slipOf([BAND]);
  await slip.write('Name', 'Date band');
  await slip.write('paint', '4 62 68 0', 'Fill');
  await slip.write('opacity', '40');
  expect(slip.now()).toMatchObject({ name: 'Date band', fill: { m: 62 }, opacity: 0.4 });
  await slip.write('paint', 'none', 'Fill');
  expect(slip.now()).toMatchObject({ fill: null });
  await undone(slip, slip.before);
});

test('what cannot be read is refused where it stands, and nothing is changed', async () => {
  const slip = await slipOf([BAND]);
  await slip.write('left', 'over there', 'Across');
  expect(slip.refusal('left', 'Across')).not.toBe('');
  await slip.write('opacity', '140');
  expect(slip.refusal('opacity')).not.toBe('');
  expect(slip.job()).toBe(slip.before);
});

describe('the form of a shape', () => {
  test.each(FORM_KINDS)(
    '%s: every field of its description is there, says what is, and changes that alone',
    async (kind) => {
      const { fields, behind, first } = formKind(kind);
      const form = Form.parse({ form: kind, ...first });
      const slip = await slipOf([shape('s', [20, 20, 60, 40], form)]);
      for (const field of [...fields, ...(behind?.fields ?? [])]) {
        if (behind && field === behind.fields[0]) await slip.press(behind.label);
        switch (field.kind) {
          case 'extent':
          case 'length':
          case 'corners':
            await slip.write(field.label, '2.5');
            break;
          case 'number':
            await slip.write(field.label, String(field.least));
            break;
          case 'choice':
            await slip.choose(field.label, field.options.find((o) => o !== field.get(form)) ?? '');
            break;
          case 'points':
            continue;
        }
        const now = slip.now();
        if (now.kind !== 'shape') throw new Error('no shape');
        const said = field.get(now.shape);
        expect(said).toEqual(
          field.kind === 'number'
            ? field.least
            : field.kind === 'choice'
              ? field.options.find((o) => o !== field.get(form))
              : 2.5,
        );
      }
      await undone(slip, slip.before);
    },
  );

  test('a box has its corners all alike, or each by itself', async () => {
    const slip = await slipOf([BAND]);
    await slip.press('Each corner');
    await slip.write('top right', '4');
    expect(slip.now()).toMatchObject({ shape: { radius: [0, 4, 0, 0] } });
    await slip.press('All alike');
    expect(slip.now()).toMatchObject({ shape: { radius: 0 } });
  });
});

test('a stroke: none at first, then its ink, its width and its dashes', async () => {
  const slip = await slipOf([BAND]);
  await slip.write('paint', '0 0 0 100', 'Stroke');
  expect(slip.now()).toMatchObject({ stroke: { paint: { k: 100 } } });
  await slip.write('width', '2pt', 'Stroke');
  expect(slip.now()).toMatchObject({ stroke: { widthPt: 2 } });
  await undone(slip, slip.before);
});

test('a line runs the other way', async () => {
  const slip = await slipOf([line('rule', [10, 10, 60, 20])]);
  await slip.choose('runs', 'up');
  expect(slip.now()).toMatchObject({ slope: 'up' });
});

describe('several things', () => {
  const trio = [0, 1, 2].map((i) => box(`b${i}`, [10 + i * 30, 20 + i * 7, 20, 20]));

  test('are grouped, named, stood in a row with equal gaps, and parted again', async () => {
    const slip = await slipOf(trio);
    await slip.press('Group');
    const [piece] = slip.job().pieces;
    expect(piece?.groups.map((g) => g.name)).toEqual(['Group 1']);
    await slip.write('group', 'Three');
    await slip.choose('stands in', 'a row across');
    expect(slip.job().pieces[0]?.groups[0]).toMatchObject({ name: 'Three', row: { axis: 'x', gap: 'equal' } });
    await slip.write('gap', '4');
    expect(slip.job().pieces[0]?.groups[0]).toMatchObject({ row: { gap: 4 } });
    await slip.press('Ungroup');
    expect(slip.job().pieces[0]?.groups).toEqual([]);
    await undone(slip, slip.before);
  });

  test('are aligned with the trim and with each other, and spread evenly', async () => {
    const slip = await slipOf(trio);
    const tops = () => trio.map(({ id }) => slip.now(id).placement.y.start);
    await slip.press('Align');
    await slip.press('Align top');
    expect(tops()).toEqual([0, 0, 0]);
    await slip.press('spread across');
    expect(trio.map(({ id }) => slip.now(id).placement.x.start)).toEqual([0, 64, 128]);
    await undone(slip, slip.before);
  });
});

describe('copies', () => {
  test('around a point: counted, grown, upright, and frozen into things of their own', async () => {
    const slip = await slipOf([shape('s', [60, 90, 10, 10], { form: 'star' })]);
    await slip.press('Repeat');
    await slip.press('Around a point');
    await slip.write('copies', '7', 'Around a point');
    await slip.write('each grows', '120', 'Around a point');
    await slip.tick('upright', 'Around a point');
    expect(slip.now().repeat).toMatchObject([{ way: 'around', count: 7, grow: 120, upright: true }]);
    await slip.press('Freeze 7 copies');
    expect(slip.job().pieces[0]?.surfaces['front']).toHaveLength(7);
    expect(slip.store.getState().selection).toHaveLength(7);
    await undone(slip, slip.before);
  });

  test('in rows: as many as fill the box, or a number; what is neither is refused', async () => {
    const slip = await slipOf([shape('s', [10, 10, 10, 10], { form: 'ellipse' })]);
    await slip.press('Repeat');
    await slip.press('In rows');
    await slip.write('across', 'fill', 'In rows');
    expect(slip.now().repeat).toMatchObject([{ across: 'fill' }]);
    await slip.write('across', 'many', 'In rows');
    expect(slip.refusal('across', 'In rows')).toContain('A whole number up to 500, or “fill”.');
    await slip.press('Take off');
    expect(slip.now().repeat).toEqual([]);
  });

  test('no more than four ways at a time', async () => {
    const repeat = Array.from({ length: 4 }, () => Repeat.parse({ way: 'mirror', in: { box: 'trim' } }));
    const slip = await slipOf([{ ...BAND, repeat }]);
    await slip.press(/^Repeat/);
    expect(screen.getByRole('button', { name: 'In rows' })).toHaveProperty('disabled', true);
  });
});

describe('a text', () => {
  const TITLE = words('title', 'Clear skies', [10, 10, 100, 30], { sizePt: 24 });

  test('its type is written in one line, and what of it is no type is refused', async () => {
    const slip = await slipOf([TITLE]);
    await slip.write('set in', 'Lora italic 19/24 centred');
    expect(slip.now()).toMatchObject({
      look: { family: 'Lora', italic: true, sizePt: 19, leadingPt: 24, align: 'centre' },
    });
    await slip.write('set in', 'Lora sideways');
    expect(slip.refusal('set in')).toContain('sideways');
    await undone(slip, slip.before);
  });

  test('a style is made of it, and it is in that style then', async () => {
    const slip = await slipOf([TITLE]);
    await slip.press('Paragraph');
    await slip.press('Make it a style');
    const [style] = slip.job().styles;
    expect(style).toMatchObject({ of: 'paragraph', look: { sizePt: 24 } });
    expect(slip.now()).toMatchObject({ style: style?.id, look: {} });
    await undone(slip, slip.before);
  });
});
