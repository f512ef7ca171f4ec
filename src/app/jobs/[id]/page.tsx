import { preload } from 'react-dom';
import { readCurrent } from '@/server/jobs';
import { JobPage } from '@/ui/job-page/JobPage';
import { filesAtOnce } from '@/ui/open-job/addresses';

/** The job comes with its page, and what it is made of is asked for while the page’s own script is on its way. */
export default async function Page({ params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params;
  // What is wrong with a job is told where the page asks for it itself.
  const current = await readCurrent(id).catch(() => undefined);
  for (const file of current ? filesAtOnce(current.job) : [])
    preload(file, { as: 'fetch', crossOrigin: 'anonymous', fetchPriority: 'low' });
  return <JobPage id={id} given={current} />;
}
