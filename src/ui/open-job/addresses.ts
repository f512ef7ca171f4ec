import { profileFiles } from '@/bring-in/profile';
import { shippedAt } from '@/bring-in/shipped';
import { drawingsNeeded, faceFor, facesNeeded, type FaceSource } from '@/core/compose';
import { pageKey, type PageItem } from '@/core/drawing';
import { pieceOf } from '@/core/edit';
import { rulesFor, type Adjust, type Job } from '@/core/job';

/** Where a page finds a file of a face, and the name it has there. */
export interface FaceFile {
  readonly key: string;
  readonly path: string;
}

/** The files that a face is read from. */
export function faceFiles(source: FaceSource): readonly FaceFile[] {
  switch (source.from) {
    case 'job':
      return [{ key: source.font.sha, path: `/api/assets/${source.font.sha}/font` }];
    case 'shipped':
      return source.face.files.map((key) => ({ key, path: shippedAt(`/fonts/${key}.ttf`) }));
  }
}

/** A picture as a paper will show it. */
export function pictureAddress(picture: string, profile: string, adjust: Adjust | undefined): string {
  const query = new URLSearchParams({ profile, ...(adjust && { adjust: JSON.stringify(adjust) }) });
  return `/api/assets/${picture}/bench?${query.toString()}`;
}

/** A page of a PDF. */
export const pageAddress = (item: PageItem): string => `/api/assets/${pageKey(item)}`;

/** A drawing as the server read it. */
export const drawingAddress = (sha: string): string => `/api/assets/${sha}/drawing`;

/** How a side looked when it was saved. */
export const thumbnailAddress = (job: string, head: number): string => `/api/jobs/${job}/thumbnail?rev=${head}`;

/** What a page fetches before it can show a job: told by the document alone, so that nobody waits to ask for it. */
export function filesAtOnce(job: Job): readonly string[] {
  const faces = facesNeeded(job).flatMap((need) => {
    const source = faceFor(job, need);
    return source ? faceFiles(source) : [];
  });
  return [
    ...profileFiles(rulesFor(job, pieceOf(job)).conversion),
    ...new Set(faces.map(({ path }) => path)),
    ...drawingsNeeded(job).map(drawingAddress),
  ];
}
