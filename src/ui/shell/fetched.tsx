import { Suspense, lazy, type ComponentType } from 'react';

const announced = new Set<() => Promise<unknown>>();

/**
 * A part of the page whose script does not hold up what is seen first: it is fetched when it is first shown, or by
 * `fetchWhenIdle` before that.
 */
export function fetched<P extends object>(load: () => Promise<ComponentType<P>>): ComponentType<P> {
  const Part = lazy(async () => ({ default: await load() }));
  announced.add(load);
  return function Fetched(props: P) {
    return (
      <Suspense fallback={null}>
        <Part {...props} />
      </Suspense>
    );
  };
}

/** The longest that is waited for a moment in which nothing else is to be done, ms. */
const LONGEST = 4000;

/** Fetches one part after the other while the hand rests. @returns ends it */
export function fetchWhenIdle(): () => void {
  const parts = [...announced];
  let current = true;
  const next = () => {
    const load = current ? parts.shift() : undefined;
    if (!load) return;
    requestIdleCallback(
      () => {
        // One that cannot be had is asked for again when it is shown.
        void load()
          .catch(() => undefined)
          .then(next);
      },
      { timeout: LONGEST },
    );
  };
  next();
  return () => {
    current = false;
  };
}
