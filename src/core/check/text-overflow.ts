import { moveTo } from '../layout';
import { noted, replace, type Rule } from './rule';

/** Every word that was typed has to be on the paper. */
export const textOverflowRule: Rule = {
  id: 'text-overflow',
  title: 'Text does not fit',
  why: 'The words that found no room are not printed, and nobody misses them until the job is back.',
  check: (subject) =>
    noted(subject, 'overflow').map(({ note, element, frame }) => {
      const taller = { ...frame.rect, height: note.needs };
      const { boxes } = subject.drawing;
      const fits = taller.y + taller.height <= boxes.safe.y + boxes.safe.height;
      const placement = moveTo(element.placement, taller, boxes, frame.rect);
      const shown = note.text.length > 40 ? `${note.text.slice(0, 40)}…` : note.text;
      return {
        severity: 'fault',
        element: element.id,
        where: frame.rect,
        message: `${note.words} word${note.words === 1 ? '' : 's'} hidden: “${shown}”.`,
        fixes: fits ? [replace('Enlarge the frame', { ...element, placement })] : [],
      };
    }),
};
