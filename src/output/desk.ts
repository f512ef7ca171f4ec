import type { ColourEngine } from '../core/colour';
import { createComposer, composeContextOf, inkKey, inksNeeded, languagesNeeded, type Resources } from '../core/compose';
import { blankOf, pictureAsset, rulesFor, type Job } from '../core/job';
import { backOf, checkSurface, type DrawnSide, type Finding } from '../core/check';
import { loadHyphenator, type Hyphenator } from '../core/type';
import { withRecord, type RecordSet } from '../core/records';
import { encode } from '../bring-in/code';
import { holidaysOf } from '../bring-in/holidays';
import type { OpenProfile } from '../bring-in/profile';
import type { AssetSource } from './assets';
import { CannotExport } from './cannot-export';
import { loadArt } from './art';
import { loadFonts, type JobFonts } from './fonts';
import { inkMost } from './ink-most';
import { openConversion } from './profiles';
import { loadRecords } from './load-records';

/** A job with everything at hand that its drawing needs. */
export interface Desk {
  /** As it is drawn: filled by its first record, where it has records. */
  readonly job: Job;
  /** As it is written. */
  readonly document: Job;
  /** What differs from copy to copy; undefined where all are alike. */
  readonly records: RecordSet | undefined;
  readonly assets: AssetSource;
  readonly fonts: JobFonts;
  readonly profile: OpenProfile;
  readonly colour: ColourEngine;
  readonly resources: Resources;
  readonly sides: readonly DeskSide[];
}

/** One side of one piece, drawn. */
export type DeskSide = DrawnSide;

/** What a job is drawn with. */
export type Opened = Pick<Desk, 'fonts' | 'profile' | 'resources'>;

/** Opens fonts, profile, drawings and hyphenation of a job. */
export async function openResources(job: Job, assets: AssetSource): Promise<Opened> {
  const firstPiece = job.pieces[0];
  if (!firstPiece) throw new CannotExport('The job has no piece. Begin one under Size.');
  const conversion = rulesFor(job, firstPiece).conversion;
  const [fonts, profile, art] = await Promise.all([
    loadFonts(job, assets),
    openConversion(conversion, assets),
    loadArt(job, assets),
  ]);
  const inks = await picturesInk(job, assets, conversion, profile);
  const hyphenators = new Map<string, Hyphenator | undefined>();
  for (const language of languagesNeeded(job)) hyphenators.set(language, await loadHyphenator(language));
  const resources: Resources = {
    colour: profile.engine,
    fonts: fonts.set,
    hyphenator: (language) => hyphenators.get(language),
    art: (sha) => art.get(sha),
    inkMost: (need) => inks.get(inkKey(need)),
    encode,
    holidays: ({ region, year, language }) => holidaysOf(region, year, language),
  };
  return { fonts, profile, resources };
}

/** Opens what a job is drawn with, and draws every side of it. */
export async function openDesk(document: Job, assets: AssetSource): Promise<Desk> {
  const records = await loadRecords(document, assets);
  const job = withRecord(document, records?.at(0));
  const { fonts, profile, resources } = await openResources(job, assets);
  const sides = job.pieces.flatMap((piece): DeskSide[] => {
    const blank = blankOf(job, piece);
    const rules = rulesFor(job, piece);
    const composer = createComposer(composeContextOf(job, rules.ppi.value * blank.scale, resources));
    const { drawings } = composer.piece(piece, blank.surfaces);
    return blank.surfaces.flatMap((surface, i): DeskSide[] => {
      const drawing = drawings[i];
      return drawing ? [{ piece, blank, surface, rules, drawing }] : [];
    });
  });
  return { job, document, records, assets, fonts, profile, colour: profile.engine, resources, sides };
}

/** By picture, conversion and tones: a picture is decoded once for all the times that its job is opened. */
const known = new Map<string, number>();
const MOST_KNOWN = 2000;

/** A picture that cannot be opened has no ink to be told; that it is damaged is a finding of its own. */
function unlessDamaged(error: unknown): undefined {
  if (!(error instanceof CannotExport)) throw error;
  return undefined;
}

async function picturesInk(
  job: Job,
  assets: AssetSource,
  conversion: string,
  profile: OpenProfile,
): Promise<ReadonlyMap<string, number>> {
  const found = new Map<string, number>();
  for (const need of inksNeeded(job)) {
    const key = `${conversion} ${inkKey(need)}`;
    const asset = pictureAsset(job.assets, need.picture);
    const bytes = known.has(key) ? undefined : await assets.get(need.picture);
    // A file that is gone is a finding of its own.
    if (asset && bytes) {
      if (known.size > MOST_KNOWN) known.clear();
      const most = await inkMost(profile, bytes, asset, need.adjust).catch(unlessDamaged);
      if (most !== undefined) known.set(key, most);
    }
    const most = known.get(key);
    if (most !== undefined) found.set(inkKey(need), most);
  }
  return found;
}

/** Every finding of a job. */
export const checkDesk = (desk: Desk): readonly Finding[] =>
  desk.sides.flatMap(({ piece, surface, drawing, blank }) => {
    const other = backOf(blank, surface.name);
    const back = desk.sides.find((side) => side.piece === piece && side.surface.name === other)?.drawing;
    return checkSurface(desk.job, piece, surface.name, drawing, { blank, back });
  });
