import { ok, text, type Parameter } from '../parameter';

/** Words on one line, taken as they are. */
export const phrase = (
  label: string,
  preset: string,
  help: string,
  more: Pick<Parameter, 'when'> = {},
): Parameter<string> => text(label, preset, help, (entry) => ok(entry.trim()), more);

/** Several lines of words, one a line; on a command line a bar parts them. */
export const rowsOfWords = (
  label: string,
  preset: string,
  help: string,
  more: Pick<Parameter, 'when'> = {},
): Parameter<string> => ({
  ...text(
    label,
    preset,
    help,
    (entry) =>
      ok(
        entry.includes('\n')
          ? entry
          : entry
              .split('|')
              .map((l) => l.trim())
              .join('\n'),
      ),
    more,
  ),
  isLong: true,
});
