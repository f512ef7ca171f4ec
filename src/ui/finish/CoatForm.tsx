'use client';
import { useState } from 'react';
import { elementsOn, paintsOf, styleBook, type CoatSource, type Finishing } from '@/core/job';
import { COATINGS, type Coating } from '@/core/shop';
import { freshId } from '@/core/edit';
import { ChoiceField } from '../field/ChoiceField';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { FinishForm } from './FinishForm';
import { usePreview } from './use-preview';
import { useTraced } from './use-traced';

/** What is coated; a drawing of its own comes with a file of the job. */
type Over = Exclude<CoatSource['from'], 'drawing'> | 'all';

const OVER_WORDS: Readonly<Record<Over, string>> = {
  elements: 'what is selected',
  picture: 'the shapes in this picture',
  paint: 'all of its colour',
  artwork: 'all that is printed',
  side: 'the whole side',
  all: 'all over, as a note',
};

interface Props {
  readonly onAdd: (finishing: Finishing) => void;
  readonly onClose: () => void;
}

/** A coating over what is selected, over the shapes in a picture, over a colour, or all over. */
export function CoatForm({ onAdd, onClose }: Props) {
  const { job, piece, surface, rules } = useDesk();
  const selection = useJob((s) => s.selection);
  const [id] = useState(freshId);
  const [coating, setCoating] = useState<Coating>('varnish-matt');
  const [wanted, setWanted] = useState<Over>();
  const chosen = elementsOn(piece, surface.name).filter((e) => selection.includes(e.id));
  const [only] = chosen.length === 1 ? chosen : [];
  const traced = useTraced(job, wanted === 'picture' ? only : undefined);
  const isPicture = only?.kind === 'picture' && only.picture !== null;
  const [paint] = only ? paintsOf(only, styleBook(job)) : [];
  // Only what there is something for.
  const offered: readonly Over[] = [
    ...(chosen.length > 0 ? (['elements'] as const) : []),
    ...(isPicture ? (['picture'] as const) : []),
    ...(paint ? (['paint'] as const) : []),
    'artwork',
    'side',
    'all',
  ];
  const over = wanted !== undefined && offered.includes(wanted) ? wanted : (offered[0] ?? 'artwork');
  const source = (): CoatSource | undefined => {
    switch (over) {
      case 'elements':
        return { from: 'elements', elements: chosen.map((e) => e.id) };
      case 'picture':
        return traced.source;
      case 'paint':
        return paint && { from: 'paint', paint };
      case 'artwork':
      case 'side':
        return { from: over };
      case 'all':
        return undefined;
    }
  };
  const of = source();
  const finishing: Finishing | undefined =
    over === 'all' ? { does: 'flood', id, coating } : of && { does: 'coat', id, coating, of, spread: 0 };
  usePreview(finishing);
  return (
    <FinishForm
      title="Add a coating"
      adds="Coat it"
      says={
        finishing
          ? chosen.length === 0
            ? 'The bench shows it. Select something to coat that alone.'
            : 'The bench shows it.'
          : (traced.problem ?? 'Looking for shapes …')
      }
      onAdd={finishing && (() => onAdd(finishing))}
      onClose={onClose}
    >
      <ChoiceField
        label="coat with"
        width="100%"
        value={coating}
        options={COATINGS.map((c) => ({ value: c, label: rules.coatings[c].title }))}
        onChange={setCoating}
      />
      <ChoiceField
        label="over"
        width="100%"
        value={over}
        options={offered.map((o) => ({ value: o, label: OVER_WORDS[o] }))}
        onChange={setWanted}
      />
    </FinishForm>
  );
}
