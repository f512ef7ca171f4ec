'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import { dependants, styleBook, type ParagraphChanges, type TypeStyle } from '@/core/job';
import { ChoiceField } from '../field/ChoiceField';
import { SolidPaintField } from '../field/PaintField';
import { WordsField } from '../field/WordsField';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { addPlainStyle, movedRecord, putStyle, usesOf, withoutStyle } from '@/core/edit';
import { Opener } from '../slip/Opener';
import { LetterFields } from '../slip/text/LetterFields';
import { ParagraphFields } from '../slip/text/ParagraphFields';
import { SpecField } from '../slip/text/SpecField';
import { CellStyleList } from './CellStyleList';
import { Fold } from '../shell/Fold';
import { SortedRecords } from '../shell/Sortable';

/** What a fact of a look is called. */
const FACTS: Readonly<Record<string, string>> = {
  sizePt: 'size',
  leadingPt: 'leading',
  shiftPt: 'raised',
  figureWidth: 'figure width',
  paint: 'ink',
  align: 'lines',
  breaking: 'breaking',
  opticalMargin: 'optical margin',
  before: 'room before',
  after: 'room after',
  indentRight: 'right indent',
  firstIndent: 'first line',
  dropCap: 'dropped letter',
  keepWithNext: 'kept with next',
  keepFirst: 'lines at a foot',
  keepLast: 'lines at a head',
  onGrid: 'baseline grid',
};

/** Looks with a name: changed here, everything in them follows, and so do the styles based on them. */
export function StyleList() {
  const { job } = useDesk();
  const change = useJob((s) => s.change);
  const { styles } = job;
  const move = (id: string, to: string, name: string) =>
    change(`Order ${name}`, (now) => ({ ...now, styles: movedRecord(now.styles, id, to) }));
  return (
    <Fold title="Styles" count={styles.length + job.cellStyles.length}>
      {styles.length === 0 && (
        <Box sx={{ fontSize: 13 }}>
          A style is a look with a name, such as “Body”. Base others on it; what you change of it, they follow.
        </Box>
      )}
      <SortedRecords records={styles} onMove={move}>
        {(style) => (
          <StyleFields
            style={style}
            nth={style.of === 'paragraph' ? styles.filter((s) => s.of === 'paragraph').indexOf(style) + 1 : undefined}
          />
        )}
      </SortedRecords>
      <CellStyleList />
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button
          size="small"
          onClick={() =>
            change('New style', (now) =>
              addPlainStyle(now, 'paragraph', styles.find((s) => s.of === 'paragraph')?.id ?? null),
            )
          }
        >
          Add a paragraph style
        </Button>
        <Button size="small" onClick={() => change('New style', (now) => addPlainStyle(now, 'character', null))}>
          Add a character style
        </Button>
      </Box>
    </Fold>
  );
}

/** @param nth its place among the paragraph styles, which is its key while words are typed */
function StyleFields({ style, nth }: { readonly style: TypeStyle; readonly nth: number | undefined }) {
  const { job } = useDesk();
  const change = useJob((s) => s.change);
  const { styles } = job;
  const look = styleBook(job).style(style.id);
  const put = (label: string, to: TypeStyle) => change(label, (now) => putStyle(now, to));
  const set = (label: string, changes: ParagraphChanges) =>
    put(label, { ...style, look: { ...style.look, ...changes } });
  const below = dependants(styles, style.id);
  const siblings = styles.filter((s) => s.of === style.of && !below.has(s.id));
  const parent = styles.find((s) => s.id === style.basedOn);
  const uses = usesOf(job, style.id);
  const isTaken = (name: string) =>
    styles.some((s) => s.id !== style.id && s.name.toLowerCase() === name.toLowerCase());
  const without = (key: string) =>
    put('As its base', { ...style, look: Object.fromEntries(Object.entries(style.look).filter(([k]) => k !== key)) });
  return (
    <Box
      role="group"
      aria-label={`style ${style.name}`}
      sx={{ display: 'grid', gap: 0.75, borderTop: '1px solid', borderColor: 'divider', pt: 1 }}
    >
      <Box sx={{ display: 'flex', gap: 0.75, alignItems: 'flex-end' }}>
        <WordsField
          label={`${uses === 0 ? 'name (not used)' : 'name'}${nth !== undefined && nth < 10 ? ` · Alt ${nth}` : ''}`}
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
          options={[{ value: '', label: 'nothing' }, ...siblings.map((s) => ({ value: s.id, label: s.name }))]}
          onChange={(basedOn) => put('Based on', { ...style, basedOn: basedOn === '' ? null : basedOn })}
        />
      </Box>
      <SpecField label="set in" name="style-set-in" width={264} look={look} onChange={set} />
      <Box sx={{ display: 'flex', gap: 0.75, alignItems: 'flex-end', flexWrap: 'wrap' }}>
        <SolidPaintField label="ink" value={look.paint} onChange={(paint) => paint && set('Ink', { paint })} />
        <Opener label="Letters" width={660}>
          <LetterFields look={look} set={set} />
        </Opener>
        {style.of === 'paragraph' && (
          <Opener label="Paragraph" width={620}>
            <ParagraphFields look={look} set={set} />
            <ChoiceField
              label="next paragraph in"
              width={160}
              value={style.next ?? ''}
              options={[
                { value: '', label: 'the same style' },
                ...styles.filter((s) => s.of === 'paragraph').map((s) => ({ value: s.id, label: s.name })),
              ]}
              onChange={(next) => put('Next style', { ...style, next: next === '' ? null : next })}
            />
          </Opener>
        )}
        <Button
          size="small"
          sx={{ minWidth: 0 }}
          aria-label={`Remove ${style.name}; what is in it keeps its look`}
          onClick={() => change('Remove style', (now) => withoutStyle(now, style.id))}
        >
          Remove
        </Button>
      </Box>
      {parent && Object.keys(style.look).length > 0 && (
        <Box sx={{ fontSize: 12.5 }}>
          Differs from {parent.name} in{' '}
          {Object.keys(style.look).map((key) => (
            <Chip
              key={key}
              size="small"
              variant="outlined"
              label={FACTS[key] ?? key}
              onDelete={() => without(key)}
              sx={{ mr: 0.5, height: 20 }}
              slotProps={{
                root: { 'aria-label': `${FACTS[key] ?? key}: differs from ${parent.name}; press Delete to follow it` },
              }}
            />
          ))}
        </Box>
      )}
    </Box>
  );
}
