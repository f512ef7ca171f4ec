import { elementsOf, type Element, type Job } from '../job';
import type { Finding, Fix } from './rule';

/**
 * Findings of a job as a record filled it, with fixes that leave the names of columns where they stand: a fix is made
 * to the document, and not to the one copy that is looked at.
 */
export function inDocument(findings: readonly Finding[], job: Job, filled: Job): readonly Finding[] {
  if (job === filled) return findings;
  const written = byId(job);
  const shown = byId(filled);
  const kept = (fix: Fix): readonly Fix[] => {
    if (fix.change.kind !== 'element') return [fix];
    const { element } = fix.change;
    const own = written.get(element.id);
    if (!own || own === shown.get(element.id)) return [fix];
    const named = withNames(element, own);
    return named ? [{ ...fix, change: { kind: 'element', element: named } }] : [];
  };
  return findings.map((finding) => ({ ...finding, fixes: finding.fixes.flatMap(kept) }));
}

const byId = (job: Job): ReadonlyMap<string, Element> =>
  new Map(job.pieces.flatMap((piece) => elementsOf(piece).map(({ element }) => [element.id, element] as const)));

/** An element as a fix leaves it, saying what the document says; undefined where its words were set anew. */
function withNames(fixed: Element, own: Element): Element | undefined {
  if (fixed.kind === 'code' && own.kind === 'code') return { ...fixed, content: own.content };
  if (fixed.kind === 'picture' && own.kind === 'picture') return { ...fixed, picture: own.picture, wants: own.wants };
  return undefined;
}
