'use client';
import { FORMATS, GROUPS, formatOf, type Format, type Group } from '@/core/format';
import type { JobUnit } from '@/core/measure';
import { FormatPicture } from './FormatPicture';
import { Gallery } from './Gallery';

export const GROUP_WORDS: Readonly<Record<Group, string>> = {
  flat: 'Flat sheets',
  folded: 'Folded',
  bound: 'Bound',
  wrap: 'Wraps',
  large: 'Large',
  label: 'Labels',
  'die-cut': 'Die-cut',
  own: 'Own',
};

interface Props {
  readonly chosen: string | undefined;
  readonly unit: JobUnit;
  readonly onChoose: (format: Format) => void;
}

/** Every kind of piece by its picture. */
export const FormatGallery = ({ chosen, unit, onChoose }: Props) => (
  <Gallery
    label="Kind of piece"
    search="Find a kind"
    example="fold, label, card …"
    none="Own format takes any outline."
    chosen={chosen}
    items={GROUPS.flatMap((group) =>
      FORMATS.filter((f) => f.group === group).map((f) => ({
        id: f.kind,
        title: f.title,
        about: f.about,
        words: `${f.kind} ${f.group}`,
        group: GROUP_WORDS[group],
        picture: <FormatPicture format={f} unit={unit} />,
      })),
    )}
    onChoose={(kind) => {
      const format = formatOf(kind);
      if (format) onChoose(format);
    }}
  />
);
