import type { Drawing, Note } from '../drawing';
import { codeQuietRule } from './code-quiet';
import { codeSmallRule } from './code-small';
import { codeWrongRule } from './code-wrong';
import { missingRule } from './missing';
import type { Rule } from './rule';
import { tablePastBoxRule } from './table-past-box';
import { textOverflowRule } from './text-overflow';

/** Notes that something is wrong with what a copy says, and the rules that put them into words. */
const OF_RECORDS: Readonly<Partial<Record<Note['kind'], Rule>>> = {
  overflow: textOverflowRule,
  'table-past-box': tablePastBoxRule,
  'missing-picture': missingRule,
  'missing-glyphs': missingRule,
  'code-wrong': codeWrongRule,
};

/**
 * The rules that one of many copies needs: all that its drawing notes, and those of codes that came out otherwise.
 * @param like the drawing of the copy that every rule has seen
 */
export function recordRules({ notes }: Drawing, like: Drawing | undefined): readonly Rule[] {
  const rules = new Set<Rule>();
  for (const note of notes) {
    const rule = OF_RECORDS[note.kind];
    if (rule) rules.add(rule);
    if (note.kind === 'code' && !like?.notes.some((n) => n.kind === 'code' && isSameCode(n, note)))
      for (const own of [codeSmallRule, codeQuietRule]) rules.add(own);
  }
  return [...rules];
}

type CodeNote = Extract<Note, { kind: 'code' }>;

const isSameCode = (a: CodeNote, b: CodeNote): boolean =>
  a.element === b.element && Math.abs(a.module - b.module) < 1e-9 && Math.abs(a.whole.width - b.whole.width) < 1e-6;
