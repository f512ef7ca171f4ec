/** A name as it is compared with another: case, spaces around it and how its accents are written do not tell. */
export const plainName = (name: string): string => name.normalize('NFC').trim().toLowerCase();
