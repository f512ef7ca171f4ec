'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useMemo } from 'react';
import { CartesianGrid, Line, LineChart, XAxis, YAxis } from 'recharts';
import { greyBalance } from '@/core/colour';
import { profilesOf } from '@/core/job';
import { formatNumber } from '@/core/measure';
import { useDesk } from '../open-job/use-desk';
import { FACES } from '../shell/theme';

const INKS = [
  { key: 'c', name: 'Cyan', stroke: '#0079a8', dash: undefined },
  { key: 'm', name: 'Magenta', stroke: '#b0125f', dash: '7 3' },
  { key: 'y', name: 'Yellow', stroke: '#8a7400', dash: '2 3' },
] as const;

/** How much magenta and yellow a grey of three colours asks for on this paper, and what equal parts would look like. */
export default function GreyBalance({ onClose }: { readonly onClose: () => void }) {
  const { job, resources, rules } = useDesk();
  const steps = useMemo(() => greyBalance(resources.colour), [resources.colour]);
  const data = steps.map(({ build, black }) => ({ black, c: build.c, m: build.m, y: build.y }));
  return (
    <Dialog open onClose={onClose} maxWidth="md">
      <DialogTitle>Grey balance of this paper</DialogTitle>
      <DialogContent sx={{ display: 'flex', gap: 3, flexWrap: 'wrap' }}>
        <Box role="img" aria-label="Cyan, magenta and yellow of a neutral grey over the black that is as light">
          <Box aria-hidden sx={{ display: 'flex', gap: 2, fontSize: 12.5, pl: 7 }}>
            {INKS.map(({ key, name, stroke, dash }) => (
              <span key={key}>
                <svg width="30" height="8">
                  <path d="M0 4H30" stroke={stroke} strokeWidth="2.5" strokeDasharray={dash} />
                </svg>{' '}
                {name}
              </span>
            ))}
          </Box>
          <LineChart width={400} height={320} data={data} margin={{ top: 8, right: 12, bottom: 24, left: 0 }}>
            <CartesianGrid strokeDasharray="2 4" />
            <XAxis
              dataKey="black"
              type="number"
              domain={[0, 100]}
              tickCount={6}
              unit=" %"
              label={{ value: 'black alone that is as light', position: 'bottom', offset: 6, fontSize: 12 }}
            />
            <YAxis type="number" domain={[0, 100]} tickCount={6} unit=" %" width={56} />
            {INKS.map(({ key, name, stroke, dash }) => (
              <Line
                key={key}
                dataKey={key}
                name={name}
                stroke={stroke}
                strokeWidth={2}
                dot={{ r: 2.5 }}
                isAnimationActive={false}
                {...(dash && { strokeDasharray: dash })}
              />
            ))}
          </LineChart>
        </Box>
        <Box sx={{ fontSize: 13, maxWidth: 320 }}>
          <Box
            component="table"
            sx={{
              fontFamily: FACES.figure,
              borderCollapse: 'collapse',
              '& td, & th': { px: 1, py: 0.25, textAlign: 'right', borderBottom: '1px dotted' },
            }}
          >
            <thead>
              <tr>
                {['C', 'M', 'Y', 'as K', 'L*', 'equal parts'].map((head) => (
                  <th key={head} scope="col">
                    {head}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {steps.map(({ build, black, L, cast }) => (
                <tr key={build.c}>
                  <td>{formatNumber(build.c, 0)}</td>
                  <td>{formatNumber(build.m, 0)}</td>
                  <td>{formatNumber(build.y, 0)}</td>
                  <td>{formatNumber(black, 0)}</td>
                  <td>{formatNumber(L, 0)}</td>
                  <td>
                    a* {formatNumber(cast.a, 0)}, b* {formatNumber(cast.b, 0)}
                  </td>
                </tr>
              ))}
            </tbody>
          </Box>
          <p>
            Through the output profile “
            {profilesOf(job).find(({ key }) => key === rules.profile)?.about ?? rules.profile}”. In equal parts the
            three inks make a brown: a grey of three colours needs less magenta and yellow. A grey in black alone cannot
            shift its hue.
          </p>
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
