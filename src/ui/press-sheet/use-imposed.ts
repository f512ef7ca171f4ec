'use client';
import { useMemo } from 'react';
import { imposed, type Imposed, type ImposedFace, type ImposedSheet } from '@/core/job';
import { useDesk } from '../open-job/use-desk';
import { useSheetView } from '../view/sheet-view';

/** The piece on the sheets of the press, as the job wants it. */
export function useImposed(): Imposed {
  const { job, piece } = useDesk();
  return useMemo(() => imposed(job, piece), [job, piece]);
}

/** The sheet and the form that are looked at; undefined where there is none. */
export function useShownSheet(made: Imposed): { readonly sheet: ImposedSheet; readonly face: ImposedFace } | undefined {
  const at = useSheetView((v) => v.sheet);
  const which = useSheetView((v) => v.face);
  if (!made.ok) return undefined;
  const sheet = made.sheets[Math.min(at, made.sheets.length - 1)];
  const face = sheet?.faces[Math.min(which, sheet.faces.length - 1)];
  return sheet && face ? { sheet, face } : undefined;
}
