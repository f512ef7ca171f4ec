'use client';
import { useCallback } from 'react';
import { artElement, pictureFrame } from '@/core/compose';
import {
  changeSide,
  fillFrames,
  framesAt,
  freshId,
  inReadingOrder,
  landingOn,
  pieceOf,
  withRecordsOf,
  type FillPlace,
} from '@/core/edit';
import { elementsOn, withProfile, type Asset, type Element, type Job } from '@/core/job';
import { landingAt, solve, type Landing, type Point } from '@/core/layout';
import { counted } from '@/core/measure';
import { tokenOf } from '@/core/records';
import { wordsOf } from '../shell/api';
import { addAsset, type Added } from '../shell/bring-in';
import { useSay, type Message } from '../shell/Messages';
import { Stopped } from '../shell/upload';
import { useJobStore } from './context';
import { useDesk } from './use-desk';

/** What goes to the whole job. */
const OF_JOB = ['font', 'profile', 'data'] as const;

/** What is laid on a side. */
type Laid = Added & { readonly asset: Exclude<Asset, { kind: (typeof OF_JOB)[number] }> };

const isLaid = (added: Added): added is Laid => !OF_JOB.some((kind) => kind === added.asset.kind);

const withAssets = (job: Job, files: readonly Added[]): Job => ({
  ...job,
  assets: { ...job.assets, ...Object.fromEntries(files.map(({ sha, asset }) => [sha, asset])) },
});

/**
 * Takes in dropped or chosen files: pictures go into the frames that ask for them by name, into the frame they fall on,
 * into the chosen frames in reading order and, several at once, into the empty ones of this side and of those that
 * follow; otherwise into frames of their own. Drawings and PDF pages come as elements; fonts go into the job, and rows
 * become its records. What is
 * laid on the piece is one step, taken back as one.
 * @param eye what is looked at, mm on the side: what is not dropped anywhere comes there
 */
export function useFiles(eye: () => Point | undefined) {
  const store = useJobStore();
  const desk = useDesk();
  const say = useSay();
  return useCallback(
    async (files: readonly File[], at?: Point) => {
      const { drawing, surface } = desk;
      const { side, selection } = store.getState();
      const under = at && framesAt(drawing, at, 0).find((f) => f.kind === 'picture')?.element;
      const chosen = inReadingOrder(
        drawing.frames.filter((f) => f.kind === 'picture' && selection.includes(f.element)),
      );
      const place: FillPlace = {
        side,
        chosen: at ? (under === undefined ? [] : [under]) : chosen.map((f) => f.element),
        goesOn: files.length > 1,
      };
      const { came, refused, lost } = await broughtIn(files, say);
      const taken = came.flatMap((added) => (isLaid(added) ? [] : [takeUp(added)]));
      const before = [...taken, ...(refused === undefined ? [] : [refused]), ...lost];
      const laid = came.filter(isLaid);
      if (laid.length > 0) layOut(laid, place, before);
      else tell(before);

      /** All of a round in one message: a second one would cover the first. */
      function tell(words: readonly string[], action?: Message['action']) {
        const text = words.filter((word) => word !== '').join(' ');
        if (text === '') return;
        const tone = refused === undefined && lost.length === 0 ? 'done' : 'problem';
        say({ tone, text, ...(action && { action }) });
      }

      /** A font or a profile. @returns what is said of it */
      function takeUp({ sha, asset }: Added): string {
        const { change } = store.getState();
        if (asset.kind === 'font') {
          change(`Bring in ${asset.family}`, (now) => withAssets(now, [{ sha, asset, left: [] }]));
          const kept =
            asset.embedding === 'print' ? ' Its maker allows print only, so it stays out of working files.' : '';
          return `${asset.family} can be chosen now.${kept}`;
        }
        if (asset.kind === 'profile') {
          change(`Output profile ${asset.name}`, (now) => withProfile(now, sha, asset));
          return `Colours go to the press through “${asset.about}” now.`;
        }
        if (asset.kind === 'data') {
          change(`Records of ${asset.name}`, (now) => withRecordsOf(withAssets(now, [{ sha, asset, left: [] }]), sha));
          return `${counted(asset.rows, 'record')}: name their columns in words as ${tokenOf(asset.columns[0] ?? '')}.`;
        }
        return '';
      }

      function layOut(files: readonly Laid[], place: FillPlace, before: readonly string[] = []) {
        // Where it can be seen and moved.
        if (!store.getState().station.opens) store.getState().goWhere('opens');
        const pictures = files.flatMap(({ sha, asset }) =>
          asset.kind === 'picture' ? [{ sha, name: asset.name }] : [],
        );
        const { filled, left } = fillFrames(store.getState().job, pictures, place);
        const waits = new Set(left.map(({ sha }) => sha));
        // Where frames were filled, pictures that found none are not strewn over the side.
        const isMore = filled.length > 0 && left.length > 0 && place.goesOn;
        const own = files.filter(({ sha, asset }) => asset.kind !== 'picture' || (waits.has(sha) && !isMore));
        const made = elementsFor(own);
        store.getState().change(labelOf(files, filled.length), (now) => {
          const job = fillFrames(withAssets(now, files), pictures, place).job;
          return changeSide(job, side, (list) => [...list, ...made]);
        });
        const here = filled.filter((f) => f.side === side).map((f) => f.element);
        store.getState().select([...here, ...made.map((e) => e.id)]);
        const others = files.filter((f) => waits.has(f.sha));
        const layOthers = () => layOut(others, { side, chosen: [], goesOn: false });
        tell(
          [
            filled.length > 0 && files.length > 1 ? `${counted(filled.length, 'frame')} filled.` : '',
            isMore ? `${counted(left.length, 'picture')} found no frame.` : '',
            ...before,
          ],
          isMore ? { label: 'Lay them on this side', run: layOthers } : undefined,
        );
      }

      /** Each lands below what came before it. */
      function elementsFor(files: readonly Laid[]): readonly Element[] {
        let landing = at ? landingAt(surface.boxes, at) : landingOn(drawing, eye());
        const isBare = elementsOn(pieceOf(store.getState().job), side).length === 0;
        return files.map((file, i) => {
          const element = elementFor(file, landing, isBare && i === 0);
          if (!at) landing = { ...landing, taken: [...landing.taken, solve(element.placement, surface.boxes)] };
          return element;
        });
      }

      function elementFor({ sha, asset }: Laid, landing: Landing, isFirst: boolean): Element {
        const { boxes } = surface;
        switch (asset.kind) {
          case 'picture': {
            const ppi = desk.rules.ppi.value * desk.blank.scale;
            return pictureFrame(freshId(), sha, asset, boxes, isFirst, ppi, landing);
          }
          case 'drawing':
            return artElement(freshId(), sha, asset, asset, boxes, landing);
          case 'document':
            return artElement(freshId(), sha, asset, asset.pages[0] ?? { width: 100, height: 100 }, boxes, landing);
        }
      }
    },
    [desk, eye, say, store],
  );
}

