/**
 * Goes to the first field of a form that was not understood.
 * @returns whether there is one: then nothing is sent
 */
export function goToInvalid(form: HTMLElement): boolean {
  const field = form.querySelector<HTMLElement>('[aria-invalid=true]');
  field?.focus();
  return field !== null;
}
