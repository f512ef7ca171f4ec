'use client';
import Box from '@mui/material/Box';
import { wrap, type Remote } from 'comlink';
import { useEffect, useMemo, useRef } from 'react';
import { NO_INK, type Build } from '@/core/colour';
import { itemsOf, leavesOf, type Item } from '@/core/drawing';
import { intersection, type Rect } from '@/core/layout';
import { finishLayers, finishesOn } from '@/core/marks';
import type { FontSet } from '@/core/type';
import type { PlatesWorker, TaughtGlyph } from '@/workers/plates.worker';
import { project, type Projection } from '../view/bench-view';
import { useDesk } from '../open-job/use-desk';
import { usePlateView } from '../view/plate-view';

/** Rest before reading, so that a zoom is not read at every step, ms. */
const REST = 40;

/** Glyphs among items, those of masks too. */
function glyphsIn(items: readonly Item[]): readonly { readonly font: string; readonly gid: number }[] {
  const masks = (list: readonly Item[]): readonly Item[] =>
    list.flatMap((item) => (item.kind === 'group' ? [...(item.mask?.of ?? []), ...masks(item.items)] : []));
  return [...leavesOf(items), ...leavesOf(masks(items))].flatMap((leaf) =>
    leaf.kind === 'glyphs' ? leaf.glyphs.map(({ gid }) => ({ font: leaf.font, gid })) : [],
  );
}

/** Glyphs that have not been taught yet, with their outlines. */
function untaught(items: readonly Item[], fonts: FontSet, known: Set<string>): readonly TaughtGlyph[] {
  return glyphsIn(items).flatMap(({ font, gid }) => {
    const key = `${font} ${gid}`;
    const file = known.has(key) ? undefined : fonts.file(font);
    if (!file) return [];
    known.add(key);
    return [{ font, gid, path: file.outline(gid), unitsPerEm: file.unitsPerEm }];
  });
}

