'use client';
import Box from '@mui/material/Box';
import CircularProgress from '@mui/material/CircularProgress';
import { pageCount, pieceOf } from '@/core/edit';
import { facingOf } from '@/core/format';
import { blankOf, type Job } from '@/core/job';
import { Strip } from '../bench/HintStrip';
import { homeOf } from '../bench/scene';
import { thumbnailAddress } from '../open-job/addresses';
import { besideOf } from '../open-job/use-desk';
import { STRIP_HEIGHT } from '../pages/PageStrip';
import { COLOURS } from '../shell/theme';
import { SheetPaper } from '../sheet/SheetPaper';
import { BAR_HEIGHT, ROOM } from '../view/bench-view';
import { HeaderBar } from './Header';
import { Workspace } from './Workspace';

interface Props {
  /** The job, as soon as it is known. */
  readonly current: { readonly job: Job; readonly head: number } | undefined;
}

/**
 * A job while fonts, profile and engine are on their way: everything stands where it will stand, and the picture of the
 * first side lies where the piece will lie.
 */
export function Opening({ current }: Props) {
  const isPaged = current && pageCount(pieceOf(current.job)) !== undefined;
  return (
    <Box sx={{ height: '100dvh', display: 'flex', flexDirection: 'column', overflow: 'hidden' }}>
      <HeaderBar />
      <Workspace sheet={<SheetPaper job={current?.job} />}>
        <Box sx={{ minHeight: BAR_HEIGHT + (isPaged ? STRIP_HEIGHT : 0) }} />
        <Box sx={{ flex: 1, position: 'relative', minHeight: 0, bgcolor: COLOURS.bench }}>
          {current && <Picture {...current} />}
        </Box>
        <Strip>
          <CircularProgress size={14} />
          <span role="status">{current ? 'Fetching fonts and the paper’s profile' : 'Opening the job'}</span>
        </Strip>
      </Workspace>
    </Box>
  );
}

/** The first side as it was saved, fitted as the bench fits it, without anything to be measured first. */
function Picture({ job, head }: { readonly job: Job; readonly head: number }) {
  const { surfaces } = blankOf(job, pieceOf(job));
  const [first] = surfaces;
  if (!first) return null;
  const facing = surfaces.find((s) => s.name === facingOf(first.name));
  const { trim } = first.boxes;
  const home = homeOf(first.boxes, facing?.boxes, besideOf(first.boxes));
  return (
    <Box
      component="svg"
      aria-hidden
      data-opening
      viewBox={`${home.x} ${home.y} ${home.width} ${home.height}`}
      sx={{
        position: 'absolute',
        left: ROOM.left,
        top: ROOM.top,
        width: `calc(100% - ${ROOM.left + ROOM.right}px)`,
        height: `calc(100% - ${ROOM.top + ROOM.bottom}px)`,
      }}
    >
      <rect {...trim} fill={job.stock.white ?? '#ffffff'} />
      <image {...trim} href={thumbnailAddress(job.id, head)} preserveAspectRatio="none" />
    </Box>
  );
}
