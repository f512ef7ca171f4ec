'use client';
import {
  CannotChange,
  commonOf,
  readNumberChange,
  readSaid,
  sharedFacts,
  withElements,
  withSaid,
  withShared,
  type NumberChange,
  type Said,
  type Shared,
} from '@/core/edit';
import { elementsOn, type Element, type Job } from '@/core/job';
import { formatLength, formatNumber, type Parsed } from '@/core/measure';
import { MeasureField } from '../field/MeasureField';
import { useMeasures } from '../field/measures';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { boxChoices, dependants } from '@/core/edit';
import { Group } from './Slip';

interface Props {
  readonly elements: readonly Element[];
}

/** As wide as the slip, px. */
const LINE = 308;

/** What several things have: the value of all, or “several”; each takes a value, or a change of its own. */
export function SeveralFields({ elements }: Props) {
  const { job, drawing } = useDesk();
  const { boxes } = drawing;
  const side = useJob((s) => s.side);
  const change = useJob((s) => s.change);
  const ids = elements.map(({ id }) => id);
  const write = (value: number, unit: Shared['unit']): string =>
    unit === 'length' ? formatLength(value, job.unit) : `${formatNumber(value)}${unit === '°' ? '' : ' '}${unit}`;
  return (
    <>
      <Group title="Each of them">
        {sharedFacts(elements, { job, boxes }).map((shared) => {
          const { fact, title, unit, values } = shared;
          const common = commonOf(shared);
          const to = (now: Job, told: NumberChange) => withShared(now, side, ids, boxes, { fact, change: told });
          return (
            <MeasureField<NumberChange>
              key={fact}
              label={values.length < elements.length ? `${title} of ${values.length}` : title}
              name={`each-${fact}`}
              width={93}
              shown={common === undefined ? '' : write(common, unit)}
              placeholder="several"
              read={(text) => readNumberChange(text, unit, job.unit)}
              refuse={(told) => refusalOf(() => to(job, told))}
              onChange={(told) => change(`${title} of ${values.length} elements`, (now) => to(now, told))}
            />
          );
        })}
      </Group>
      <SaidOfEach elements={elements} />
    </>
  );
}

/** Why something cannot be done; undefined where it can. */
function refusalOf(work: () => unknown): string | undefined {
  try {
    work();
    return undefined;
  } catch (error) {
    if (error instanceof CannotChange) return error.message;
    throw error;
  }
}

/** What a line says of each of them; those that have no such thing stay as they are. */
function SaidOfEach({ elements }: Props) {
  const { job, drawing, rules, piece } = useDesk();
  const { boxes } = drawing;
  const side = useJob((s) => s.side);
  const change = useJob((s) => s.change);
  const measures = useMeasures();
  const all = elementsOn(piece, side);
  const readFor = (element: Element, text: string): Parsed<Said> => {
    const named = boxChoices(boxes, dependants(element.id, all, piece.grids));
    const rect = boxes.placed[element.id] ?? { x: 0, y: 0, width: 0, height: 0 };
    return readSaid(text, job, element, { unit: job.unit, ppi: rules.ppi.value, boxes, named, measures, rect });
  };
  const read = (text: string): Parsed<ReadonlyMap<string, Said>> => {
    const said = new Map<string, Said>();
    let refused: Parsed<ReadonlyMap<string, Said>> | undefined;
    for (const element of elements) {
      const one = readFor(element, text);
      if (one.ok) said.set(element.id, one.value);
      else refused ??= one;
    }
    return said.size === 0 && refused ? refused : { ok: true, value: said };
  };
  return (
    <Group title="In one line">
      <MeasureField
        label="said of each that has it"
        name="said-of-each"
        width={LINE}
        isLong
        shown=""
        placeholder="in Barlow 12/15 | ink 0 0 0 100"
        read={read}
        onChange={(said) =>
          change(`Say what ${said.size} elements are`, (now) =>
            withElements(now, side, (element) => {
              const own = said.get(element.id);
              return own ? withSaid(now, element, own) : element;
            }),
          )
        }
      />
    </Group>
  );
}
