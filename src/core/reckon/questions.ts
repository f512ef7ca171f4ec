import { SCHEMES, SCHEME_NAMES, type Scheme, type SchemeName } from '../fold';
import { Impossible, allowance, choice, count, fitOnSheet, length, number, ok, size, text } from '../format';
import { JOB_UNITS, formatLength, formatNumber, parseLength, pixels, type Unit } from '../measure';
import { ENVELOPES, fitEnvelope } from '../paper';
import { eyePpi, neededPpi } from '../rules';
import { thicknessByWeight } from '../shop';
import { paperWeight } from './paper-weight';
import { answerFigure, defineQuestion, type Question } from './question';

const whole = (n: number) => Math.round(n * 1000) / 1000;

const unitSum = defineQuestion({
  id: 'unit-sum',
  title: 'A sum of lengths',
  about: 'Any units, any arithmetic, in every unit at once.',
  parameters: {
    sum: text(
      'Sum',
      '5ft 6in + 3 1/2 in',
      'Lengths with + − × ÷ and brackets; a bare number is in the unit above.',
      (typed, context) => {
        const read = parseLength(typed, context);
        return read.ok ? ok(`${read.value} mm`) : read;
      },
    ),
  },
  job: { kind: 'flyer' },
  answer: ({ sum }) => {
    const mm = Number.parseFloat(sum);
    const units: readonly Unit[] = [...JOB_UNITS, 'ft', 'm'];
    return units.map((unit) =>
      answerFigure(
        unit,
        `In ${unit}`,
        whole(mm),
        'mm',
        [formatLength(mm, unit)],
        '1 in = 25.4 mm = 72 pt exactly (ISO 80000-3; PDF user space)',
      ),
    );
  },
});

const pixelCount = defineQuestion({
  id: 'pixels',
  title: 'Pixels for a size',
  about: 'How many pixels a picture needs, with its bleed.',
  parameters: {
    size: size('Size', ['A4', 'letter'], 'Trimmed; width x height, or a paper name.'),
    bleed: length('Bleed', ['3 mm', '1/8 in'], 'At each edge.'),
    ppi: number('Resolution, ppi', '300', 'Pixels to the inch.', 1, 5000),
  },
  job: { kind: 'poster' },
  answer: ({ size: s, bleed, ppi }, { write }) => {
    const [w, h] = [s.width + 2 * bleed, s.height + 2 * bleed];
    const px = [pixels(w, ppi), pixels(h, ppi)];
    return [
      answerFigure(
        'pixels',
        'With bleed',
        px,
        'px',
        [`round(${write(w)} ÷ 25.4 mm × ${ppi}) = ${px[0]}`, `round(${write(h)} ÷ 25.4 mm × ${ppi}) = ${px[1]}`],
        'Pixels = round(mm ÷ 25.4 × ppi)',
      ),
      answerFigure(
        'trimmed',
        'Trimmed',
        [pixels(s.width, ppi), pixels(s.height, ppi)],
        'px',
        [`${write(s.width)} × ${write(s.height)} at ${ppi} ppi`],
        'The same without bleed',
      ),
    ];
  },
});

const viewing = defineQuestion({
  id: 'viewing-distance',
  title: 'Viewing distance',
  about: 'Resolution that the eye can use, and letters that it can read.',
  parameters: { distance: length('Looked at from', ['3 m', '10 ft'], 'Eye to paper.', { least: 50, most: 1_000_000 }) },
  job: { kind: 'banner' },
  answer: ({ distance }) => {
    const eye = eyePpi(distance);
    return [
      answerFigure(
        'eye',
        'The eye resolves',
        Math.round(eye),
        'ppi',
        [`25.4 ÷ (${formatNumber(distance, 0)} mm × tan 1′) = ${formatNumber(eye, 1)} ppi`],
        'One arc-minute, 20/20 acuity',
      ),
      answerFigure(
        'needed',
        'Worth having',
        neededPpi(distance),
        'ppi',
        [`rounded up to 50, from 72 to 300`],
        'Common practice',
      ),
      answerFigure(
        'cap',
        'Capitals at least',
        whole(distance / 250),
        'mm',
        [
          `${formatNumber(distance, 0)} mm ÷ 250 to ÷ 200 = ${formatNumber(distance / 250, 1)} to ` +
            `${formatNumber(distance / 200, 1)} mm`,
        ],
        'Cap height for easy reading (common practice)',
      ),
    ];
  },
});

