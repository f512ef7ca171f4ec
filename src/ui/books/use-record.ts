'use client';
import { zodResolver } from '@hookform/resolvers/zod';
import { useForm, useWatch, type DefaultValues, type FieldValues, type Path, type PathValue } from 'react-hook-form';
import type { z } from 'zod';

/** A record while it is written: what stands in it, changes of it, and why it cannot be kept. */
export interface RecordDraft<R> {
  readonly record: R;
  readonly set: (change: { readonly [K in keyof R]?: R[K] | undefined }) => void;
  /** Hands it over where its schema takes it. */
  readonly keep: () => void;
  readonly problems: readonly string[];
}

/** @param schema what the book holds */
export function useRecord<R extends FieldValues>(
  schema: z.ZodType<R>,
  given: R,
  onKeep: (record: R) => void,
): RecordDraft<R> {
  const { control, setValue, handleSubmit, formState } = useForm<R, unknown, R>({
    defaultValues: given as DefaultValues<R>,
    // A whole record is one that the schema reads, too.
    resolver: zodResolver(schema as z.ZodType<R, R>),
  });
  const record = useWatch({ control, compute: (now: R) => now });
  const { errors } = formState;
  return {
    record,
    set: (change) => {
      for (const [name, value] of Object.entries(change))
        setValue(name as Path<R>, value as PathValue<R, Path<R>>, { shouldDirty: true });
    },
    keep: () => void handleSubmit(onKeep)(),
    problems: Object.entries(errors).map(([name, error]) =>
      typeof error?.message === 'string' ? `${name}: ${error.message}.` : `${name} cannot be so.`,
    ),
  };
}
