import { readFile } from 'node:fs/promises';
import { shipped } from './home';

/** HarfBuzz’s subsetter, as its WebAssembly exports it. */
interface SubsetExports {
  readonly memory: WebAssembly.Memory;
  readonly malloc: (size: number) => number;
  readonly free: (pointer: number) => void;
  readonly hb_blob_create: (data: number, length: number, mode: number, user: number, destroy: number) => number;
  readonly hb_blob_destroy: (blob: number) => void;
  readonly hb_blob_get_length: (blob: number) => number;
  readonly hb_blob_get_data: (blob: number, length: number) => number;
  readonly hb_face_create: (blob: number, index: number) => number;
  readonly hb_face_destroy: (face: number) => void;
  readonly hb_face_reference_blob: (face: number) => number;
  readonly hb_set_add: (set: number, value: number) => void;
  readonly hb_set_clear: (set: number) => void;
  readonly hb_subset_input_create_or_fail: () => number;
  readonly hb_subset_input_destroy: (input: number) => void;
  readonly hb_subset_input_glyph_set: (input: number) => number;
  readonly hb_subset_input_set: (input: number, kind: number) => number;
  readonly hb_subset_input_set_flags: (input: number, flags: number) => void;
  readonly hb_subset_input_pin_all_axes_to_default: (input: number, face: number) => number;
  readonly hb_subset_or_fail: (face: number, input: number) => number;
  readonly _initialize?: () => void;
}

/** hb-subset.h: keep glyph ids; drop hinting; keep the box that stands for a missing sign. Set 3: tables dropped. */
const RETAIN_GIDS = 0x2;
const NO_HINTING = 0x1;
const NOTDEF_OUTLINE = 0x40;
const DROP_TABLES = 3;
const READONLY = 1;

/** Layout tables: positions are already in the file. */
const DROPPED = ['GSUB', 'GPOS', 'GDEF', 'kern', 'DSIG', 'STAT', 'MVAR'];

const tag = (name: string): number =>
  Array.from(name).reduce((sum, char) => ((sum << 8) | char.charCodeAt(0)) >>> 0, 0);

export type Subsetter = (sfnt: Uint8Array, gids: readonly number[]) => Uint8Array;

/** Loads the subsetter. A variable font comes out as its default instance. */
export async function loadSubsetter(): Promise<Subsetter> {
  const path = shipped('node_modules', 'harfbuzzjs', 'dist', 'harfbuzz-subset.wasm');
  const { instance } = await WebAssembly.instantiate(await readFile(path));
  const hb = instance.exports as unknown as SubsetExports;
  hb._initialize?.();
  return (sfnt, gids) => {
    const data = hb.malloc(sfnt.length);
    new Uint8Array(hb.memory.buffer).set(sfnt, data);
    const blob = hb.hb_blob_create(data, sfnt.length, READONLY, 0, 0);
    const face = hb.hb_face_create(blob, 0);
    const input = hb.hb_subset_input_create_or_fail();
    hb.hb_subset_input_set_flags(input, RETAIN_GIDS | NO_HINTING | NOTDEF_OUTLINE);
    const glyphs = hb.hb_subset_input_glyph_set(input);
    for (const gid of gids) hb.hb_set_add(glyphs, gid);
    const drop = hb.hb_subset_input_set(input, DROP_TABLES);
    for (const table of DROPPED) hb.hb_set_add(drop, tag(table));
    hb.hb_subset_input_pin_all_axes_to_default(input, face);
    const subset = hb.hb_subset_or_fail(face, input);
    hb.hb_subset_input_destroy(input);
    const release = () => {
      hb.hb_face_destroy(face);
      hb.hb_blob_destroy(blob);
      hb.free(data);
    };
    if (subset === 0) {
      release();
      // The whole font is larger, and as right.
      return sfnt;
    }
    const made = hb.hb_face_reference_blob(subset);
    const at = hb.hb_blob_get_data(made, 0);
    const out = new Uint8Array(hb.memory.buffer).slice(at, at + hb.hb_blob_get_length(made));
    hb.hb_blob_destroy(made);
    hb.hb_face_destroy(subset);
    release();
    return out;
  };
}
