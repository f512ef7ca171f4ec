/** Something a person can do, by name, by key, or both. */
export interface Command {
  readonly id: string;
  readonly title: string;
  readonly group: 'Go' | 'Add' | 'Table' | 'Edit' | 'Arrange' | 'Look';
  /** As `keyOf` writes it: `Ctrl+Z`, `Shift+ArrowUp`. */
  readonly keys: readonly string[];
  readonly enabled: boolean;
  readonly run: () => void;
}

/** A command within its group: without keys where it names none, always possible where it does not say when. */
export type Entry = Pick<Command, 'id' | 'title' | 'run'> & Partial<Pick<Command, 'keys' | 'enabled'>>;

/** The commands of one group, in the order of the palette. */
export const inGroup = (group: Command['group'], entries: readonly Entry[]): readonly Command[] =>
  entries.map((entry) => ({ keys: [], enabled: true, ...entry, group }));

/** How a key press is written: modifiers in a fixed order, then the key. */
export function keyOf(event: {
  key: string;
  ctrlKey: boolean;
  metaKey: boolean;
  shiftKey: boolean;
  altKey: boolean;
}): string {
  const named = event.key.length === 1 ? event.key.toUpperCase() : event.key;
  // A sign that needs Shift to be typed is its own key.
  const shift = event.shiftKey && (event.key.length > 1 || /[A-Za-z]/.test(event.key));
  return [
    event.ctrlKey || event.metaKey ? 'Ctrl' : '',
    event.altKey ? 'Alt' : '',
    shift ? 'Shift' : '',
    named === ' ' ? 'Space' : named,
  ]
    .filter(Boolean)
    .join('+');
}
