/** What goes wrong in a way that the person can mend: answered as one JSON shape, never as a stack trace. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    message: string,
    /** What to do about it. */
    readonly todo: string,
    readonly details: Readonly<Record<string, unknown>> = {},
  ) {
    super(message);
  }
}
