import { writtenOperations } from './written-operations';

/** Four inks, 0 to 1. */
export type Inks = readonly [c: number, m: number, y: number, k: number];

/** What an RGB of a file is in inks. @param rgb 0 to 1 */
export type ToInks = (rgb: readonly [r: number, g: number, b: number]) => Inks;

interface Using {
  readonly fill: ToInks | undefined;
  readonly stroke: ToInks | undefined;
}

/**
 * A content stream with every RGB written in inks; all else stays as it was written.
 * @param rgbOf what a name of a colour space stands for; undefined where that is no RGB
 * @throws RangeError where it cannot be read
 */
export function contentInInks(text: string, rgbOf: (name: string) => ToInks | undefined): string {
  let using: Using = { fill: undefined, stroke: undefined };
  const stack: Using[] = [];
  let out = '';
  let done = 0;
  const device = rgbOf('DeviceRGB');
  for (const { operator, operands, from, to } of writtenOperations(text)) {
    const instead = (words: string): void => {
      out += text.slice(done, from) + words;
      done = to;
    };
    const which = isStroke(operator) ? 'stroke' : 'fill';
    switch (operator) {
      case 'q':
        stack.push(using);
        break;
      case 'Q':
        using = stack.pop() ?? using;
        break;
      case 'rg':
      case 'RG': {
        using = { ...using, [which]: device };
        const rgb = threeOf(operands);
        if (device && rgb) instead(`${written(device(rgb))} ${operator === 'rg' ? 'k' : 'K'}`);
        break;
      }
      case 'g':
      case 'G':
      case 'k':
      case 'K':
        using = { ...using, [which]: undefined };
        break;
      case 'cs':
      case 'CS': {
        const space = rgbOf((operands[0] ?? '').slice(1));
        using = { ...using, [which]: space };
        // A space begins with its black (8.6.8).
        if (space) instead(`/DeviceCMYK ${operator} ${written(space([0, 0, 0]))} ${operator === 'cs' ? 'sc' : 'SC'}`);
        break;
      }
      case 'sc':
      case 'scn':
      case 'SC':
      case 'SCN': {
        const [space, rgb] = [using[which], threeOf(operands)];
        if (space && rgb) instead(`${written(space(rgb))} ${operator}`);
        break;
      }
    }
  }
  return out + text.slice(done);
}

const isStroke = (operator: string): boolean => operator === operator.toUpperCase();

function threeOf(operands: readonly string[]): readonly [number, number, number] | undefined {
  const [r, g, b] = operands.map(Number);
  const isRgb = operands.length === 3 && [r, g, b].every((n) => n !== undefined && Number.isFinite(n));
  return isRgb ? [clamped(r), clamped(g), clamped(b)] : undefined;
}

const clamped = (n = 0): number => Math.min(1, Math.max(0, n));

const written = (inks: Inks): string => inks.map((n) => String(Number(n.toFixed(4)))).join(' ');
