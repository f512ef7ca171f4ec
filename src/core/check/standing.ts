import type { Standing } from '../job';
import type { Finding } from './rule';

/** What stands in a job’s way, in short. @param findings of all its sides, in any order */
export function standingOf(findings: readonly Finding[]): Standing {
  const faults = findings.filter((f) => f.severity === 'fault');
  const warnings = findings.filter((f) => f.severity === 'warning');
  const worst = faults[0] ?? warnings[0];
  return { faults: faults.length, warnings: warnings.length, first: worst?.message ?? null };
}
