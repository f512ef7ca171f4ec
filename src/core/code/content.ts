import type { Symbology } from './symbology';

/** What a code is made of, or why there is none. */
export type CodeContent =
  | {
      readonly ok: true;
      /** As it is encoded, its check digit in it. */
      readonly data: string;
      /** As it stands beneath for people. */
      readonly words: string;
    }
  | { readonly ok: false; readonly problem: string };

/**
 * The check digit of numbers of GS1: from the right, every other digit counts three times; what is missing to the next
 * ten (GS1 General Specifications, 7.9). @param digits without it
 */
export function checkDigit(digits: string): number {
  const sum = Array.from(digits)
    .reverse()
    .reduce((all, digit, i) => all + Number(digit) * (i % 2 === 0 ? 3 : 1), 0);
  return (10 - (sum % 10)) % 10;
}

/** Digits of each numbered code, its check digit among them. */
const DIGITS: Partial<Readonly<Record<Symbology, number>>> = { 'ean-13': 13, 'ean-8': 8, 'upc-a': 12, 'itf-14': 14 };

/** Most characters that are taken: more than any reader reads at once. */
const MOST = 2000;

/** Reads what a code is to say: digits are counted, a missing check digit is added, a wrong one named. */
export function readContent(symbology: Symbology, typed: string): CodeContent {
  const text = typed.trim();
  if (text === '') return { ok: false, problem: 'It says nothing yet. Type what it is to say.' };
  if (text.length > MOST)
    return { ok: false, problem: `It has ${text.length} characters; up to ${MOST} can be in a code.` };
  const many = DIGITS[symbology];
  if (many !== undefined) return numbered(text, many);
  if (symbology === 'gs1-128') return elementString(text);
  if (symbology === 'code-128') {
    const wrong = Array.from(text).find((sign) => (sign.codePointAt(0) ?? 0) > 127 || (sign.codePointAt(0) ?? 0) < 32);
    if (wrong !== undefined)
      return {
        ok: false,
        problem: `“${wrong}” is no sign of Code 128: letters without accents, digits and ASCII signs.`,
      };
  }
  return { ok: true, data: text, words: text };
}

function numbered(text: string, many: number): CodeContent {
  const digits = text.replaceAll(/[\s-]/g, '');
  if (!/^\d+$/.test(digits)) return { ok: false, problem: `It takes digits alone, ${many - 1} or ${many} of them.` };
  if (digits.length === many - 1) {
    const whole = `${digits}${checkDigit(digits)}`;
    return { ok: true, data: whole, words: whole };
  }
  if (digits.length !== many)
    return {
      ok: false,
      problem: `It has ${digits.length} digits; ${many - 1}, or ${many} with the check digit, are wanted.`,
    };
  const right = checkDigit(digits.slice(0, -1));
  if (Number(digits.at(-1)) !== right)
    return {
      ok: false,
      problem: `Its last digit has to be ${right}: it checks the others. Leave it out, and it is added.`,
    };
  return { ok: true, data: digits, words: digits };
}

/** Element strings of GS1 with their application identifiers in brackets: (01)09521234543213(10)AB-7. */
function elementString(text: string): CodeContent {
  if (!/^(\(\d{2,4}\)[^()]+)+$/.test(text))
    return { ok: false, problem: 'Each part begins with its identifier in brackets, like (01)09521234543213(10)AB-7.' };
  const wrong = /\((?:01|02)\)(\d*)/.exec(text);
  if (wrong && !/^\d{14}$/.test(wrong[1] ?? '')) return { ok: false, problem: 'After (01) stand 14 digits.' };
  if (wrong?.[1] && Number(wrong[1].at(-1)) !== checkDigit(wrong[1].slice(0, -1)))
    return { ok: false, problem: `The last digit after (01) has to be ${checkDigit(wrong[1].slice(0, -1))}.` };
  return { ok: true, data: text, words: text };
}
