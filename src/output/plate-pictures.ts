import sharp from 'sharp';
import { coverageOf, mostInk } from '../paint/plates';
import type { Desk, DeskSide } from './desk';
import { fileStem } from './file-name';
import { plateItems, sidePlates } from './plates';

/** A plate as a picture: white is bare, black is full ink. */
export interface PlatePicture {
  readonly name: string;
  /** Its name as a part of the name of a file. */
  readonly stem: string;
  readonly png: Uint8Array;
  /** Share of the trimmed side that it covers, 0 to 1. */
  readonly coverage: number;
}

/** Every plate of a side without marks, to the bleed, and the most ink that lies together, percent. */
export async function platePictures(
  desk: Desk,
  side: DeskSide,
  ppi: number,
): Promise<{ readonly pictures: readonly PlatePicture[]; readonly most: number }> {
  const { trim, bleed } = side.surface.boxes;
  const scale = ppi / 25.4;
  const items = plateItems(desk, side, new Date(0), { marks: false });
  const plates = await sidePlates(desk, side, items, { box: bleed, scale });
  const { width, height, names, pixels } = plates;
  const px = (mm: number) => Math.round(mm * scale);
  const part = {
    x: px(trim.x - bleed.x),
    y: px(trim.y - bleed.y),
    width: Math.min(width, px(trim.width)),
    height: Math.min(height, px(trim.height)),
  };
  const covered = coverageOf(plates, part);
  const pictures = await Promise.all(
    names.map(async (name, i) => ({
      name,
      stem: fileStem(name),
      png: await sharp(
        (pixels[i] ?? new Uint8Array(0)).map((v) => 255 - v),
        { raw: { width, height, channels: 1 } },
      )
        .toColourspace('b-w')
        .png()
        .toBuffer(),
      coverage: covered.get(name) ?? 0,
    })),
  );
  const technical = new Set(
    [...Object.values(side.rules.lines), ...Object.values(side.rules.coatings)].map(({ spot }) => spot),
  );
  return { pictures, most: mostInk(plates, (name) => !technical.has(name)).total };
}
