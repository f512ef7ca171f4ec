import { act, fireEvent, screen, within } from '@testing-library/react';

/** What was begun by an event and waits for nothing but its turn is done. */
const settled = () => act(async () => Promise.resolve());

/** A person before a part of the page: fields by their labels, in a group where several are called so. */
export function handOf() {
  const inside = (group: string | undefined) =>
    group === undefined ? screen : within(screen.getByRole('group', { name: group }));
  const field = (label: string, group?: string) =>
    inside(group).getByRole<HTMLInputElement>('textbox', { name: label });
  return {
    field,
    /** Writes into a field, and takes it. */
    write: async (label: string, text: string, group?: string): Promise<void> => {
      const at = field(label, group);
      act(() => at.focus());
      fireEvent.change(at, { target: { value: text } });
      fireEvent.keyDown(at, { key: 'Enter' });
      await settled();
    },
    choose: async (label: string, option: string, group?: string): Promise<void> => {
      fireEvent.mouseDown(inside(group).getByRole('combobox', { name: label }));
      // A list that was chosen from before may still be fading.
      const [shown] = screen.getAllByRole('option', { name: option }).reverse();
      if (shown) fireEvent.click(shown);
      await settled();
    },
    press: async (name: string | RegExp, group?: string): Promise<void> => {
      fireEvent.click(inside(group).getByRole('button', { name }));
      await settled();
    },
    tick: async (label: string, group?: string): Promise<void> => {
      fireEvent.click(inside(group).getByRole('checkbox', { name: label }));
      await settled();
    },
    /** What a field says of what was written into it. */
    refusal: (label: string, group?: string): string => {
      const at = field(label, group);
      const id = at.getAttribute('aria-describedby');
      return at.getAttribute('aria-invalid') === 'true' ? (document.getElementById(id ?? '')?.textContent ?? '') : '';
    },
  };
}
