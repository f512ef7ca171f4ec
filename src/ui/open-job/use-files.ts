'use client';
import { useCallback } from 'react';
import type { Asset, Element, Job } from '@/core/job';
import { landingAt, solve, type Point } from '@/core/layout';
import { wordsOf } from '../shell/api';
import { addAsset } from '../shell/bring-in';
import { useSay } from '../shell/Messages';
import { changeSide, framesAt, freshId, landingOn, pieceOf } from '@/core/edit';
import { artElement, pictureFrame } from '@/core/compose';
import { useJobStore } from './context';
import { useDesk } from './use-desk';
import { elementsOn, withProfile } from '@/core/job';

const withAsset = (job: Job, sha: string, asset: Asset): Job => ({ ...job, assets: { ...job.assets, [sha]: asset } });

/**
 * Takes in dropped or chosen files: pictures go into the frame they fall on, into the chosen frames in reading order,
 * or into frames of their own; drawings and PDF pages come as elements; fonts go into the job.
 * @param eye what is looked at, mm on the side: what is not dropped anywhere comes there
 */
export function useFiles(eye: () => Point | undefined) {
  const store = useJobStore();
  const desk = useDesk();
  const say = useSay();
  return useCallback(
    async (files: readonly File[], at?: Point) => {
      const { boxes } = desk.surface;
      const { side } = store.getState();
      /** Where what needs no frame lands; grows by what came before it. */
      let landing = at ? landingAt(boxes, at) : landingOn(desk.drawing, eye());
      const under = at ? framesAt(desk.drawing, at, 0).find((f) => f.kind === 'picture')?.element : undefined;
      /** The chosen frames that still wait for a picture of this round, in reading order. */
      const waiting = under ? [under] : at ? [] : inReadingOrder(desk.drawing.frames, store.getState().selection);
      const taken: string[] = [];
      for (const [i, file] of files.entries()) {
        if (files.length > 1) say({ tone: 'done', text: `Bringing in ${i + 1} of ${files.length}: ${file.name}` });
        try {
          const { sha, asset, left } = await addAsset(file);
          const { change } = store.getState();
          if (left.length > 0) say({ tone: 'done', text: `${asset.name} came without: ${left.join('; ')}.` });
          if (asset.kind === 'font') {
            change(`Bring in ${asset.family}`, (now) => withAsset(now, sha, asset));
            say({
              tone: 'done',
              text:
                `${asset.family} can be chosen now.` +
                (asset.embedding === 'print' ? ' Its maker allows print only, so it stays out of working files.' : ''),
            });
            continue;
          }
          if (asset.kind === 'profile') {
            change(`Output profile ${asset.name}`, (now) => withProfile(now, sha, asset));
            say({ tone: 'done', text: `Colours go to the press through “${asset.about}” now.` });
            continue;
          }
          // Where it can be seen and moved.
          if (!store.getState().station.opens) store.getState().goWhere('opens');
          const frame = asset.kind === 'picture' ? waiting.shift() : undefined;
          if (frame) {
            change('Replace picture', (now) =>
              changeSide(withAsset(now, sha, asset), side, (list) =>
                list.map((e) => (e.id === frame && e.kind === 'picture' ? { ...e, picture: sha } : e)),
              ),
            );
            taken.push(frame);
          } else {
            const isFirst = elementsOn(pieceOf(store.getState().job), side).length === 0;
            const made = elementFor(sha, asset, isFirst);
            const label = asset.kind === 'picture' ? 'Place picture' : `Bring in ${asset.name}`;
            change(label, (now) => changeSide(withAsset(now, sha, asset), side, (list) => [...list, made]));
            taken.push(made.id);
            if (!at) landing = { ...landing, taken: [...landing.taken, solve(made.placement, boxes)] };
          }
        } catch (error) {
          say({ tone: 'problem', text: wordsOf(error) });
        }
      }
      if (taken.length > 0) store.getState().select(taken);

      function elementFor(sha: string, asset: Exclude<Asset, { kind: 'font' | 'profile' }>, isFirst: boolean): Element {
        switch (asset.kind) {
          case 'picture':
            return pictureFrame(
              freshId(),
              sha,
              asset,
              boxes,
              isFirst,
              desk.rules.ppi.value * desk.blank.scale,
              landing,
            );
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

/** The chosen picture frames from the top left, row by row. */
function inReadingOrder(
  frames: readonly {
    readonly element: string;
    readonly kind: string;
    readonly rect: { readonly x: number; readonly y: number; readonly height: number };
  }[],
  selection: readonly string[],
): string[] {
  return frames
    .filter((f) => f.kind === 'picture' && selection.includes(f.element))
    .sort((a, b) => {
      // Frames that overlap by half their height stand in one row.
      const sameRow = Math.abs(a.rect.y - b.rect.y) < Math.min(a.rect.height, b.rect.height) / 2;
      return sameRow ? a.rect.x - b.rect.x : a.rect.y - b.rect.y;
    })
    .map((f) => f.element);
}
