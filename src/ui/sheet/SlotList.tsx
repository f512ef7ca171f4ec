'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import {
  freed,
  hasFields,
  plainText,
  slotsOf,
  withSlotDate,
  withSlotWords,
  type Element,
  type ElementOf,
  type Job,
  type SlotElement,
} from '@/core/job';
import { FileButton } from '../field/FileButton';
import type { DateFieldProps } from '../field/DateField';
import { readWords, useDraft } from '../field/use-draft';
import { useJob } from '../open-job/context';
import { changeSide } from '@/core/edit';
import { useDesk } from '../open-job/use-desk';
import { wordsOf } from '../shell/api';
import { addAsset } from '../shell/bring-in';
import { useSay } from '../shell/Messages';
import { fetched } from '../shell/fetched';
import { Fold } from '../shell/Fold';
import { nameOf } from '@/core/element';

const DateField = fetched<DateFieldProps>(async () => (await import('../field/DateField')).DateField);

/** More slots than these are shown page by page. */
const MOST = 24;

/** The slots of a job that was begun from a template, one under the other; the rest of it is fixed. */
export function SlotList() {
  const { job, piece } = useDesk();
  const show = useJob((s) => s.show);
  const select = useJob((s) => s.select);
  const change = useJob((s) => s.change);
  const here = useJob((s) => s.side);
  if (!job.template) return null;
  const slots = slotsOf(piece);
  const open = slots.filter(({ element }) => element.slot.open);
  // Of a book only those of the page that is seen.
  const shown = slots.length > MOST ? slots.filter(({ side }) => side === here) : slots;
  const elsewhere = open.filter((slot) => !shown.includes(slot));
  // Reading on; from the last page one begins again.
  const past = slots.findLastIndex((slot) => shown.includes(slot));
  const next = elsewhere.find((slot) => slots.indexOf(slot) > past) ?? elsewhere[0];
  return (
    <Fold title="To fill in" count={open.length} opened>
      {slots.length === 0 && <Box sx={{ fontSize: 13 }}>The template leaves nothing open.</Box>}
      {slots.length > 0 && shown.length === 0 && <Box sx={{ fontSize: 13 }}>Nothing is open on this page.</Box>}
      {shown.map(({ side, element }) => {
        const fill: Fill = (recipe, assets) =>
          change(`Fill in ${nameOf(element)}`, (now) =>
            changeSide({ ...now, assets: { ...now.assets, ...assets } }, side, (list) =>
              list.map((e) => (e.id === element.id ? recipe(e) : e)),
            ),
          );
        const find = () => {
          show(side);
          select([element.id]);
        };
        return (
          <Box key={element.id} role="group" aria-label={nameOf(element)} onFocus={find}>
            <Box sx={{ fontSize: 12.5, fontWeight: element.slot.open ? 700 : 400 }}>
              {element.slot.open ? '○' : '●'} {nameOf(element)} <span style={{ fontWeight: 400 }}>{side}</span>
            </Box>
            <Content element={element} language={job.language} onFill={fill} />
          </Box>
        );
      })}
      {next && (
        <Button
          size="small"
          sx={{ justifySelf: 'start' }}
          onClick={() => {
            show(next.side);
            select([next.element.id]);
          }}
        >
          {elsewhere.length} more: go to {next.side}
        </Button>
      )}
      <Button
        size="small"
        sx={{ justifySelf: 'start' }}
        onClick={() => change('Free from the template', (now) => freed(now))}
        title="Everything can be changed then"
      >
        Free it from its template
      </Button>
    </Fold>
  );
}

/** Changes the element of a slot, with what it needs beside it. */
type Fill = (recipe: (e: Element) => Element, assets?: Job['assets']) => void;

interface ContentProps {
  readonly element: SlotElement;
  readonly language: string;
  readonly onFill: Fill;
}

function Content({ element, language, onFill }: ContentProps) {
  const onText = (change: (text: ElementOf<'text'>) => ElementOf<'text'>) =>
    onFill((e) => (e.kind === 'text' ? change(e) : e));
  if (element.kind === 'picture') return <PictureContent element={element} onFill={onFill} />;
  if (element.slot.takes === 'date')
    return (
      <DateField
        name={`Date of ${nameOf(element)}`}
        value={element.slot.date ?? null}
        onChange={(day) => {
          if (day !== null) onText((text) => withSlotDate(text, day, language));
        }}
        hint={plainText(element.paragraphs)}
      />
    );
  // Numbers and running heads stand in it as signs, which a field of the sheet cannot show.
  if (element.paragraphs.some((p) => p.runs.some((run) => hasFields(run.text)))) return <OnBench id={element.id} />;
  return (
    <WordsContent
      label={`Words of ${nameOf(element)}`}
      words={plainText(element.paragraphs)}
      onChange={(words) => onText((text) => withSlotWords(text, words))}
    />
  );
}

function OnBench({ id }: { readonly id: string }) {
  const type = useJob((s) => s.type);
  return (
    <Button size="small" onClick={() => type(id)}>
      Type it on the bench
    </Button>
  );
}

/** Words, taken when the field is left. */
function WordsContent({
  label,
  words,
  onChange,
}: {
  readonly label: string;
  readonly words: string;
  readonly onChange: (words: string) => void;
}) {
  const { field } = useDraft({ shown: words, read: readWords, onTake: onChange, takenBy: 'leaving' });
  return (
    <TextField
      multiline
      fullWidth
      maxRows={6}
      variant="standard"
      {...field}
      onKeyDown={(event) => {
        event.stopPropagation();
        field.onKeyDown(event);
      }}
      slotProps={{ htmlInput: { 'aria-label': label } }}
    />
  );
}

function PictureContent({
  element,
  onFill,
}: { readonly element: ElementOf<'picture'> } & Pick<ContentProps, 'onFill'>) {
  const { job } = useDesk();
  const say = useSay();
  const take = async (file: File) => {
    try {
      const { sha, asset } = await addAsset(file);
      if (asset.kind !== 'picture') {
        say({ tone: 'problem', text: `${asset.name} is not a picture. Choose a JPEG, PNG, TIFF or WebP.` });
        return;
      }
      onFill((e) => (e.kind === 'picture' ? { ...e, picture: sha } : e), { [sha]: asset });
    } catch (error) {
      say({ tone: 'problem', text: wordsOf(error) });
    }
  };
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, py: 0.5 }}>
      <FileButton
        asks={`Picture of ${nameOf(element)}`}
        accept="image/jpeg,image/png,image/tiff,image/webp"
        onFile={(file) => void take(file)}
      >
        Choose
      </FileButton>
      <Box sx={{ fontSize: 12.5, minWidth: 0, overflowWrap: 'anywhere' }}>
        {element.picture ? job.assets[element.picture]?.name : element.wants || 'no picture yet'}
      </Box>
    </Box>
  );
}
