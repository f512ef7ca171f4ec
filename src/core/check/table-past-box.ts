import { moveTo } from '../layout';
import { noted, replace, writeIn, type Report, type Rule } from './rule';

/** A table keeps to its box. */
export const tablePastBoxRule: Rule = {
  id: 'table-past-box',
  title: 'Table past its box',
  why: 'What runs past its box lies over other things, or off the paper.',
  check: (subject) =>
    noted(subject, 'table-past-box').map(({ note, element, frame }): Report => {
      const { boxes } = subject.drawing;
      const over = (mm: number, room: number, what: string) =>
        mm > room + 0.01 ? [`${writeIn(subject.job, mm - room)} ${what}`] : [];
      const by = [
        ...over(note.width, frame.rect.width, 'too wide'),
        ...over(note.height, frame.rect.height, 'too high'),
      ];
      const { width, height } = note;
      const placement = moveTo(element.placement, { ...frame.rect, width, height }, boxes, frame.rect);
      const fits =
        frame.rect.y + height <= boxes.safe.y + boxes.safe.height &&
        frame.rect.x + width <= boxes.safe.x + boxes.safe.width;
      return {
        severity: 'fault',
        element: element.id,
        where: { ...frame.rect, width, height },
        message: `Its rows and columns are ${by.join(' and ')} for its box.`,
        fixes: fits ? [replace('Enlarge its box', { ...element, placement })] : [],
      };
    }),
};
