import { answerFigure, defineQuestion, toThousandths } from '../question';
import { eyePpi, neededPpi } from '../../rules';
import { formatNumber } from '../../measure';
import { length } from '../../format';

export const viewing = defineQuestion({
  id: 'viewing-distance',
  title: 'Viewing distance',
  about: 'Resolution that the eye can use, and letters that it can read.',
  parameters: { distance: length('Looked at from', ['3 m', '10 ft'], 'Eye to paper.', { least: 50, most: 1_000_000 }) },
  job: { kind: 'banner' },
  answer: ({ distance }) => {
    const eye = eyePpi(distance);
    return [
      answerFigure({
        id: 'eye',
        name: 'The eye resolves',
        value: Math.round(eye),
        unit: 'ppi',
        working: [`25.4 ÷ (${formatNumber(distance, 0)} mm × tan 1′) = ${formatNumber(eye, 1)} ppi`],
        rule: 'One arc-minute, 20/20 acuity',
      }),
      answerFigure({
        id: 'needed',
        name: 'Worth having',
        value: neededPpi(distance),
        unit: 'ppi',
        working: [`rounded up to 50, from 72 to 300`],
        rule: 'Common practice',
      }),
      answerFigure({
        id: 'cap',
        name: 'Capitals at least',
        value: toThousandths(distance / 250),
        unit: 'mm',
        working: [
          `${formatNumber(distance, 0)} mm ÷ 250 to ÷ 200 = ${formatNumber(distance / 250, 1)} to ` +
            `${formatNumber(distance / 200, 1)} mm`,
        ],
        rule: 'Cap height for easy reading (common practice)',
      }),
    ];
  },
  draw: ({ distance }, { write }) => {
    const ground = PERSON * 1.2;
    const eye = ground - PERSON * 0.93;
    const span = Math.max(distance, PERSON);
    const sheet = PERSON * 0.5;
    return {
      width: span + PERSON * 0.5,
      height: ground,
      marks: [
        { is: 'line', at: [0, ground, span + PERSON * 0.5, ground], as: 'mark' },
        { is: 'round', at: [PERSON * 0.15, eye, PERSON * 0.07], as: 'paper' },
        { is: 'line', at: [PERSON * 0.15, eye + PERSON * 0.07, PERSON * 0.15, ground], as: 'trim' },
        {
          is: 'line',
          at: [PERSON * 0.15 + distance, eye - sheet / 2, PERSON * 0.15 + distance, eye + sheet / 2],
          as: 'trim',
        },
        { is: 'line', at: [PERSON * 0.22, eye, PERSON * 0.15 + distance, eye - sheet / 2], as: 'safe' },
        { is: 'line', at: [PERSON * 0.22, eye, PERSON * 0.15 + distance, eye + sheet / 2], as: 'safe' },
        { is: 'word', at: [span / 2, ground - PERSON * 0.06], word: write(distance) },
      ],
    };
  },
});

/** As tall as somebody who looks at it, mm. */
const PERSON = 1700;
