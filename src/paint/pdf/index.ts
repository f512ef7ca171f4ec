export * from './document';
export { itemsOfPart } from './content';
export type { Form, PagePart, PlacedForm, Purpose } from './content';
export type { Metadata } from './metadata';
export type { EncodedMask, EncodedPicture } from './resources';
