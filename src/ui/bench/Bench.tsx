'use client';
import Box from '@mui/material/Box';
import { useCallback, useRef, type DragEvent, type MouseEvent } from 'react';
import { framesAt } from '@/core/edit';
import { elementsOn } from '@/core/job';
import { useJob, useJobStore } from '../open-job/context';
import { handlingOf } from '../slip/kinds';
import { filesOf } from '../shell/files-of';
import { fetched } from '../shell/fetched';
import { COLOURS } from '../shell/theme';
import { useBenchView } from '../view/bench-view';
import { useEyesView } from '../view/eyes-view';
import { EmptyHint } from './EmptyFrames';
import { LAYERS, type Hand } from './layers';
import { Paper } from './Paper';
import { toSpine, useScene, type Scene } from './scene';
import { SheetPicture } from './SheetPicture';
import { useDrag } from './use-drag';
import { useMeasured } from './use-measured';
import { usePick } from './use-pick';
import { useFitted, useRoom } from './use-room';
import { Overview } from './Overview';
import { Rulers } from './Rulers';
import { usePinch } from './use-pinch';
import { useWheel } from './use-wheel';

interface Props {
  readonly onDropFiles: (files: readonly File[], at: { x: number; y: number }) => void;
}

const ImposedPicture = fetched(() => import('../press-sheet/ImposedPicture').then((m) => m.ImposedPicture));
const PilePicture = fetched(() => import('../pile/PilePicture').then((m) => m.PilePicture));
const PlatePicture = fetched(() => import('../finish/PlatePicture').then((m) => m.PlatePicture));

/** How near to an element a double click has to be, px. */
const REACH = 4;

/** The piece drawn to scale, on a pale bench. */
export function Bench({ onDropFiles }: Props) {
  const host = useRef<HTMLDivElement>(null);
  const scene = useScene();
  const { desk, station, at } = scene;
  const { drawing, surface, piece } = desk;
  const drag = useDrag(host, station.takes);
  useRoom(host);
  useFitted(scene);
  useWheel(host);
  usePinch(host, drag.cancel);

  const toMm = useCallback<Hand['toMm']>(
    (event) => {
      const box = host.current?.getBoundingClientRect();
      return at.toMm({ x: event.clientX - (box?.left ?? 0), y: event.clientY - (box?.top ?? 0) });
    },
    [at],
  );
  const { isPicking, onPick } = usePick(drawing, toMm);
  const hand: Hand = { drag, measured: useMeasured(host, drawing, at.scale), toMm };
  const onDoubleClick = useEnter(scene, toMm);
  const onDrop = (event: DragEvent) => {
    event.preventDefault();
    const at = toMm(event);
    void filesOf(event.nativeEvent).then((files) => files.length > 0 && onDropFiles(files, at));
  };
  return (
    <Box
      sx={{ position: 'absolute', inset: 0, overflow: 'hidden', bgcolor: COLOURS.bench }}
      onDragOver={(e) => e.preventDefault()}
      onDrop={onDrop}
    >
      <div
        ref={host}
        tabIndex={0}
        role="application"
        aria-label={
          `${piece.name}, ${surface.name}, ${drawing.frames.length} elements. Tab steps through them; arrows ` +
          'nudge.'
        }
        data-bench
        data-scale={at.scale}
        data-origin={`${at.x(0)},${at.y(0)}`}
        onPointerDown={isPicking ? onPick : drag.onPointerDown}
        onDoubleClick={onDoubleClick}
        style={{
          position: 'absolute',
          inset: 0,
          outlineOffset: -3,
          touchAction: 'none',
          userSelect: 'none',
          cursor: isPicking ? 'crosshair' : drag.dragging === 'pan' ? 'grabbing' : 'default',
        }}
      >
        <Artwork scene={scene} />
        <svg
          data-on="paper"
          width="100%"
          height="100%"
          style={{ position: 'absolute', inset: 0, willChange: 'transform' }}
        >
          {LAYERS.map(
            ({ name, isShown, Draw }) =>
              !scene.imposed && isShown(scene) && <Draw key={name} scene={scene} hand={hand} />,
          )}
        </svg>
      </div>
      <Rulers scene={scene} />
      <Overview scene={scene} />
      <Beneath scene={scene} />
    </Box>
  );
}

/** The pages as they are printed, or the plates of one. */
function Artwork({ scene }: { readonly scene: Scene }) {
  const { desk, beside, context, at, press, plates, pile, seen, whole } = scene;
  const { drawing, job } = desk;
  const width = useBenchView((v) => v.width);
  const height = useBenchView((v) => v.height);
  const white = job.stock.white ?? '#ffffff';
  const { distance, vision } = useEyesView();
  const isSeen = scene.station.inspects && (distance > 0 || vision !== 'usual');
  // What is drawn at a tenth is seen from a tenth as far.
  const eyes = isSeen ? { distance: distance / desk.blank.scale, vision } : undefined;
  if (scene.imposed) return <ImposedPicture room={{ width, height }} />;
  if (pile) return <PilePicture at={at} room={{ width, height }} />;
  return (
    <>
      {beside && (
        <Paper
          drawing={beside.drawing}
          context={context}
          at={beside.at}
          shown={toSpine(beside.drawing.boxes)}
          lies={beside.drawing.boxes.trim}
          white={white}
          marks={undefined}
          eyes={eyes}
        />
      )}
      <Paper
        drawing={drawing}
        context={context}
        at={at}
        shown={seen}
        lies={press ? whole : desk.surface.boxes.trim}
        white={white}
        marks={press?.items}
        eyes={eyes}
      />
      {plates && <PlatePicture at={at} room={{ width, height }} />}
    </>
  );
}

/** What is said beside the piece: the sheet that is pointed at, and how an empty side is begun. */
function Beneath({ scene: { desk, shows, at } }: { readonly scene: Scene }) {
  const pointed = useJob((s) => s.pointed);
  const { blank, job, rules, drawing, surface } = desk;
  return (
    <>
      {pointed?.kind === 'sheet' && (
        <SheetPicture blank={blank} sheet={pointed.sheet} unit={job.unit} rim={rules.unprintable.value} />
      )}
      {drawing.frames.length === 0 && shows('empty-frames') && <EmptyHint at={at} trim={surface.boxes.trim} />}
    </>
  );
}

/** A double click goes into what lies there: words, cells, points, the content of a frame. */
function useEnter({ desk, station, at }: Scene, toMm: Hand['toMm']) {
  const store = useJobStore();
  const { drawing, piece, surface } = desk;
  return (event: MouseEvent) => {
    if (!station.opens) return;
    const [top] = framesAt(drawing, toMm(event), REACH / at.scale);
    if (!top) return;
    const state = store.getState();
    state.select([top.element]);
    const element = elementsOn(piece, surface.name).find((e) => e.id === top.element);
    const tracks = drawing.boxes.grids[top.element];
    if (element) handlingOf(element.kind).enter?.(element, { state, tracks, at: toMm(event) });
  };
}
