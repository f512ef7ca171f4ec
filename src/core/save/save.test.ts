import canonicalize from 'canonicalize';
import fc from 'fast-check';
import { applyPatch } from 'rfc6902';
import { PageLayout } from '../job/base-layout';
import { canonical } from './canonical';
import { contentHash } from './hash';
import { Patch, patchBetween, patched } from './patch';

/** Keys of a job: what reads one (Zod) leaves a key named __proto__ away, so that no job holds it. */
const key = (constraints?: fc.StringConstraints) => fc.string(constraints).filter((name) => name !== '__proto__');

/** JSON as it is met: named things in lists, and anything else. */
const { tree: json } = fc.letrec((tie) => ({
  tree: fc.oneof(
    { depthSize: 'small' },
    fc.constantFrom(null, true, 0, -0.5, 1e21, 1e-7, 'a', 'é', '"', '😀', '\u2028'),
    fc.double({ noNaN: true, noDefaultInfinity: true }),
    fc.string({ unit: 'grapheme' }),
    fc.array(tie('tree'), { maxLength: 4 }),
    fc.array(fc.record({ id: fc.uuid(), of: tie('tree') }), { maxLength: 4 }),
    fc.dictionary(key(), tie('tree'), { maxKeys: 4, noNullPrototype: true }),
  ),
}));

const document = fc.dictionary(key({ maxLength: 3 }), json, { maxKeys: 5, noNullPrototype: true });

const frozen = (value: unknown): unknown => {
  if (typeof value === 'object' && value !== null) Object.values(Object.freeze(value)).forEach(frozen);
  return value;
};

describe('content', () => {
  test('canonical JSON: the sample of RFC 8785, 3.2.2 (from memory), and what the package of its authors says', () => {
    const sample = {
      numbers: [333333333.33333329, 1e30, 4.5, 2e-3, 0.000000000000000000000000001],
      string: '\u20ac$\u000F\u000aA\'\u0042\u0022\u005c\\"\/',
      literals: [null, true, false],
    };
    expect(canonical(sample)).toBe(
      '{"literals":[null,true,false],"numbers":[333333333.3333333,1e+30,4.5,0.002,1e-27],' +
        '"string":"€$\\u000f\\nA\'B\\"\\\\\\\\\\"/"}',
    );
    fc.assert(fc.property(json, (value) => canonical(value) === canonicalize(value)));
  });

  test('half of a surrogate pair, as pasted text may have it, is written as its escape', () => {
    expect(contentHash({ text: 'a\ud83d' })).toMatch(/^[0-9a-f]{64}$/);
    expect(canonical({ text: 'a\ud83d' })).toBe('{"text":"a\\ud83d"}');
  });
});

describe('changes', () => {
  test('what lies between two documents leads from one to the other, and changes neither', () => {
    fc.assert(
      fc.property(document, document, (before, after) => {
        frozen(before);
        frozen(after);
        const arrived = patched(before, patchBetween(before, after));
        return canonical(arrived) === canonical(after);
      }),
    );
  });

  test('it leads to the same as the package that applies a whole patch to a copy', () => {
    fc.assert(
      fc.property(document, document, document, (first, second, third) => {
        const patch = [...patchBetween(first, second), ...patchBetween(second, third)];
        const copy = structuredClone(first);
        applyPatch(copy, patch);
        expect(patched(frozen(first), patch)).toEqual(copy);
      }),
    );
  });

  test('a named thing gives way to nothing, as a list may hold both', () => {
    const [before, after] = [{ list: [{ id: 'a' }] }, { list: [null] }];
    expect(patched(before, patchBetween(before, after))).toEqual(after);
    expect(patched(after, patchBetween(after, before))).toEqual(before);
  });

  test('what a change does not reach stays the same thing', () => {
    const before = {
      pieces: [
        {
          id: 'p',
          list: [
            { id: 'a', x: 1 },
            { id: 'b', x: 2 },
          ],
          other: { deep: [1] },
        },
      ],
    };
    const after = patched(before, [{ op: 'replace', path: '/pieces/0/list/1/x', value: 3 }]) as typeof before;
    expect(after.pieces[0]?.list[1]?.x).toBe(3);
    expect(after.pieces[0]?.list[0]).toBe(before.pieces[0]?.list[0]);
    expect(after.pieces[0]?.other).toBe(before.pieces[0]?.other);
    expect(before.pieces[0]?.list[1]?.x).toBe(2);
  });

  test.each([
    ['/constructor/prototype/x'],
    ['/list/map/x'],
    ['/list/__proto__/x'],
    ['/__proto__/x'],
    ['/nothing/here'],
    ['/list/0/x'],
  ])('a way that leads over %s fits no document', (path) => {
    const before = frozen({ list: [1] });
    expect(patched(before, [{ op: 'add', path, value: 1 }])).toBeUndefined();
    expect('x' in Array.prototype || 'x' in Object.prototype || 'x' in Array.prototype.map).toBe(false);
  });

  test('a job holds no key named __proto__, whatever it was read from', () => {
    const text = '{"key":"p","facts":{"__proto__":{"x":1},"a":{"__proto__":{"x":1},"name":"b"}}}';
    const { facts } = PageLayout.parse(JSON.parse(text));
    expect(Object.keys(facts)).toEqual(['a']);
    expect(Object.keys(facts['a'] ?? {})).toEqual(['name']);
  });

  test('an address without its slash is no address', () => {
    expect(Patch.safeParse([{ op: 'remove', path: 'name' }]).success).toBe(false);
    expect(Patch.safeParse([{ op: 'replace', path: '', value: {} }]).success).toBe(true);
  });
});
