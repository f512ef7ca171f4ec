import Box from '@mui/material/Box';
import { SKETCH, termById, type Sketch, type Term } from '@/core/glossary';
import { SketchShapes } from './SketchShapes';

/** What a word of the trade means, why it matters and what is usual, with its drawing. */
export function TermCard({ term }: { readonly term: Term }) {
  const { word, what, why, usual, sketch, see = [] } = term;
  const others = see.flatMap((id) => termById(id)?.word ?? []);
  return (
    <Box sx={{ fontSize: 14, lineHeight: 1.4 }}>
      {sketch && <SketchPicture sketch={sketch} word={word} />}
      <p style={{ margin: '0 0 6px' }}>
        {what} {why}
      </p>
      <p style={{ margin: 0 }}>
        <b>Usual:</b> {usual}
      </p>
      {others.length > 0 && (
        <Box component="p" sx={{ m: 0, mt: 0.75, fontSize: 13, color: 'text.secondary' }}>
          See {others.join(', ')}.
        </Box>
      )}
    </Box>
  );
}

/** The drawing of a word. */
function SketchPicture({ sketch, word }: { readonly sketch: Sketch; readonly word: string }) {
  const { width, height } = SKETCH;
  return (
    <Box
      component="svg"
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`${word}, drawn`}
      sx={{ display: 'block', width: 200, maxWidth: '100%', mb: 1, bgcolor: '#f6f6f1' }}
    >
      <SketchShapes sketch={sketch} />
    </Box>
  );
}
