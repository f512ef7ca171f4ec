'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { measuresUsed, type NamedMeasure } from '@/core/job';
import { LengthField } from '../field/LengthField';
import { WordsField } from '../field/WordsField';
import { freshId, movedRecord, putMeasure, withoutMeasure } from '@/core/edit';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { Fold } from '../shell/Fold';
import { SortedRecords } from '../shell/Sortable';

/** Lengths with a name: written once, used in any field by that name, changed here. */
export function MeasureList() {
  const count = useDesk().job.measures.length;
  return (
    <Fold title="Measures" count={count}>
      <Measures />
    </Fold>
  );
}

/** Only while they are seen: whether one is used is asked of everything in the job. */
function Measures() {
  const { job, rules } = useDesk();
  const change = useJob((s) => s.change);
  const { measures, unit } = job;
  const used = measuresUsed(job.pieces);
  const put = (measure: NamedMeasure) => change('Measure', (now) => putMeasure(now, measure));
  const move = (id: string, to: string, name: string) =>
    change(`Order ${name}`, (now) => ({ ...now, measures: movedRecord(now.measures, id, to) }));
  const isTaken = (name: string, id: string) =>
    measures.some((m) => m.id !== id && m.name.toLowerCase() === name.toLowerCase());
  return (
    <>
      {measures.length === 0 && (
        <Box sx={{ fontSize: 13 }}>
          A length with a name, such as “edge distance”. Write its name into any length; when it is changed here,
          everything follows.
        </Box>
      )}
      <SortedRecords records={measures} onMove={move}>
        {(m) => (
          <Box sx={{ display: 'flex', gap: 0.75, alignItems: 'flex-end' }}>
            <WordsField
              label={used.has(m.id) ? 'name' : 'name (not used)'}
              value={m.name}
              most={60}
              width={128}
              refuse={(name) =>
                name === ''
                  ? 'A measure needs a name.'
                  : !/[a-z]/i.test(name)
                    ? 'A name has letters in it.'
                    : isTaken(name, m.id)
                      ? 'Another measure is called so.'
                      : undefined
              }
              onChange={(name) => put({ ...m, name })}
            />
            <LengthField
              label="value"
              name={`measure-${m.name}`}
              value={m.value}
              unit={unit}
              ppi={rules.ppi.value}
              negative="allowed"
              width={84}
              onChange={(value) => put({ ...m, value })}
            />
            <Button
              size="small"
              sx={{ minWidth: 0 }}
              aria-label={`Remove ${m.name}; what uses it keeps its length`}
              onClick={() => change('Remove measure', (now) => withoutMeasure(now, m.id))}
            >
              Remove
            </Button>
          </Box>
        )}
      </SortedRecords>
      <Button
        size="small"
        sx={{ justifySelf: 'start' }}
        onClick={() =>
          change('Add a measure', (now) => putMeasure(now, { id: freshId(), name: nextName(now.measures), value: 10 }))
        }
      >
        Add a measure
      </Button>
    </>
  );
}

function nextName(measures: readonly NamedMeasure[]): string {
  let n = measures.length + 1;
  while (measures.some((m) => m.name === `measure ${n}`)) n += 1;
  return `measure ${n}`;
}
