import type { Element } from '@xmldom/xmldom';
import Color from 'colorjs.io';
import type { SolidPaint } from '../../core/element';

/** What a shape inherits from the groups around it, as SVG writes it. */
export type Styles = Readonly<Record<string, string>>;

/** The properties that are looked at; everything else is left unread. */
const READ = [
  'fill',
  'fill-rule',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-opacity',
  'stroke-linecap',
  'stroke-linejoin',
  'stroke-dasharray',
  'opacity',
  'color',
  'display',
  'visibility',
] as const;

/** Not handed down: an element’s own. */
const OWN = new Set(['opacity', 'display']);

const declarations = (text: string): Styles =>
  Object.fromEntries(
    text.split(';').flatMap((part) => {
      const at = part.indexOf(':');
      return at > 0
        ? [
            [
              part.slice(0, at).trim().toLowerCase(),
              part
                .slice(at + 1)
                .replace(/!important/i, '')
                .trim(),
            ],
          ]
        : [];
    }),
  );

interface Rule {
  /** Its place in the sheet: what comes later counts more. */
  readonly place: number;
  readonly styles: Styles;
}

/** A style sheet of plain rules, as drawing programs write them, by element (`g`), class (`.a`) or id (`#a`). */
export type StyleSheet = ReadonlyMap<string, readonly Rule[]>;

/** Most rules and characters of style sheets that are read. */
const [MOST_RULES, MOST_TEXT] = [2000, 200_000];

export function readStyleSheet(text: string): StyleSheet {
  const sheet = new Map<string, Rule[]>();
  let place = 0;
  for (const { selectors, body } of rulesOf(withoutComments(text.slice(0, MOST_TEXT))).slice(0, MOST_RULES)) {
    const styles = declarations(body);
    for (const selector of selectors.split(',').map((s) => s.trim())) {
      const rules = sheet.get(selector) ?? [];
      rules.push({ place, styles });
      sheet.set(selector, rules);
      place += 1;
    }
  }
  return sheet;
}

function withoutComments(text: string): string {
  let plain = '';
  let at = 0;
  for (;;) {
    const begin = text.indexOf('/*', at);
    if (begin < 0) return plain + text.slice(at);
    plain += text.slice(at, begin);
    const end = text.indexOf('*/', begin + 2);
    if (end < 0) return plain;
    at = end + 2;
  }
}

/** Selectors and what stands in braces after them; of braces within braces the innermost. */
function rulesOf(text: string): readonly { readonly selectors: string; readonly body: string }[] {
  return text
    .split('}')
    .slice(0, -1)
    .flatMap((rule) => {
      const [selectors, body] = rule.split('{').slice(-2);
      return selectors !== undefined && body !== undefined ? [{ selectors, body }] : [];
    });
}

/** What the sheet says of an element, from the first rule to the last. */
function ruledStyles(element: Element, sheet: StyleSheet): readonly Styles[] {
  if (sheet.size === 0) return [];
  const classes = (element.getAttribute('class') ?? '').split(/\s+/).map((name) => `.${name}`);
  const names = new Set([...classes, `#${element.getAttribute('id') ?? ''}`, element.localName ?? '']);
  return [...names]
    .flatMap((name) => sheet.get(name) ?? [])
    .sort((a, b) => a.place - b.place)
    .map((rule) => rule.styles);
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
  const ruled = ruledStyles(element, sheet);
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

/** No colour takes more characters to say. */
const LONGEST_COLOUR = 200;

function read(value: string): SolidPaint | undefined {
  if (value.length > LONGEST_COLOUR) return undefined;
  try {
    const [r = 0, g = 0, b = 0] = new Color(value).to('srgb').coords.map((c) => Math.min(Math.max(c ?? 0, 0), 1));
    return { kind: 'rgb', r: Math.round(r * 255), g: Math.round(g * 255), b: Math.round(b * 255) };
  } catch {
    return undefined;
  }
}
