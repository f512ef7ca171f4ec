import { SLUG_FACE } from '../core/compose';
import { itemsOf, plateNames, spotsIn } from '../core/drawing';
import { placeMatrix, printable } from '../core/impose';
import type { ImposedFace, ImposedSheet, ImposedSide } from '../core/job';
import { grow, multiply, translation, union, type Rect } from '../core/layout';
import { sheetMarks } from '../core/marks';
import type { Form, PdfPage, PlacedForm } from '../paint/pdf';
import type { Desk, DeskSide } from './desk';

/** A side as it is set down, and where it was drawn. */
export interface DrawnForm {
  readonly form: Form;
  readonly drawn: DeskSide;
}

/** One form of a sheet, with what lies on it. */
export interface SheetFace {
  readonly sheet: ImposedSheet;
  readonly face: ImposedFace;
  readonly placed: readonly (DrawnForm & { readonly side: ImposedSide })[];
  readonly at: Date;
  readonly name: string;
}

/** A form of a sheet as a page: what lies on it, and marks outside all of it. */
export function sheetPage({ document, fonts }: Desk, { sheet, face, placed, at, name }: SheetFace): PdfPage {
  const whole: Rect = { x: 0, y: 0, ...sheet.size };
  const forms = placed.map(({ side, form, drawn }): PlacedForm => {
    return { form, matrix: sideMatrix(side, drawn), clip: grow(side.trim, side.bleed) };
  });
  const items = [...new Set(placed.map(({ drawn }) => drawn))].flatMap(({ drawing }) => itemsOf(drawing));
  const words = [document.name, name, face.name, at.toISOString().slice(0, 10)].join('   ·   ');
  const creases = sheet.signature?.creases;
  const { width } = sheet.size;
  // The inner form is seen from behind.
  const onFace = creases && face.name === 'inner' ? { ...creases, x: creases.x.map((x) => width - x) } : creases;
  const marks = sheetMarks({
    face,
    room: printable(sheet.room, sheet.work),
    words,
    type: fonts.set.find(SLUG_FACE.family, SLUG_FACE.weight, SLUG_FACE.italic),
    inks: { plates: plateNames(items), spots: spotsIn(items) },
    creases: onFace ?? { x: [], y: [] },
    collating: face.name === 'outer' ? sheet.collating : undefined,
  });
  return {
    parts: [{ placed: forms }, { items: marks }],
    // What is cut or folded, all of it: marks lie outside.
    trim: union(face.sides.map(({ trim }) => trim)),
    bleed: union(face.sides.map(({ trim, bleed }) => grow(trim, bleed))),
    sheet: whole,
    label: `${name}, ${face.name}`,
  };
}

/** From mm of a side to mm of its sheet. */
function sideMatrix(side: ImposedSide, { surface }: DeskSide) {
  const { trim } = surface.boxes;
  return multiply(placeMatrix(side), translation(side.shift - trim.x, -trim.y));
}
