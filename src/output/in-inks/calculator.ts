/** A procedure: words, numbers and further procedures in braces. */
type Step = string | number | readonly Step[];

/** More steps than this are not taken [own]. */
const MOST = 10_000;

/**
 * A PostScript calculator function of one number (ISO 32000-1, 7.10.5).
 * @returns undefined where it cannot be read
 */
export function calculator(text: string): ((x: number) => readonly number[]) | undefined {
  const tokens = text.replace(/%[^\r\n]*/g, ' ').match(/[{}]|[^\s{}]+/g) ?? [];
  let at = 0;
  const procedure = (): readonly Step[] | undefined => {
    if (tokens[at] !== '{') return undefined;
    at += 1;
    const steps: Step[] = [];
    for (;;) {
      const token = tokens[at];
      if (token === undefined) return undefined;
      if (token === '}') {
        at += 1;
        return steps;
      }
      if (token === '{') {
        const inner = procedure();
        if (!inner) return undefined;
        steps.push(inner);
      } else {
        const number = Number(token);
        steps.push(Number.isNaN(number) ? token : number);
        at += 1;
      }
    }
  };
  const steps = procedure();
  return (
    steps &&
    ((x) => {
      const stack: (number | boolean)[] = [x];
      run(steps, stack, { left: MOST });
      return stack.map(Number);
    })
  );
}

type Stack = (number | boolean)[];

function run(steps: readonly Step[], stack: Stack, budget: { left: number }): void {
  steps.forEach((step, i) => {
    if ((budget.left -= 1) < 0) throw new RangeError('A function of the file does not come to an end.');
    if (typeof step === 'number') stack.push(step);
    else if (typeof step !== 'string') return;
    else if (step === 'if') {
      if (stack.pop()) run(branchOf(steps[i - 1]), stack, budget);
    } else if (step === 'ifelse') run(branchOf(steps[stack.pop() ? i - 2 : i - 1]), stack, budget);
    else operate(step, stack);
  });
}

const branchOf = (step: Step | undefined): readonly Step[] => (Array.isArray(step) ? (step as readonly Step[]) : []);

const ONE: Readonly<Record<string, (a: number) => number | boolean>> = {
  abs: Math.abs,
  neg: (a) => -a,
  ceiling: Math.ceil,
  floor: Math.floor,
  round: Math.round,
  truncate: Math.trunc,
  cvi: Math.trunc,
  cvr: (a) => a,
  sqrt: Math.sqrt,
  ln: Math.log,
  log: Math.log10,
  sin: (a) => Math.sin((a * Math.PI) / 180),
  cos: (a) => Math.cos((a * Math.PI) / 180),
};

const TWO: Readonly<Record<string, (a: number, b: number) => number | boolean>> = {
  add: (a, b) => a + b,
  sub: (a, b) => a - b,
  mul: (a, b) => a * b,
  div: (a, b) => a / b,
  idiv: (a, b) => Math.trunc(a / b),
  mod: (a, b) => a % b,
  exp: (a, b) => a ** b,
  atan: (a, b) => ((Math.atan2(a, b) * 180) / Math.PI + 360) % 360,
  eq: (a, b) => a === b,
  ne: (a, b) => a !== b,
  gt: (a, b) => a > b,
  ge: (a, b) => a >= b,
  lt: (a, b) => a < b,
  le: (a, b) => a <= b,
  bitshift: (a, b) => (b >= 0 ? a << b : a >> -b),
};

const LOGIC: Readonly<Record<string, (a: number, b: number) => number>> = {
  and: (a, b) => a & b,
  or: (a, b) => a | b,
  xor: (a, b) => a ^ b,
};

function operate(word: string, stack: Stack): void {
  const number = (): number => Number(stack.pop() ?? 0);
  if (Object.hasOwn(ONE, word)) {
    stack.push(ONE[word]?.(number()) ?? 0);
    return;
  }
  if (Object.hasOwn(TWO, word)) {
    const b = number();
    stack.push(TWO[word]?.(number(), b) ?? 0);
    return;
  }
  if (Object.hasOwn(LOGIC, word)) {
    const [b, a] = [stack.pop() ?? 0, stack.pop() ?? 0];
    const value = LOGIC[word]?.(Number(a), Number(b)) ?? 0;
    stack.push(typeof a === 'boolean' ? value !== 0 : value);
    return;
  }
  switch (word) {
    case 'true':
    case 'false':
      stack.push(word === 'true');
      return;
    case 'not': {
      const a = stack.pop() ?? 0;
      stack.push(typeof a === 'boolean' ? !a : ~a);
      return;
    }
    case 'pop':
      stack.pop();
      return;
    case 'dup':
      stack.push(stack.at(-1) ?? 0);
      return;
    case 'exch': {
      const [b, a] = [stack.pop() ?? 0, stack.pop() ?? 0];
      stack.push(b, a);
      return;
    }
    case 'copy': {
      const count = number();
      if (count > 0) stack.push(...stack.slice(-count));
      return;
    }
    case 'index':
      stack.push(stack.at(-1 - number()) ?? 0);
      return;
    case 'roll': {
      const shift = number();
      const count = number();
      if (count <= 0 || count > stack.length) return;
      const part = stack.splice(-count);
      const by = ((shift % count) + count) % count;
      stack.push(...part.slice(count - by), ...part.slice(0, count - by));
      return;
    }
    default:
      throw new RangeError(`“${word}” is not understood in a function of the file.`);
  }
}
