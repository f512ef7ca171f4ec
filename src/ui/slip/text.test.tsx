/** The slip of a text: every field of its type says what is, changes that alone, and is undone. */
import { partOf, slipOf, undone } from '@/testing/part';
import { act, screen } from '@testing-library/react';
import { useState } from 'react';
import {
  USUAL_LOOK,
  plainText,
  type Element,
  type ElementOf,
  type ParagraphChanges,
  type ParagraphLook,
  type TypeStyle,
} from '@/core/job';
import type { handOf } from '@/testing/hand';
import { makeJob, shape, words } from '@/testing/jobs';
import { LetterFields } from './text/LetterFields';
import { ParagraphFields } from './text/ParagraphFields';

const TITLE = words('title', 'Clear skies', [10, 10, 100, 30], { sizePt: 24 });

/** What a hand does at a field. */
type Act =
  | readonly [does: 'writes', label: string, text: string]
  | readonly [does: 'chooses', label: string, option: string]
  | readonly [does: 'ticks', label: string];

type Slip = Awaited<ReturnType<typeof slipOf>>;
type Hand = ReturnType<typeof handOf>;

async function doing(slip: Hand, [does, label, to]: Act): Promise<void> {
  if (does === 'writes') await slip.write(label, to);
  else if (does === 'chooses') await slip.choose(label, to);
  else await slip.tick(label);
}

const textNow = (slip: Slip): ElementOf<'text'> => {
  const now = slip.now();
  if (now.kind !== 'text') throw new Error('no text');
  return now;
};

type Rows = readonly (readonly [act: Act, facts: object])[];

/** Does one after another, and finds what is looked at as all of them say. */
async function expectEach(hand: Hand, rows: Rows, found: () => object, start: object): Promise<void> {
  let wanted = start;
  for (const [act, facts] of rows) {
    wanted = { ...wanted, ...facts };
    await doing(hand, act);
    expect([act, found()]).toEqual([act, wanted]);
  }
}

/** Fields of a look by themselves, and the look as they leave it. */
async function lookOf(Fields: typeof LetterFields | typeof ParagraphFields) {
  let now: ParagraphLook = { ...USUAL_LOOK };
  const start = now;
  function Holder() {
    const [look, setLook] = useState(start);
    const set = (_label: string, to: ParagraphChanges) => {
      now = { ...look, ...to } as ParagraphLook;
      setLook(now);
    };
    return <Fields look={look} set={set} />;
  }
  const page = await partOf(<Holder />, makeJob());
  return { ...page, start, look: () => now };
}

describe('letters', () => {
  test('each field changes what it says, and nothing else', async () => {
    const fields = await lookOf(LetterFields);
    const rows: Rows = [
      [['chooses', 'face', 'Lora'], { family: 'Lora', weight: 400 }],
      [['writes', 'size', '31.5'], { sizePt: 31.5 }],
      [['writes', 'tracking', '-20'], { tracking: -20 }],
      [['writes', 'raised', '3 pt'], { shiftPt: 3 }],
      [['ticks', 'italic'], { italic: true }],
      [['chooses', 'case', 'Small Capitals'], { case: 'small-caps' }],
      [['chooses', 'figures', 'old-style'], { figures: 'old-style' }],
      [['chooses', 'figure width', 'tabular'], { figureWidth: 'tabular' }],
      [['chooses', 'ligatures', 'none'], { ligatures: 'none' }],
      [['ticks', 'kerning'], { kerning: false }],
      [['ticks', 'underline'], { underline: true }],
      [['ticks', 'strike'], { strike: true }],
    ];
    await expectEach(fields, rows, fields.look, fields.start);
  });

  test('a face takes the nearest weight that it has', async () => {
    const slip = await slipOf([words('title', 'Clear skies', [10, 10, 100, 30], { family: 'Oswald', weight: 300 })]);
    await slip.press('Letters');
    await slip.choose('face', 'Lora');
    expect(textNow(slip).look).toMatchObject({ family: 'Lora', weight: 400 });
  });

  test('a face that is not here is said to be missing, and stays until another is chosen', async () => {
    const slip = await slipOf([words('title', 'Clear skies', [10, 10, 100, 30], { family: 'Moorland Grotesk' })]);
    await slip.press('Letters');
    expect(screen.getByRole('combobox', { name: 'face (missing)' }).textContent).toBe('Moorland Grotesk');
    await slip.choose('face (missing)', 'Lora');
    expect(textNow(slip).look.family).toBe('Lora');
  });
});

