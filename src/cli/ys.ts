import { readFileSync } from 'node:fs';
import { CannotExport } from '../output/cannot-export';
import { shipped } from '../output/home';
import { UsageError, readArguments } from './arguments';
import { COMMANDS } from './commands';
import { commandHelp, helpText } from './help';
import { say } from './say';

/** Follows one command line. @returns the exit code */
async function run(argv: readonly string[]): Promise<number> {
  const [first = 'help', ...rest] = argv;
  if (first === '--version') {
    const { version } = JSON.parse(readFileSync(shipped('package.json'), 'utf8')) as { version: string };
    process.stdout.write(`${version}\n`);
    return 0;
  }
  const isHelp = first === 'help' || first === '--help';
  const name = isHelp ? rest[0] : first;
  if (name === undefined) {
    say(helpText());
    return 0;
  }
  const command = COMMANDS.find((c) => c.name === name);
  if (!command) throw new UsageError(`There is no command “${name}”.\n\n${helpText()}`);
  if (isHelp || rest.includes('--help')) {
    say(commandHelp(command));
    return 0;
  }
  const args = readArguments(rest);
  return (await command.load()).run(args);
}

/** What the system says of a file, in words. */
const SYSTEM: Readonly<Record<string, string>> = {
  ENOENT: 'is not there',
  EACCES: 'may not be read or written',
  EPERM: 'may not be changed',
  EISDIR: 'is a folder',
  ENOTDIR: 'lies in something that is no folder',
  ENOSPC: 'does not fit: the disk is full',
  EROFS: 'cannot be written: the disk is read-only',
  EEXIST: 'is there already, as something else',
  ENAMETOOLONG: 'has too long a name',
};

interface SystemError extends Error {
  readonly code: string;
  readonly path?: string;
}

const isSystemError = (error: unknown): error is SystemError =>
  error instanceof Error && 'code' in error && typeof error.code === 'string' && error.code in SYSTEM;

/** Why a command could not be followed, in words. */
function why(error: unknown): string {
  if (error instanceof UsageError || error instanceof CannotExport) return error.message;
  if (isSystemError(error))
    return `“${error.path ?? ''}” ${SYSTEM[error.code] ?? error.code}. Nothing else was changed.`;
  return `This should not have happened: ${String(error instanceof Error ? (error.stack ?? error.message) : error)}`;
}

run(process.argv.slice(2)).then(
  (code) => (process.exitCode = code),
  (error: unknown) => {
    say(why(error));
    process.exitCode = 2;
  },
);
