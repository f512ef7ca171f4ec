/** A file that cannot be made of this job; the message says why and what to do. */
export class CannotExport extends Error {}
