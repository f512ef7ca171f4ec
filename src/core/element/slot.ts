import { z } from 'zod';

/** How a date is written out. */
export const DATE_FORMS = ['full', 'long', 'medium', 'short'] as const;
export type DateForm = (typeof DATE_FORMS)[number];

const open = z.boolean().default(false).describe('Still as the template has it.');

/** What may be changed of a text in a job begun from a template. */
export const TextSlot = z.discriminatedUnion('takes', [
  z.strictObject({ takes: z.literal('text'), open }),
  z.strictObject({
    takes: z.literal('date'),
    form: z.enum(DATE_FORMS).default('full'),
    date: z.iso.date().nullable().default(null),
    open,
  }),
]);
export type TextSlot = z.infer<typeof TextSlot>;

/** A picture that may be changed in a job begun from a template. */
export const PictureSlot = z.strictObject({ takes: z.literal('picture'), open });
export type PictureSlot = z.infer<typeof PictureSlot>;

export type Slot = TextSlot | PictureSlot;

/**
 * A date in words of a language.
 * @param date ISO 8601
 * @param language BCP 47
 */
export const dateWords = (date: string, form: DateForm, language: string): string =>
  new Intl.DateTimeFormat(language, { dateStyle: form, timeZone: 'UTC' }).format(new Date(`${date}T00:00:00Z`));
