'use client';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Drawer from '@mui/material/Drawer';
import Link from '@mui/material/Link';
import Skeleton from '@mui/material/Skeleton';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState, type ReactNode } from 'react';
import type { Kit } from '@/core/job';
import type { House, Stock } from '@/core/shop';
import { api, wordsOf } from '../shell/api';
import { useSay } from '../shell/Messages';
import { Room } from '../shell/Room';
import type { BookView } from './book-views';
import { RecordGrid, type GridColumn } from '../shell/RecordGrid';

const NAME = { color: 'inherit', font: 'inherit', fontWeight: 600, textAlign: 'left', textUnderlineOffset: 3 };

const capital = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);

interface Props<R> {
  readonly view: BookView<R>;
  /** Chooses the book. */
  readonly chooser: ReactNode;
}

/** One book of the shop: its records in a table, each opened in a form beside it. */
export function BookPage<R extends Stock | House | Kit>({ view, chooser }: Props<R>) {
  const { book, word, list, columns, begun, empty, Form } = view;
  /** The record that is open, by the name it has in the book; a new one has none. */
  const [open, setOpen] = useState<{ readonly name: string; readonly record: R }>();
  const { data, error, isPending, refetch } = useQuery({ queryKey: [book], queryFn: list });
  const queries = useQueryClient();
  const say = useSay();
  const all = useMemo((): readonly GridColumn<R>[] => {
    const show = (record: R) => (
      <Link component="button" type="button" onClick={() => setOpen({ name: record.name, record })} sx={NAME}>
        {record.name}
      </Link>
    );
    return [{ id: 'name', head: capital(word), value: (record) => record.name, show }, ...columns];
  }, [columns, word]);
  const again = () => queries.invalidateQueries({ queryKey: [book] });

  const keep = async (record: R) => {
    if (!open) return;
    try {
      await api.saveRecord(book, open.name || record.name, record);
      await again();
      setOpen(undefined);
      say({ tone: 'done', text: `${record.name} is in the book. Jobs that took its facts before keep them.` });
    } catch (problem) {
      say({ tone: 'problem', text: wordsOf(problem) });
    }
  };
  const remove = async () => {
    if (!open) return;
    const { name, record } = open;
    const putBack = async () => {
      await api.saveRecord(book, name, record);
      await again();
    };
    try {
      await api.removeRecord(book, name);
      await again();
      setOpen(undefined);
      say({ tone: 'done', text: `${name} was taken out.`, action: { label: 'Put back', run: () => void putBack() } });
    } catch (problem) {
      say({ tone: 'problem', text: wordsOf(problem) });
    }
  };

  return (
    <Room
      here="/books"
      title="Shop books"
      tools={
        begun && (
          <Button variant="contained" onClick={() => setOpen({ name: '', record: begun() })}>
            New {word}
          </Button>
        )
      }
    >
      {chooser}
      {error && (
        <Alert severity="error" action={<Button onClick={() => void refetch()}>Try again</Button>}>
          {wordsOf(error)}
        </Alert>
      )}
      {isPending && <Skeleton variant="rectangular" height={240} />}
      {data?.records.length === 0 ? (
        <Box sx={{ color: 'text.secondary' }}>{empty}</Box>
      ) : (
        data && (
          <RecordGrid
            label={`Book of ${word}s`}
            records={data.records}
            keyOf={(record) => record.name}
            nameOf={(record) => record.name}
            columns={all}
            sortedBy="name"
          />
        )
      )}
      <Drawer anchor="right" open={open !== undefined} onClose={() => setOpen(undefined)}>
        <Box sx={{ width: 'min(100vw, 480px)', p: 3 }}>
          {open && (
            <Form
              key={open.name}
              record={open.record}
              onKeep={(record) => void keep(record)}
              onLeave={() => setOpen(undefined)}
              {...(open.name && { onRemove: () => void remove() })}
            />
          )}
        </Box>
      </Drawer>
    </Room>
  );
}
