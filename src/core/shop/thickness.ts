import type { Stock } from './records';

/** Volume of a gram of paper, cm³, as its kind usually has [cp]. */
const BULK = { coated: 0.85, uncoated: 1.25, newsprint: 1.6 } as const;
/** What is taken where the brief does not say, g/m² [cp]. */
export const ASSUMED_GRAMMAGE = 150;

/** Caliper from weight: grammage × bulk ÷ 1000, mm. */
export const thicknessByWeight = (kind: Stock['kind'], grammage: number): number => (grammage * BULK[kind]) / 1000;

/** Thickness of one sheet of the stock, mm, and how it is known. */
export function thicknessOf(stock: Stock): { readonly mm: number; readonly rule: string } {
  if (stock.thickness !== null) return { mm: stock.thickness, rule: `As measured for ${stock.name || 'the paper'}` };
  const grammage = stock.grammage ?? ASSUMED_GRAMMAGE;
  const assumed = stock.grammage === null ? ' (no weight given: 150 g/m² taken)' : '';
  return {
    mm: Math.round(thicknessByWeight(stock.kind, grammage) * 1000) / 1000,
    rule: `Common practice: ${grammage} g/m² × ${BULK[stock.kind]} cm³/g for ${stock.kind} paper${assumed}`,
  };
}
