'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Figure } from '@/core/figure';
import { formatOf } from '@/core/format';
import { enlarged, type ScaleDrawing } from '@/core/glossary';
import { parametersOf, startJob } from '@/core/job';
import type { JobUnit } from '@/core/measure';
import { QUESTIONS, jobSettings, reckon, type Question } from '@/core/reckon';
import { TypedParameter } from '../field/TypedParameter';
import { figureText } from '../sheet/figure-text';
import { api, wordsOf } from '../shell/api';
import { useSay } from '../shell/Messages';
import { Room } from '../shell/Room';
import { SketchShapes } from '../shell/SketchShapes';
import { COLOURS, FACES, INK } from '../shell/theme';

/** The small questions of the day, without a job. */
export function Reckoner() {
  const [chosen, setChosen] = useState(QUESTIONS[0]?.id ?? '');
  const [unit, setUnit] = useState<'mm' | 'in'>('mm');
  const [typed, setTyped] = useState<Readonly<Record<string, Readonly<Record<string, string>>>>>({});
  const question = QUESTIONS.find((q) => q.id === chosen);
  return (
    <Room
      here="/reckoner"
      title="Reckoner"
      tools={
        <ToggleButtonGroup
          size="small"
          exclusive
          aria-label="Unit of a bare number"
          value={unit}
          onChange={(_event, to: 'mm' | 'in' | null) => to && setUnit(to)}
        >
          <ToggleButton value="mm" sx={{ px: 1.5, py: 0.25 }}>
            mm
          </ToggleButton>
          <ToggleButton value="in" sx={{ px: 1.5, py: 0.25 }}>
            in
          </ToggleButton>
        </ToggleButtonGroup>
      }
    >
      <Box
        sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '210px minmax(0, 1fr)' }, gap: 3, maxWidth: 1180 }}
      >
        <Box
          component="nav"
          aria-label="Questions"
          sx={{ display: 'grid', alignContent: 'start', borderTop: `2px solid ${COLOURS.ink}` }}
        >
          {QUESTIONS.map((q) => (
            <Box
              key={q.id}
              component="button"
              type="button"
              aria-current={q.id === chosen ? 'true' : undefined}
              onClick={() => setChosen(q.id)}
              data-on={q.id === chosen ? 'paper' : undefined}
              sx={{
                all: 'unset',
                cursor: 'pointer',
                px: 1.5,
                py: 0.9,
                fontSize: 15,
                fontWeight: q.id === chosen ? 700 : 500,
                borderBottom: `1px dotted ${COLOURS.inkSoft}`,
                bgcolor: q.id === chosen ? COLOURS.sheet : 'transparent',
                '&:hover': { bgcolor: q.id === chosen ? COLOURS.sheet : COLOURS.sheetPale, color: INK },
                '&:focus-visible': { outline: `2px solid ${COLOURS.accent}` },
              }}
            >
              {q.title}
            </Box>
          ))}
        </Box>
        {question && (
          <Asked
            key={question.id}
            question={question}
            unit={unit}
            typed={typed[question.id] ?? {}}
            onType={(name, text) => setTyped({ ...typed, [question.id]: { ...typed[question.id], [name]: text } })}
          />
        )}
      </Box>
    </Room>
  );
}

interface AskedProps {
  readonly question: Question;
  readonly unit: JobUnit;
  readonly typed: Readonly<Record<string, string>>;
  readonly onType: (name: string, text: string) => void;
}

