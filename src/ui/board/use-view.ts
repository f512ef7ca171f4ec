import { useSyncExternalStore } from 'react';

export type BoardView = 'cards' | 'table';

const KEPT = 'yellow-sheet-board';
const heard = new Set<() => void>();

const subscribe = (listener: () => void) => {
  heard.add(listener);
  return () => heard.delete(listener);
};
const read = (): BoardView => (localStorage.getItem(KEPT) === 'table' ? 'table' : 'cards');

/** Whether the board shows cards or a table; this browser remembers it. */
export function useBoardView(): readonly [BoardView, (view: BoardView) => void] {
  const view = useSyncExternalStore(subscribe, read, () => 'cards' as const);
  return [
    view,
    (to) => {
      localStorage.setItem(KEPT, to);
      for (const listener of heard) listener();
    },
  ];
}
