import 'server-only';
import { takeHold, type Hold } from '@/upkeep';
import { mkdir } from 'node:fs/promises';
import { turnAwayBrokenAddresses } from './addresses';
import { loadDemo } from './demo';
import { resumeExports } from './exports';
import { problemOf } from './respond';
import { dataFolder, store } from './store/database';
import { keepInOrder } from './upkeep';

/** Takes hold of the data, takes up what was interrupted, and loads the demo if it was asked for. */
export async function start(): Promise<void> {
  turnAwayBrokenAddresses();
  await hold();
  try {
    await store();
    if (process.env['YS_DEMO'] === '1') await loadDemo();
    await resumeExports();
  } catch (error) {
    // The server goes on, so that the page can say it; each request tries again.
    const { message, todo } = problemOf(error);
    console.error(`✕ ${message} ${todo}`);
    console.error(error);
  }
  keepInOrder();
}

// Held as long as the process lives.
const holder = globalThis as { yellowSheetHold?: Hold | undefined };

/** Two servers on the same data would each undo what the other does. */
async function hold(): Promise<void> {
  const folder = dataFolder();
  try {
    await mkdir(folder, { recursive: true });
    holder.yellowSheetHold = await takeHold(folder);
    if (holder.yellowSheetHold) return;
  } catch (error) {
    // It cannot be written to: whoever asks for something is told why.
    console.error(`✕ ${problemOf(error).message} ${problemOf(error).todo}`);
    return;
  }
  console.error(
    `✕ Another server is working with ${folder}. Stop it first, or give this one a folder of its own (YS_DATA).`,
  );
  process.exit(1);
}
