'use client';
import type { JobSummary } from '@/core/job';
import { useThumbnail } from './use-thumbnail';

/** The front of a job, small. @param most its longest side, px */
export function Thumbnail({
  picture,
  most,
}: {
  readonly picture: ReturnType<typeof useThumbnail>;
  readonly most: number;
}) {
  return (
    // eslint-disable-next-line @next/next/no-img-element -- made by our own server, already small
    <img
      src={picture.src}
      alt=""
      loading="lazy"
      draggable={false}
      onError={picture.onError}
      hidden={picture.error !== null}
      style={{ maxWidth: '100%', maxHeight: most, boxShadow: '0 2px 5px rgb(27 35 52 / 0.3)' }}
    />
  );
}

/** The front of a job as it stands in a row. */
export function RowPicture({ job }: { readonly job: JobSummary }) {
  return <Thumbnail picture={useThumbnail(job)} most={34} />;
}
