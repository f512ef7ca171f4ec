'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useDeferredValue, useMemo, useState } from 'react';
import { findNames, findWords, replaceWords, type FoundWords } from '@/core/edit';
import { CheckField } from '../field/CheckField';
import { useJob } from '../open-job/context';
import { Places, countOf } from './Places';

/** Words wherever they stand, each with what is around it; and things that are called so. */
export function SearchWords() {
  const job = useJob((s) => s.job);
  const change = useJob((s) => s.change);
  const [words, setWords] = useState('');
  const [by, setBy] = useState('');
  const [matchCase, setMatchCase] = useState(false);
  const [wholeWords, setWholeWords] = useState(false);
  const sought = useDeferredValue(words);
  const wanted = useMemo(() => ({ words: sought, matchCase, wholeWords }), [sought, matchCase, wholeWords]);
  const found = useMemo(() => findWords(job, wanted), [job, wanted]);
  const called = useMemo(() => findNames(job, wanted), [job, wanted]);
  const replace = (places: readonly FoundWords[]) =>
    change(`Replace “${words}” by “${by}”`, (now) => replaceWords(now, places, by));
  return (
    <>
      <TextField
        autoFocus
        label="Find"
        value={words}
        onChange={(event) => setWords(event.target.value)}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      <Box sx={{ display: 'flex', gap: 2 }}>
        <CheckField label="as it is written" checked={matchCase} onChange={setMatchCase} />
        <CheckField label="whole words" checked={wholeWords} onChange={setWholeWords} />
      </Box>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-end' }}>
        <TextField
          label="Replace by"
          value={by}
          onChange={(event) => setBy(event.target.value)}
          sx={{ flex: 1 }}
          slotProps={{ inputLabel: { shrink: true } }}
        />
        <Button variant="contained" size="small" disabled={found.length === 0} onClick={() => replace(found)}>
          Replace all
        </Button>
      </Box>
      {sought !== '' && (
        <Box role="status" sx={{ fontSize: 13, fontWeight: 600 }}>
          {countOf(found.length)}
          {called.length > 0 && `, ${called.length} called so`}
        </Box>
      )}
      {sought !== '' && (
        <Places
          none="Nothing here says so, or is called so."
          places={[
            ...found.map((place) => ({
              key: `${place.text}-${place.at}`,
              side: place.side,
              element: place.element,
              onReplace: () => replace([place]),
              words: (
                <>
                  {place.before}
                  <b>{place.match}</b>
                  {place.after}
                </>
              ),
            })),
            ...called.map(({ side, element, name }) => ({
              key: `called-${element}`,
              side,
              element,
              words: <i>{name}</i>,
            })),
          ]}
        />
      )}
    </>
  );
}
