interface Named {
  readonly name: string;
  readonly type:
    | 'application/pdf'
    | 'application/zip'
    | 'image/png'
    | 'image/svg+xml'
    | 'image/vnd.dxf'
    | 'text/calendar'
    | 'text/csv';
}

export interface OutputFile extends Named {
  readonly bytes: Uint8Array;
}

/** A file that is made while it is written, so that its length is no matter. */
export interface StreamedFile extends Named {
  /** @throws CannotExport where something is wrong on the way: what was written of it is nothing then */
  readonly parts: AsyncIterable<Uint8Array>;
}

export type MadeFile = OutputFile | StreamedFile;

/** The whole of a file at once. */
export async function gathered(file: MadeFile): Promise<OutputFile> {
  if ('bytes' in file) return file;
  const { parts, ...named } = file;
  const all: Uint8Array[] = [];
  for await (const part of parts) all.push(part);
  return { ...named, bytes: new Uint8Array(Buffer.concat(all)) };
}

/** Told how much is done, from 0 to 1, and what is being done. */
export type Progress = (share: number, step: string) => void;
