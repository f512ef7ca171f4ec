'use client';
import { CopiesFields } from '../pile/CopiesFields';
import { Plates } from '../finish/Plates';
import { Answers } from './Answers';
import { ElementFacts } from './ElementFacts';
import { Marking } from './Marking';
import { useRound } from './round';

/** What is looked for, what was marked, and what the machines make of it. */
export function RoundSheet() {
  const { round } = useRound();
  return (
    <>
      {round.result ? <Answers result={round.result} /> : <Marking />}
      <ElementFacts />
      <CopiesFields />
    </>
  );
}

/** The same beside the plates. */
export function PlatesSheet() {
  const { round } = useRound();
  return (
    <>
      {round.result ? <Answers result={round.result} /> : <Marking />}
      <ElementFacts />
      <Plates />
    </>
  );
}
