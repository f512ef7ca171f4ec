'use client';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useState } from 'react';
import type { Book } from '../shell/api';
import { BookPage } from './BookPage';
import { KITS, PAPERS, PRINTERS } from './book-views';

const TITLES: Readonly<Record<Book, string>> = { papers: 'Papers', printers: 'Printers', kits: 'Client kits' };
const BOOKS: readonly Book[] = ['papers', 'printers', 'kits'];

/** Papers, printers and client kits: what a job takes its facts from. */
export function ShopBooks() {
  const [book, setBook] = useState<Book>('papers');
  const chooser = (
    <ToggleButtonGroup
      size="small"
      exclusive
      aria-label="Book"
      value={book}
      onChange={(_event, to: Book | null) => to && setBook(to)}
      sx={{ mb: 2 }}
    >
      {BOOKS.map((b) => (
        <ToggleButton key={b} value={b} sx={{ px: 2 }}>
          {TITLES[b]}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
  switch (book) {
    case 'papers':
      return <BookPage key={book} view={PAPERS} chooser={chooser} />;
    case 'printers':
      return <BookPage key={book} view={PRINTERS} chooser={chooser} />;
    case 'kits':
      return <BookPage key={book} view={KITS} chooser={chooser} />;
  }
}
