'use client';
import { useEffect } from 'react';
import { applyChange, type Finding } from '@/core/check';
import { shownJob, useJobStore } from './context';
import { useChecked } from './use-desk';

/** Goes to where a finding is, and selects what it is about. */
export function useSeeFinding() {
  const store = useJobStore();
  return (finding: Finding) => {
    const { show, select } = store.getState();
    show(finding.surface);
    if (finding.element) select([finding.element]);
  };
}

/** A finding whose fix was asked for. */
interface Wish {
  readonly finding: Finding;
  readonly label: string;
}

/** What was asked for in each job: it is done though the part of the page where it was pressed is gone by then. */
const wishes = new WeakMap<object, Wish>();

/**
 * Mends what was found. A fix is worked out for one state of the job; where the job has changed since it was checked,
 * the fix waits for the check of what is there now, and is left undone where that finds nothing to mend.
 */
export function useFix() {
  const store = useJobStore();
  const checked = useChecked();
  const mend = () => {
    const wish = wishes.get(store);
    if (!wish || shownJob(store.getState()) !== checked.of) return;
    const { finding, label } = wish;
    wishes.delete(store);
    const alike = checked.findings.filter((other) => isAlike(other, finding));
    const found = alike.find(({ message }) => message === finding.message) ?? alike[0];
    const fix = found?.fixes.find((other) => other.label === label);
    if (fix) store.getState().change(fix.label, (now) => applyChange(now, fix.change));
  };
  useEffect(mend);
  return (finding: Finding, index = 0) => {
    const fix = finding.fixes[index];
    if (!fix) return;
    wishes.set(store, { finding, label: fix.label });
    mend();
  };
}

const isAlike = (a: Finding, b: Finding): boolean =>
  a.rule === b.rule && a.piece === b.piece && a.surface === b.surface && a.element === b.element;
