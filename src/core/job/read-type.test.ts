import { SHIPPED } from '../type';
import { USUAL_LOOK, readTypeSpec, writeTypeSpec } from './index';

const MM = { unit: 'mm', ppi: 300 } as const;
const read = (text: string) => readTypeSpec(text, SHIPPED, MM);

test.each([
  ['Lora italic 19/24', { family: 'Lora', italic: true, sizePt: 19, leadingPt: 24 }],
  ['12/14.4', { sizePt: 12, leadingPt: 14.4 }],
  ['20pt', { sizePt: 20 }],
  ['9/auto justified', { sizePt: 9, leadingPt: null, align: 'justified' }],
  ['oswald 600 20/24 caps', { family: 'Oswald', weight: 600, sizePt: 20, leadingPt: 24, case: 'upper' }],
  ['Source Sans 3 bold +12 centred', { family: 'Source Sans 3', weight: 700, tracking: 12, align: 'centre' }],
  ['Barlow 9/12 hyphenated after 1.5mm', { family: 'Barlow', sizePt: 9, leadingPt: 12, hyphenate: true, after: 1.5 }],
  ['before 4 first −2 keep', { before: 4, firstIndent: -2, keepWithNext: true }],
  ['drop3', { dropCap: 3 }],
  ['', {}],
])('%s', (text, spec) => expect(read(text)).toEqual({ ok: true, value: spec }));

test.each([
  ['Lroa 12/14', 0, 4, /no face/],
  ['Lora 600', 5, 3, /20\/24/],
  ['Lora 12', 5, 2, /20\/24/],
  ['before', 0, 6, /length is wanted/],
  ['after -2', 0, 5, /length is wanted/],
  ['9000/9000', 0, 9, /5000/],
])('%s is refused where it is wrong', (text, at, length, message) => {
  const found = read(text);
  expect(found.ok ? undefined : found.error).toMatchObject({
    at,
    length,
    message: expect.stringMatching(message) as string,
  });
});

test('what is written reads as what it was', () => {
  const plain = { ...USUAL_LOOK, family: 'Lora', sizePt: 19 };
  for (const more of [
    {},
    { weight: 700, italic: true, leadingPt: 24.5, tracking: -8, align: 'centre', case: 'upper' },
  ] as const) {
    const style = { ...plain, ...more };
    const found = read(writeTypeSpec(style, MM));
    expect(found.ok && { ...plain, ...found.value }).toEqual(style);
  }
});
