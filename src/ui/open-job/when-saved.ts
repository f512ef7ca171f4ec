import type { JobStore } from './store';

/**
 * Waits until all that was done is on the server.
 * @returns the number of the state that is there
 * @throws Error where it is not within ten seconds
 */
export async function whenSaved(store: JobStore): Promise<number> {
  for (let i = 0; i < 100; i += 1) {
    const { saving } = store.getState();
    if (saving.phase.is === 'saved') return saving.head;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error('The job could not be saved, so nothing was made of it. See the note at the top of the page.');
}
