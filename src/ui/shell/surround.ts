/** What surrounds the paper: by day, in the dark, or as the system has it. */
export type Surround = 'light' | 'dark' | 'system';

/** The name it is kept under. */
export const SURROUND = 'surround';
const ATTRIBUTE = 'data-surround';

/** What somebody said, as it is kept. @returns undefined while nobody said anything */
export const readSurround = (kept: string | undefined): Exclude<Surround, 'system'> | undefined =>
  kept === 'light' || kept === 'dark' ? kept : undefined;

/** What holds on this page. */
export const surroundNow = (): Surround =>
  readSurround(document.documentElement.getAttribute(ATTRIBUTE) ?? undefined) ?? 'system';

/** Holds on all pages from now on; the server puts it on them before they are seen. */
export function setSurround(surround: Surround): void {
  const said = readSurround(surround);
  const { documentElement: page } = document;
  if (said) page.setAttribute(ATTRIBUTE, said);
  else page.removeAttribute(ATTRIBUTE);
  const seconds = said ? 365 * 86_400 : 0;
  document.cookie = `${SURROUND}=${said ?? ''}; path=/; max-age=${seconds}; samesite=lax`;
}
