const WOFF2 = 0x774f4632;

/** The sfnt bytes of a font file that was accepted: WOFF2 is unpacked, TTF and OTF stay as they are. */
export async function toSfnt(bytes: Uint8Array): Promise<Uint8Array> {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (view.getUint32(0) !== WOFF2) return bytes;
  const { default: decompress } = await import('woff2-encoder/decompress');
  return decompress(bytes);
}
