/** Fields: what is typed is taken, or refused where it stands, and nothing else changes. */
import { onPage, shown } from '@/testing/page';
import { screen } from '@testing-library/react';
import { useState } from 'react';
import { MeasuresProvider } from './measures';
import type { Paint, SolidPaint } from '@/core/job';
import { handOf } from '@/testing/hand';
import { makeJob } from '@/testing/jobs';
import { CheckField } from './CheckField';
import { ChoiceField } from './ChoiceField';
import { LengthField } from './LengthField';
import { LinesField } from './LinesField';
import { NumberField } from './NumberField';
import { PaintField } from './PaintField';
import { WordsField } from './WordsField';

describe('a length', () => {
  function length(unit: 'mm' | 'in' = 'mm') {
    const taken: number[] = [];
    function Held() {
      const [mm, setMm] = useState(148);
      return (
        <MeasuresProvider value={[{ id: 'm', name: 'edge distance', value: 6 }]}>
          <LengthField
            label="Width"
            value={mm}
            unit={unit}
            ppi={300}
            onChange={(to) => {
              taken.push(to);
              setMm(to);
            }}
          />
        </MeasuresProvider>
      );
    }
    const { user } = shown(<Held />);
    return { taken, user, ...handOf() };
  }

  test.each([
    ['120', 120],
    ['12 cm', 120],
    ['4 1/2 in', 114.3],
    ['1 ft 3 in', 381],
    ['210/2', 105],
    ['2in + 1mm', 51.8],
    ['72pt', 25.4],
    ['edge distance', 6],
    ['2 x edge distance + 1', 13],
  ])('“%s” is %d mm', async (text, mm) => {
    const { write, taken } = length();
    await write('Width', text);
    expect(taken).toHaveLength(1);
    expect(taken[0]).toBeCloseTo(mm, 9);
  });

  test('is shown in the unit of the job, whatever it was typed in', async () => {
    const { field, write } = length('in');
    expect(field('Width').value).toBe('5.8268 in');
    await write('Width', '254 mm');
    expect(field('Width').value).toBe('10 in');
  });

  test.each([
    ['twelve', /not a unit/],
    ['-4', 'This length cannot be negative.'],
    ['12 parsec', /parsec/],
    ['1/0', /./],
  ])('“%s” is refused in words, stays to be mended, and nothing is taken', async (text, words) => {
    const { field, write, taken, refusal, user } = length();
    await write('Width', text);
    expect(taken).toEqual([]);
    expect(refusal('Width')).toMatch(words);
    expect(field('Width').value).toBe(text);
    // Escape brings back what it was.
    await user.keyboard('{Escape}');
    expect(field('Width').value).toBe('148 mm');
    expect(refusal('Width')).toBe('');
  });

  test('a mended word loses its message before it is taken, and leaving takes it', async () => {
    const { field, write, taken, refusal, user } = length();
    await write('Width', '12 q');
    expect(refusal('Width')).not.toBe('');
    await user.clear(field('Width'));
    await user.paste('12 mm');
    expect(refusal('Width')).toBe('');
    expect(taken).toEqual([]);
    await user.tab();
    expect(taken).toEqual([12]);
  });

  test('Enter on what already stands there changes nothing', async () => {
    const { write, taken } = length();
    await write('Width', '148 mm');
    expect(taken).toEqual([]);
  });
});

test('a number keeps to its bounds, and takes a comma and its sign', async () => {
  const taken: number[] = [];
  shown(<NumberField label="inner" value={40} least={1} most={100} after=" %" onChange={(n) => taken.push(n)} />);
  const { write, refusal, field } = handOf();
  expect(field('inner').value).toBe('40 %');
  for (const text of ['12,5', '99 %']) await write('inner', text);
  for (const text of ['0', '101', '', 'half']) {
    await write('inner', text);
    expect(refusal('inner')).toBe('A number from 1 to 100 is wanted.');
  }
  expect(taken).toEqual([12.5, 99]);
});

test('a whole number is no other', async () => {
  const taken: number[] = [];
  shown(<NumberField label="copies" value={3} least={1} most={9} whole onChange={(n) => taken.push(n)} />);
  const { write, refusal } = handOf();
  await write('copies', '2.5');
  expect(refusal('copies')).toBe('A whole number from 1 to 9 is wanted.');
  await write('copies', '7');
  expect(taken).toEqual([7]);
});

