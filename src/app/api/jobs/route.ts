import { z } from 'zod';
import { createJob, listJobs } from '@/server/jobs';
import { fillPlans } from '@/server/plans';
import { readJson, route } from '@/server/respond';
import { unclear } from '@/server/problems';
import { SeveralChange, changeSeveral } from '@/server/several';

const Body = z.object({ document: z.unknown(), label: z.string().max(200) });

export const GET = route(async () => {
  // The board shows what is known; the days of what changed are there when it asks again.
  void fillPlans();
  return { jobs: await listJobs() };
});

export const POST = route(async (request) => {
  const body = Body.safeParse(await readJson(request));
  if (!body.success) throw unclear.noJob();
  return createJob(body.data.document, body.data.label);
});

/** Gives facts to several jobs at once. */
export const PATCH = route(async (request) => {
  const body = SeveralChange.safeParse(await readJson(request));
  if (!body.success) throw unclear.noFacts();
  return changeSeveral(body.data);
});
