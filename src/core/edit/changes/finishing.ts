import { z } from 'zod';
import { Finishing, finishOn, type Job, type SideName } from '../../job';
import { editFinish, movedFinishing } from '../finish';
import { pieceOf } from '../on-side';
import { putRecord, withoutRecord } from '../records';
import { CannotChange, defineChange } from './change';
import { Side, sideOf } from './pick';

const FIELDS = { id: z.string().min(1), side: Side.optional() };

const edited = (job: Job, side: SideName, change: (list: readonly Finishing[]) => readonly Finishing[]): Job =>
  editFinish(job, pieceOf(job).id, side, change);

/** The side on which something is finished so. @throws CannotChange */
function sideWith(job: Job, { id, side }: { readonly id: string; readonly side?: string | undefined }): SideName {
  const at = sideOf(job, side);
  if (finishOn(pieceOf(job), at).some((f) => f.id === id)) return at;
  throw new CannotChange(`There is no line or coating “${id}” on the ${at}.`);
}

export const finishingChanges = [
  defineChange({
    do: 'put finishing',
    about: 'Adds a process line or a coating to a side, or changes the one of that id.',
    fields: { finishing: Finishing, side: Side.optional() },
    example: {
      side: 'front',
      finishing: {
        does: 'coat',
        id: 'shine',
        coating: 'varnish-gloss',
        of: { from: 'elements', elements: ['moon'] },
        spread: 0,
      },
    },
    run: ({ job }, { finishing, side }) => edited(job, sideOf(job, side), (list) => putRecord(list, finishing)),
  }),
  defineChange({
    do: 'move finishing',
    about: 'Makes a line or coating a step later (1) or earlier (−1).',
    fields: { ...FIELDS, by: z.literal([1, -1]) },
    example: { id: 'shine', by: 1 },
    run: ({ job }, { by, ...of }) => edited(job, sideWith(job, of), (list) => movedFinishing(list, of.id, by)),
  }),
  defineChange({
    do: 'remove finishing',
    about: 'Takes a line or coating off.',
    fields: FIELDS,
    example: { id: 'shine' },
    run: ({ job }, of) => edited(job, sideWith(job, of), (list) => withoutRecord(list, of.id)),
  }),
];
