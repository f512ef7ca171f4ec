export * from './document';
export type { Purpose } from './content';
export type { Metadata } from './metadata';
export type { EncodedMask, EncodedPicture } from './resources';
