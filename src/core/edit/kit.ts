import {
  mapLooks,
  mapTexts,
  paintsOf,
  styleBook,
  textsIn,
  type CellStyle,
  type Element,
  type SolidPaint,
  type StyleBook,
  type TypeStyle,
  elementsOf,
  type Kit,
  type Job,
  paintsUsed,
  paintKey,
} from '../job';

/** Something of a job that is not as its client’s kit has it. */
export type KitDifference =
  | { readonly what: 'style' | 'cell style' | 'measure'; readonly name: string; readonly how: 'differs' | 'missing' }
  | { readonly what: 'colour'; readonly element: Element; readonly paint: SolidPaint }
  | { readonly what: 'family'; readonly element: Element; readonly family: string };

/** Black alone, and the paper: every client has them [cp]. */
const ALWAYS: readonly string[] = [
  'paper',
  paintKey({ kind: 'process', c: 0, m: 0, y: 0, k: 100 }),
  paintKey({ kind: 'process', c: 0, m: 0, y: 0, k: 0 }),
];

/** The families that an element is set in. */
function familiesOf(element: Element, book: StyleBook): readonly string[] {
  const words = textsIn(element, book).flatMap((text) =>
    text.paragraphs.flatMap((p) => p.runs.map((run) => book.run(book.paragraph(text, p), run).family)),
  );
  return [...new Set(words)];
}

/** A kit of what a job has: its colours, families, drawings, measures and styles. */
export function kitOf(job: Job, name: string): Kit {
  const book = styleBook(job);
  const elements = job.pieces.flatMap(elementsOf).map(({ element }) => element);
  const logos = elements.flatMap((e) => (e.kind === 'vector' ? [e.drawing] : []));
  const colours = [...paintsUsed(job)].filter(([words]) => !ALWAYS.includes(words));
  const families = [
    ...elements.flatMap((e) => familiesOf(e, book)),
    ...job.styles.flatMap(({ look }) => look.family ?? []),
  ];
  return {
    name,
    colours: colours.slice(0, 100).map(([words, paint]) => ({ name: words, paint })),
    ...(job.inks && { inks: job.inks }),
    ...(job.swatches && { swatches: job.swatches }),
    families: [...new Set(families)].slice(0, 20),
    logos: Object.fromEntries(logos.flatMap((sha) => (job.assets[sha] ? [[sha, job.assets[sha]]] : []))),
    measures: job.measures,
    styles: job.styles,
    cellStyles: job.cellStyles,
  };
}

/**
 * The job with its client’s kit: styles and measures of the same name become the kit’s, wherever they are used; those
 * it lacks are added. What it has beside them stays.
 */
export function takeKit(job: Job, kit: Kit): Job {
  const styles = mergedStyles(job.styles, kit.styles);
  const cells = mergedStyles(job.cellStyles, kit.cellStyles);
  const known = new Map(job.measures.map((m) => [m.name, m]));
  const taken = new Map(kit.measures.map((m) => [m.name, m]));
  const ids = new Set(job.measures.map((m) => m.id));
  return {
    ...job,
    kit,
    client: kit.name || job.client,
    assets: { ...job.assets, ...kit.logos },
    ...(kit.inks && { inks: byName(job.inks, kit.inks) }),
    ...(kit.swatches && { swatches: byName(job.swatches, kit.swatches) }),
    measures: [
      ...job.measures.map((m) => ({ ...m, value: taken.get(m.name)?.value ?? m.value })),
      ...kit.measures.filter((m) => !known.has(m.name)).map((m) => ({ ...m, id: free(m.id, ids) })),
    ],
    styles,
    cellStyles: cells,
  };
}

/** What a job has by its names, with the kit’s among it: of the same name, the kit’s. */
const byName = <T extends { readonly name: string }>(own: readonly T[] = [], kit: readonly T[]): T[] => [
  ...new Map([...own, ...kit].map((one) => [one.name, one])).values(),
];

/** An id that is not taken yet. */
function free(id: string, taken: ReadonlySet<string>): string {
  if (!taken.has(id)) return id;
  for (let n = 2; ; n += 1) if (!taken.has(`${id}-${n}`)) return `${id}-${n}`;
}

type AnyStyle = TypeStyle | CellStyle;
const keyOf = (style: AnyStyle): string => `${'of' in style ? style.of : 'cell'} ${style.name}`;

