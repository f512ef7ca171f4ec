import type { Element } from '@xmldom/xmldom';
import Color from 'colorjs.io';
import type { SolidPaint } from '../../core/element';

/** What a shape inherits from the groups around it, as SVG writes it. */
export type Styles = Readonly<Record<string, string>>;

/** The properties that are looked at; everything else is left unread. */
const READ = [
  'fill', 'fill-rule', 'fill-opacity', 'stroke', 'stroke-width', 'stroke-opacity', 'stroke-linecap', 'stroke-linejoin',
  'stroke-dasharray', 'opacity', 'color', 'display', 'visibility',
] as const; // prettier-ignore

/** Not handed down: an element’s own. */
const OWN = new Set(['opacity', 'display']);

const declarations = (text: string): Styles =>
  Object.fromEntries(
    text.split(';').flatMap((part) => {
      const at = part.indexOf(':');
      return at > 0 ? [[part.slice(0, at).trim().toLowerCase(), part.slice(at + 1).replace(/!important/i, '').trim()]] : [];
    }),
  ); // prettier-ignore

/** A style sheet of plain rules: by element, class or id, as drawing programs write them. */
export type StyleSheet = readonly { readonly selector: string; readonly styles: Styles }[];

/** Most rules and characters of style sheets that are read. */
const [MOST_RULES, MOST_TEXT] = [2000, 200_000];

export function readStyleSheet(text: string): StyleSheet {
  const plain = text.slice(0, MOST_TEXT).replace(/\/\*[\s\S]*?\*\//g, '');
  return [...plain.matchAll(/([^{}]+)\{([^{}]*)\}/g)].slice(0, MOST_RULES).flatMap(([, selectors = '', body = '']) =>
    selectors.split(',').map((selector) => ({ selector: selector.trim(), styles: declarations(body) })),
  );
} // prettier-ignore

function matches(selector: string, element: Element): boolean {
  const classes = (element.getAttribute('class') ?? '').split(/\s+/);
  if (selector.startsWith('.')) return classes.includes(selector.slice(1));
  if (selector.startsWith('#')) return element.getAttribute('id') === selector.slice(1);
  return selector === element.localName;
}

/** The styles of an element: inherited, then its attributes, then the style sheet, then its own `style`. */
export function stylesOf(element: Element, inherited: Styles, sheet: StyleSheet): Styles {
  const handed = Object.fromEntries(Object.entries(inherited).filter(([name]) => !OWN.has(name)));
  const attributes = Object.fromEntries(
    READ.flatMap((name) => {
      const value = element.getAttribute(name);
      return value === null ? [] : [[name, value]];
    }),
  );
  const ruled = sheet.filter((rule) => matches(rule.selector, element)).map((rule) => rule.styles);
  const own = declarations(element.getAttribute('style') ?? '');
  const all: Record<string, string> = Object.assign({}, handed, attributes, ...ruled, own) as Record<string, string>;
  for (const [name, value] of Object.entries(all)) if (value === 'inherit') all[name] = inherited[name] ?? '';
  return all;
}

/** A colour in words, hex or functions as sRGB; null for none; undefined where it is not one colour. */
export function paintOf(text: string | undefined, styles: Styles): SolidPaint | null | undefined {
  const value = (text ?? '').trim();
  if (value === '' || value === 'none' || value === 'transparent') return null;
  if (/^currentcolor$/i.test(value)) return paintOf(styles['color'] ?? 'black', {});
  if (/^url\(/i.test(value)) return undefined;
  return colourOf(value);
}

const known = new Map<string, SolidPaint | undefined>();

/** A colour by its words; drawings say the same few again and again. */
function colourOf(value: string): SolidPaint | undefined {
  if (known.has(value)) return known.get(value);
  if (known.size > 5000) known.clear();
  const found = read(value);
  known.set(value, found);
  return found;
}

function read(value: string): SolidPaint | undefined {
  try {
    const [r = 0, g = 0, b = 0] = new Color(value).to('srgb').coords.map((c) => Math.min(Math.max(c ?? 0, 0), 1));
    return { kind: 'rgb', r: Math.round(r * 255), g: Math.round(g * 255), b: Math.round(b * 255) };
  } catch {
    return undefined;
  }
}
