'use client';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Drawer from '@mui/material/Drawer';
import Skeleton from '@mui/material/Skeleton';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { formatNumber } from '@/core/measure';
import { House, Stock, type House as HouseRecord, type Stock as StockRecord } from '@/core/shop';
import { api, wordsOf, type Book } from '../shell/api';
import { useSay } from '../shell/Messages';
import { Room } from '../shell/Room';
import { COLOURS, FACES } from '../shell/theme';
import { PaperForm } from './PaperForm';
import { PrinterForm } from './PrinterForm';

type Open =
  | { readonly book: 'papers'; readonly name: string; readonly record: StockRecord }
  | { readonly book: 'printers'; readonly name: string; readonly record: HouseRecord };

/** Papers and printers: what a job takes its facts from. */
export function ShopBooks() {
  const [book, setBook] = useState<Book>('papers');
  const [open, setOpen] = useState<Open>();
  const papers = useQuery({ queryKey: ['papers'], queryFn: api.papers });
  const printers = useQuery({ queryKey: ['printers'], queryFn: api.printers });
  const queries = useQueryClient();
  const say = useSay();
  const shown = book === 'papers' ? papers : printers;

  const keep = async (name: string, record: StockRecord | HouseRecord) => {
    if (!open) return;
    try {
      await api.saveRecord(open.book, open.name || name, record);
      await queries.invalidateQueries({ queryKey: [open.book] });
      setOpen(undefined);
      say({ tone: 'done', text: `${name} is in the book. Jobs that took its facts before keep them.` });
    } catch (error) {
      say({ tone: 'problem', text: wordsOf(error) });
    }
  };
  const remove = async () => {
    if (!open) return;
    const { book: from, name, record } = open;
    try {
      await api.removeRecord(from, name);
      await queries.invalidateQueries({ queryKey: [from] });
      setOpen(undefined);
      say({
        tone: 'done',
        text: `${name} was taken out.`,
        action: {
          label: 'Put back',
          run: () => void api.saveRecord(from, name, record).then(() => queries.invalidateQueries({ queryKey: [from] })),
        },
      });
    } catch (error) {
      say({ tone: 'problem', text: wordsOf(error) });
    }
  };

  return (
    <Room
      here="/books"
      title="Shop books"
      tools={
        <Button
          variant="contained"
          onClick={() =>
            setOpen(
              book === 'papers'
                ? { book, name: '', record: Stock.parse({}) }
                : { book, name: '', record: House.parse({}) },
            )
          }
        >
          New {book === 'papers' ? 'paper' : 'printer'}
        </Button>
      }
    >
      <ToggleButtonGroup size="small" exclusive aria-label="Book" value={book} onChange={(_event, to: Book | null) => to && setBook(to)} sx={{ mb: 2 }}>
        <ToggleButton value="papers" sx={{ px: 2 }}>
          Papers
        </ToggleButton>
        <ToggleButton value="printers" sx={{ px: 2 }}>
          Printers
        </ToggleButton>
      </ToggleButtonGroup>
      {shown.error && (
        <Alert severity="error" action={<Button onClick={() => void shown.refetch()}>Try again</Button>}>
          {wordsOf(shown.error)}
        </Alert>
      )}
      {shown.isPending && <Skeleton variant="rectangular" height={240} />}
      {shown.data?.records.length === 0 && <Box sx={{ color: 'text.secondary' }}>This book is empty.</Box>}
      {book === 'papers' ? (
        <Table heads={['Paper', 'Surface', 'Weight', 'Thickness', 'Grain', 'Sheets']}>
          {papers.data?.records.map((p) => (
            <Row key={p.name} label={p.name} onOpen={() => setOpen({ book: 'papers', name: p.name, record: p })}
              cells={[p.kind, p.grammage === null ? '–' : `${p.grammage} g/m²`, p.thickness === null ? 'by weight' : `${formatNumber(p.thickness)} mm`, p.grain ?? '–', p.sheets.map((s) => s.name).join(', ') || '–']} />
          ))}
        </Table>
      ) : (
        <Table heads={['Printer', 'Bleed', 'Safe', 'Ink', 'Smallest type', 'Panels', 'Sheets', 'Days']}>
          {printers.data?.records.map((p) => (
            <Row key={p.name} label={p.name} onOpen={() => setOpen({ book: 'printers', name: p.name, record: p })}
              cells={[p.bleed ? `${formatNumber(p.bleed.top)} mm` : '–', p.safe ? `${formatNumber(p.safe.top)} mm` : '–', p.inkLimit ? `${p.inkLimit} %` : '–', p.minTypePt ? `${p.minTypePt} pt` : '–', p.allowance ?? '–', p.sheets.map((s) => s.name).join(', ') || '–', p.leadDays === undefined ? '–' : String(p.leadDays)]} />
          ))}
        </Table>
      )}
      <Drawer anchor="right" open={open !== undefined} onClose={() => setOpen(undefined)}>
        <Box sx={{ width: 'min(100vw, 480px)', p: 3 }}>
          {open?.book === 'papers' && <PaperForm key={open.name} record={open.record} onKeep={(r) => void keep(r.name, r)} onLeave={() => setOpen(undefined)} {...(open.name && { onRemove: () => void remove() })} />}
          {open?.book === 'printers' && <PrinterForm key={open.name} record={open.record} onKeep={(r) => void keep(r.name, r)} onLeave={() => setOpen(undefined)} {...(open.name && { onRemove: () => void remove() })} />}
        </Box>
      </Drawer>
    </Room>
  );
} // prettier-ignore

function Table({ heads, children }: { readonly heads: readonly string[]; readonly children: React.ReactNode }) {
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Box
        component="table"
        sx={{
          borderCollapse: 'collapse',
          width: '100%',
          maxWidth: 1100,
          fontSize: 14.5,
          bgcolor: COLOURS.paper,
          '& th': {
            textAlign: 'left',
            fontSize: 12,
            fontWeight: 700,
            color: 'text.secondary',
            px: 1.5,
            py: 1,
            borderBottom: `2px solid ${COLOURS.ink}`,
          },
          '& td': { px: 1.5, py: 0.75, borderBottom: `1px solid ${COLOURS.line}` },
        }}
      >
        <thead>
          <tr>
            {heads.map((h) => (
              <th key={h} scope="col">
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>{children}</tbody>
      </Box>
    </Box>
  );
}

function Row({ label, cells, onOpen }: { readonly label: string; readonly cells: readonly string[]; readonly onOpen: () => void }) {
  return (
    <Box component="tr" sx={{ '&:hover': { bgcolor: COLOURS.sheetPale } }}>
      <td>
        <Box component="button" type="button" onClick={onOpen} sx={{ all: 'unset', cursor: 'pointer', fontWeight: 600, textDecoration: 'underline', textUnderlineOffset: 3, '&:focus-visible': { outline: `2px solid ${COLOURS.accent}` } }}>
          {label}
        </Box>
      </td>
      {cells.map((cell, i) => (
        <Box component="td" key={i} sx={{ fontFamily: /\d/.test(cell) ? FACES.figure : 'inherit', fontSize: 13.5 }}>
          {cell}
        </Box>
      ))}
    </Box>
  );
} // prettier-ignore
