import { watched } from '@/output/bounds';
import { CannotExport } from '@/output';
import { Problem } from '../problem';
import { WORKS, type Order, type Outcome } from '.';
import { BOUNDS } from './bounds';

// A process that does one piece of work after another for the server that started it.
const bounded = watched(BOUNDS);

async function outcomeOf({ name, given }: Order): Promise<Outcome> {
  const work = WORKS[name] as (given: unknown) => Promise<unknown>;
  try {
    return { ok: true, made: await work(given) };
  } catch (error) {
    if (error instanceof CannotExport)
      return { ok: false, problem: { status: 422, message: error.message, todo: 'Nothing was changed.', details: {} } };
    if (!(error instanceof Problem))
      return {
        ok: false,
        problem: undefined,
        trace: error instanceof Error ? (error.stack ?? error.message) : String(error),
      };
    const { status, message, todo, details } = error;
    return { ok: false, problem: { status, message, todo, details } };
  }
}

process.on('message', (order: Order) => {
  bounded.begin();
  void outcomeOf(order).then((outcome) => {
    bounded.end();
    process.send?.(outcome);
  });
});
process.on('disconnect', () => process.exit());
