import { PROCESS, PROCESS_PLATES, type Build, type Laid } from '../../core/colour';
import type { Objects } from './file-writer';
import { num, utf8, type Value } from './objects';

/** A colour in a space of its own plates: the space, and how much of each. */
export interface PlateColour {
  readonly plates: readonly Plate[];
  /** 0 to 1, one for each plate. */
  readonly tints: readonly number[];
}

/** A plate, and the build that shows it where it is not printed as itself. */
export interface Plate {
  readonly name: string;
  readonly shown: Build;
}

const NONE: Build = { c: 0, m: 0, y: 0, k: 0 };

/** The process plates of which a colour has something, and its spots. @param used inks that have to be there anyway */
export function plateColour({ build, spots = [] }: Laid, used: readonly string[] = []): PlateColour {
  const process = PROCESS.filter((ink) => build[ink] > 0 || used.includes(PROCESS_PLATES[ink]));
  return {
    plates: [
      ...process.map((ink) => ({ name: PROCESS_PLATES[ink], shown: { ...NONE, [ink]: 100 } })),
      ...spots.map(({ name, shown }) => ({ name, shown })),
    ],
    tints: [...process.map((ink) => build[ink] / 100), ...spots.map(({ tint }) => tint / 100)],
  };
}

/** Key under which two spaces are the same. */
export const spaceKey = (plates: readonly Plate[]): string => JSON.stringify(plates.map(({ name }) => name));

/** A spot ink as a plate of its own, shown by a build where it is not printed (ISO 32000-1, 8.6.6.4). */
export const separation = ({ name, shown }: Plate): readonly [Value, Value, Value, Value] => [
  'Separation',
  name,
  'DeviceCMYK',
  { FunctionType: 2, Domain: [0, 1], C0: [0, 0, 0, 0], C1: PROCESS.map((ink) => shown[ink] / 100), N: 1 },
];

/** One plate, or several that print together (ISO 32000-1, 8.6.6.5). */
export function plateSpace(plates: readonly Plate[], objects: Pick<Objects, 'stream'>): Value {
  const [only] = plates;
  if (plates.length === 1 && only) return separation(only);
  const spots = plates.filter(({ name }) => !isProcess(name));
  return [
    'DeviceN',
    plates.map(({ name }) => name),
    'DeviceCMYK',
    addedTints(plates, objects),
    { Colorants: Object.fromEntries(spots.map((plate) => [plate.name, separation(plate)])) },
  ];
}

const isProcess = (name: string): boolean => Object.values(PROCESS_PLATES).some((process) => process === name);

/**
 * Tints to the build that shows them, dot areas added and at most full, as a PostScript calculator (ISO 32000-1,
 * 7.10.5). The inputs lie on the stack with the last on top; each ink is a sum over all of them.
 */
function addedTints(plates: readonly Plate[], objects: Pick<Objects, 'stream'>): Value {
  const count = plates.length;
  const sums = PROCESS.map((ink, done) => {
    const terms = plates.map(({ shown }, i) => {
      const weight = shown[ink] / 100;
      // Above the input lie the inputs after it, the sums before this one, and what is added up.
      return weight === 0 ? '' : `${count - 1 - i + done + 1} index ${num(weight)} mul add `;
    });
    return `0 ${terms.join('')}dup 1 gt {pop 1} if `;
  });
  const program = `{${sums.join('')}${count + 4} 4 roll ${'pop '.repeat(count)}}`;
  return objects.stream(
    {
      FunctionType: 4,
      Domain: plates.flatMap(() => [0, 1]),
      Range: [0, 1, 0, 1, 0, 1, 0, 1],
    },
    utf8(program),
  );
}
