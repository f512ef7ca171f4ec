'use client';
import { useState } from 'react';
import { elementsOn, type Finishing } from '@/core/job';
import { PROCESSES, type Process } from '@/core/shop';
import { freshId } from '@/core/edit';
import { ChoiceField } from '../field/ChoiceField';
import { FileButton } from '../field/FileButton';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { readOutline } from '../shell/read-outline';
import { FinishForm } from './FinishForm';
import { usePreview } from './use-preview';
import { PROCESS_WORDS } from './words';

type Course = Extract<Finishing, { does: 'line' }>['course'];

const ALONG_WORDS: Readonly<Record<Course['course'], string>> = {
  outline: 'what is selected',
  straight: 'a straight line',
  divide: 'equal parts',
  drawing: 'a drawing from a file',
};

interface Props {
  readonly onAdd: (finishing: Finishing) => void;
  readonly onClose: () => void;
}

/** A process line along what is selected, at a value, in equal parts, or from a drawing. */
export function LineForm({ onAdd, onClose }: Props) {
  const { piece, surface } = useDesk();
  const selection = useJob((s) => s.selection);
  const [id] = useState(freshId);
  const [process, setProcess] = useState<Process>('cut');
  const [wanted, setWanted] = useState<Course['course']>();
  const [drawn, setDrawn] = useState<{ readonly path: string; readonly name: string }>();
  const [problem, setProblem] = useState<string>();
  const chosen = elementsOn(piece, surface.name).filter((e) => selection.includes(e.id));
  const offered: readonly Course['course'][] = [
    ...(chosen.length > 0 ? (['outline'] as const) : []),
    'straight',
    'divide',
    'drawing',
  ];
  const along = wanted !== undefined && offered.includes(wanted) ? wanted : (offered[0] ?? 'straight');
  const course = (): Course | undefined => {
    switch (along) {
      case 'outline':
        return { course: 'outline', elements: chosen.map((e) => e.id), offset: 0 };
      case 'straight': {
        const at = Math.round(surface.boxes.trim.height / 2);
        return { course: 'straight', way: 'level', against: { box: 'trim' }, at };
      }
      case 'divide':
        return { course: 'divide', way: 'upright', against: { box: 'trim' }, into: 2 };
      case 'drawing':
        return drawn && { course: 'drawing', path: drawn.path };
    }
  };
  const runs = course();
  const finishing: Finishing | undefined = runs && { does: 'line', id, process, course: runs, past: 0 };
  usePreview(finishing);
  const take = async (file: File) => {
    const read = await readOutline(file);
    setDrawn(read.ok ? { path: read.outline, name: file.name } : undefined);
    setProblem(read.ok ? undefined : `${file.name}: ${read.problem}`);
  };
  return (
    <FinishForm
      title="Add a line"
      adds="Line it"
      says={
        finishing
          ? chosen.length === 0
            ? 'The bench shows it. Select something to run along its outline.'
            : 'The bench shows it; where it runs is set once it is there.'
          : (problem ?? 'Bring in the drawing that it follows, an SVG or a DXF.')
      }
      onAdd={finishing && (() => onAdd(finishing))}
      onClose={onClose}
    >
      <ChoiceField
        label="line to"
        width="100%"
        value={process}
        options={PROCESSES.map((p) => ({ value: p, label: PROCESS_WORDS[p].toLowerCase() }))}
        onChange={setProcess}
      />
      <ChoiceField
        label="follows"
        width="100%"
        value={along}
        options={offered.map((a) => ({ value: a, label: ALONG_WORDS[a] }))}
        onChange={setWanted}
      />
      {along === 'drawing' && (
        <FileButton asks="Line drawing, SVG or DXF" accept=".svg,.dxf" onFile={(file) => void take(file)}>
          {drawn ? drawn.name : 'Line drawing …'}
        </FileButton>
      )}
    </FinishForm>
  );
}
