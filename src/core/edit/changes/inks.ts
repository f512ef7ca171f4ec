import { z } from 'zod';
import { samePaint } from '../../compose';
import { SpotInk } from '../../job';
import { mergedInks, mergedSwatches, repaintJob, withInk, withoutInk, withoutSwatch, withSwatch } from '../inks';
import { CannotChange, defineChange } from './change';
import { paintOf } from './look';

const Name = z.string().min(1);

export const inkChanges = [
  defineChange({
    do: 'put ink',
    about: 'Adds an ink of its own plate, or changes the one that was called so before.',
    fields: { ink: SpotInk, before: Name.optional() },
    example: { ink: { name: 'Moon silver', finish: 'metallic', c: 0, m: 0, y: 0, k: 30 } },
    run: ({ job }, { ink, before }) => withInk(job, ink, before),
  }),
  defineChange({
    do: 'merge inks',
    about: 'Prints everything of one ink in another, and takes the first off.',
    fields: { from: Name, into: Name },
    example: { from: 'Old silver', into: 'Moon silver' },
    run: ({ job }, { from, into }) => mergedInks(job, known(job.inks, from), known(job.inks, into)),
  }),
  defineChange({
    do: 'remove ink',
    about: 'Takes an ink off; what it painted is printed in the four process inks.',
    fields: { name: Name },
    example: { name: 'Moon silver' },
    run: ({ job }, { name }) => withoutInk(job, known(job.inks, name)),
  }),
  defineChange({
    do: 'put swatch',
    about: 'Gives a colour a name, or changes it with everything that is painted so.',
    fields: { name: Name, paint: z.string(), before: Name.optional() },
    example: { name: 'Night', paint: '88 78 38 36' },
    run: ({ job }, { name, paint: text, before }) => {
      const paint = paintOf(job, text);
      if (paint.kind === 'swatch') throw new CannotChange(`“${text}” is a named colour itself; write its inks.`);
      return withSwatch(job, { name, paint }, before ?? (job.swatches ?? []).find((s) => s.name === name)?.name);
    },
  }),
  defineChange({
    do: 'merge swatches',
    about: 'Paints everything of one named colour in another, and takes the first off.',
    fields: { from: Name, into: Name },
    example: { from: 'Dusk', into: 'Night' },
    run: ({ job }, { from, into }) => mergedSwatches(job, known(job.swatches, from), known(job.swatches, into)),
  }),
  defineChange({
    do: 'remove swatch',
    about: 'Takes a named colour off; what it painted keeps its inks.',
    fields: { name: Name },
    example: { name: 'Night' },
    run: ({ job }, { name }) => withoutSwatch(job, known(job.swatches, name)),
  }),
  defineChange({
    do: 'repaint',
    about: 'Paints everything of one paint in another: elements, layouts, styles.',
    fields: { from: z.string(), to: z.string() },
    example: { from: '4 62 68 0', to: '0 14 78 0' },
    run: ({ job }, { from, to }) => {
      const [before, after] = [paintOf(job, from), paintOf(job, to)];
      return repaintJob(job, (paint) => (samePaint(paint, before) ? after : paint));
    },
  }),
];

/** A name that is in a list. @throws CannotChange */
function known(list: readonly { readonly name: string }[] | undefined, name: string): string {
  if (list?.some((r) => r.name === name)) return name;
  const names = (list ?? []).map((r) => `“${r.name}”`).join(', ');
  throw new CannotChange(`There is no “${name}”. ${names ? `There are: ${names}.` : 'There is none yet.'}`);
}
