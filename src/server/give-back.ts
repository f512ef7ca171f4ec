import { collectGarbage } from '@/output/collect-garbage';

/** After so long without a request memory is given back, ms. */
const REST = 15_000;

const SECOND_LOOK = 5_000;

/** Calls something a while after the last of many moments. @returns what is called at each of them */
export function afterRest(work: () => void, ms: number): () => void {
  let timer: NodeJS.Timeout | undefined;
  return () => {
    if (timer) timer.refresh();
    else
      timer = setTimeout(() => {
        timer = undefined;
        work();
      }, ms).unref();
  };
}

/** What held other things until then, sockets and connections, is found by a second look. */
function giveBack(): void {
  collectGarbage();
  setTimeout(collectGarbage, SECOND_LOOK).unref();
}

/** To be called at each request: what requests left in memory is given back once there are none for a while. */
export const giveBackLater = afterRest(giveBack, REST);