describe('paragraph', () => {
  test('each field changes what it says, and nothing else', async () => {
    const fields = await lookOf(ParagraphFields);
    const rows: Rows = [
      [['writes', 'leading (auto)', '30'], { leadingPt: 30 }],
      [['chooses', 'broken', 'even lines'], { breaking: 'balanced' }],
      [['ticks', 'hyphenate'], { hyphenate: true }],
      [['ticks', 'optical margin'], { opticalMargin: true }],
      [['ticks', 'on the baseline grid'], { onGrid: true }],
      [['writes', 'before', '2'], { before: 2 }],
      [['writes', 'after', '1/8 in'], { after: 3.175 }],
      [['writes', 'indent', '5'], { indent: 5 }],
      [['writes', 'first line', '-4'], { firstIndent: -4 }],
      [['writes', 'from right', '6'], { indentRight: 6 }],
      [['writes', 'dropped letter', '3'], { dropCap: 3 }],
      [['chooses', 'list', 'bullets'], { list: { list: 'bullet', mark: '•' } }],
      [['ticks', 'with the next paragraph'], { keepWithNext: true }],
      [['writes', 'least at a foot', '3'], { keepFirst: 3 }],
      [['writes', 'least at a head', '4'], { keepLast: 4 }],
    ];
    await expectEach(fields, rows, fields.look, fields.start);
  });

  test('the spaces of a justified line are asked for where a line is justified', async () => {
    const slip = await slipOf([TITLE]);
    await slip.press('Paragraph');
    expect(screen.queryByRole('textbox', { name: 'words, least' })).toBeNull();
    await slip.user.keyboard('{Escape}');
    await slip.choose('lines', 'justified');
    await slip.press('Paragraph');
    await slip.write('words, least', '70');
    await slip.write('letters, most', '4');
    expect(textNow(slip).look).toMatchObject({ align: 'justified', justify: { wordLeast: 70, letterMost: 4 } });
    await slip.write('words, most', '500');
    expect(slip.refusal('words, most')).not.toBe('');
    await undone(slip, slip.before);
  });

  test('a list is numbered, goes on from where it is told, and ends', async () => {
    const slip = await slipOf([TITLE]);
    await slip.press('Paragraph');
    await slip.choose('list', 'i, ii, iii');
    expect(textNow(slip).look.list).toEqual({ list: 'number', style: 'i', after: '.', start: null });
    // The room that the first made for its signs is not made twice.
    await slip.choose('list', 'bullets');
    await slip.write('sign', '–');
    expect(textNow(slip).look).toMatchObject({ list: { list: 'bullet', mark: '–' }, indent: 4, firstIndent: -4 });
    await slip.choose('list', 'none');
    expect(textNow(slip).look.list).toBeNull();
    await undone(slip, slip.before);
  });

  test('tab stops are written in one line; what is none is refused', async () => {
    const slip = await slipOf([TITLE]);
    await slip.press('Paragraph');
    await slip.write('tabs', '40 right ., 60 decimal');
    expect(textNow(slip).look.tabs).toMatchObject([
      { at: 40, align: 'right', leader: '.' },
      { at: 60, align: 'decimal' },
    ]);
    await slip.write('tabs', 'somewhere');
    expect(slip.refusal('tabs')).not.toBe('');
    await undone(slip, slip.before);
  });
});

describe('styles', () => {
  const STYLES: TypeStyle[] = [
    { of: 'paragraph', id: 'head', name: 'Head', basedOn: null, next: null, look: { sizePt: 30, align: 'centre' } },
    { of: 'character', id: 'loud', name: 'Loud', basedOn: null, look: { weight: 700 } },
  ];

  test('a text takes a style, departs from it, and goes back to what it says', async () => {
    const slip = await slipOf([TITLE], ['title'], { styles: STYLES });
    await slip.choose('style', 'Head');
    expect(textNow(slip)).toMatchObject({ style: 'head', look: {} });
    await slip.choose('lines', 'right');
    expect(screen.getByRole('combobox', { name: 'style (differs)' }).textContent).toBe('Head');
    await slip.press('Paragraph');
    await slip.press('As the style says (1 differ)');
    expect(textNow(slip)).toMatchObject({ style: 'head', look: {} });
    await undone(slip, slip.before);
  });

  test('its letters take a character style', async () => {
    const slip = await slipOf([TITLE], ['title'], { styles: STYLES });
    await slip.press('Letters');
    await slip.choose('character style', 'Loud');
    expect(textNow(slip).paragraphs[0]?.runs).toEqual([{ text: 'Clear skies', style: 'loud' }]);
    await undone(slip, slip.before);
  });
});

