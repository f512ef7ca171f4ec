import { Opening } from '@/ui/job-page/Opening';

/** What stands on the screen while the server reads a job. */
export default function Loading() {
  return <Opening current={undefined} />;
}
