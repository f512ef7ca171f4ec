'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { dependants, overCell, styleBook, type CellChanges, type CellStyle, type ParagraphChanges } from '@/core/job';
import { ChoiceField } from '../field/ChoiceField';
import { WordsField } from '../field/WordsField';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { putCellStyle, usesOf, withoutCellStyle } from '@/core/edit';
import { Opener } from '../slip/Opener';
import { BoxOfCell } from '../slip/table/CellFields';
import { SpecField } from '../slip/text/SpecField';

/** Looks of cells with a name: changed here, every cell in them follows. */
export function CellStyleList() {
  const { job } = useDesk();
  return job.cellStyles.map((style) => <CellStyleFields key={style.id} style={style} />);
}

function CellStyleFields({ style }: { readonly style: CellStyle }) {
  const { job } = useDesk();
  const change = useJob((s) => s.change);
  const book = styleBook(job);
  const whole = book.cell(style.id);
  const put = (label: string, to: CellStyle) => change(label, (now) => putCellStyle(now, to));
  const set = (label: string, changes: CellChanges) => put(label, { ...style, cell: overCell(style.cell, changes) });
  const below = dependants(job.cellStyles, style.id);
  const uses = usesOf(job, style.id);
  const isTaken = (name: string) =>
    job.cellStyles.some((s) => s.id !== style.id && s.name.toLowerCase() === name.toLowerCase());
  return (
    <Box
      role="group"
      aria-label={`cell style ${style.name}`}
      sx={{ display: 'grid', gap: 0.75, borderTop: '1px solid', borderColor: 'divider', pt: 1 }}
    >
      <Box sx={{ display: 'flex', gap: 0.75, alignItems: 'flex-end' }}>
        <WordsField
          label={uses === 0 ? 'cell style (not used)' : 'cell style'}
          value={style.name}
          most={60}
          width={138}
          refuse={(name) =>
            name === '' ? 'A style needs a name.' : isTaken(name) ? 'Another style is called so.' : undefined
          }
          onChange={(name) => put('Name', { ...style, name })}
        />
        <ChoiceField
          label="based on"
          width={120}
          value={style.basedOn ?? ''}
          options={[
            { value: '', label: 'nothing' },
            ...job.cellStyles.filter((s) => !below.has(s.id)).map((s) => ({ value: s.id, label: s.name })),
          ]}
          onChange={(to) => put('Based on', { ...style, basedOn: to === '' ? null : to })}
        />
      </Box>
      <SpecField
        label="set in"
        name="cell-style-set-in"
        width={264}
        look={book.base({ style: whole.style ?? null, look: whole.look ?? {} })}
        onChange={(label: string, look: ParagraphChanges) => set(label, { look })}
      />
      <Box sx={{ display: 'flex', gap: 0.75, flexWrap: 'wrap' }}>
        <Opener label="Cell" width={560}>
          <BoxOfCell cell={whole} onChange={set} />
        </Opener>
        <Button
          size="small"
          sx={{ minWidth: 0 }}
          aria-label={`Remove ${style.name}; cells in it keep their look`}
          onClick={() => change('Remove cell style', (now) => withoutCellStyle(now, style.id))}
        >
          Remove
        </Button>
      </Box>
    </Box>
  );
}
