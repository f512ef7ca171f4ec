import { plannedJobs } from '@/server/plans';
import { route } from '@/server/respond';

/** What is to be done when, of all jobs. */
export const GET = route(async () => ({ jobs: await plannedJobs() }));