const spine = defineQuestion({
  id: 'spine',
  title: 'Spine of a book',
  about: 'From pages and paper, with the cover that goes around it.',
  parameters: {
    size: size('Page size', ['170 x 240 mm', '6 x 9 in'], 'Trimmed page.'),
    pages: count('Pages', '100', 'Inside the cover.', 2, 2000),
    thickness: length('Paper thickness', ['0.13 mm', '0.13 mm'], 'Caliper of a sheet.', { least: 0.01, most: 2 }),
    'cover-allowance': length('Cover allowance', '0 mm', 'What the binder adds.', { most: 20 }),
  },
  job: { kind: 'catalogue' },
  answer: ({ size: s, pages, thickness, 'cover-allowance': more }, { write }) => {
    if (pages % 2 !== 0) throw new Impossible('pages', `A leaf has two pages: take ${pages + 1} or ${pages - 1}.`);
    const mm = (pages / 2) * thickness + more;
    return [
      answerFigure(
        'spine',
        'Spine',
        whole(mm),
        'mm',
        [`${pages} ÷ 2 × ${write(thickness)} + ${write(more)} = ${write(mm)}`],
        'Leaves × thickness + what the binder adds (common practice)',
      ),
      answerFigure(
        'cover',
        'Cover, flat',
        [whole(2 * s.width + mm), s.height],
        'mm',
        [`${write(s.width)} + ${write(mm)} + ${write(s.width)} = ${write(2 * s.width + mm)}`],
        'Back + spine + front',
      ),
    ];
  },
});

const FOLD_CHOICES = Object.fromEntries(SCHEME_NAMES.map((n) => [n, SCHEMES[n].title])) as Record<SchemeName, string>;

const panels = defineQuestion({
  id: 'fold-panels',
  title: 'Panels of a fold',
  about: 'Widths in the order in which the outside is read.',
  parameters: {
    size: size('Flat size', ['A4 landscape', 'letter landscape'], 'Opened out.'),
    fold: choice('Fold', 'letter', 'How it is folded.', FOLD_CHOICES),
    panels: count('Panels', '4', 'Of an accordion or a roll.', 3, 12, {
      when: (v) => v['fold'] === 'accordion' || v['fold'] === 'roll',
    }),
    allowance: allowance('Allowance', 'even, shift:1mm or thickness:0.12mm; left out, 1 mm of shift.'),
  },
  job: { kind: 'brochure' },
  answer: ({ size: s, fold, panels: n, allowance: given }, { write }) => {
    const scheme: Scheme = SCHEMES[fold];
    const { least, most } = scheme.panels;
    const many = least === most ? least : n;
    if (many < least || many > most)
      throw new Impossible('panels', `A ${scheme.title} has from ${least} to ${most} panels.`);
    const found = scheme.widths(
      s.width,
      many,
      { allowance: given ?? { school: 'shift', mm: 1 }, caliper: 0.12, tolerance: 1, floor: 0 },
      write,
    );
    const names = scheme.outside(many);
    const widths = [...found.widths].reverse();
    return [
      answerFigure(
        'panels',
        'Panels, outside',
        widths.map(whole),
        'mm',
        [...found.working, names.map((name, i) => `${name} ${write(widths[i] ?? 0)}`).join(' | ')],
        found.rule,
      ),
    ];
  },
});

const envelope = defineQuestion({
  id: 'envelope-fit',
  title: 'Which envelope',
  about: 'The envelopes that a flat or folded piece goes into, with clearance.',
  parameters: {
    size: size('Piece', ['A5', '5 x 7 in'], 'As it goes in.'),
    thick: length('Thickness', '0.5 mm', 'Of everything inside.', { most: 60 }),
  },
  job: { kind: 'invitation' },
  answer: ({ size: s, thick }, { write }) => {
    const fits = ENVELOPES.map((e) => fitEnvelope(s, thick, e))
      .filter((f) => f.fits)
      .sort((a, b) => a.envelope.width * a.envelope.height - b.envelope.width * b.envelope.height)
      .slice(0, 4);
    if (fits.length === 0) throw new Impossible('size', 'No envelope on the list takes this: one has to be made.');
    return fits.map((f, i) =>
      answerFigure(
        `fit-${i}`,
        f.envelope.name,
        [whole(f.envelope.width), whole(f.envelope.height)],
        'mm',
        [
          `left over: ${write(f.clearance.width)} across, ${write(f.clearance.height)} ` +
            `down${f.turned ? ', turned a quarter' : ''}`,
          `needed each way: 1/8 in + ${write(thick)} = ${write(f.needed)}`,
        ],
        i === 0 ? 'The smallest that takes it (common practice)' : 'Takes it too',
      ),
    );
  },
});