/** The styles of a job with those of a kit among them: of the same name, the kit’s under the job’s id. */
function mergedStyles<S extends AnyStyle>(own: readonly S[], kit: readonly S[]): S[] {
  const ids = new Map<string, string>(own.map((s) => [keyOf(s), s.id]));
  const taken = new Set(own.map((s) => s.id));
  const renamed = new Map(kit.map((s) => [s.id, ids.get(keyOf(s)) ?? free(s.id, taken)]));
  const named = (id: string | null): string | null => (id === null ? null : (renamed.get(id) ?? null));
  const from = new Map(
    kit.map((s) => [
      keyOf(s),
      {
        ...s,
        id: renamed.get(s.id) ?? s.id,
        basedOn: named(s.basedOn),
        ...('next' in s && { next: named(s.next) }),
      },
    ]),
  );
  const known = new Set(own.map(keyOf));
  return [
    ...own.map((s) => from.get(keyOf(s)) ?? s),
    ...kit.flatMap((s) => (known.has(keyOf(s)) ? [] : [from.get(keyOf(s)) ?? s])),
  ];
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** What of a job is not as its kit has it; nothing for a job without one. */
export function kitDifferences(job: Job): readonly KitDifference[] {
  const { kit } = job;
  if (!kit) return [];
  return [...namedDifferences(job, kit), ...laidDifferences(job, kit)];
}

/** Styles and measures by their names: looks are compared whole, whatever they are based on. */
function namedDifferences(job: Job, kit: Kit): readonly KitDifference[] {
  const [ours, theirs] = [styleBook(job), styleBook(kit)];
  const wholeLook = (book: StyleBook, style: TypeStyle) =>
    style.of === 'paragraph' ? book.base({ style: style.id, look: {} }) : style.look;
  const styles = kit.styles.flatMap((style): KitDifference[] => {
    const mine = job.styles.find((s) => keyOf(s) === keyOf(style));
    if (!mine) return [{ what: 'style', name: style.name, how: 'missing' }];
    return same(wholeLook(ours, mine), wholeLook(theirs, style))
      ? []
      : [{ what: 'style', name: style.name, how: 'differs' }];
  });
  const cellStyles = kit.cellStyles.flatMap((style): KitDifference[] => {
    const mine = job.cellStyles.find((s) => s.name === style.name);
    if (!mine) return [{ what: 'cell style', name: style.name, how: 'missing' }];
    const bare = ({ id: _id, basedOn: _basedOn, ...facts }: CellStyle) => facts;
    return same(bare(mine), bare(style)) ? [] : [{ what: 'cell style', name: style.name, how: 'differs' }];
  });
  const measures = kit.measures.flatMap((measure): KitDifference[] => {
    const mine = job.measures.find((m) => m.name === measure.name);
    if (mine?.value === measure.value) return [];
    return [{ what: 'measure', name: measure.name, how: mine ? 'differs' : 'missing' }];
  });
  return [...styles, ...cellStyles, ...measures];
}

/** Colours and families on the pieces that the kit does not have; a kit that names none allows all. */
function laidDifferences(job: Job, kit: Kit): readonly KitDifference[] {
  const book = styleBook(job);
  const allowed = new Set([...ALWAYS, ...kit.colours.map((c) => paintKey(c.paint))]);
  return job.pieces.flatMap(elementsOf).flatMap(({ element }): KitDifference[] => {
    const paints = new Map(paintsOf(element, book).map((paint) => [paintKey(paint), paint]));
    return [
      ...(kit.colours.length === 0
        ? []
        : [...paints].flatMap(([key, paint]): KitDifference[] =>
            allowed.has(key) ? [] : [{ what: 'colour', element, paint }],
          )),
      ...(kit.families.length === 0
        ? []
        : familiesOf(element, book).flatMap((family): KitDifference[] =>
            kit.families.includes(family) ? [] : [{ what: 'family', element, family }],
          )),
    ];
  });
}

/** An element with its words in another family, wherever they are in the one. */
export const withFamily = (element: Element, book: StyleBook, from: string, to: string): Element =>
  mapTexts(element, book, (text) => mapLooks(text, book, (look) => (look.family === from ? { family: to } : {})));
