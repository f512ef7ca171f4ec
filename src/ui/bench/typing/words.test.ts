import { createHeadlessEditor } from '@lexical/headless';
import { $createTextNode, $getRoot, $getSelection, $isElementNode, $isRangeSelection } from 'lexical';
import fc from 'fast-check';
import { plainText, type Paragraph, type Run, type TextRange } from '@/core/job';
import { $putParagraphs, $select, $selectedRange, endOfChange, paragraphReader } from './words';

/** The editor package holds the same words and looks as the job, wherever the caret stands. */

const editorWith = (paragraphs: readonly Paragraph[]) => {
  const editor = createHeadlessEditor({
    onError: (error) => {
      throw error;
    },
  });
  editor.update(() => $putParagraphs(paragraphs), { discrete: true });
  return editor;
};

const run = fc.record(
  {
    text: fc
      .array(fc.constantFrom('moon', ' ', 'Ł', '\t', '\u2028', 'é'), { minLength: 1, maxLength: 5 })
      .map((l) => l.join('')),
    style: fc.constantFrom('strong', 'small'),
    look: fc.constantFrom({ italic: true }, { weight: 700, sizePt: 9 }),
  },
  { requiredKeys: ['text'] },
);
const paragraph = fc.record(
  {
    runs: fc.array(run, { maxLength: 4 }),
    style: fc.constantFrom('body', 'head'),
    look: fc.constant({ align: 'centre' as const }),
  },
  { requiredKeys: ['runs'] },
);

/** Neighbours that look alike as one: what an editor makes of them. */
function joined({ runs, ...about }: Paragraph): Paragraph {
  const out: Run[] = [];
  for (const { text, ...own } of runs) {
    const last = out.at(-1);
    // A line break has no look of its own.
    const isBreak = /^\u2028/.test(text);
    if (last && !isBreak && JSON.stringify({ ...last, text: '' }) === JSON.stringify({ text: '', ...own }))
      out[out.length - 1] = { ...last, text: last.text + text };
    else out.push({ text, ...own });
  }
  return { ...about, runs: out };
}

test('paragraphs put into the editor come out with the same words, styles and looks', () => {
  fc.assert(
    fc.property(fc.array(paragraph, { minLength: 1, maxLength: 4 }), (list) => {
      const plain = list.map((p) => ({
        ...p,
        runs: p.runs.map((r) => ({ ...r, text: r.text.replace(/\u2028/g, '') })).filter((r) => r.text !== ''),
      }));
      const read = editorWith(plain).getEditorState().read(paragraphReader());
      expect(read.map(joined)).toEqual(plain.map(joined));
    }),
    { numRuns: 60 },
  );
});

test('line breaks and tabs are kept, and every place of the caret is found again', () => {
  const list: Paragraph[] = [
    { runs: [{ text: 'one\u2028two\tthree' }] },
    { runs: [] },
    { runs: [{ text: 'four', look: { italic: true } }, { text: ' five' }] },
  ];
  const editor = editorWith(list);
  const words = plainText(list);
  expect(editor.getEditorState().read(() => plainText(paragraphReader()()))).toBe(words);
  for (let at = 0; at <= words.length; at += 1) {
    for (const range of [
      [at, at],
      [0, at],
      [at, words.length],
    ] as const satisfies readonly TextRange[]) {
      editor.update(() => $select(range), { discrete: true });
      expect(editor.getEditorState().read($selectedRange)).toEqual(range);
    }
  }
});

test('a letter typed changes its paragraph; the others stay the same objects', () => {
  const list: Paragraph[] = [{ runs: [{ text: 'one' }] }, { runs: [{ text: 'two', look: { weight: 700 } }] }];
  const editor = editorWith(list);
  const reader = paragraphReader();
  const before = editor.getEditorState().read(reader);
  editor.update(
    () => {
      $select([2, 2]);
      const selection = $getSelection();
      if ($isRangeSelection(selection)) selection.insertText('X');
    },
    { discrete: true },
  );
  const after = editor.getEditorState().read(reader);
  expect(after).toEqual([{ runs: [{ text: 'onXe' }] }, list[1]]);
  expect(after[1]).toBe(before[1]);
  // In the middle of bold words what is typed is bold.
  editor.update(
    () => {
      $select([6, 6]);
      const selection = $getSelection();
      if ($isRangeSelection(selection)) selection.insertText('YY');
    },
    { discrete: true },
  );
  expect(editor.getEditorState().read(reader)[1]).toEqual({ runs: [{ text: 'tYYwo', look: { weight: 700 } }] });
});

test('words that another program made bold and slanted stay so', () => {
  const editor = editorWith([{ runs: [{ text: 'plain ' }] }]);
  editor.update(
    () => {
      const [paragraph] = $getRoot().getChildren();
      if ($isElementNode(paragraph))
        paragraph.append($createTextNode('heavy').toggleFormat('bold').toggleFormat('italic'));
    },
    { discrete: true },
  );
  expect(editor.getEditorState().read(paragraphReader())).toEqual([
    { runs: [{ text: 'plain ' }, { text: 'heavy', look: { weight: 700, italic: true } }] },
  ]);
});

test.each([
  ['One two', '', 0],
  ['', 'One two', 7],
  ['one three', 'one and three', 8],
  ['aaa', 'aa', 2],
  ['same', 'same', undefined],
])('after “%s” became “%s” the caret goes on at %s', (before, after, at) => {
  expect(endOfChange(before, after)).toBe(at);
});
