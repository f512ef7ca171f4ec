import { MAX_WORKING_BYTES } from '@/bring-in/working-file';
import { openIncoming } from '@/server/assets';
import { withIncoming } from '@/server/incoming';
import { route } from '@/server/respond';

/** Opens a working file or a job file as a new job. */
export const POST = route((request) =>
  withIncoming(request, MAX_WORKING_BYTES, (file) => openIncoming(file, request.signal)),
);
