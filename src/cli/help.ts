import { COMMANDS, type Command } from './commands';

const FOOT = `JOB is a job file (.ysjob.json, pictures in assets/ beside it, or in --assets DIR) or a working file
(.yellowsheet.zip). ys help COMMAND says more of a command; ys --version says which this is.`;

/** What the program does, a line or two a command. */
export const helpText = (): string =>
  [
    'ys: Yellow Sheet without a screen. JSON on standard output, messages on standard error.',
    'Exit code: 0 fine, 1 findings, 2 bad input.',
    '',
    ...COMMANDS.flatMap(({ typed }) => typed.map((line) => `  ${line}`)),
    '',
    FOOT,
  ].join('\n');

/** What a command does, with its options. */
export function commandHelp({ typed, about, options }: Command): string {
  const wide = Math.max(0, ...options.map(([option]) => option.length));
  return [
    about,
    '',
    ...typed.map((line) => `  ${line}`),
    ...(options.length > 0 ? [''] : []),
    ...options.map(([option, words]) => `  ${option.padEnd(wide)}  ${words}`),
  ].join('\n');
}