describe('what is selected while it is typed', () => {
  async function typing(from: number, to: number) {
    const slip = await slipOf([words('title', 'Clear skies tonight', [10, 10, 100, 30], { sizePt: 24 })]);
    act(() => {
      slip.store.getState().type('title');
      slip.store.getState().mark([from, to]);
    });
    return slip;
  }
  const runs = (slip: Slip) => textNow(slip).paragraphs[0]?.runs;

  test('letters are changed there alone, the paragraph as a whole', async () => {
    const slip = await typing(6, 11);
    expect(screen.getByText('Type of what is selected')).toBeTruthy();
    await slip.press('Letters');
    await slip.tick('italic');
    expect(runs(slip)).toEqual([{ text: 'Clear ' }, { text: 'skies', look: { italic: true } }, { text: ' tonight' }]);
    await slip.user.keyboard('{Escape}');
    await slip.choose('lines', 'centre');
    expect(textNow(slip).paragraphs[0]?.look).toEqual({ align: 'centre' });
    expect(textNow(slip).look).toEqual({ sizePt: 24 });
    await undone(slip, slip.before);
  });

  test('a caret means the word that it stands in', async () => {
    const slip = await typing(8, 8);
    await slip.write('ink', '0 100 80 0');
    expect(runs(slip)?.map(({ text, look }) => [text, look?.paint?.kind])).toEqual([
      ['Clear ', undefined],
      ['skies', 'process'],
      [' tonight', undefined],
    ]);
  });
});

test('what a page fills in is put at the end of a text', async () => {
  const slip = await slipOf([TITLE]);
  await slip.choose('put in', 'page number, 1 2 3');
  expect(plainText(textNow(slip).paragraphs)).not.toBe('Clear skies');
  expect(plainText(textNow(slip).paragraphs).startsWith('Clear skies')).toBe(true);
  await undone(slip, slip.before);
});

describe('the frame', () => {
  const OVAL = shape('oval', [20, 60, 60, 60], { form: 'ellipse' });
  const NEXT = words('next', 'Bring a coat', [10, 130, 100, 30]);
  const frameOf = async (elements: readonly Element[] = [TITLE]) => {
    const slip = await slipOf(elements, ['title']);
    await slip.press('Frame');
    return slip;
  };

  test('each field changes what it says, and nothing else', async () => {
    const slip = await frameOf();
    const rows: Rows = [
      [['chooses', 'stands', 'bottom'], { vertical: 'bottom' }],
      [['writes', 'inset', '3'], { inset: { top: 3, right: 3, bottom: 3, left: 3 } }],
      [['writes', 'columns', '3'], { columns: 3 }],
      [['writes', 'between', '6'], { columnGap: 6 }],
      [['ticks', 'columns level'], { balance: true }],
      [['chooses', 'fitted to', 'width, by tracking'], { fit: { to: 'width', by: 'tracking' } }],
      [['chooses', 'fitted to', 'frame'], { fit: { to: 'frame', least: 90, most: 100 } }],
    ];
    await expectEach(slip, rows, () => textNow(slip), TITLE);
    await undone(slip, slip.before);
  });

  test('fitted to a number of lines, or within two percentages', async () => {
    const slip = await frameOf();
    await slip.choose('fitted to', 'number of lines');
    await slip.write('lines', '2');
    expect(textNow(slip).fit).toEqual({ to: 'lines', lines: 2 });
    await slip.choose('fitted to', 'frame');
    await slip.write('least', '80');
    await slip.write('most', '120');
    expect(textNow(slip).fit).toEqual({ to: 'frame', least: 80, most: 120 });
    await slip.choose('fitted to', 'as it is');
    expect(textNow(slip).fit).toBeNull();
    await undone(slip, slip.before);
  });

  test('along the outline of a shape, from where and on which side', async () => {
    const slip = await frameOf([TITLE, OVAL]);
    await slip.choose('along', 'oval');
    expect(textNow(slip).along).toEqual({ shape: 'oval', start: 0, side: 'outside', anchor: 'centre' });
    await slip.write('further on', '-8');
    await slip.choose('side', 'inside');
    await slip.choose('words from', 'their start');
    expect(textNow(slip).along).toEqual({ shape: 'oval', start: -8, side: 'inside', anchor: 'start' });
    await undone(slip, slip.before);
  });

  test('text flows in from another frame, and not round in a circle', async () => {
    const slip = await frameOf([TITLE, NEXT]);
    await slip.choose('from', 'next');
    expect(textNow(slip).after).toBe('next');
    await slip.user.keyboard('{Escape}');
    act(() => slip.store.getState().select(['next']));
    await slip.press('Frame');
    await slip.choose('from', 'title');
    expect(slip.now('next')).toMatchObject({ after: null });
    expect(screen.getByText('That text flows in from here already.')).toBeTruthy();
    await undone(slip, slip.before);
  });
});