/** What has come of some files, and what is said of those that could not be read, or not whole. */
interface BroughtIn {
  readonly came: readonly Added[];
  readonly refused: string | undefined;
  readonly lost: readonly string[];
}

/** Files one after the other; where one cannot be read, the others go on. */
async function broughtIn(files: readonly File[], say: (message: Message) => void): Promise<BroughtIn> {
  const came: Added[] = [];
  const refused: unknown[] = [];
  for (const [i, file] of files.entries()) {
    if (files.length > 1) say({ tone: 'done', text: `Bringing in ${i + 1} of ${files.length}: ${file.name}` });
    try {
      came.push(await addAsset(file));
    } catch (error) {
      refused.push(error);
      // Who stops one of many wants no more of them; what has come is there.
      if (error instanceof Stopped) break;
    }
  }
  const lost = came.flatMap(({ asset, left }) =>
    left.length > 0 ? [`${asset.name} came without: ${left.join('; ')}.`] : [],
  );
  return { came, refused: refusal(refused, came.length > 0), lost };
}

/** What is said of files that were refused. Beside others that came, “nothing was changed” would not be true. */
function refusal([first, ...others]: readonly unknown[], isBesideOthers: boolean): string | undefined {
  if (first === undefined) return undefined;
  const said = isBesideOthers && first instanceof Error ? first.message : wordsOf(first);
  if (others.length === 0) return said;
  return `${said} ${counted(others.length, 'other file')} could not be taken either.`;
}

/** What the step is called. */
function labelOf(files: readonly Laid[], filled: number): string {
  const [only, ...more] = files;
  if (more.length > 0) return filled > 0 ? `Fill ${counted(filled, 'frame')}` : `Bring in ${files.length} files`;
  if (only?.asset.kind !== 'picture') return `Bring in ${only?.asset.name ?? ''}`;
  return filled > 0 ? 'Replace picture' : 'Place picture';
}
