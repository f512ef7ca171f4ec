import { SHIPPED } from '../type';
import { TextStyle, readTypeSpec, writeTypeSpec } from './index';

const read = (text: string) => readTypeSpec(text, SHIPPED);

test.each([
  ['Lora italic 19/24', { family: 'Lora', italic: true, sizePt: 19, leadingPt: 24 }],
  ['12/14.4', { sizePt: 12, leadingPt: 14.4 }],
  ['20pt', { sizePt: 20 }],
  ['9/auto justified', { sizePt: 9, leadingPt: null, align: 'justified' }],
  ['oswald 600 20/24 caps', { family: 'Oswald', weight: 600, sizePt: 20, leadingPt: 24, case: 'upper' }],
  ['Source Sans 3 bold +12 centred', { family: 'Source Sans 3', weight: 700, tracking: 12, align: 'centre' }],
  ['', {}],
])('%s', (text, spec) => expect(read(text)).toEqual({ ok: true, value: spec }));

test.each([
  ['Lroa 12/14', 0, 4, /no face/],
  ['Lora 600', 5, 3, /20\/24/],
  ['Lora 12', 5, 2, /20\/24/],
  ['9000/9000', 0, 9, /5000/],
])('%s is refused where it is wrong', (text, at, length, message) => {
  const found = read(text);
  expect(found.ok ? undefined : found.error).toMatchObject({ at, length, message: expect.stringMatching(message) as string });
}); // prettier-ignore

test('what is written reads as what it was', () => {
  const plain = { family: 'Lora', sizePt: 19, paint: { kind: 'paper' } } as const;
  for (const more of [{}, { weight: 700, italic: true, leadingPt: 24.5, tracking: -8, align: 'centre', case: 'upper' }] as const) {
    const style = TextStyle.parse({ ...plain, ...more });
    const found = read(writeTypeSpec(style));
    expect(found.ok && { ...TextStyle.parse(plain), ...found.value }).toEqual(style);
  }
}); // prettier-ignore
