'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { familiesOf, findFamilies, replaceFamily } from '@/core/edit';
import { ChoiceField } from '../field/ChoiceField';
import { useJob } from '../open-job/context';
import { Places, countOf } from './Places';

/** A family wherever type is set in it, and another in its place. */
export function SearchFamilies() {
  const job = useJob((s) => s.job);
  const change = useJob((s) => s.change);
  const used = useMemo(() => findFamilies(job), [job]);
  const [chosen, setChosen] = useState<string>();
  const family = chosen !== undefined && used.has(chosen) ? chosen : ([...used.keys()][0] ?? '');
  const known = familiesOf(job);
  const [by, setBy] = useState(known[0] ?? '');
  const found = used.get(family) ?? [];
  if (used.size === 0) return <Box sx={{ fontSize: 13.5 }}>Nothing is set yet.</Box>;
  return (
    <>
      <ChoiceField
        label="Family"
        width="100%"
        value={family}
        options={[...used].map(([one, things]) => ({ value: one, label: `${one} · ${things.length}` }))}
        onChange={setChosen}
      />
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-end' }}>
        <ChoiceField
          label="replace by"
          width={170}
          value={by}
          options={known.map((one) => ({ value: one, label: one }))}
          onChange={setBy}
        />
        <Button
          variant="contained"
          size="small"
          disabled={by === family}
          onClick={() => change(`Replace ${family} by ${by}`, (now) => replaceFamily(now, family, by))}
        >
          Replace everywhere
        </Button>
      </Box>
      <Box role="status" sx={{ fontSize: 13, fontWeight: 600 }}>
        {countOf(found.length)}
      </Box>
      <Places
        none="Only a style says it."
        places={found.map(({ side, element, name }) => ({ key: `${side}-${element}`, side, element, words: name }))}
      />
    </>
  );
}
