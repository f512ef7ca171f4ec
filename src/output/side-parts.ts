import { itemsWithin, stretchesWithin, type Frame } from '../core/drawing';
import { finishLayers, finishesOn } from '../core/marks';
import { IDENTITY } from '../core/layout';
import type { Form, PagePart } from '../paint/pdf';
import type { DeskSide } from './desk';

/** What a side lays on paper: artwork, cut where the bleed ends, and each process in a layer of its own. */
export const sideParts = (side: DeskSide): readonly PagePart[] => [
  { items: itemsWithin(side.drawing, side.surface.boxes.bleed) },
  ...processParts(side),
];

/** Each process of a side in a layer of its own. */
export const processParts = ({ piece, surface, drawing, rules }: DeskSide): readonly PagePart[] =>
  finishLayers(finishesOn(piece, surface, drawing), rules).map((layer) => ({ layer }));

/**
 * The artwork of many copies: what a copy has in common with the first one lies in the file once.
 * @param differs ids of elements that each copy has of its own
 */
export function artOfCopies(differs: ReadonlySet<string>): (side: DeskSide) => readonly PagePart[] {
  const forms = new Map<string, Form>();
  const first = new Map<DeskSide['surface'], readonly Frame[]>();
  return (side) => {
    const like = first.get(side.surface) ?? side.drawing.frames.filter(({ element }) => !differs.has(element));
    first.set(side.surface, like);
    const { bleed } = side.surface.boxes;
    return stretchesWithin(side.drawing, like, bleed).map(({ key, items }): PagePart => {
      if (key === undefined) return { items };
      const name = `${side.piece.id} ${side.surface.name} ${key}`;
      const form = forms.get(name) ?? { parts: [{ items }], region: bleed };
      forms.set(name, form);
      return { placed: [{ form, matrix: IDENTITY, clip: bleed }] };
    });
  };
}