test('a choice that cannot be says why, and stays as it was', async () => {
  const taken: string[] = [];
  const options = [
    { value: 'one', label: 'one side' },
    { value: 'two', label: 'both sides' },
  ];
  const refuse = (value: string) => (value === 'two' ? 'Its back is glued.' : undefined);
  shown(<ChoiceField label="printed" value="one" options={options} refuse={refuse} onChange={(v) => taken.push(v)} />);
  await handOf().choose('printed', 'both sides');
  expect(taken).toEqual([]);
  expect(screen.getByRole('alert').textContent).toBe('Its back is glued.');
});

test('words are cut of the room around them, and no longer than they may be', async () => {
  const taken: string[] = [];
  shown(<WordsField label="name" value="Moon" most={8} onChange={(w) => taken.push(w)} />);
  const { write, refusal } = handOf();
  await write('name', '  Star ');
  await write('name', 'Observatory');
  expect(refusal('name')).toContain('At most 8 characters.');
  expect(taken).toEqual(['Star']);
});

test('a tick is a yes', async () => {
  const taken: boolean[] = [];
  shown(<CheckField label="upright" checked={false} onChange={(on) => taken.push(on)} />);
  await handOf().tick('upright');
  expect(taken).toEqual([true]);
});

test('lines are taken on leaving, not on Enter', async () => {
  const taken: unknown[] = [];
  const { user } = shown(
    <LinesField
      label="list"
      name="list"
      shown="soup"
      read={(text) => ({ ok: true, value: text })}
      refuse={(text) => (text === 'tea' ? 'There is no tea.' : undefined)}
      onChange={(text) => taken.push(text)}
    />,
  );
  const at = screen.getByRole('textbox', { name: 'list' });
  await user.click(at);
  await user.keyboard('{End}{Enter}cocoa');
  expect(taken).toEqual([]);
  await user.tab();
  expect(taken).toEqual(['soup\ncocoa']);
  await user.click(at);
  await user.clear(at);
  await user.paste('tea');
  await user.keyboard('{Control>}{Enter}{/Control}');
  expect(screen.getByRole('alert').textContent).toBe('There is no tea.');
  expect(taken).toHaveLength(1);
});

describe('a paint', () => {
  const job = makeJob([], {
    inks: [{ name: 'Silver', finish: 'metallic', c: 0, m: 0, y: 0, k: 30 }],
    swatches: [{ name: 'Night', paint: { kind: 'process', c: 88, m: 78, y: 38, k: 36 } }],
  });
  async function paint(value: Paint | null) {
    const taken: (Paint | null)[] = [];
    function Held() {
      const [now, setNow] = useState(value);
      return (
        <PaintField
          label="paint"
          value={now}
          none="None"
          gradient
          onChange={(to) => {
            taken.push(to);
            setNow(to);
          }}
        />
      );
    }
    const { user } = await onPage(<Held />, job);
    return { taken, ...handOf(), user };
  }

  test.each<readonly [string, SolidPaint | null]>([
    ['4 12 80 0', { kind: 'process', c: 4, m: 12, y: 80, k: 0 }],
    ['#1f2b5a', { kind: 'rgb', r: 31, g: 43, b: 90 }],
    ['paper', { kind: 'paper' }],
    ['Night', { kind: 'swatch', swatch: 'Night', tint: 100 }],
    ['Silver 60 %', { kind: 'spot', c: 0, m: 0, y: 0, k: 0, spots: [{ ink: 'Silver', tint: 60 }] }],
    ['none', null],
  ])('“%s” is read as it is written', async (text, to) => {
    const { write, taken } = await paint({ kind: 'process', c: 0, m: 0, y: 0, k: 20 });
    await write('paint', text);
    expect(taken).toEqual([to]);
  });

  test('a build of more than 100 % of an ink is refused', async () => {
    const { write, taken, refusal } = await paint({ kind: 'paper' });
    await write('paint', '4 120 80 0');
    expect(taken).toEqual([]);
    expect(refusal('paint')).toContain('100');
  });

  test('behind its patch the inks are written one by one, and it becomes another kind', async () => {
    const { press, write, taken, user } = await paint({ kind: 'process', c: 10, m: 20, y: 30, k: 0 });
    await press('paint: 10 20 30 0');
    await write('M', '55');
    expect(taken.at(-1)).toEqual({ kind: 'process', c: 10, m: 55, y: 30, k: 0 });
    await press('Gradient');
    expect(taken.at(-1)).toMatchObject({ kind: 'gradient', stops: [{ at: 0 }, { at: 100 }] });
    await press('None');
    expect(taken.at(-1)).toBeNull();
    await user.keyboard('{Escape}');
  });
});
