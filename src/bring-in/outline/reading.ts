export type OutlineReading =
  /** Path data in millimetres, from the top-left corner, y down. */
  { readonly ok: true; readonly outline: string } | { readonly ok: false; readonly problem: string };
