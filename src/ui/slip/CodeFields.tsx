'use client';
import TextField from '@mui/material/TextField';
import { QR_LEVELS, SYMBOLOGIES, SYMBOLOGY, readContent, type QrLevel, type Symbology } from '@/core/code';
import type { ElementOf } from '@/core/job';
import { columnsNamed, fillText, tokenOf } from '@/core/records';
import { formatNumber } from '@/core/measure';
import Box from '@mui/material/Box';
import { CheckField } from '../field/CheckField';
import { ChoiceField } from '../field/ChoiceField';
import { NumberField } from '../field/NumberField';
import { SolidPaintField } from '../field/PaintField';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { FACES } from '../shell/theme';
import { ColumnField } from './ColumnField';
import { Group } from './Slip';
import { useChange } from './use-change';
import { useState } from 'react';

type CodeElement = ElementOf<'code'>;

const LEVEL_WORDS: Readonly<Record<QrLevel, string>> = {
  L: '7 % may be lost',
  M: '15 % may be lost',
  Q: '25 % may be lost',
  H: '30 % may be lost',
};

/** What a code says, of which kind it is, and how it is printed. */
export function CodeFields({ element }: { readonly element: CodeElement }) {
  const change = useChange(element);
  const { drawing } = useDesk();
  const { symbology, level, paint, ground, reduction, words } = element;
  const set = (label: string, values: Partial<CodeElement>) =>
    change(label, (el) => (el.kind === 'code' ? { ...el, ...values } : el));
  const facts = SYMBOLOGY[symbology];
  const note = drawing.notes.find((n) => n.kind === 'code' && n.element === element.id);
  const side = note?.kind === 'code' ? note.module : undefined;
  return (
    <Group title="Code">
      <ChoiceField<Symbology>
        label="kind of code"
        width={130}
        value={symbology}
        options={SYMBOLOGIES.map((value) => ({ value, label: SYMBOLOGY[value].title }))}
        onChange={(to) => set('Kind of code', { symbology: to })}
      />
      {symbology === 'qr' && (
        <ChoiceField<QrLevel>
          label="error correction"
          width={150}
          value={level}
          options={QR_LEVELS.map((value) => ({ value, label: `${value}: ${LEVEL_WORDS[value]}` }))}
          onChange={(to) => set('Error correction', { level: to })}
        />
      )}
      <Content key={element.content} element={element} onTake={(content) => set('Content', { content })} />
      <ColumnField
        label="put in"
        none="…"
        value={undefined}
        onChange={(column) => column && set('Column of the code', { content: `${element.content}${tokenOf(column)}` })}
      />
      <SolidPaintField label="bars" value={paint} onChange={(to) => to && set('Ink of the code', { paint: to })} />
      <SolidPaintField
        label="ground"
        value={ground}
        none="what lies beneath"
        onChange={(to) => set('Ground of the code', { ground: to })}
      />
      <NumberField
        label="bars narrower by"
        value={reduction}
        least={0}
        most={1}
        after=" mm"
        width={110}
        onChange={(to) => set('Bar width reduction', { reduction: to })}
      />
      {facts.form === 'bars' && (
        <CheckField label="words beneath" checked={words} onChange={(on) => set('Words', { words: on })} />
      )}
      <Box sx={{ flexBasis: '100%', fontSize: 12.5, lineHeight: 1.35 }} title={facts.source} data-module>
        {side === undefined ? (
          'Nothing can be printed yet.'
        ) : (
          <>
            modules of <span style={{ fontFamily: FACES.figure }}>{formatNumber(side, 3)} mm</span>, from{' '}
            {formatNumber(facts.module.least, 3)} to {formatNumber(facts.module.most, 3)} mm are read
          </>
        )}
      </Box>
    </Group>
  );
}

/** What it says; what cannot be encoded is said beneath, and kept as it was typed. */
function Content({ element, onTake }: { readonly element: CodeElement; readonly onTake: (content: string) => void }) {
  const [text, setText] = useState(element.content);
  const { records } = useDesk();
  const record = useJob((s) => s.record);
  // What is printed is what the record says that is shown.
  const said = records ? fillText(text, records.at(Math.min(record ?? 0, records.count - 1))) : text;
  const isNamed = records !== undefined && columnsNamed(text).length > 0;
  const read = readContent(element.symbology, said);
  return (
    <TextField
      label="says"
      multiline
      maxRows={4}
      sx={{ flexBasis: '100%' }}
      value={text}
      error={!read.ok}
      helperText={
        read.ok
          ? read.words === text.trim()
            ? undefined
            : `${isNamed ? 'here' : 'printed as'} ${read.words}`
          : read.problem
      }
      onChange={(event) => setText(event.target.value)}
      onBlur={() => text !== element.content && onTake(text)}
      onKeyDown={(event) => {
        if (event.key === 'Escape') setText(element.content);
        if (event.key === 'Enter' && !event.shiftKey) {
          event.preventDefault();
          if (text !== element.content) onTake(text);
        }
      }}
    />
  );
}
