// Runs a program that cannot outlive who started it: when this process’s input ends, for whatever reason, the program
// is killed.
import { spawn } from 'node:child_process';

const [, , command, ...args] = process.argv;
const child = spawn(command, args, { stdio: ['ignore', 'ignore', 'inherit'] });
process.stdout.write(`${child.pid}\n`);
child.on('exit', (code) => process.exit(code ?? 1));
process.stdin.resume();
process.stdin.on('close', () => child.kill('SIGKILL'));
