'use client';
import Box from '@mui/material/Box';
import {
  COATINGS,
  COATING_SHOWN,
  COMMON_CODES,
  COMMON_COATINGS,
  LINE_FORMS,
  PROCESSES,
  SHOWN,
  type House,
} from '@/core/shop';
import { BuildField } from '../field/BuildField';
import { ChoiceField } from '../field/ChoiceField';
import { LengthField } from '../field/LengthField';
import { WordsField } from '../field/WordsField';

interface Props {
  readonly house: House;
  readonly onChange: (change: Partial<House>) => void;
}

const title = { fontSize: 14, pb: 0.75 } as const;

/** How a printer wants its process lines: their forms, the names of their plates and the colours that show them. */
export function LineRows({ house, onChange }: Props) {
  return (
    <Box
      role="group"
      aria-label="Process lines"
      sx={{
        gridColumn: '1 / -1',
        display: 'grid',
        gridTemplateColumns: '1fr 1fr 1fr 1fr',
        gap: 1.25,
        alignItems: 'end',
      }}
    >
      {PROCESSES.map((process) => {
        const own = house.lines[process];
        const set = (change: Partial<NonNullable<typeof own>>) =>
          onChange({ lines: { ...house.lines, [process]: { ...own, ...change } } });
        return [
          <Box key={`${process}-name`} sx={title}>
            {process}
          </Box>,
          <ChoiceField
            key={`${process}-form`}
            label="form"
            width="100%"
            value={own?.form ?? COMMON_CODES[process].form}
            options={LINE_FORMS.map((f) => ({ value: f, label: f }))}
            onChange={(form) => set({ form })}
          />,
          <WordsField
            key={`${process}-spot`}
            label={`plate of ${process}`}
            width="100%"
            most={60}
            value={own?.spot ?? COMMON_CODES[process].spot}
            onChange={(spot) => set({ spot: spot || undefined })}
          />,
          <BuildField
            key={`${process}-shown`}
            label="shown as"
            width="100%"
            value={own?.shown ?? SHOWN[process]}
            onChange={(shown) => set({ shown })}
          />,
        ];
      })}
    </Box>
  );
}

/** What a printer’s coatings are called, how fine they hold, how near the print they lie, and how they are shown. */
export function CoatingRows({ house, onChange }: Props) {
  return (
    <Box
      role="group"
      aria-label="Coatings"
      sx={{
        gridColumn: '1 / -1',
        display: 'grid',
        gridTemplateColumns: '1fr 1.35fr 0.75fr 0.75fr 1.15fr',
        gap: 1,
        alignItems: 'end',
      }}
    >
      {COATINGS.map((coating) => {
        const own = house.coatings?.[coating];
        const common = COMMON_COATINGS[coating];
        const set = (change: Partial<NonNullable<typeof own>>) =>
          onChange({ coatings: { ...house.coatings, [coating]: { ...own, ...change } } });
        return [
          <Box key={`${coating}-name`} sx={title}>
            {common.title}
          </Box>,
          <WordsField
            key={`${coating}-spot`}
            label={`plate of ${common.title.toLowerCase()}`}
            width="100%"
            most={60}
            value={own?.spot ?? common.spot}
            onChange={(spot) => set({ spot: spot || undefined })}
          />,
          <LengthField
            key={`${coating}-least`}
            label="holds"
            width="100%"
            value={own?.least ?? common.least}
            unit="mm"
            ppi={300}
            onChange={(least) => set({ least })}
          />,
          <LengthField
            key={`${coating}-tolerance`}
            label="fits to ±"
            width="100%"
            value={own?.tolerance ?? common.tolerance}
            unit="mm"
            ppi={300}
            onChange={(tolerance) => set({ tolerance })}
          />,
          <BuildField
            key={`${coating}-shown`}
            label="shown as"
            width="100%"
            value={own?.shown ?? COATING_SHOWN[coating]}
            onChange={(shown) => set({ shown })}
          />,
        ];
      })}
    </Box>
  );
}
