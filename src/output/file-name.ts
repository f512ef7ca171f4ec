/** A name that any file system takes. */
export function fileStem(name: string): string {
  const plain = name.normalize('NFKD').replace(/[\u0300-\u036f]/g, '');
  const words = plain.replace(/[^A-Za-z0-9]+/g, '-').replace(/^-+|-+$/g, '');
  return words.toLowerCase().slice(0, 80) || 'job';
}
