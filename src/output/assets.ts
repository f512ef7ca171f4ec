/** Bytes of pictures and fonts by their SHA-256. */
export interface AssetSource {
  readonly get: (sha: string) => Promise<Uint8Array | undefined>;
}
