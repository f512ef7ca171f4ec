import { USUAL_LOOK, type PrintableElement } from '../../element';
import { BOLD } from '../lettering';
import { composePrintable, printableTracks } from '../printable';
import { keyOfTurn } from '../turns';
import { defineComposedKind, plain } from './define';

export const printable = defineComposedKind<PrintableElement>({
  ...plain,
  compose: composePrintable,
  tracks: printableTracks,
  dependsOn: (_, { turn }) => [keyOfTurn(turn)],
  looks: ({ type: { text, title } }) => {
    const bold = { ...text, weight: Math.max(BOLD, text.weight) };
    return [text, bold, title].map((face) => ({ ...USUAL_LOOK, ...face }));
  },
});
