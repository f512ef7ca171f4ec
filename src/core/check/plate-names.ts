import { PROCESS_PLATES } from '../colour';
import { finishLayers, linesOn } from '../marks';
import type { Report, Rule, Subject } from './rule';

/** One plate, one purpose: what cuts is not printed, what is printed does not cut. */
export const plateNamesRule: Rule = {
  id: 'plate-names',
  title: 'Two purposes on one plate',
  why: 'A plate that both prints and cuts does neither: the line is printed, or the picture is cut.',
  check: (subject) => {
    const { drawing, blank, rules, side, job } = subject;
    const surface = blank.surfaces.find((s) => s.name === side);
    if (!surface) return [];
    const layers = finishLayers({ lines: linesOn(surface, drawing), coats: drawing.coats }, rules);
    const where = drawing.boxes.trim;
    const reports: Report[] = [];
    const process = Object.values(PROCESS_PLATES).map((name) => name.toLowerCase());
    layers.forEach((layer, i) => {
      const name = layer.name.toLowerCase();
      const ink = (job.inks ?? []).find((one) => one.name.toLowerCase() === name);
      if (process.includes(name))
        reports.push({
          severity: 'fault',
          element: null,
          where,
          message:
            `The layer “${layer.name}” has the name of a process plate: it would be printed. Give it another ` +
            'name in the printer’s record.',
        });
      if (ink)
        reports.push({
          severity: 'fault',
          element: null,
          where,
          message: `Artwork is printed in “${ink.name}”, which is the plate of a line or coating.`,
          fixes: [
            {
              label: `Call the ink “${freeName(subject, ink.name)}”`,
              change: { kind: 'rename-ink', from: ink.name, to: freeName(subject, ink.name) },
            },
          ],
        });
      const twin = layers.slice(0, i).find((other) => other.name.toLowerCase() === name);
      // A house may want several lines on one plate: then it says so.
      if (twin && !isWanted(subject, twin.purpose, layer.purpose))
        reports.push({
          severity: 'fault',
          element: null,
          where,
          message: `“${layer.name}” is the plate of two purposes: ${twin.purpose} and ${layer.purpose}.`,
        });
    });
    return reports;
  },
};

type Purpose = ReturnType<typeof finishLayers>[number]['purpose'];

function isWanted({ job }: Subject, one: Purpose, two: Purpose): boolean {
  const spotOf = (purpose: Purpose) => Object.entries(job.house.lines).find(([name]) => name === purpose)?.[1]?.spot;
  return spotOf(one) !== undefined && spotOf(one) === spotOf(two);
}

function freeName({ job }: Subject, name: string): string {
  let n = 1;
  const isTaken = (candidate: string) => (job.inks ?? []).some((i) => i.name === candidate);
  while (isTaken(`${name} ink${n > 1 ? ` ${n}` : ''}`)) n += 1;
  return `${name} ink${n > 1 ? ` ${n}` : ''}`;
}
