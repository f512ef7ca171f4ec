import type { BlankSurface, ProcessLine } from '../../core/format';
import { rectPath, type Path } from '../../core/layout';
import { pathData } from './svg';

/** Colours of the line code; its shapes tell the lines apart without them. */
export const LINE_COLOURS = {
  ink: '#1b2334',
  paper: '#ffffff',
  fold: '#7b2f6b',
  cut: '#1b2334',
  perforation: '#0b7369',
  glue: '#6b6f2a',
  zone: '#b3261e',
} as const;

/** Stroke of a process line on a screen, in units of the drawing’s line width. */
export function lineStyle(process: ProcessLine['process']): {
  readonly colour: string;
  readonly dash: readonly number[];
  readonly cap: 'butt' | 'round';
} {
  switch (process) {
    case 'cut':
      return { colour: LINE_COLOURS.cut, dash: [], cap: 'butt' };
    case 'kiss-cut':
      return { colour: LINE_COLOURS.cut, dash: [14, 4], cap: 'butt' };
    case 'fold':
    case 'score':
      return { colour: LINE_COLOURS.fold, dash: [9, 3, 2, 3], cap: 'butt' };
    case 'perforation':
      return { colour: LINE_COLOURS.perforation, dash: [0.1, 4], cap: 'round' };
    case 'drill':
      return { colour: LINE_COLOURS.cut, dash: [], cap: 'butt' };
    case 'glue':
      return { colour: LINE_COLOURS.glue, dash: [2, 3], cap: 'butt' };
  }
}

const straight = ({ from, to }: ProcessLine): Path => [
  ['M', from.x, from.y],
  ['L', to.x, to.y],
];

/**
 * A small picture of a side: paper, panels, lines and zones in the line code.
 * @param box width and height of the picture, px
 */
export function blankPicture(surface: BlankSurface, box: { readonly width: number; readonly height: number }): string {
  const { trim } = surface.boxes;
  const rim = 6;
  const scale = Math.min((box.width - 2 * rim) / trim.width, (box.height - 2 * rim) / trim.height);
  const [left, top] = [(box.width - trim.width * scale) / 2, (box.height - trim.height * scale) / 2];
  const unit = 1 / scale;
  const stroke = (process: ProcessLine['process']) => {
    const { colour, dash, cap } = lineStyle(process);
    const dashes = dash.length > 0 ? ` stroke-dasharray="${dash.map((n) => num(n * unit * 0.7)).join(' ')}"` : '';
    return (
      `fill="none" stroke="${colour}" stroke-width="${num(unit * (process === 'perforation' ? 1.8 : 1.2))}" ` +
      `stroke-linecap="${cap}"${dashes}`
    );
  };
  // Where there are hundreds, a picture this small shows the first.
  const lines = surface.processLines.slice(0, 80);
  const panels = surface.panels.length > 1 ? surface.panels.slice(0, 60) : [];
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${box.width} ${box.height}" width="${box.width}" ` +
    `height="${box.height}">` +
    `<g transform="translate(${num(left)} ${num(top)}) scale(${num(scale)})">` +
    `<path d="${pathData(surface.outline)}" transform="translate(${num(2 * unit)} ${num(2 * unit)})" ` +
    'fill="#1b2334" fill-opacity="0.12"/>' +
    `<path d="${pathData(surface.outline)}" fill="#ffffff" stroke="#1b2334" stroke-width="${num(unit * 1.2)}"/>` +
    panels
      .map((p, i) => `<path d="${pathData(rectPath(p))}" fill="#6f8fb3" fill-opacity="${i % 2 === 0 ? 0.12 : 0.04}"/>`)
      .join('') +
    surface.zones.map((z) => `<path d="${pathData(z.outline)}" fill="#b3261e" fill-opacity="0.1"/>`).join('') +
    lines.map((line) => `<path d="${pathData(line.path ?? straight(line))}" ${stroke(line.process)}/>`).join('') +
    `</g></svg>`
  );
}

const num = (n: number): string => String(Math.round(n * 1e4) / 1e4);
