import { z } from 'zod';
import type { Path, Rect } from '../../geometry';
import type { Measures } from '../length';
import { arc } from './arc';
import { arrow } from './arrow';
import { bubble } from './bubble';
import type { FormKindOf } from './define';
import { ellipse } from './ellipse';
import { path } from './path';
import { polygon } from './polygon';
import { rectangle } from './rectangle';
import { ribbon } from './ribbon';
import { ring } from './ring';
import { star } from './star';

/** Every form of shape by its name, in the order in which they are offered. */
export const FORMS = { rectangle, ellipse, path, arrow, ribbon, star, polygon, ring, arc, bubble } as const;

/** What a shape is within its box. */
export const Form = z.discriminatedUnion('form', [
  rectangle.schema,
  ellipse.schema,
  path.schema,
  arrow.schema,
  ribbon.schema,
  star.schema,
  polygon.schema,
  ring.schema,
  arc.schema,
  bubble.schema,
]);
export type Form = z.infer<typeof Form>;
export type FormKind = Form['form'];
export const FORM_KINDS = Object.keys(FORMS) as readonly FormKind[];
export type FormOf<K extends FormKind> = Extract<Form, { form: K }>;

/** What the program asks of a form, whichever it is. */
type AnyForm = Omit<FormKindOf<z.ZodObject, Form>, 'schema'>;

/** The description of a form: it is given forms of its own name only. */
export const formKind = (kind: FormKind): AnyForm => FORMS[kind] as AnyForm;

/** The outline of a form in its box, mm. */
export const shapePath = (form: Form, box: Rect, measures: Measures): Path =>
  formKind(form.form).outline(form, box, measures);

/** Whether the form has an inside to fill and to lie in or out of. */
export const isClosed = (form: Form): boolean => formKind(form.form).isClosed?.(form) ?? true;

/** The form left for right. */
export const mirroredForm = (form: Form): Form => formKind(form.form).mirrored?.(form) ?? form;
