import type { Size } from '@/core/paper';

/** What a file is held to beside the book of the house; what is left out is not asked for. */
export interface Asked {
  readonly printer: string;
  readonly pages?: number | undefined;
  /** Finished size, mm. */
  readonly size?: Size | undefined;
  /** Agreed bleed, mm. */
  readonly bleed?: number | undefined;
}

/** The address at which a file is asked about. */
export function addressOf({ printer, pages, size, bleed }: Asked): string {
  const said = { printer, pages, width: size?.width, height: size?.height, bleed };
  const given = Object.entries(said).flatMap(([key, value]) => (value === undefined ? [] : [[key, String(value)]]));
  return `/api/intake?${new URLSearchParams(given).toString()}`;
}
