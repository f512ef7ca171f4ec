'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { sideOfBase, type BaseLayout, type Piece } from '@/core/job';
import { CheckField } from '../field/CheckField';
import { ChoiceField } from '../field/ChoiceField';
import { NumberField } from '../field/NumberField';
import { WordsField } from '../field/WordsField';
import { changePiece, freshId, putRecord, withoutBase } from '@/core/edit';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { Fold } from '../shell/Fold';

/** Layouts that a layout must not be based on, because they are based on it. */
function below(bases: readonly BaseLayout[], id: string): ReadonlySet<string> {
  const found = new Set([id]);
  for (let grew = true; grew;) {
    const before = found.size;
    for (const b of bases) if (b.base !== null && found.has(b.base)) found.add(b.id);
    grew = found.size > before;
  }
  return found;
}

/** What recurs on pages, and how pages are numbered. */
export function BaseList() {
  const { piece } = useDesk();
  const { job } = useDesk();
  const change = useJob((s) => s.change);
  const show = useJob((s) => s.show);
  const side = useJob((s) => s.side);
  const edit = (label: string, recipe: (piece: Piece) => Piece) => change(label, (now) => changePiece(now, recipe));
  const set = (label: string, to: BaseLayout) => edit(label, (now) => ({ ...now, bases: putRecord(now.bases, to) }));
  const number = (label: string, to: Partial<Piece['numbering']>) =>
    edit(label, (now) => ({ ...now, numbering: { ...now.numbering, ...to } }));
  const followers = (id: string) =>
    Object.values(piece.layouts).filter((l) => l.base === id).length + piece.bases.filter((b) => b.base === id).length;
  return (
    <Fold title="Pages and base layouts" count={piece.bases.length}>
      <Box sx={{ display: 'flex', gap: 0.75, alignItems: 'flex-end' }}>
        <NumberField
          label="first page is"
          name="first-page"
          value={piece.numbering.first}
          least={0}
          most={100_000}
          whole
          width={88}
          onChange={(first) => number('Numbering', { first })}
        />
        <ChoiceField
          label="running heads from"
          width={150}
          value={piece.numbering.heads ?? ''}
          options={[
            { value: '', label: 'no style' },
            ...job.styles.filter((s) => s.of === 'paragraph').map((s) => ({ value: s.id, label: s.name })),
          ]}
          onChange={(heads) => number('Running heads', { heads: heads === '' ? null : heads })}
        />
      </Box>
      {piece.bases.length === 0 && (
        <Box sx={{ fontSize: 13 }}>
          A base layout is what recurs on pages: pages show it and follow it. Make one under “Pages”.
        </Box>
      )}
      {piece.bases.map((base) => {
        const under = below(piece.bases, base.id);
        return (
          <Box
            key={base.id}
            role="group"
            aria-label={`base layout ${base.name}`}
            sx={{ display: 'grid', gap: 0.75, borderTop: '1px solid', borderColor: 'divider', pt: 1 }}
          >
            <Box sx={{ display: 'flex', gap: 0.75, alignItems: 'flex-end' }}>
              <WordsField
                label={`name · ${followers(base.id)} follow`}
                value={base.name}
                most={60}
                width={124}
                refuse={(name) =>
                  name === ''
                    ? 'A layout needs a name.'
                    : piece.bases.some((b) => b.id !== base.id && b.name === name)
                      ? 'Another layout is called so.'
                      : undefined
                }
                onChange={(name) => set('Name', { ...base, name })}
              />
              <ChoiceField
                label="based on"
                width={130}
                value={base.base ?? ''}
                options={[
                  { value: '', label: 'nothing' },
                  ...piece.bases.filter((b) => !under.has(b.id)).map((b) => ({ value: b.id, label: b.name })),
                ]}
                onChange={(to) => set('Based on', { ...base, base: to === '' ? null : to, without: [], facts: {} })}
              />
            </Box>
            <Box sx={{ display: 'flex', gap: 0.75, alignItems: 'center', flexWrap: 'wrap' }}>
              <CheckField
                label="mirrored on left pages"
                checked={base.mirrored}
                onChange={(mirrored) => set('Mirrored', { ...base, mirrored })}
              />
              <Button
                size="small"
                sx={{ minWidth: 0 }}
                aria-label={`Lay out ${base.name}`}
                disabled={side === sideOfBase(base.id)}
                onClick={() => show(sideOfBase(base.id))}
              >
                Lay out
              </Button>
              <Button
                size="small"
                sx={{ minWidth: 0 }}
                aria-label={`Remove ${base.name}; pages keep what it gave them`}
                onClick={() => edit('Remove base layout', (now) => withoutBase(now, base.id, freshId))}
              >
                Remove
              </Button>
            </Box>
          </Box>
        );
      })}
    </Fold>
  );
}
