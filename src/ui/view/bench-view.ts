'use client';
import { create } from 'zustand';
import type { Point, Rect } from '@/core/layout';
import { MM_PER_INCH } from '@/core/measure';

/** Where and how near one looks. */
export interface View {
  readonly scale: number;
  readonly x: number;
  readonly y: number;
}

/** How the bench is looked at. */
interface BenchView {
  /** Pixels to a millimetre. */
  readonly scale: number;
  /** Where the trimmed top-left corner lies in the viewport, px. */
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** The box that was fitted last, while nobody has zoomed or panned since: it is fitted again when room changes. */
  readonly fitted: Rect | undefined;
  /** Safe area, columns and distances shown. */
  readonly guides: boolean;
  /** Cut to the trim, as it will be held in the hand. */
  readonly trimmed: boolean;
  /** Rulers along its edges. */
  readonly rulers: boolean;
  /** The sheet is put away: the piece has the window. */
  readonly full: boolean;
  /** Where one looked before one went to the selection. */
  readonly from: (View & { readonly fitted: Rect | undefined }) | undefined;
  /** Pixels to a millimetre at true size, as measured with a ruler. */
  readonly trueScale: number;
  readonly resize: (width: number, height: number) => void;
  readonly fit: (box: Rect) => void;
  readonly zoomAt: (factor: number, at: Point) => void;
  readonly pan: (dx: number, dy: number) => void;
  /** Goes back to a view. */
  readonly look: (view: View) => void;
  /** Goes near a box, or back to where one was. */
  readonly visit: (box: Rect) => void;
  /** The same view with another corner to measure from, so far to the right; the box is what it would be fitted to. */
  readonly turnTo: (dx: number, box: Rect) => void;
  readonly atTrueSize: (box: Rect) => void;
  readonly calibrate: (trueScale: number) => void;
  readonly toggle: (what: 'guides' | 'trimmed' | 'rulers' | 'full') => void;
}

/** A screen of 96 px to the inch, until somebody holds a ruler to it. */
const ASSUMED = 96 / MM_PER_INCH;
const KEPT_AS = 'yellow-sheet.true-scale';
const [LEAST, MOST] = [0.02, 200];

/** Room around the piece for dimension lines, px. */
export const ROOM = { left: 76, top: 64, right: 32, bottom: 26 };

/** How high the bar above the bench is, px: it never takes a second row, which would move the piece. */
export const BAR_HEIGHT = 44;

/** Room around what is visited, px. */
const AROUND = 60;

const clamp = (scale: number): number => Math.min(Math.max(scale, LEAST), MOST);

const centred = (box: Rect, scale: number, width: number, height: number) => ({
  scale,
  x: ROOM.left + (width - ROOM.left - ROOM.right) / 2 - (box.x + box.width / 2) * scale,
  y: ROOM.top + (height - ROOM.top - ROOM.bottom) / 2 - (box.y + box.height / 2) * scale,
});

export const useBenchView = create<BenchView>((set, get) => ({
  scale: 2,
  x: 80,
  y: 60,
  width: 0,
  height: 0,
  fitted: undefined,
  guides: true,
  trimmed: false,
  rulers: false,
  full: false,
  from: undefined,
  trueScale: ASSUMED,
  resize: (width, height) => {
    set({ width, height });
    const { fitted, fit } = get();
    if (fitted) fit(fitted);
  },
  fit: (box) => {
    const { width, height } = get();
    set({ fitted: box, from: undefined });
    if (width === 0 || height === 0) return;
    const across = (width - ROOM.left - ROOM.right) / Math.max(box.width, 1);
    const down = (height - ROOM.top - ROOM.bottom) / Math.max(box.height, 1);
    set(centred(box, clamp(Math.min(across, down)), width, height));
  },
  zoomAt: (factor, at) =>
    set((v) => {
      const scale = clamp(v.scale * factor);
      const by = scale / v.scale;
      return { fitted: undefined, from: undefined, scale, x: at.x - (at.x - v.x) * by, y: at.y - (at.y - v.y) * by };
    }),
  turnTo: (dx, box) => set((v) => ({ x: v.x + dx * v.scale, fitted: v.fitted && box })),
  look: ({ scale, x, y }) => set({ fitted: undefined, from: undefined, scale, x, y }),
  visit: (box) =>
    set(({ from, fitted, scale, x, y, width, height }) => {
      if (from) return { ...from, from: undefined };
      const across = (width - 2 * AROUND) / Math.max(box.width, 1);
      const down = (height - 2 * AROUND) / Math.max(box.height, 1);
      const near = clamp(Math.min(across, down));
      return {
        from: { scale, x, y, fitted },
        fitted: undefined,
        scale: near,
        x: width / 2 - (box.x + box.width / 2) * near,
        y: height / 2 - (box.y + box.height / 2) * near,
      };
    }),
  pan: (dx, dy) => set((v) => ({ fitted: undefined, from: undefined, x: v.x + dx, y: v.y + dy })),
  atTrueSize: (box) => {
    const kept = Number(localStorage.getItem(KEPT_AS));
    const trueScale = kept > 0 ? kept : get().trueScale;
    const { width, height } = get();
    set({ fitted: undefined, trueScale, ...centred(box, trueScale, width, height) });
  },
  calibrate: (trueScale) => {
    localStorage.setItem(KEPT_AS, String(trueScale));
    set({ trueScale });
  },
  toggle: (what) => set((v) => ({ [what]: !v[what] })),
}));

/** The middle of what is looked at, mm on the side; undefined while the whole piece is seen. */
export function lookedAt(): Point | undefined {
  const { fitted, width, height, ...view } = useBenchView.getState();
  return fitted ? undefined : projection(view).toMm({ x: width / 2, y: height / 2 });
}

export const isCalibrated = (): boolean => Number(localStorage.getItem(KEPT_AS)) > 0;

/** From millimetres on the surface to pixels in the viewport, and back. */
export interface Projection {
  readonly x: (mm: number) => number;
  readonly y: (mm: number) => number;
  readonly scale: number;
  readonly toMm: (px: Point) => Point;
}

export const projection = ({ scale, x, y }: { scale: number; x: number; y: number }): Projection => ({
  x: (mm) => x + mm * scale,
  y: (mm) => y + mm * scale,
  scale,
  toMm: (px) => ({ x: (px.x - x) / scale, y: (px.y - y) / scale }),
});

export const project = (r: Rect, at: Projection): Rect => ({
  x: at.x(r.x),
  y: at.y(r.y),
  width: r.width * at.scale,
  height: r.height * at.scale,
});
