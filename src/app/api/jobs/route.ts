import { z } from 'zod';
import { createJob, listJobs } from '@/server/jobs';
import { readJson, route } from '@/server/respond';
import { unclear } from '@/server/problems';

const Body = z.object({ document: z.unknown(), label: z.string().max(200) });

export const GET = route(async () => ({ jobs: await listJobs() }));

export const POST = route(async (request) => {
  const body = Body.safeParse(await readJson(request));
  if (!body.success) throw unclear.noJob();
  return createJob(body.data.document, body.data.label);
});
