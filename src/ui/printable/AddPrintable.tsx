'use client';
import Box from '@mui/material/Box';
import Drawer from '@mui/material/Drawer';
import { elementsOn } from '@/core/job';
import type { GalleryEntry } from '@/core/printable';
import { added, freshId, printableContent, printableElement } from '@/core/edit';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { useSay } from '../shell/Messages';
import { PrintableGallery } from './PrintableGallery';

/** A side sheet with the gallery: what is chosen fills the selected element’s box, or the safe area. */
export function AddPrintable({ onClose }: { readonly onClose: () => void }) {
  return (
    <Drawer anchor="right" open onClose={onClose}>
      <Chooser onClose={onClose} />
    </Drawer>
  );
}

function Chooser({ onClose }: { readonly onClose: () => void }) {
  const { job, piece, drawing } = useDesk();
  const side = useJob((s) => s.side);
  const selection = useJob((s) => s.selection);
  const make = useJob((s) => s.make);
  const goWhere = useJob((s) => s.goWhere);
  const say = useSay();
  const [only] = elementsOn(piece, side).filter((e) => selection.length === 1 && e.id === selection[0]);
  const box = only?.kind === 'printable' ? undefined : only;
  const name = box && drawing.frames.find((f) => f.element === box.id)?.name;
  const add = (entry: GalleryEntry) => {
    const made = printableContent(entry, {}, job.unit);
    if (!made.ok || !made.content) return say({ tone: 'problem', text: made.ok ? '' : made.error.message });
    const whole = { start: 0, end: 0 };
    const against = box ? ({ box: 'element', element: box.id } as const) : ({ box: 'safe' } as const);
    const element = printableElement(freshId(), entry.title, made.content, { against, x: whole, y: whole });
    goWhere('opens');
    make(`Add ${entry.title.toLowerCase()}`, (now) => added(now, side, [element]));
    onClose();
  };
  return (
    <Box sx={{ width: { xs: '100vw', sm: 640 }, p: 2.5, display: 'grid', gap: 1.5, alignContent: 'start' }}>
      <div>
        <Box component="h2" sx={{ m: 0, typography: 'h2' }}>
          Add a printable
        </Box>
        <Box sx={{ fontSize: 14, color: 'text.secondary' }}>
          It fills {name === undefined ? 'the safe area' : `the box of “${name}”`}, and counts itself. Its decisions
          then stand on the sheet.
        </Box>
      </div>
      <PrintableGallery chosen={undefined} onChoose={add} />
    </Box>
  );
}
