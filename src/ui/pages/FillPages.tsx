'use client';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import LinearProgress from '@mui/material/LinearProgress';
import { useMemo, useRef, useState } from 'react';
import { facingOf, pageName } from '@/core/format';
import { plainName, type Asset, type SideName, withPiece } from '@/core/job';
import { ChoiceField } from '../field/ChoiceField';
import { NumberField } from '../field/NumberField';
import { freshId, pieceOf, fillPages, pageCount, withBase, type NamedRows } from '@/core/edit';
import { useJobStore } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { wordsOf } from '../shell/api';
import { addAsset } from '../shell/bring-in';
import { useSay } from '../shell/Messages';
import { readData } from '../shell/read-data';

interface Props {
  /** The page that takes the first row. */
  readonly from: number;
  readonly onClose: () => void;
}

/** Lays the rows of a file and a folder of pictures onto pages of one layout, or of two on a spread. */
export function FillPages({ from, onClose }: Props) {
  const { piece } = useDesk();
  const store = useJobStore();
  const say = useSay();
  const [rows, setRows] = useState<NamedRows & { readonly file: string }>();
  const [problem, setProblem] = useState<string>();
  const [pictures, setPictures] = useState<readonly File[]>([]);
  const [each, setEach] = useState<'page' | 'spread'>('page');
  const [start, setStart] = useState(from);
  const [left, setLeft] = useState(piece.bases[0]?.id ?? '');
  const [right, setRight] = useState((piece.bases[1] ?? piece.bases[0])?.id ?? '');
  const [done, setDone] = useState<number>();
  const under = useRef<AbortController>(undefined);
  const count = pageCount(piece) ?? 0;

  const sets = useMemo((): readonly (readonly SideName[])[] => {
    const step = each === 'page' ? 1 : 2;
    const first = each === 'spread' && start % 2 === 1 ? start + 1 : start;
    return (rows?.rows ?? []).flatMap((_, i) => {
      const n = first + i * step;
      if (n + step - 1 > count) return [];
      const side = pageName(n);
      return [each === 'page' ? [side] : [side, facingOf(side) ?? side]];
    });
  }, [rows, each, start, count]);

  const laid = useMemo(() => {
    const based = sets.reduce(
      (p, set) => set.reduce((q, side, i) => withBase(q, [side], (i === 0 ? left : right) || null, freshId), p),
      piece,
    );
    const known = new Map(pictures.map((f) => [plainName(f.name), 'f'.repeat(64)]));
    return rows && fillPages(based, sets, rows, known);
  }, [sets, piece, left, right, rows, pictures]);

  const take = async (file: File) => {
    const read = await readData(file);
    if (!read.ok || read.rows.length < 2) {
      setProblem(
        `${file.name}: ${read.ok ? 'It needs a row that names the columns, and at least one below it.' : read.problem}`,
      );
      return;
    }
    const [head = [], ...rest] = read.rows;
    setProblem(undefined);
    setRows({ head, rows: rest, file: file.name });
  };

  const lay = async () => {
    if (!rows) return;
    const work = new AbortController();
    under.current = work;
    const wanted = new Set(rows.rows.flat().map(plainName));
    const files = pictures.filter((f) => wanted.has(plainName(f.name)));
    const assets: Record<string, Asset> = {};
    const shas = new Map<string, string>();
    try {
      for (const [i, file] of files.entries()) {
        setDone(i);
        const { sha, asset } = await addAsset(file);
        if (work.signal.aborted) return setDone(undefined);
        assets[sha] = asset;
        shas.set(plainName(file.name), sha);
      }
    } catch (error) {
      setDone(undefined);
      return setProblem(wordsOf(error));
    }
    const { change, show } = store.getState();
    let filled: readonly SideName[] = [];
    change(`Fill pages from ${rows.file}`, (now) => {
      const based = sets.reduce(
        (p, set) => set.reduce((q, side, i) => withBase(q, [side], (i === 0 ? left : right) || null, freshId), p),
        pieceOf(now),
      );
      const { piece: next, sides } = fillPages(based, sets, rows, shas);
      filled = sides;
      return { ...withPiece(now, next), assets: { ...now.assets, ...assets } };
    });
    say({ tone: 'done', text: `${filled.length} pages filled from ${rows.file}.` });
    const [first] = filled;
    if (first !== undefined) show(first);
    onClose();
  };

  const bases = piece.bases.map((b) => ({ value: b.id, label: b.name }));
  const [firstSet, lastSet] = [sets[0], sets.at(-1)];
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" onKeyDown={(e) => e.key !== 'Escape' && e.stopPropagation()}>
      <DialogTitle>Fill pages from CSV</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 2 }}>
        <Box sx={{ fontSize: 14 }}>
          Each row of the file becomes a page. A cell goes into the text or picture frame of the layout that is named as
          its column; for a picture it says the name of its file.
        </Box>
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
          <Button component="label" variant="outlined" size="small">
            {rows ? rows.file : 'Choose the CSV'}
            <input
              hidden
              type="file"
              accept=".csv,.tsv,.txt,text/csv"
              aria-label="Rows, as CSV"
              onChange={(e) => e.target.files?.[0] && void take(e.target.files[0])}
            />
          </Button>
          <Button component="label" variant="outlined" size="small">
            {pictures.length > 0 ? `${pictures.length} pictures` : 'Choose the pictures'}
            <input
              hidden
              multiple
              type="file"
              accept="image/*"
              aria-label="Pictures that the rows name"
              onChange={(e) => setPictures([...(e.target.files ?? [])])}
            />
          </Button>
        </Box>
        {problem && <Alert severity="error">{problem}</Alert>}
        <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'flex-start' }}>
          <ChoiceField
            label="a row is"
            width={110}
            value={each}
            options={[
              { value: 'page', label: 'a page' },
              { value: 'spread', label: 'a spread' },
            ]}
            onChange={setEach}
          />
          <NumberField
            label="from page"
            name="fill-from"
            value={start}
            least={1}
            most={count}
            whole
            width={80}
            onChange={setStart}
          />
          <ChoiceField
            label={each === 'page' ? 'layout' : 'left-hand layout'}
            width={140}
            value={left}
            options={bases}
            onChange={setLeft}
          />
          {each === 'spread' && (
            <ChoiceField label="right-hand layout" width={140} value={right} options={bases} onChange={setRight} />
          )}
        </Box>
        {rows && laid && (
          <Box role="status" sx={{ fontSize: 14, display: 'grid', gap: 0.5 }}>
            <span>
              {rows.rows.length} rows
              {firstSet && lastSet ? `, onto ${firstSet[0] ?? ''} to ${lastSet.at(-1) ?? ''}` : ''}.
              {laid.left > 0 && ` For ${laid.left} there are no pages: insert some first, or begin earlier.`}
            </span>
            {laid.unused.length > 0 && (
              <span>No frame is named {laid.unused.map((u) => `“${u}”`).join(', ')}: left aside.</span>
            )}
            {laid.missing.length > 0 && (
              <span>
                Pictures not among those chosen: {laid.missing.slice(0, 6).join(', ')}
                {laid.missing.length > 6 ? ` and ${laid.missing.length - 6} more` : ''}. Their frames stay empty and say
                so.
              </span>
            )}
          </Box>
        )}
        {done !== undefined && (
          <LinearProgress
            variant="determinate"
            value={(100 * done) / Math.max(1, pictures.length)}
            aria-label="Bringing in pictures"
          />
        )}
      </DialogContent>
      <DialogActions>
        <Button
          onClick={() => {
            under.current?.abort();
            if (done === undefined) onClose();
          }}
        >
          Cancel
        </Button>
        <Button
          variant="contained"
          disabled={!laid || laid.sides.length === 0 || done !== undefined}
          onClick={() => void lay()}
        >
          Lay them out
        </Button>
      </DialogActions>
    </Dialog>
  );
}
