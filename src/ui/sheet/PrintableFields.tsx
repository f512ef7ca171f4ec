'use client';
import Box from '@mui/material/Box';
import { baseById, baseOfSide, elementsOn, saidOn, type PrintableElement } from '@/core/job';
import type { Parameter } from '@/core/parameter';
import type { Figure } from '@/core/figure';
import type { Frame } from '@/core/drawing';
import { printableRefusal } from '@/core/compose';
import { printableOf, type Finding } from '@/core/printable';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { EventsFile } from '../printable/EventsFile';
import { useDecisions } from '../printable/use-decisions';
import { ParameterField } from '../field/ParameterField';
import { COLOURS } from '../shell/theme';
import { Fold } from '../shell/Fold';
import { Heading } from '../shell/Heading';
import { SheetLine } from './SheetLine';

/** The printables of this side: what they counted, and the decisions of the one that is chosen. */
export function PrintableFields() {
  const { piece, drawing, job } = useDesk();
  const side = useJob((s) => s.side);
  const selection = useJob((s) => s.selection);
  const select = useJob((s) => s.select);
  const printables = elementsOn(piece, side).filter((e) => e.kind === 'printable');
  const frames = new Map(drawing.frames.map((f) => [f.element, f]));
  return printables.map((element) => {
    const frame = frames.get(element.id);
    // The only one need not be chosen first.
    const isChosen =
      selection.length === 1 ? selection[0] === element.id : selection.length === 0 && printables.length === 1;
    return (
      <section key={element.id} aria-label={frame?.name ?? 'Printable'}>
        <Heading>{frame?.name ?? 'Printable'}</Heading>
        {isChosen ? (
          <Decisions element={element} frame={frame} />
        ) : (
          <Box
            component="button"
            type="button"
            onClick={() => select([element.id])}
            sx={{
              all: 'unset',
              cursor: 'pointer',
              px: 2.5,
              fontSize: 13,
              textDecoration: 'underline',
              '&:focus-visible': { outline: `2px solid ${COLOURS.ink}` },
            }}
          >
            Its decisions
          </Box>
        )}
        {frame?.findings?.map((finding) => (
          <SheetLine key={finding.id} figure={figureOf(finding, frame, side)} unit={job.unit} />
        ))}
      </section>
    );
  });
}

/** A number of a printable as a line of the sheet. */
const figureOf = ({ stops, ...finding }: Finding, { rect }: Frame, surface: string): Figure => ({
  ...finding,
  group: 'panels',
  ...(stops && {
    measured: {
      kind: 'stops',
      axis: stops.axis,
      stops: stops.stops.map((s) => s + (stops.axis === 'x' ? rect.x : rect.y)),
      surface,
    },
  }),
});

function Decisions({ element, frame }: { readonly element: PrintableElement; readonly frame: Frame | undefined }) {
  const { job, piece, rules, resources } = useDesk();
  const side = useJob((s) => s.side);
  // What all pages of a run share is decided for all of them, on whichever page that is done.
  const source = saidOn(piece, side, element.id, 'content');
  const base = baseById(piece, baseOfSide(source.side));
  const decide = useDecisions(element);
  const { parameters } = printableOf(element.content.of);
  const changed = (name: string, value: unknown): PrintableElement => {
    const others = Object.fromEntries(Object.entries(element.content).filter(([key]) => key !== name));
    return {
      ...element,
      content: { ...others, of: element.content.of, ...(value !== undefined && { [name]: value }) },
    };
  };
  const change = {
    /** Only what that very decision makes impossible is refused at its field; the rest is said as a finding. */
    refuse: (name: string, value: unknown) => {
      const refusal = frame && printableRefusal(changed(name, value), frame.rect, job, rules.ppi.value, resources);
      return refusal?.decision === name ? refusal.message : undefined;
    },
    set: (name: string, value: unknown) =>
      decide(parameters[name]?.label ?? 'Printable', () => changed(name, value).content),
  };
  const asked = Object.entries(parameters).filter(([, p]) => !p.when || p.when(element.content));
  const field = ([name, parameter]: [string, Parameter]) => (
    <ParameterField
      key={name}
      name={name}
      parameter={parameter}
      value={element.content[name]}
      unit={job.unit}
      ppi={rules.ppi.value}
      width="100%"
      resize={change}
    />
  );
  const [main, aside] = [asked.filter(([, p]) => !p.aside), asked.filter(([, p]) => p.aside)];
  return (
    <>
      <Box sx={{ px: 2.5, pb: 1, display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 0.75, alignItems: 'start' }}>
        {base && source.side !== side && (
          <Box sx={{ gridColumn: '1 / -1', fontSize: 13 }}>Decided for all pages that follow “{base.name}”.</Box>
        )}
        {main.map(field)}
        {Object.hasOwn(parameters, 'events') && <EventsFile element={element} />}
      </Box>
      {aside.length > 0 && (
        <Fold title="Its lines" count={aside.length}>
          {aside.map(field)}
        </Fold>
      )}
    </>
  );
}
