import { ASSUMED_GRAMMAGE } from './thickness';
import type { Stock } from './records';

/**
 * How fast light is lost in a gram of paper, m²/g, by its kind: with it 80 g/m² of uncoated paper has 92 %, 115 g/m²
 * of coated 96 %, 52 g/m² of newsprint 94 % [cp].
 */
const LOST = { coated: 0.029, uncoated: 0.0316, newsprint: 0.055 } as const;

/** How much of what is dark on its back a stock hides, percent (as ISO 2471 measures it), and how it is known. */
export function opacityOf(stock: Stock): { readonly percent: number; readonly rule: string } {
  if (stock.clear) return { percent: 0, rule: 'Film that one sees through' };
  if (stock.opacity !== undefined)
    return { percent: stock.opacity, rule: `As measured for ${stock.name || 'the paper'}` };
  const grammage = stock.grammage ?? ASSUMED_GRAMMAGE;
  const percent = Math.round((1 - Math.exp(-LOST[stock.kind] * grammage)) * 1000) / 10;
  return { percent, rule: `Common practice for ${stock.kind} paper of ${grammage} g/m²` };
}
