import type { Rect } from '../../core/layout';
import { DASHES, type LineForm, type Process, type ProcessLine } from '../../core/shop';
import { lineStyle } from './blank-svg';
import { pathData } from './svg';

/**
 * Process lines alone at true size, a group for each process, named as its plate.
 * @param shown what the picture covers, mm
 */
export function dieSvg(
  shown: Rect,
  lines: readonly ProcessLine[],
  layer: (process: Process) => { readonly name: string; readonly form: LineForm },
  weight: number,
): string {
  const groups = [...new Set(lines.map((l) => l.process))].map((process) => {
    const { name, form } = layer(process);
    const own = lines.filter((l) => l.process === process);
    const dash = DASHES[form].length > 0 ? ` stroke-dasharray="${DASHES[form].join(' ')}"` : '';
    const paths = own.map(
      (l) => `<path d="${l.path ? pathData(l.path) : `M${l.from.x} ${l.from.y}L${l.to.x} ${l.to.y}`}"/>`,
    );
    return (
      `<g id="${escaped(name)}" data-process="${process}" fill="none" stroke="${lineStyle(process).colour}" ` +
      `stroke-width="${weight}"${dash}>${paths.join('')}</g>`
    );
  });
  return (
    `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" viewBox="${shown.x} ` +
    `${shown.y} ${shown.width} ${shown.height}" ` +
    `width="${shown.width}mm" height="${shown.height}mm">${groups.join('')}</svg>\n`
  );
}

const escaped = (text: string): string => text.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);