/** The plates of the side, read in a worker, where the paper lies. */
export function PlatePicture({
  at,
  room,
}: {
  readonly at: Projection;
  readonly room: { width: number; height: number };
}) {
  const { drawing, surface, piece, rules, job, resources } = useDesk();
  const view = usePlateView();
  const { set } = view;
  const canvas = useRef<HTMLCanvasElement>(null);
  const map = useRef<HTMLCanvasElement>(null);
  const worker = useRef<Remote<PlatesWorker>>(undefined);
  const known = useRef(new Set<string>());
  useEffect(() => {
    const thread = new Worker(new URL('../../workers/plates.worker.ts', import.meta.url), { type: 'module' });
    worker.current = wrap<PlatesWorker>(thread);
    known.current = new Set();
    return () => {
      thread.terminate();
      worker.current = undefined;
      set({ facts: undefined, under: undefined, compared: undefined, without: undefined, busy: false });
    };
  }, [set]);

  const layers = useMemo(
    () => finishLayers(finishesOn(piece, surface, drawing), rules),
    [piece, surface, drawing, rules],
  );
  const items = useMemo(() => [...itemsOf(drawing), ...layers.flatMap((layer) => layer.items)], [drawing, layers]);
  const shown = useMemo(() => {
    const builds: Record<string, Build> = {};
    for (const { name, c, m, y, k } of job.inks ?? []) builds[name] = { c, m, y, k };
    for (const layer of layers)
      for (const item of layer.items) {
        const ink = item.kind === 'path' ? (item.fill ?? item.stroke?.ink) : undefined;
        builds[layer.name] = ink?.kind === 'technical' ? ink.shown : NO_INK;
      }
    return builds;
  }, [job.inks, layers]);

  // What of the paper is in view, to the pixel.
  const seen = useMemo((): Rect | undefined => {
    const topLeft = at.toMm({ x: 0, y: 0 });
    const window = { ...topLeft, width: room.width / at.scale, height: room.height / at.scale };
    const part = intersection(surface.boxes.bleed, window);
    return part.width > 0 && part.height > 0 ? part : undefined;
  }, [at, room.width, room.height, surface.boxes.bleed]);

  const reading = useRef(0);
  useEffect(() => {
    if (!seen) return;
    const timer = setTimeout(() => {
      const mine = (reading.current += 1);
      const read = async () => {
        const thread = worker.current;
        if (!thread) return;
        set({ busy: true });
        await thread.learn(untaught(items, resources.fonts, known.current));
        const facts = await thread.read({
          items,
          view: { box: seen, scale: at.scale },
          profile: rules.conversion,
          counted: surface.boxes.trim,
          shown,
          inks: ['Cyan', 'Magenta', 'Yellow', 'Black', ...(job.inks ?? []).map((i) => i.name)],
        });
        if (mine === reading.current)
          set({ facts: { ...facts, side: surface.name }, busy: false, problem: undefined, compared: undefined });
      };
      read().catch((error: unknown) => {
        if (mine === reading.current)
          set({ busy: false, problem: error instanceof Error ? error.message : 'The plates could not be read.' });
      });
    }, REST);
    return () => clearTimeout(timer);
  }, [items, seen, at.scale, rules.conversion, surface, shown, job.inks, resources.fonts, set]);

  const { busy } = view;
  const missing = view.facts?.missing.length ?? 0;
  const { facts, hidden, grey, paperWhite, off, map: overlay, without } = view;
  const white = job.stock.white;
  useEffect(() => {
    if (!facts) return;
    let current = true;
    const paint = async () => {
      const plates = facts.names.filter((name) => !hidden.includes(name));
      const pixels = await worker.current?.seen({
        shown: plates,
        isGrey: grey && plates.length === 1,
        off: off ? { [off.plate]: { x: off.x * at.scale, y: off.y * at.scale } } : {},
        paper: rgbOf(paperWhite && white ? white : '#ffffff'),
      });
      const limit = overlay === 'total' ? await worker.current?.overLimit(rules.inkLimit.value) : undefined;
      if (!current || !pixels || pixels.length === 0) return;
      put(canvas.current, pixels, facts.width, facts.height);
      put(map.current, limit ?? new Uint8ClampedArray(pixels.length), facts.width, facts.height);
      // Seen from outside, as a picture is complete.
      if (canvas.current) canvas.current.dataset['painted'] = 'yes';
    };
    paint().catch((error: unknown) => {
      if (current) set({ problem: error instanceof Error ? error.message : 'The plates could not be shown.' });
    });
    return () => {
      current = false;
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- a new scale brings new facts
  }, [facts, hidden, grey, off, paperWhite, white, overlay, rules.inkLimit.value]);

  useEffect(() => {
    if (without === undefined || !facts) return;
    let current = true;
    const rest = [...itemsOf(drawing), ...layers.flatMap((layer) => (layer.name === without ? [] : layer.items))];
    worker.current?.without(rest).then(
      (changes) => {
        if (current) set({ compared: { layer: without, changes } });
      },
      (error: unknown) => {
        if (current) set({ problem: error instanceof Error ? error.message : 'The layer could not be compared.' });
      },
    );
    return () => {
      current = false;
    };
  }, [without, facts, drawing, layers, set]);

  // Ink under the pointer, once a frame.
  useEffect(() => {
    const host = canvas.current?.parentElement;
    if (!host || !facts || !seen) return;
    let frame = 0;
    const read = (event: PointerEvent) => {
      cancelAnimationFrame(frame);
      frame = requestAnimationFrame(() => {
        const box = host.getBoundingClientRect();
        const mm = at.toMm({ x: event.clientX - box.left, y: event.clientY - box.top });
        void worker.current
          ?.at((mm.x - seen.x) * at.scale, (mm.y - seen.y) * at.scale)
          .then((under) => set({ under: under.length > 0 ? under : undefined }));
      });
    };
    const leave = () => set({ under: undefined });
    host.addEventListener('pointermove', read);
    host.addEventListener('pointerleave', leave);
    return () => {
      cancelAnimationFrame(frame);
      host.removeEventListener('pointermove', read);
      host.removeEventListener('pointerleave', leave);
    };
  }, [facts, seen, at, set]);

  if (!seen) return null;
  const place = project(seen, at);
  const style = {
    position: 'absolute',
    left: place.x,
    top: place.y,
    width: place.width,
    height: place.height,
    pointerEvents: 'none',
  } as const;
  return (
    <>
      <canvas
        ref={canvas}
        style={style}
        role="img"
        aria-label={`Plates of the ${surface.name}`}
        data-plates={facts ? facts.names.join(' ') : ''}
      />
      <canvas ref={map} style={style} aria-hidden />
      <Box
        role="status"
        data-took={facts && Math.round(facts.took)}
        sx={{ position: 'absolute', right: 12, top: 6, fontSize: 12.5, color: 'text.secondary', pointerEvents: 'none' }}
      >
        {busy
          ? 'reading the plates …'
          : missing > 0
            ? `${missing === 1 ? 'A picture is' : `${missing} pictures are`} missing here.`
            : ''}
      </Box>
    </>
  );
}

function put(
  canvas: HTMLCanvasElement | null,
  pixels: Uint8ClampedArray<ArrayBuffer>,
  width: number,
  height: number,
): void {
  if (!canvas || pixels.length !== width * height * 4) return;
  canvas.width = width;
  canvas.height = height;
  canvas.getContext('2d')?.putImageData(new ImageData(pixels, width, height), 0, 0);
}

/** `#rrggbb` */
const rgbOf = (hex: string) => {
  const [r = 255, g = 255, b = 255] = [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16));
  return { r, g, b };
};
