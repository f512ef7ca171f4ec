import { commonParameters, isCommon, type CommonName, type Format, type Parameter } from '../format';
import { type FieldContext, type FieldError, type JobUnit, type Mm } from '../measure';
import { isImperial } from '../rules';
import { blankOf } from './blank-of';
import { Impossible, readTyped, withUsual, type TypedDecisions } from '../parameter';
import { Job, JOB_VERSION, type Piece } from './schema';

/** A format’s own decisions and those that every piece has, in the order in which they are asked. */
export const parametersOf = (format: Format): Readonly<Record<string, Parameter>> => ({
  ...format.parameters,
  ...commonParameters,
});

/** Of what was typed, that in which a unit may stand: neither choices nor words. */
export const measuresTyped = (
  parameters: Readonly<Record<string, Parameter>>,
  typed: Readonly<Record<string, string>>,
): readonly string[] =>
  Object.entries(typed).flatMap(([name, text]) => {
    const kind = Object.hasOwn(parameters, name) ? parameters[name]?.kind : undefined;
    return (kind === 'choice' || kind === 'text') && name !== 'outline' ? [] : [text];
  });

/** The unit that typed lengths were thought in, so that a job begun in inches goes on in inches. */
export function unitThoughtIn(texts: readonly string[]): JobUnit {
  const inches =
    /(\d|\s)(in|inch|inches|ft|foot|feet)\b|["″”'′’]|letter|legal|tabloid|ledger|executive|arch|statement/i;
  return texts.some((text) => inches.test(text)) ? 'in' : 'mm';
}

export interface NewJob {
  readonly id: string;
  readonly name: string;
  readonly unit: JobUnit;
}

export type Started =
  | { readonly ok: true; readonly job: Job }
  | { readonly ok: false; readonly parameter: string; readonly error: FieldError };

/** Reads typed parameters of a kind of piece, those of every piece among them. */
export const readDecisions = (
  format: Format,
  typed: Readonly<Record<string, string>>,
  context: FieldContext,
): TypedDecisions => readTyped(parametersOf(format), typed, context, `A ${format.kind}`);

const edgesOf = (mm: Mm) => ({ top: mm, right: mm, bottom: mm, left: mm });

type Values = Readonly<Record<string, unknown>>;

/** What the decisions that every piece has become in it. @param grid as it is where nothing is said of it */
function commonFacts(values: Values, grid: Piece['grid']): Pick<Piece, 'grid'> & Partial<Piece> {
  const given = (name: CommonName) => values[name] as number | undefined;
  const [bleed, safe, slug] = [given('bleed'), given('safe'), given('slug')];
  return {
    ...(bleed !== undefined && { bleed: edgesOf(bleed) }),
    ...(safe !== undefined && { safe: edgesOf(safe) }),
    ...(slug !== undefined && { slug }),
    grid: {
      ...grid,
      columns: given('columns') ?? grid.columns,
      gutter: given('gutter') ?? grid.gutter,
      rows: given('rows') ?? grid.rows,
      rowGutter: given('row-gutter') ?? grid.rowGutter,
    },
  };
}

const ONE_FIELD = { columns: 1, gutter: 4, rows: 1, rowGutter: 4 };

/** A piece of a kind with these decisions; what was not typed has its default in the unit the job is thought in. */
export function makePiece(format: Format, id: string, values: Values, unit: JobUnit): Values {
  const habit = isImperial(unit) ? 'imperial' : 'metric';
  return {
    kind: format.kind,
    id,
    name: format.title,
    decisions: withUsual(format.parameters, values, habit),
    ...commonFacts(values, ONE_FIELD),
  };
}

/** The piece with some decisions made otherwise: those of its kind, and those that every piece has. */
export function redecided(piece: Piece, values: Values): Piece {
  const own = Object.fromEntries(Object.entries(values).filter(([name]) => !isCommon(name)));
  return { ...piece, ...commonFacts(values, piece.grid), decisions: { ...piece.decisions, ...own } };
}

/**
 * Begins a job of a format from parameters as typed.
 * @returns the job, or the parameter that could not be read or cannot be, and why
 */
export function startJob(
  format: Format,
  typed: Readonly<Record<string, string>>,
  about: NewJob,
  more: Partial<Pick<Job, 'stock' | 'house'>> = {},
): Started {
  const read = readDecisions(format, typed, { unit: about.unit, ppi: 300 });
  if (!read.ok) return read;
  const made = Job.safeParse({
    format: 'yellow-sheet-job',
    version: JOB_VERSION,
    id: about.id,
    name: about.name,
    unit: about.unit,
    step: about.unit === 'mm' || about.unit === 'cm' ? 0.5 : 25.4 / 32,
    language: about.unit === 'in' ? 'en-US' : 'en-GB',
    readingDistance: format.usual?.distance ?? 300,
    pieces: [makePiece(format, format.kind, read.values, about.unit)],
    ...more,
  });
  const first = Object.keys(format.parameters)[0] ?? 'size';
  if (!made.success) {
    const issue = made.error.issues[0];
    const name = issue?.path.map(String).find((key) => Object.hasOwn(format.parameters, key)) ?? first;
    return { ok: false, parameter: name, error: { at: 0, length: 0, message: issue?.message ?? '' } };
  }
  const refused = refusalOf(made.data, made.data.pieces[0]);
  return refused ? { ok: false, ...refused } : { ok: true, job: made.data };
}

/** Why a piece cannot be made as decided, with the decision to change; undefined when it can. */
export function refusalOf(
  job: Job,
  piece: Piece | undefined,
): { readonly parameter: string; readonly error: FieldError } | undefined {
  if (!piece) return undefined;
  try {
    blankOf(job, piece);
    return undefined;
  } catch (error) {
    if (!(error instanceof Impossible)) throw error;
    return { parameter: error.parameter, error: { at: 0, length: 0, message: error.message } };
  }
}
