'use client';
import Box from '@mui/material/Box';
import { GALLERY, PRINTABLE_GROUPS, galleryEntry, type GalleryEntry } from '@/core/printable';
import { Gallery } from '../format/Gallery';
import { COLOURS } from '../shell/theme';
import { PRINTABLE_WORDS } from './words';

interface Props {
  readonly chosen: string | undefined;
  readonly onChoose: (entry: GalleryEntry) => void;
}

/** Every printable by its picture. */
export const PrintableGallery = ({ chosen, onChoose }: Props) => (
  <Gallery
    label="Printable"
    search="Find a printable"
    example="lines, month, ticket …"
    none="Lines, lists and calendars can be made of tables and shapes too."
    chosen={chosen}
    least={120}
    items={PRINTABLE_GROUPS.flatMap((group) =>
      GALLERY.filter((e) => e.of.group === group).map((e) => ({
        id: e.id,
        title: e.title,
        about: e.about,
        words: `${e.of.kind} ${e.of.group}`,
        group: PRINTABLE_WORDS[group],
        picture: <EntryPicture entry={e} />,
      })),
    )}
    onChoose={(id) => {
      const entry = galleryEntry(id);
      if (entry) onChoose(entry);
    }}
  />
);

/** As it begins, on the piece it is usually made as. */
const EntryPicture = ({ entry }: { readonly entry: GalleryEntry }) => (
  <Box sx={{ height: 118, display: 'grid', placeItems: 'center' }}>
    <Box
      component="img"
      src={`/printables/${entry.id}.png`}
      alt=""
      loading="lazy"
      decoding="async"
      sx={{ maxWidth: 112, maxHeight: 114, bgcolor: '#fff', boxShadow: `0 0 0 1px ${COLOURS.line}` }}
    />
  </Box>
);
