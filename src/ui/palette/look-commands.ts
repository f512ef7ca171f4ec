import { union } from '@/core/layout';
import { isCalibrated, useBenchView } from '../view/bench-view';
import { inGroup, type Command } from '../open-job/command';
import { setSurround, surroundNow, type Surround } from '../shell/surround';
import type { CommandContext, Present } from './context';

const SURROUNDS: readonly { readonly surround: Surround; readonly title: string }[] = [
  { surround: 'dark', title: 'Dark surround' },
  { surround: 'light', title: 'Light surround' },
  { surround: 'system', title: 'Surround as the system has it' },
];

/** How the bench is looked at. */
export function lookCommands({ desk, calibrate }: CommandContext, { state }: Present): readonly Command[] {
  const view = useBenchView.getState();
  const { boxes } = desk.surface;
  const chosen = desk.drawing.frames.filter((f) => state.selection.includes(f.element)).map((f) => f.bounds);
  const centre = { x: view.width / 2, y: view.height / 2 };
  return inGroup('Look', [
    { id: 'zoom-in', title: 'Closer', keys: ['+', '='], run: () => view.zoomAt(1.25, centre) },
    { id: 'zoom-out', title: 'Further', keys: ['-'], run: () => view.zoomAt(0.8, centre) },
    { id: 'fit', title: 'Whole piece', keys: ['0'], run: () => view.fit(boxes.bleed) },
    {
      id: 'visit',
      title: view.from ? 'Back to where you were' : 'To the selection',
      keys: ['E'],
      enabled: chosen.length > 0 || view.from !== undefined,
      run: () => view.visit(chosen.length > 0 ? union(chosen) : boxes.bleed),
    },
    {
      id: 'full',
      title: view.full ? 'Bring the sheet back' : 'Put the sheet away',
      keys: ['S'],
      run: () => view.toggle('full'),
    },
    {
      id: 'rulers',
      title: view.rulers ? 'Put the rulers away' : 'Rulers along the bench',
      keys: ['U'],
      run: () => view.toggle('rulers'),
    },
    {
      id: 'true-size',
      title: 'True size',
      keys: ['1'],
      // The first time, a ruler says how large this screen’s pixels are.
      run: () => (isCalibrated() ? view.atTrueSize(boxes.trim) : calibrate()),
    },
    { id: 'calibrate', title: 'Measure the screen with a ruler', run: calibrate },
    {
      id: 'folded',
      title: state.folded ? 'Show it flat' : 'Show it folded (Size)',
      keys: ['D'],
      enabled: desk.blank.folding !== undefined,
      run: () => {
        if (!state.station.folds) state.goWhere('folds');
        state.setFolded(!state.folded);
      },
    },
    ...SURROUNDS.filter(({ surround }) => surround !== surroundNow()).map(({ surround, title }) => ({
      id: `surround-${surround}`,
      title,
      run: () => setSurround(surround),
    })),
    {
      id: 'guides',
      title: view.guides ? 'Hide all guides' : 'Show the guides',
      keys: ['G'],
      run: () => view.toggle('guides'),
    },
    {
      id: 'trimmed',
      title: view.trimmed ? 'Show edges and bleed (Inspect)' : 'Hide edges and bleed (Inspect)',
      keys: ['H'],
      run: () => {
        if (!state.station.trims) state.goWhere('trims');
        view.toggle('trimmed');
      },
    },
  ]);
}
