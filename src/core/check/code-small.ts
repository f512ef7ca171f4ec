import { SYMBOLOGY } from '../code';
import { moveTo } from '../layout';
import { formatNumber } from '../measure';
import { noted, replace, type Report, type Rule } from './rule';

/** Modules finer or larger than the standard of the code allows. */
export const codeSmallRule: Rule = {
  id: 'code-size',
  title: 'A code out of its size',
  why:
    'A reader tells bars apart down to a width that the standard names. Finer ones fill in; very large ones are ' +
    'not read.',
  check: (subject) =>
    noted(subject, 'code').flatMap(({ note, element, frame }): readonly Report[] => {
      if (element.kind !== 'code') return [];
      const { module: facts, title, source } = SYMBOLOGY[element.symbology];
      // What is drawn at a tenth is ten times as large.
      const side = note.module * subject.blank.scale;
      const isSmall = side < facts.least - 1e-4;
      if (!isSmall && side <= facts.most + 1e-4) return [];
      const by = facts.usual / side;
      const { rect } = frame;
      const [width, height] = [rect.width * by, rect.height * by];
      const to = { x: rect.x + (rect.width - width) / 2, y: rect.y + (rect.height - height) / 2, width, height };
      const placement = moveTo(element.placement, to, subject.drawing.boxes, rect);
      const write = (mm: number) => `${formatNumber(mm, 3)} mm`;
      return [
        {
          severity: isSmall ? 'fault' : 'warning',
          element: element.id,
          where: frame.bounds,
          message:
            `${title} with modules of ${write(side)}; from ${write(facts.least)} to ${write(facts.most)} are read ` +
            `(${source}).`,
          fixes: [replace(`Take modules of ${write(facts.usual)}`, { ...element, placement })],
        },
      ];
    }),
};
