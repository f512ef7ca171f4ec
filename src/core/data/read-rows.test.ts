import { readRows } from './read-rows';

const rows = (text: string) => {
  const read = readRows(text);
  return read.ok ? read.rows : read.problem;
};

// RFC 4180, section 2, rules 1 to 7 with their examples.
test.each([
  ['aaa,bbb,ccc\r\nzzz,yyy,xxx\r\n', [['aaa', 'bbb', 'ccc'], ['zzz', 'yyy', 'xxx']]],
  ['aaa,bbb,ccc\r\nzzz,yyy,xxx', [['aaa', 'bbb', 'ccc'], ['zzz', 'yyy', 'xxx']]],
  ['"aaa","bbb","ccc"\r\nzzz,yyy,xxx', [['aaa', 'bbb', 'ccc'], ['zzz', 'yyy', 'xxx']]],
  ['"aaa","b\r\nbb","ccc"\r\nzzz,yyy,xxx', [['aaa', 'b\nbb', 'ccc'], ['zzz', 'yyy', 'xxx']]],
  ['"aaa","b""bb","ccc"', [['aaa', 'b"bb', 'ccc']]],
])('RFC 4180: %j', (text, expected) => expect(rows(text)).toEqual(expected));

test('semicolons, tabs, a byte order mark, one column, empty rows', () => {
  expect(rows('\uFEFFStar;Size\nVega;0,03\n\n')).toEqual([['Star', 'Size'], ['Vega', '0,03']]);
  expect(rows('Star\tSize\nVega\t0.03')).toEqual([['Star', 'Size'], ['Vega', '0.03']]);
  expect(rows('Vega\nDeneb')).toEqual([['Vega'], ['Deneb']]);
});

test('what cannot be read says where and why', () => {
  expect(rows('')).toBe('There is nothing in it.');
  expect(rows('a,b\n"open,c')).toBe(
    'Row 2 begins a cell with a quotation mark and does not end it. Mend it in the spreadsheet.',
  );
  expect(readRows('a\nb\nc', { rows: 2 })).toEqual({ ok: false, problem: 'It has 3 rows; at most 2 are taken.' });
  expect(readRows('a,b\nc,d,e', { columns: 2 })).toEqual({
    ok: false,
    problem: 'Row 2 has 3 columns; at most 2 are taken.',
  });
  expect(rows(`Star,Note\nVega,${'bright '.repeat(3_000)}`)).toBe(
    'Row 2, column 2 has 21,000 letters; at most 20,000 are taken in a cell.',
  );
});
