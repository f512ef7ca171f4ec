import { listQueue } from '@/server/exports';
import { route } from '@/server/respond';

/** What waits to be made, of all jobs, and what is being made. */
export const GET = route(() => listQueue());
