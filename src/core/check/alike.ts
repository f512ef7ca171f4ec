import type { Job } from '../job';
import { applyChange, type Finding, type Severity } from './rule';

/** Findings of one rule and one weight. */
export interface Alike {
  readonly rule: string;
  readonly severity: Severity;
  readonly findings: readonly Finding[];
}

/** Findings that say the same of several things, together where the first of them stood. */
export function alike(findings: readonly Finding[]): readonly Alike[] {
  const kinds = new Map<string, Finding[]>();
  for (const finding of findings) {
    const key = `${finding.severity} ${finding.rule}`;
    kinds.set(key, [...(kinds.get(key) ?? []), finding]);
  }
  return [...kinds.values()].flatMap((those) => {
    const [first] = those;
    return first ? [{ rule: first.rule, severity: first.severity, findings: those }] : [];
  });
}

/**
 * The fix that mends all of them at once, one element each.
 * @returns its label; undefined where they are mended in different ways, or where one fix would undo another
 */
export function commonFix({ findings }: Alike): string | undefined {
  const [first, ...rest] = findings;
  const label = first?.fixes[0]?.label;
  if (label === undefined || rest.length === 0) return undefined;
  const changes = findings.flatMap((f) => f.fixes.filter((fix) => fix.label === label).slice(0, 1));
  const mended = new Set(changes.flatMap(({ change }) => (change.kind === 'element' ? [change.element.id] : [])));
  return mended.size === findings.length ? label : undefined;
}

/** The job with a fix of each of the findings. */
export function mendAll(job: Job, { findings }: Alike, label: string): Job {
  const fixes = findings.flatMap((f) => f.fixes.filter((fix) => fix.label === label).slice(0, 1));
  return fixes.reduce((now, { change }) => applyChange(now, change), job);
}
