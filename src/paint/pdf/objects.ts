import {
  PDFArray,
  PDFBool,
  PDFDict,
  PDFName,
  PDFNumber,
  PDFObject,
  PDFRawStream,
  type PDFContext,
  type PDFRef,
} from '@cantoo/pdf-lib';

/** A PDF value as plain data: a string is a name; undefined entries are left out. */
export type Value =
  PDFObject | string | number | boolean | readonly Value[] | { readonly [key: string]: Value | undefined };

/** Turns plain data into PDF objects. */
export function toObject(context: PDFContext, value: Value): PDFObject {
  if (value instanceof PDFObject) return value;
  switch (typeof value) {
    case 'string':
      return PDFName.of(value);
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
    if (value !== undefined) dict.set(PDFName.of(key), toObject(context, value));
  }
  return dict;
}

/** Registers a stream whose bytes are already encoded as its dictionary says. */
export const addStream = (
  context: PDFContext,
  entries: { readonly [key: string]: Value | undefined },
  bytes: Uint8Array,
): PDFRef => context.register(PDFRawStream.of(toDict(context, { ...entries, Length: bytes.length }), bytes));

/** Adds a stream, deflated. */
export type AddStream = (entries: { readonly [key: string]: Value | undefined }, bytes: Uint8Array) => PDFRef;

const encoder = new TextEncoder();
export const utf8 = (s: string): Uint8Array => encoder.encode(s);

/** Five decimals: a hundred-thousandth of a millimetre, and never an exponent. */
export const num = (value: number): string => {
  const text = value.toFixed(5).replace(/\.?0+$/, '');
  return text === '-0' ? '0' : text;
};