function Asked({ question, unit, typed, onType }: AskedProps) {
  const answer = reckon(question, typed, unit);
  const errorOf = (name: string) => (!answer.ok && answer.parameter === name ? answer.error.message : undefined);
  const router = useRouter();
  const say = useSay();
  const format = formatOf(question.job.kind);
  const begin = async () => {
    if (!format) return;
    const set = jobSettings(question, withUsual(question, typed, unit), Object.keys(parametersOf(format)));
    const started = startJob(format, set, { id: crypto.randomUUID(), name: `${format.title} from the reckoner`, unit });
    if (!started.ok) return say({ tone: 'problem', text: started.error.message });
    try {
      const made = await api.create(started.job, 'Begun in the reckoner');
      router.push(`/jobs/${made.id}?at=size`);
    } catch (error) {
      say({ tone: 'problem', text: wordsOf(error) });
    }
  };
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', lg: '300px minmax(0, 1fr)' },
        gap: 3,
        alignItems: 'start',
      }}
    >
      <Box sx={{ display: 'grid', gap: 2 }}>
        <div>
          <Box component="h2" sx={{ m: 0, typography: 'h2' }}>
            {question.title}
          </Box>
          <Box sx={{ fontSize: 14, color: 'text.secondary' }}>{question.about}</Box>
        </div>
        {Object.entries(question.parameters)
          .filter(([, p]) => !p.when || p.when(typed))
          .map(([name, parameter]) => (
            <TypedParameter
              key={name}
              name={name}
              parameter={parameter}
              text={typed[name] ?? ''}
              imperial={unit === 'in'}
              error={errorOf(name)}
              onChange={(text) => onType(name, text)}
            />
          ))}
        <Button variant="contained" disabled={!answer.ok} onClick={() => void begin()} sx={{ justifySelf: 'start' }}>
          Begin a {format?.title.toLowerCase()} with this
        </Button>
      </Box>
      <Box
        component="section"
        aria-label="Answer"
        aria-live="polite"
        data-on="paper"
        sx={{ bgcolor: COLOURS.sheet, pb: 2, pt: 1, boxShadow: '0 3px 12px rgb(27 35 52 / 0.14)' }}
      >
        {answer.ok ? (
          answer.figures.map((figure) => <AnswerLine key={figure.id} figure={figure} unit={unit} question={question} />)
        ) : (
          <Box sx={{ px: 2.5, py: 2 }}>No answer yet: {answer.error.message}</Box>
        )}
        {answer.ok && answer.drawing && <ToScale drawing={answer.drawing} title={question.title} />}
      </Box>
    </Box>
  );
}

/** The room for a drawing, px. */
const [WIDE, HIGH] = [560, 300];

/** What the answer looks like, to scale. */
function ToScale({ drawing, title }: { readonly drawing: ScaleDrawing; readonly title: string }) {
  const scale = Math.min(WIDE / drawing.width, HIGH / drawing.height);
  const [width, height] = [drawing.width * scale, drawing.height * scale];
  return (
    <Box sx={{ mx: 2.5, mt: 2, p: 2, bgcolor: '#f6f6f1', overflow: 'hidden' }}>
      <svg
        role="img"
        aria-label={`${title}, drawn to scale`}
        viewBox={`-1 -1 ${width + 2} ${height + 2}`}
        style={{ display: 'block', width: width + 2, maxWidth: '100%' }}
      >
        <SketchShapes sketch={enlarged(drawing.marks, scale)} type={12} />
      </svg>
    </Box>
  );
}

/** Fields left empty mean what they show. */
const withUsual = (question: Question, typed: Readonly<Record<string, string>>, unit: JobUnit) =>
  Object.fromEntries(
    Object.entries(question.parameters).map(([name, p]) => [
      name,
      (typed[name] ?? '').trim() || p.default?.[unit === 'in' ? 'imperial' : 'metric'] || '',
    ]),
  );

function AnswerLine({
  figure,
  unit,
  question,
}: {
  readonly figure: Figure;
  readonly unit: JobUnit;
  readonly question: Question;
}) {
  // A sum is shown in each unit; elsewhere the unit chosen is shown, with the other beside it.
  const own = question.id === 'unit-sum';
  const text = own ? { value: figure.working[0] ?? '', unit: '', other: '' } : figureText(figure, unit);
  return (
    <Box data-answer={figure.id} sx={{ px: 2.5, py: 1, borderBottom: `1px dotted ${COLOURS.sheetLine}` }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.5, flexWrap: 'wrap' }}>
        <Box sx={{ minWidth: 130, fontSize: 15 }}>{figure.name}</Box>
        <Box sx={{ fontFamily: FACES.figure, fontWeight: 600, fontSize: 20 }}>
          {text.value}{' '}
          <Box component="span" sx={{ fontWeight: 400, fontSize: 15, color: COLOURS.sheetSoft }}>
            {text.unit}
          </Box>
        </Box>
        <Box sx={{ ml: 'auto', fontFamily: FACES.figure, fontSize: 12.5, color: COLOURS.sheetSoft }}>{text.other}</Box>
      </Box>
      {!own &&
        figure.working.map((step) => (
          <Box key={step} sx={{ fontFamily: FACES.figure, fontSize: 12.5, overflowWrap: 'anywhere' }}>
            {step}
          </Box>
        ))}
      <Box sx={{ fontSize: 12.5, color: COLOURS.sheetSoft }}>{figure.rule}.</Box>
    </Box>
  );
}
