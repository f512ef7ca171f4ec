import Box from '@mui/material/Box';
import { termById, termOfFigure } from '@/core/glossary';
import { TermCard } from './TermCard';

/** A word under its heading. */
export function TermById({ id }: { readonly id: string }) {
  const term = termById(id);
  return (
    term && (
      <>
        <Box component="h2" sx={{ m: 0, mb: 0.75, typography: 'h3' }}>
          {term.word}
        </Box>
        <TermCard term={term} />
      </>
    )
  );
}

/** The word that explains a figure, where there is one. */
export function TermOfFigure({ figure }: { readonly figure: string }) {
  const term = termOfFigure(figure);
  return term && <TermById id={term.id} />;
}
