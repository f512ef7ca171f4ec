/** A name as it is compared with another: case, spaces around it and how its accents are written do not tell. */
export const plainName = (name: string): string => name.normalize('NFC').trim().toLowerCase();

/** Words as the beginning of a file’s name that any file system takes; empty where nothing is left. */
export function plainStem(words: string): string {
  const plain = words.normalize('NFKD').replace(/[\u0300-\u036f]/g, '');
  const parts = plain.split(/[^A-Za-z0-9]+/).filter((word) => word !== '');
  return parts.join('-').toLowerCase().slice(0, 80);
}
