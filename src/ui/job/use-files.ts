'use client';
import { useCallback } from 'react';
import type { Point } from '@/core/layout';
import { api, wordsOf } from '../shell/api';
import { useSay } from '../shell/Messages';
import { framesAt } from '../bench/gestures';
import { pictureFrame } from './add-element';
import { useJobStore } from './context';
import { useDesk } from './use-desk';
import { elementsDraft, pieceOf } from './store';
import { elementsOn } from '@/core/job';

/** Takes in dropped or chosen files: pictures go into the frame they fall on or into one of their own, fonts into the job. */
export function useFiles() {
  const store = useJobStore();
  const desk = useDesk();
  const say = useSay();
  return useCallback(
    async (files: readonly File[], at?: Point) => {
      for (const file of files) {
        try {
          const { sha, asset } = await api.addAsset(file);
          const { side, selection, edit, select } = store.getState();
          if (asset.kind === 'font') {
            edit(`Bring in ${asset.family}`, (draft) => void (draft.assets[sha] = asset));
            say({
              tone: 'done',
              text: `${asset.family} can be chosen now. ${asset.embedding === 'print' ? 'Its maker allows print only, so it stays out of working files.' : ''}`,
            });
            continue;
          }
          // Where it can be seen and moved.
          if (store.getState().station !== 'lay-out') store.getState().go('lay-out');
          const under = at ? framesAt(desk.drawing, at, 0).find((f) => f.kind === 'picture')?.element : undefined;
          const chosen = selection.length === 1 ? selection[0] : undefined;
          const elements = elementsOn(pieceOf(store.getState().job), side);
          const target = elements.find((e) => e.kind === 'picture' && e.id === (at ? under : chosen));
          // A frame that is already filled, and was not aimed at, keeps its picture.
          if (target) {
            edit(`Replace picture`, (draft) => {
              draft.assets[sha] = asset;
              const frame = elementsDraft(draft, side).find((e) => e.id === target.id);
              if (frame?.kind === 'picture') frame.picture = sha;
            });
            select([target.id]);
          } else {
            const frame = pictureFrame(
              sha,
              asset,
              desk.surface.boxes,
              elements.length === 0,
              desk.rules.ppi.value * desk.blank.scale,
              at,
            );
            edit('Place picture', (draft) => {
              draft.assets[sha] = asset;
              elementsDraft(draft, side).push(frame);
            });
            select([frame.id]);
          }
        } catch (error) {
          say({ tone: 'problem', text: wordsOf(error) });
        }
      }
    },
    [desk, say, store],
  );
}
