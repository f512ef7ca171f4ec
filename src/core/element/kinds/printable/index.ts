import type { Parameter } from '../../../parameter';
import { printableOf } from '../../../printable';
import { asItIs, defineElementKind, none, wordless } from '../define';
import { oneLine } from '../words';
import type { PrintableElement } from './schema';

export const printable = defineElementKind<PrintableElement>({
  ...wordless,
  title: ({ content }) => printableOf(content.of).presets[0]?.title ?? 'Printable',
  content: 'filling',
  bleeds: ({ atTrim }) => atTrim === 'bleeds',
  file: none,
  repaint: (element, _, change) => {
    const { ink, pale, accent, tint } = element.inks;
    return { ...element, inks: { ink: change(ink), pale: change(pale), accent: change(accent), tint: change(tint) } };
  },
  onLeftPage: asItIs,
  flipped: asItIs,
  difference: ({ content: was }, { content: is }) => {
    if (was.of !== is.of) return undefined;
    const written = (value: unknown, p: Parameter) =>
      value === undefined ? 'worked out' : oneLine(p.write(value, 'mm'));
    const changed = Object.entries(printableOf(is.of).parameters).filter(
      ([name]) => JSON.stringify(was[name]) !== JSON.stringify(is[name]),
    );
    const said = changed.map(
      ([name, p]) => `${p.label.toLowerCase()} ${written(is[name], p)}, not ${written(was[name], p)}`,
    );
    return said.length > 0 ? `has ${said.join('; ')}` : undefined;
  },
});
