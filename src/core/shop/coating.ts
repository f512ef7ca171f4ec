/** What is laid on or pressed into the printed sheet, each from a plate of its own. */
export const COATINGS = [
  'varnish-gloss',
  'varnish-matt',
  'varnish-satin',
  'uv',
  'soft-touch',
  'foil',
  'emboss',
  'white',
] as const;
export type Coating = (typeof COATINGS)[number];

/** What has to be known of a coating. */
export interface CoatingFacts {
  readonly title: string;
  /** Name of its plate. */
  readonly spot: string;
  /** Thinnest line, and narrowest gap, that its process holds, mm. */
  readonly least: number;
  /** How far it may lie off the print, mm. */
  readonly tolerance: number;
}

/** Common practice where a printer says nothing of its own [cp]: a plate a purpose, and what each process holds. */
export const COMMON_COATINGS: Readonly<Record<Coating, CoatingFacts>> = {
  'varnish-gloss': { title: 'Gloss varnish', spot: 'Varnish', least: 0.3, tolerance: 0.2 },
  'varnish-matt': { title: 'Matt varnish', spot: 'Varnish matt', least: 0.3, tolerance: 0.2 },
  'varnish-satin': { title: 'Satin varnish', spot: 'Varnish satin', least: 0.3, tolerance: 0.2 },
  uv: { title: 'UV gloss', spot: 'UV', least: 0.5, tolerance: 0.3 },
  'soft-touch': { title: 'Soft-touch', spot: 'Soft-touch', least: 1, tolerance: 0.5 },
  foil: { title: 'Foil', spot: 'Foil', least: 0.25, tolerance: 0.3 },
  emboss: { title: 'Embossing', spot: 'Emboss', least: 0.5, tolerance: 0.3 },
  white: { title: 'White under-print', spot: 'White', least: 0.15, tolerance: 0.15 },
};

/** The build that shows each on a screen or a proof, far from most artwork and each its own [cp]. */
export const COATING_SHOWN: Readonly<Record<Coating, { c: number; m: number; y: number; k: number }>> = {
  'varnish-gloss': { c: 0, m: 60, y: 0, k: 0 },
  'varnish-matt': { c: 40, m: 50, y: 0, k: 0 },
  'varnish-satin': { c: 20, m: 60, y: 0, k: 0 },
  uv: { c: 50, m: 0, y: 20, k: 0 },
  'soft-touch': { c: 30, m: 30, y: 0, k: 10 },
  foil: { c: 0, m: 20, y: 70, k: 20 },
  emboss: { c: 30, m: 0, y: 60, k: 0 },
  white: { c: 20, m: 0, y: 0, k: 5 },
};

/** Processing step of each by ISO 19593-1 (group and type names from memory). */
export const COATING_STEPS: Readonly<Record<Coating, { readonly group: string; readonly type?: string }>> = {
  'varnish-gloss': { group: 'Varnish' },
  'varnish-matt': { group: 'Varnish' },
  'varnish-satin': { group: 'Varnish' },
  uv: { group: 'Varnish' },
  'soft-touch': { group: 'Varnish' },
  foil: { group: 'Structural', type: 'FoilStamping' },
  emboss: { group: 'Structural', type: 'Embossing' },
  white: { group: 'White' },
};
