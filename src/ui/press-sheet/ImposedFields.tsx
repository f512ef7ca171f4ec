'use client';
import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { whyAlone, type Imposed, type ImposedSheet, type SheetOutput } from '@/core/job';
import { counted, formatNumber, formatSize, type JobUnit, type Parsed } from '@/core/measure';
import { readSize } from '@/core/paper';
import { ChoiceField } from '../field/ChoiceField';
import { LengthField } from '../field/LengthField';
import { MeasureField } from '../field/MeasureField';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { Heading } from '../shell/Heading';
import { COLOURS, FACES } from '../shell/theme';
import { useSheetView } from '../view/sheet-view';
import { CuttingList } from './CuttingList';
import { ArticleCounts, SharedSheet } from './SharedSheet';
import { StepFields } from './StepFields';
import { useImposed, useShownSheet } from './use-imposed';

/** How the piece lies on the sheets of the press: what is decided, what follows from it, and what is looked at. */
export function ImposedFields() {
  const made = useImposed();
  const desk = useDesk();
  const { isShown, set } = useSheetView();
  return (
    <section aria-label="Press sheet">
      <Heading>Press sheet</Heading>
      <Box sx={{ px: 2.5, py: 0.5, display: 'grid', gap: 0.75 }}>
        <ToggleButtonGroup
          exclusive
          size="small"
          fullWidth
          value={isShown ? 'sheet' : 'piece'}
          onChange={(_event, to: 'sheet' | 'piece' | null) => to && set({ isShown: to === 'sheet' })}
          aria-label="What the bench shows"
        >
          <ToggleButton value="piece" sx={{ py: 0.25, textTransform: 'none' }}>
            The piece
          </ToggleButton>
          <ToggleButton value="sheet" disabled={!made.ok} sx={{ py: 0.25, textTransform: 'none' }}>
            The sheet
          </ToggleButton>
        </ToggleButtonGroup>
        {whyAlone(desk) === undefined && <Decisions made={made} />}
        {made.ok ? <Sheets sheets={made.sheets} /> : <Box role="status">{made.message}</Box>}
      </Box>
    </section>
  );
}

/** What is decided of the sheet; what is left open says what follows. */
function Decisions({ made }: { readonly made: Imposed }) {
  const { job, blank } = useDesk();
  const change = useJob((s) => s.change);
  const own = job.output.sheet;
  const how = made.ok ? made.how : undefined;
  const set = (label: string, to: Partial<SheetOutput>) =>
    change(`Press sheet: ${label}`, (now) => ({
      ...now,
      output: {
        ...now.output,
        sheet: { work: 'sheetwise', stages: 3, turns: true, ...now.output.sheet, ...to },
      },
    }));
  const sheet = how?.sheet ?? own?.sheet;
  const isBook = blank.bound === 'saddle' || blank.bound === 'perfect';
  const context = { unit: job.unit, ppi: 300 } as const;
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, rowGap: 0.75 }}>
      <MeasureField<SheetOutput['sheet']>
        label={own?.sheet ? 'sheet' : 'sheet, of the house'}
        width={150}
        shown={sheet ? formatSize(sheet, job.unit) : ''}
        placeholder="of the house"
        read={(text): Parsed<SheetOutput['sheet']> =>
          text.trim() === '' ? { ok: true, value: undefined } : readSize(text, context)
        }
        refuse={(size) =>
          size && (Math.min(size.width, size.height) < 50 || Math.max(size.width, size.height) > 20_000)
            ? 'A sheet is from 50 mm to 20 m on each side.'
            : undefined
        }
        onChange={(sheet) => set('size', { sheet })}
      />
      <LengthField
        {...context}
        label="gripper"
        width={86}
        value={how?.gripper ?? own?.gripper ?? 0}
        onChange={(gripper) => set('gripper', { gripper })}
      />
      {isBook ? (
        <ChoiceField
          label="pages in a signature"
          width={150}
          value={String(own?.signature ?? how?.signature ?? 4)}
          options={['4', '8', '16', '32'].map((value) => ({ value, label: `up to ${value}` }))}
          onChange={(to) => set('signature', { signature: Number(to) as SheetOutput['signature'] })}
        />
      ) : (
        <StepFields made={made} set={set} />
      )}
      {!isBook && <SharedSheet set={set} />}
    </Box>
  );
}

function saidOf({ up, size, used, run, over, signature, faces }: ImposedSheet, unit: JobUnit): string {
  const pages = faces.reduce((sum, { sides }) => sum + sides.length, 0);
  const parts = [
    `${signature ? counted(pages, 'page') : counted(up, 'copy', 'copies')} on ${formatSize(size, unit)}`,
    `${formatNumber(100 * used, 1)} % used`,
  ];
  if (run !== undefined) parts.push(counted(run, 'sheet'));
  if (over) parts.push(`${over} over`);
  return parts.join(' · ');
}

/** What comes of it: the sheets, which of them is shown, and how it is cut. */
function Sheets({ sheets }: { readonly sheets: readonly ImposedSheet[] }) {
  const made = useImposed();
  const shown = useShownSheet(made);
  const { isShown, isFolded, sheet: at, set } = useSheetView();
  const { job } = useDesk();
  if (!shown) return null;
  const { sheet, face } = shown;
  return (
    <>
      <Box role="status" data-imposed sx={{ fontFamily: FACES.figure, fontSize: 13 }}>
        {saidOf(sheet, job.unit)}
      </Box>
      <Box component="ul" sx={{ m: 0, pl: 2, fontSize: 12.5, color: COLOURS.sheetSoft }}>
        {sheet.working.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </Box>
      <ArticleCounts sheet={sheet} />
      {isShown && (
        <Box sx={{ display: 'flex', gap: 1.25, flexWrap: 'wrap', alignItems: 'flex-end' }}>
          {sheets.length > 1 && (
            <ChoiceField
              label="which sheet"
              width={150}
              value={String(Math.min(at, sheets.length - 1))}
              options={sheets.map(({ name }, i) => ({ value: String(i), label: name }))}
              onChange={(to) => set({ sheet: Number(to), face: 0, cut: undefined })}
            />
          )}
          {sheet.faces.length > 1 && !(sheet.signature && isFolded) && (
            <ToggleButtonGroup
              exclusive
              size="small"
              value={face.name}
              onChange={(_event, to: string | null) =>
                to !== null && set({ face: sheet.faces.findIndex(({ name }) => name === to) })
              }
              aria-label="Which form is shown"
            >
              {sheet.faces.map(({ name }) => (
                <ToggleButton key={name} value={name} sx={{ px: 1.5, py: 0.25, textTransform: 'none' }}>
                  {name}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
          )}
          {sheet.signature && (
            <ToggleButtonGroup
              exclusive
              size="small"
              value={isFolded ? 'folded' : 'flat'}
              onChange={(_event, to: 'flat' | 'folded' | null) => to && set({ isFolded: to === 'folded' })}
              aria-label="Flat, or as the folder folds it"
            >
              <ToggleButton value="flat" sx={{ px: 1.5, py: 0.25, textTransform: 'none' }}>
                flat
              </ToggleButton>
              <ToggleButton value="folded" sx={{ px: 1.5, py: 0.25, textTransform: 'none' }}>
                folded
              </ToggleButton>
            </ToggleButtonGroup>
          )}
        </Box>
      )}
      {sheet.cutting && isShown && <CuttingList programme={sheet.cutting.programme} sheet={sheet.size} />}
    </>
  );
}
