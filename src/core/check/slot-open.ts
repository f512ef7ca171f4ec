import { hasSlot } from '../job';
import { framed, type Report, type Rule } from './rule';

const WHAT = { text: 'words', date: 'date', picture: 'picture' } as const;

/** Every slot of a job begun from a template is filled. */
export const slotOpenRule: Rule = {
  id: 'slot-open',
  title: 'Not filled in yet',
  why: 'What the template says stands for something: printed as it is, it is wrong.',
  check: (subject) =>
    !subject.job.template
      ? []
      : framed(subject).flatMap(({ element, frame }): readonly Report[] =>
          hasSlot(element) && element.slot.open
            ? [
                {
                  severity: 'warning',
                  element: element.id,
                  where: frame.rect,
                  message: `Still has the ${WHAT[element.slot.takes]} of the template.`,
                },
              ]
            : [],
        ),
};
