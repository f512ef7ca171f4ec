import 'server-only';
import { resumeExports } from './exports';
import { loadDemo } from './demo';
import { store } from './store/database';

export async function start(): Promise<void> {
  await store();
  if (process.env['YS_DEMO'] === '1') await loadDemo();
  await resumeExports();
}