const sheets = defineQuestion({
  id: 'sheets',
  title: 'Sheets and overs',
  about: 'Up on a sheet, sheets to buy, and what they weigh.',
  parameters: {
    size: size('Piece', ['A6', 'quarter letter'], 'Trimmed.'),
    bleed: length('Bleed', ['3 mm', '1/8 in'], 'At each edge.'),
    sheet: size('Sheet', ['SRA3', '12 x 18 in'], 'That is printed.'),
    quantity: count('Copies', '2000', 'Good ones.', 1, 100_000_000),
    fixed: count('Make-ready', '50', 'Sheets until it runs well.', 0, 100_000),
    running: number('Running overs, %', '3', 'Spoilt on the way.', 0, 50),
    grammage: number('Weight, g/m²', '150', 'Of the paper.', 10, 2000),
  },
  job: { kind: 'flyer' },
  answer: ({ size: s, bleed, sheet, quantity, fixed, running, grammage }, { write }) => {
    const fit = fitOnSheet({
      trim: s,
      withBleed: { width: s.width + 2 * bleed, height: s.height + 2 * bleed },
      marks: Math.max(3, bleed) + 5,
      unprintable: 5,
      sheet: { name: 'the sheet', ...sheet },
    });
    if (fit.up === 0)
      throw new Impossible('sheet', `The piece does not lie on this sheet: ${fit.why ?? 'it is too large'}.`);
    const good = Math.ceil(quantity / fit.up);
    const need = good + fixed + Math.ceil((good * running) / 100);
    const kg = (need * sheet.width * sheet.height * grammage) / 1e9;
    return [
      answerFigure(
        'up',
        'Up',
        fit.up,
        'count',
        [
          `${fit.across} across × ${fit.down} down${fit.turned ? ', the sheet turned' : ''}`,
          `one, centred: ${write(fit.left)} from the left, ${write(fit.top)} from the top`,
        ],
        'Plain rows and columns',
      ),
      answerFigure(
        'need',
        'Sheets needed',
        need,
        'count',
        [`⌈${quantity} ÷ ${fit.up}⌉ = ${good}`, `+ ${fixed} to make ready + ⌈${good} × ${running} %⌉ = ${need}`],
        'Quantity over up, and overs (common practice)',
      ),
      answerFigure(
        'weight',
        'They weigh',
        whole(kg),
        'kg',
        [
          `${need} × ${formatNumber((sheet.width * sheet.height) / 1e6, 4)} m² × ${grammage} g/m² = ` +
            `${formatNumber(kg, 2)} kg`,
        ],
        'Area × grammage × count',
      ),
    ];
  },
});

const runWeight = defineQuestion({
  id: 'run-weight',
  title: 'Weight of a run',
  about: 'What the finished copies weigh, one and all.',
  parameters: {
    size: size('Flat size', ['A4', 'letter'], 'Opened out.'),
    leaves: count('Leaves', '1', 'Sheets in one copy.', 1, 2000),
    grammage: number('Weight, g/m²', '130', 'Of the paper.', 10, 2000),
    quantity: count('Copies', '4000', 'All of them.', 1, 100_000_000),
  },
  job: { kind: 'flyer' },
  answer: ({ size: s, leaves, grammage, quantity }) => {
    const one = (s.width * s.height * grammage * leaves) / 1e6;
    const kg = (one * quantity) / 1000;
    return [
      answerFigure(
        'one',
        'One copy, grams',
        whole(one),
        'count',
        [
          `${formatNumber((s.width * s.height) / 1e6, 5)} m² × ${grammage} g/m² × ${leaves} = ` +
            `${formatNumber(one, 2)} g`,
        ],
        'Area × grammage',
      ),
      answerFigure(
        'run',
        'The run',
        whole(kg),
        'kg',
        [`${formatNumber(one, 2)} g × ${quantity} = ${formatNumber(kg, 1)} kg`],
        'Area × grammage × count',
      ),
      answerFigure(
        'pile',
        'As one pile',
        whole((thicknessByWeight('coated', grammage) * leaves * quantity) / 1000),
        'count',
        [
          `about ${formatNumber((thicknessByWeight('coated', grammage) * leaves * quantity) / 1000, 2)} m ` +
            'high, coated paper',
        ],
        'Caliper from weight × bulk (common practice)',
      ),
    ];
  },
});

/** The questions of the day, in the order in which a job brings them up. */
export const QUESTIONS: readonly Question[] = [
  unitSum,
  pixelCount,
  viewing,
  panels,
  spine,
  envelope,
  sheets,
  runWeight,
  paperWeight,
];
