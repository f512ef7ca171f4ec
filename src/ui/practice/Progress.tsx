'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQueryClient } from '@tanstack/react-query';
import dynamic from 'next/dynamic';
import { useId, useState } from 'react';
import { RULES } from '@/core/check';
import { formatNumber } from '@/core/measure';
import { shareFound, trialsCsv, type Learner } from '@/core/practice';
import { api, wordsOf } from '../shell/api';
import { useSay } from '../shell/Messages';
import { dueWords, momentWords } from '../shell/moments';
import { saveFile } from '../shell/save-file';
import { FACES } from '../shell/theme';
import { RoomHeading } from './RoomHeading';

const ProgressChart = dynamic(() => import('./ProgressChart'), { ssr: false });

/** So many rounds, and kinds of fault that come again, are listed. */
const [ROUNDS, COMING] = [12, 8];

const titleOf = (rule: string): string => RULES.find(({ id }) => id === rule)?.title ?? rule;

interface Props {
  readonly learner: Learner;
  readonly onForgotten: () => void;
}

/** How somebody’s rounds went, and what comes again when. */
export function Progress({ learner, onForgotten }: Props) {
  const label = useId();
  const { trials, skills } = learner;
  if (trials.length === 0 && skills.length === 0) return null;
  const coming = [...skills].sort((a, b) => (a.due < b.due ? -1 : 1)).slice(0, COMING);
  return (
    <section aria-labelledby={label}>
      <RoomHeading id={label}>How it goes</RoomHeading>
      <Box sx={{ display: 'grid', gap: 4, gridTemplateColumns: { xs: '1fr', md: '3fr 2fr' }, alignItems: 'start' }}>
        <Box>
          <ProgressChart trials={trials} />
          <Rounds learner={learner} />
        </Box>
        <Box>
          <Box component="h3" sx={{ m: 0, mb: 0.5, fontSize: 15 }}>
            Comes again
          </Box>
          <Box component="ul" sx={{ m: 0, pl: 2.5, fontSize: 14 }}>
            {coming.map(({ rule, due, met, found }) => (
              <li key={rule}>
                {titleOf(rule)}: {dueWords(due)}; found {found} of {met} times
              </li>
            ))}
          </Box>
          <Keeping learner={learner} onForgotten={onForgotten} />
        </Box>
      </Box>
    </section>
  );
}

const HEADS = ['When', 'Piece', 'Level', 'Found', 'Seen', 'Missed', 'Wrongly marked'];

function Rounds({ learner: { trials } }: { readonly learner: Learner }) {
  return (
    <Box
      component="table"
      aria-label="Rounds"
      sx={{
        width: '100%',
        fontSize: 14,
        borderCollapse: 'collapse',
        '& td, & th': { textAlign: 'left', py: 0.25, pr: 1.5 },
      }}
    >
      <thead>
        <tr>
          {HEADS.map((head) => (
            <th key={head} scope="col">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {[...trials]
          .reverse()
          .slice(0, ROUNDS)
          .map((trial) => (
            <tr key={trial.at}>
              <td>{momentWords(trial.at)}</td>
              <td>{trial.piece}</td>
              {[trial.level, trial.found, trial.seen, trial.missed, trial.wrong].map((n, i) => (
                <Box component="td" key={HEADS[i + 2]} sx={{ fontFamily: FACES.figure }}>
                  {n}
                </Box>
              ))}
            </tr>
          ))}
      </tbody>
    </Box>
  );
}

function Keeping({ learner, onForgotten }: Props) {
  const [isAsked, setAsked] = useState(false);
  const client = useQueryClient();
  const say = useSay();
  const shares = learner.trials.flatMap((trial) => shareFound(trial) ?? []);
  const mean = shares.length > 0 ? shares.reduce((sum, share) => sum + share, 0) / shares.length : undefined;
  const forget = async () => {
    try {
      await api.forgetLearner(learner.name);
      onForgotten();
      say({ tone: 'done', text: `${learner.name} is forgotten, with all rounds.` });
    } catch (error) {
      say({ tone: 'problem', text: wordsOf(error) });
    }
    setAsked(false);
    void client.invalidateQueries({ queryKey: ['practice'] });
  };
  return (
    <Box sx={{ pt: 1.5, display: 'grid', gap: 1, justifyItems: 'start', fontSize: 14 }}>
      {mean !== undefined && <div>{formatNumber(100 * mean, 0)} % of the faults found, over all rounds.</div>}
      <Button
        size="small"
        variant="outlined"
        onClick={() => saveFile(new Blob([trialsCsv(learner)], { type: 'text/csv' }), `practice-${learner.name}.csv`)}
      >
        Rounds as CSV
      </Button>
      {isAsked ? (
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
          All of {learner.name}’s rounds go.
          <Button size="small" color="error" variant="outlined" onClick={() => void forget()}>
            Forget
          </Button>
          <Button size="small" onClick={() => setAsked(false)}>
            Keep
          </Button>
        </Box>
      ) : (
        <Button size="small" onClick={() => setAsked(true)}>
          Forget {learner.name}
        </Button>
      )}
    </Box>
  );
}
