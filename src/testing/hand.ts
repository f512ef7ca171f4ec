import { screen, within } from '@testing-library/react';
import type { UserEvent } from '@testing-library/user-event';

/** A person before a part of the page: fields by their labels, in a group where several are called so. */
export function handOf(user: UserEvent) {
  const inside = (group: string | undefined) =>
    group === undefined ? screen : within(screen.getByRole('group', { name: group }));
  const field = (label: string, group?: string) =>
    inside(group).getByRole<HTMLInputElement>('textbox', { name: label });
  return {
    field,
    /** Writes into a field, and takes it. */
    write: async (label: string, text: string, group?: string): Promise<void> => {
      const at = field(label, group);
      await user.click(at);
      await user.clear(at);
      if (text !== '') await user.paste(text);
      await user.keyboard('{Enter}');
    },
    choose: async (label: string, option: string, group?: string): Promise<void> => {
      await user.click(inside(group).getByRole('combobox', { name: label }));
      await user.click(screen.getByRole('option', { name: option }));
    },
    press: async (name: string | RegExp, group?: string): Promise<void> => {
      await user.click(inside(group).getByRole('button', { name }));
    },
    tick: async (label: string, group?: string): Promise<void> => {
      await user.click(inside(group).getByRole('checkbox', { name: label }));
    },
    /** What a field says of what was written into it. */
    refusal: (label: string, group?: string): string => {
      const at = field(label, group);
      const id = at.getAttribute('aria-describedby');
      return at.getAttribute('aria-invalid') === 'true' ? (document.getElementById(id ?? '')?.textContent ?? '') : '';
    },
  };
}
