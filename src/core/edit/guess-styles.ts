import { styleBook, wordsOf, type ElementOf, type Job, type Paragraph, type ParagraphChanges } from '../job';

/** What a line of a text from elsewhere most likely is. */
export type Role = 'heading' | 'bullet' | 'number' | 'body';

const BULLET = /^\s*[•·▪◦*–—-]\s+/;
const NUMBER = /^\s*\d{1,3}[.)]\s+/;

/** A heading is short and ends like no sentence [own]. */
const LONGEST = 60;
const isShort = (line: string): boolean => line.length <= LONGEST && !/[.,;:]$/.test(line);

/** What each line most likely is, from how it begins, how long it is, and what comes after it. */
export const rolesOf = (lines: readonly string[]): readonly Role[] =>
  lines.map((raw, i): Role => {
    const line = raw.trim();
    if (BULLET.test(raw)) return 'bullet';
    if (NUMBER.test(raw)) return 'number';
    const next = lines.slice(i + 1).find((other) => other.trim() !== '');
    // Something has to stand under a heading, and say more than it.
    const leads = next !== undefined && (BULLET.test(next) || NUMBER.test(next) || next.trim().length > line.length);
    return line !== '' && leads && isShort(line) && !isShort(next.trim()) ? 'heading' : 'body';
  });

/** Paragraphs as they would be set, and what is made of them in words. */
export interface GuessedStyles {
  readonly paragraphs: readonly Paragraph[];
  readonly words: string;
}

const count = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`;

/**
 * How the lines of a text would be set: headings and the rest in the job’s styles for them, marks of lists as lists.
 * @returns undefined where nothing would become of it
 */
export function guessedStyles(job: Job, text: ElementOf<'text'>): GuessedStyles | undefined {
  const lines = text.paragraphs.map(wordsOf);
  const roles = rolesOf(lines);
  const { heading, body } = stylesFor(job);
  const looks: Readonly<Record<Role, Pick<Paragraph, 'style' | 'look'>>> = {
    heading: heading ? { style: heading.id } : { look: { weight: 700 } },
    bullet: listed({ list: { list: 'bullet', mark: '•' } }, body?.id),
    number: listed({ list: { list: 'number', style: '1', after: '.', start: null } }, body?.id),
    body: body ? { style: body.id } : {},
  };
  const paragraphs = lines.map((line, i): Paragraph => {
    const role = roles[i] ?? 'body';
    const words = role === 'bullet' ? line.replace(BULLET, '') : role === 'number' ? line.replace(NUMBER, '') : line;
    return { ...looks[role], runs: words === '' ? [] : [{ text: words }] };
  });
  const many = (wanted: Role) => roles.filter((role) => role === wanted).length;
  const [headings, items] = [many('heading'), many('bullet') + many('number')];
  if (headings + items === 0 && !body) return undefined;
  const said = [
    ...(headings > 0
      ? [`${count(headings, 'heading', 'headings')}${heading ? ` in “${heading.name}”` : ', bold'}`]
      : []),
    ...(items > 0 ? [count(items, 'item of a list', 'items of a list')] : []),
    ...(body ? [`the rest in “${body.name}”`] : []),
  ];
  return { paragraphs, words: said.join(', ') };
}

const listed = (look: ParagraphChanges, style: string | undefined): Pick<Paragraph, 'style' | 'look'> => ({
  ...(style !== undefined && { style }),
  look,
});

/** The styles of a job for headings and for the rest: by what they are called, or else by their size. */
function stylesFor(job: Job) {
  const book = styleBook(job);
  const styles = job.styles.filter(({ of }) => of === 'paragraph');
  const called = (name: RegExp) => styles.find((style) => name.test(style.name));
  const sizeOf = ({ id }: { readonly id: string }) => book.style(id).sizePt;
  const bySize = [...styles].sort((a, b) => sizeOf(a) - sizeOf(b));
  const body = called(/\b(body|text|copy|running)\b/i) ?? bySize[0];
  const largest = bySize.at(-1);
  const heading = called(/\b(head|heading|headline|title|subhead)\b/i) ?? (largest !== body ? largest : undefined);
  return { heading: heading === body ? undefined : heading, body };
}
