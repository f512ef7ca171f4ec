/** Numbers that look random and are the same in every run (xorshift32, Marsaglia 2003). */
export function numbers(seed: number): () => number {
  let state = seed | 0 || 1;
  return () => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    return (state >>> 0) / 2 ** 32;
  };
}

/** Ways to spoil a file: each keeps its beginning, so that it is still taken for what it was. */
const WAYS: readonly (readonly [name: string, spoil: (bytes: Uint8Array, next: () => number) => Uint8Array])[] = [
  ['cut short', (bytes, next) => bytes.subarray(0, Math.ceil(bytes.length * (0.02 + 0.96 * next())))],
  [
    'bytes changed',
    (bytes, next) => {
      const out = Uint8Array.from(bytes);
      for (let i = 0; i < 1 + bytes.length / 500; i += 1)
        out[8 + Math.floor(next() * (bytes.length - 8))] = Math.floor(next() * 256);
      return out;
    },
  ],
  [
    'a stretch of zeros',
    (bytes, next) => {
      const at = 8 + Math.floor(next() * bytes.length * 0.8);
      return Uint8Array.from(bytes).fill(0, at, at + Math.ceil(bytes.length * 0.1));
    },
  ],
  [
    'greatest numbers',
    (bytes, next) => {
      const out = Uint8Array.from(bytes);
      for (let i = 0; i < 3; i += 1) {
        const at = 8 + Math.floor(next() * Math.min(400, bytes.length - 12));
        out.fill(0xff, at, at + 4);
      }
      return out;
    },
  ],
  [
    'a part twice',
    (bytes, next) => {
      const at = Math.floor(next() * bytes.length * 0.7);
      const part = bytes.subarray(at, at + Math.ceil(bytes.length * 0.2));
      return Buffer.concat([bytes.subarray(0, at), part, bytes.subarray(at)]);
    },
  ],
  [
    'a tail of other bytes',
    (bytes, next) => Buffer.concat([bytes, Uint8Array.from({ length: 4000 }, () => next() * 256)]),
  ],
];

/** A file, spoilt so many times, each in another way or at another place. */
export function spoilt(
  name: string,
  bytes: Uint8Array,
  count: number,
): readonly { readonly what: string; readonly bytes: Uint8Array }[] {
  const next = numbers(name.length * 7919 + bytes.length);
  return Array.from({ length: count }, (_, i) => {
    const way = WAYS[i % WAYS.length];
    return { what: `${name}, ${way?.[0] ?? ''} (${i + 1})`, bytes: way?.[1](bytes, next) ?? bytes };
  });
}
