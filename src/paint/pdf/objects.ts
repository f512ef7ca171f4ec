import {
  PDFArray,
  PDFBool,
  PDFDict,
  PDFHexString,
  PDFName,
  PDFNumber,
  PDFObject,
  PDFRawStream,
  PDFString,
  type PDFContext,
  type PDFRef,
} from '@cantoo/pdf-lib';
import { formatNumber } from '../../core/measure';

const encoder = new TextEncoder();
export const utf8 = (s: string): Uint8Array => encoder.encode(s);

/**
 * A name. Its characters are bytes of UTF-8, and what is no regular character is written as `#` and two digits (ISO
 * 32000-1,
 * 7.3.5). The package takes a `#` for the beginning of such digits and keeps eight bits of each character, so it is
 * given bytes with that sign written out.
 */
export const nameOf = (text: string): PDFName =>
  PDFName.of(String.fromCharCode(...utf8(text.replaceAll('\0', ''))).replaceAll('#', '#23'));

/**
 * Text from outside as files may carry it, in PDF strings and XML alike: without control characters (XML 1.0, 2.2),
 * non-characters and halves of pairs.
 */
export const sayable = (text: string): string =>
  text
    .replace(/[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g, '\ufffd')
    .replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\ufffe\uffff]/g, '');

/** Signs that need no care in a string in brackets (ISO 32000-1, 7.3.4.2). */
const PLAIN = /^[ !"#$%&'*+,\-./0-9:;<=>?@A-Z[\]^_`a-z{|}~]*$/;

/**
 * A text string: plain signs as they are, everything else in UTF-16BE, where no sign can end the string (ISO 32000-1,
 * 7.9.2.2).
 */
export function textString(text: string): PDFString | PDFHexString {
  const said = sayable(text);
  return PLAIN.test(said) ? PDFString.of(said) : PDFHexString.fromText(said);
}

/** A PDF value as plain data: a string is a name; undefined entries are left out. */
export type Value =
  PDFObject | string | number | boolean | readonly Value[] | { readonly [key: string]: Value | undefined };

/** Turns plain data into PDF objects. */
export function toObject(context: PDFContext, value: Value): PDFObject {
  if (value instanceof PDFObject) return value;
  switch (typeof value) {
    case 'string':
      return nameOf(value);
    case 'number':
      return PDFNumber.of(value);
    case 'boolean':
      return value ? PDFBool.True : PDFBool.False;
    default: {
      if (isList(value)) {
        const array = PDFArray.withContext(context);
        for (const entry of value) array.push(toObject(context, entry));
        return array;
      }
      return toDict(context, value);
    }
  }
}

const isList = (value: object): value is readonly Value[] => Array.isArray(value);

export function toDict(context: PDFContext, entries: { readonly [key: string]: Value | undefined }): PDFDict {
  const dict = PDFDict.withContext(context);
  for (const [key, value] of Object.entries(entries)) {
    if (value !== undefined) dict.set(nameOf(key), toObject(context, value));
  }
  return dict;
}

/** Registers a stream whose bytes are already encoded as its dictionary says. */
export const addStream = (
  context: PDFContext,
  entries: { readonly [key: string]: Value | undefined },
  bytes: Uint8Array,
): PDFRef => context.register(PDFRawStream.of(toDict(context, { ...entries, Length: bytes.length }), bytes));

/** Five decimals: a hundred-thousandth of a millimetre, and never an exponent. */
export const num = (value: number): string => formatNumber(value, 5);
