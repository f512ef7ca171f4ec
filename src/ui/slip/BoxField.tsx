'use client';
import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { useMemo } from 'react';
import { elementsOn, type BoxRef } from '@/core/job';
import { boxName } from '@/core/layout';
import { FIELD_LINE, fittedType } from '../field/fitted-type';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { boxChoices, dependants, type BoxChoice } from '@/core/edit';

/** What the arrow takes of the field, px. */
const ARROW = 30;

interface Props {
  readonly label: string;
  readonly value: BoxRef;
  /** The element that chooses: what waits for it is not offered. */
  readonly element?: string;
  readonly width?: number;
  readonly onChange: (ref: BoxRef) => void;
}

/** A box of the side, found by typing a part of its name. */
export function BoxField({ label, value, element, width = 128, onChange }: Props) {
  const { piece, drawing } = useDesk();
  const side = useJob((s) => s.side);
  const { boxes } = drawing;
  const choices = useMemo(() => {
    const waiting = element ? dependants(element, elementsOn(piece, side), piece.grids) : new Set<string>();
    return boxChoices(boxes, waiting);
  }, [boxes, element, piece, side]);
  const key = JSON.stringify(value);
  const now: BoxChoice = choices.find((c) => JSON.stringify(c.ref) === key) ?? {
    ref: value,
    name: boxName(value, boxes),
  };
  const fontSize = fittedType(now.name, width - ARROW, 'letters');
  return (
    <Autocomplete
      size="small"
      disableClearable
      autoHighlight
      options={choices}
      value={now}
      getOptionLabel={(choice) => choice.name}
      getOptionKey={(choice) => JSON.stringify(choice.ref)}
      isOptionEqualToValue={(a, b) => JSON.stringify(a.ref) === JSON.stringify(b.ref)}
      onChange={(_event, choice) => onChange(choice.ref)}
      sx={{ width }}
      slotProps={{ popper: { style: { width: 'fit-content', minWidth: 180 } }, listbox: { dense: true } as object }}
      renderInput={(params) => (
        <TextField
          {...params}
          label={label}
          slotProps={{
            ...params.slotProps,
            inputLabel: { ...params.slotProps.inputLabel, shrink: true },
            htmlInput: { ...params.slotProps.htmlInput, style: { fontSize, height: FIELD_LINE } },
          }}
          onKeyDown={(event) => event.key !== 'Escape' && event.stopPropagation()}
        />
      )}
    />
  );
}
