import { FORMATS, GROUPS, commonParameters, type Format, type Group, type Parameter } from '../core/format';
import { blankOf, startJob } from '../core/job';
import { formatSize } from '../core/measure';
import { blankPicture } from '../paint/svg';

const GROUP_TITLES: Readonly<Record<Group, string>> = {
  flat: 'Flat sheets',
  folded: 'Folded sheets',
  bound: 'Bound',
  wrap: 'Wraps',
  large: 'Large',
  label: 'Labels',
  'die-cut': 'Die-cut',
  own: 'Own format',
};

const blankFor = (format: Format) => {
  const started = startJob(format, {}, { id: 'picture', name: format.title, unit: 'mm' });
  const piece = started.ok ? started.job.pieces[0] : undefined;
  if (!started.ok || !piece) throw new Error(`The ${format.kind} cannot be made from its defaults.`);
  return blankOf(started.job, piece);
};

/** A picture of each format as it lies flat with its usual decisions: file name and SVG. */
export const formatPictures = (): readonly { readonly name: string; readonly svg: string }[] =>
  FORMATS.map((format) => {
    const { surfaces } = blankFor(format);
    const shown = surfaces.find((s) => s.repeats) ?? surfaces[0];
    return { name: `${format.kind}.svg`, svg: shown ? `${blankPicture(shown, { width: 160, height: 120 })}\n` : '' };
  });

/** The table of all formats, from the registry that the program uses. */
export function formatsMarkdown(): string {
  const sections = GROUPS.map((group) => {
    const formats = FORMATS.filter((f) => f.group === group);
    return `## ${GROUP_TITLES[group]}\n\n${formats.map(section).join('\n')}`;
  });
  return (
    '# Formats\n' +
    '\n' +
    'Made from the registry by `npm run formats`; a test notices when the two differ. Every decision has the ' +
    'same name in the\n' +
    'job file, on the command line (`ys new KIND --set NAME=VALUE`) and as a field. Defaults are written as ' +
    'one types them,\n' +
    'metric | inches.\n' +
    '\n' +
    'Every kind also has: ' +
    `${Object.entries(commonParameters)
      .map(([name, p]) => `\`${name}\` (${p.help.replace(/\.$/, '').toLowerCase()})`)
      .join(', ')}.\n` +
    '\n' +
    sections.join('\n')
  );
}

function section(format: Format): string {
  const { finished, flat, surfaces, scale } = blankFor(format);
  const sides =
    surfaces.length > 4
      ? `${surfaces
          .slice(0, 3)
          .map((s) => s.name)
          .join(', ')} … ${surfaces.at(-1)?.name ?? ''}`
      : surfaces.map((s) => s.name).join(', ');
  const processes = [...new Set(surfaces.flatMap((s) => s.processLines.map((l) => l.process)))];
  const facts = [
    `finished ${formatSize(finished, 'mm')}`,
    flat.width === finished.width && flat.height === finished.height
      ? ''
      : `${scale === 1 ? 'flat' : `drawn 1:${scale}`} ${formatSize(flat, 'mm')}`,
    `sides: ${sides}`,
    processes.length > 0 ? `lines: ${processes.join(', ')}` : '',
  ].filter(Boolean);
  return `### ${format.title} (\`${format.kind}\`)

![${format.title}](formats/${format.kind}.svg)

${format.about} As it begins: ${facts.join('; ')}.

| decision | is | left out | what it means |
| --- | --- | --- | --- |
${parameterRows(format.parameters)}
`;
}

/** Decisions as the rows of a table. */
export const parameterRows = (parameters: Format['parameters']): string =>
  Object.entries(parameters).map(row).join('\n');

const row = ([name, p]: [string, Parameter]): string => {
  const preset =
    p.default === null
      ? 'worked out'
      : p.default.metric === p.default.imperial
        ? oneLine(p.default.metric) || 'empty'
        : `${oneLine(p.default.metric)} \\| ${oneLine(p.default.imperial)}`;
  const is = p.options ? p.options.map((o) => `\`${o.value}\``).join(' ') : p.kind;
  return `| \`${name}\` | ${is} | ${preset} | ${p.help.replace(/\|/g, '\\|')} |`;
};

/** Lines of a default parted by a stroke. */
const oneLine = (text: string): string => text.replace(/\n/g, ' / ');
