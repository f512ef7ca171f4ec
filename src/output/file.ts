export interface OutputFile {
  readonly name: string;
  readonly type: 'application/pdf' | 'image/png' | 'image/svg+xml' | 'image/vnd.dxf' | 'text/csv' | 'application/zip';
  readonly bytes: Uint8Array;
}

/** Told how much is done, from 0 to 1, and what is being done. */
export type Progress = (share: number, step: string) => void;
