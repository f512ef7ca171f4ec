'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { BLENDS, Effect, type Blend, type Element, type EffectKind } from '@/core/job';
import { ChoiceField } from '../field/ChoiceField';
import { HeldLengthField } from '../field/LengthField';
import { NumberField } from '../field/NumberField';
import { SolidPaintField } from '../field/PaintField';
import { useDesk } from '../open-job/use-desk';
import { copiedEffects, copyEffects, scaledEffects } from '@/core/edit';
import { Opener } from './Opener';
import { Group } from './Slip';
import { useChange } from './use-change';

const WORDS: Readonly<Record<EffectKind, string>> = {
  shadow: 'Drop shadow',
  glow: 'Outer glow',
  blur: 'Blur',
  'soft-edge': 'Soft edge',
  outline: 'Outline around',
};

const NIGHT = { kind: 'process', c: 60, m: 40, y: 40, k: 100 } as const;
const PALE = { kind: 'process', c: 0, m: 5, y: 30, k: 0 } as const;

const first = (effect: EffectKind): Effect => {
  const paint = effect === 'shadow' ? NIGHT : PALE;
  return Effect.parse(effect === 'blur' || effect === 'soft-edge' ? { effect } : { effect, paint });
};

export const BLEND_OPTIONS = BLENDS.map((value) => ({
  value,
  label: value.replace('color', 'colour').replace('-', ' '),
}));

/** What is done around and to an element, one line each. */
export function EffectFields({ element }: { readonly element: Element }) {
  const change = useChange(element);
  const { drawing } = useDesk();
  const rect = drawing.boxes.placed[element.id];
  const set = (label: string, effects: readonly Effect[]) => change(label, (el) => ({ ...el, effects: [...effects] }));
  const put = (i: number, effect: Effect) =>
    set(
      'Effect',
      element.effects.map((e, j) => (j === i ? effect : e)),
    );
  const kept = copiedEffects();
  return (
    <Opener label="Effects" count={element.effects.length} width={620}>
      <Box sx={{ display: 'grid', gap: 1.25 }}>
        {element.effects.map((effect, i) => (
          <Box key={i} sx={{ display: 'flex', alignItems: 'flex-end', gap: 1 }}>
            <EffectLine effect={effect} onChange={(to) => put(i, to)} />
            <Button
              size="small"
              aria-label={`Take off ${WORDS[effect.effect]}`}
              onClick={() =>
                set(
                  `Take off ${WORDS[effect.effect]}`,
                  element.effects.filter((_, j) => j !== i),
                )
              }
            >
              Take off
            </Button>
          </Box>
        ))}
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, alignItems: 'center' }}>
          {(Object.keys(WORDS) as EffectKind[]).map((kind) => (
            <Button
              key={kind}
              size="small"
              variant="outlined"
              disabled={element.effects.length >= 12}
              onClick={() => set(`Add ${WORDS[kind]}`, [...element.effects, first(kind)])}
            >
              {WORDS[kind]}
            </Button>
          ))}
        </Box>
        <Box sx={{ display: 'flex', gap: 0.75 }}>
          <Button
            size="small"
            disabled={element.effects.length === 0}
            onClick={() => copyEffects(element.effects, rect)}
          >
            Copy this set
          </Button>
          <Button size="small" disabled={!kept} onClick={() => kept && set('Paste effects', kept.effects)}>
            Paste the set
          </Button>
          <Button
            size="small"
            disabled={!kept || !rect}
            onClick={() => kept && rect && set('Paste effects', scaledEffects(kept, rect))}
          >
            Paste, scaled to its size
          </Button>
        </Box>
      </Box>
    </Opener>
  );
}

function EffectLine({ effect, onChange }: { readonly effect: Effect; readonly onChange: (effect: Effect) => void }) {
  const { job, rules } = useDesk();
  const context = { unit: job.unit, ppi: rules.ppi.value, width: 74 };
  return (
    <Group title={WORDS[effect.effect]}>
      {effect.effect === 'shadow' && (
        <>
          <HeldLengthField
            {...context}
            label="across"
            negative="allowed"
            value={effect.dx}
            onChange={(dx) => onChange({ ...effect, dx })}
          />
          <HeldLengthField
            {...context}
            label="down"
            negative="allowed"
            value={effect.dy}
            onChange={(dy) => onChange({ ...effect, dy })}
          />
        </>
      )}
      {effect.effect !== 'outline' && (
        <HeldLengthField
          {...context}
          label="blur"
          value={effect.blur}
          onChange={(blur) => onChange({ ...effect, blur })}
        />
      )}
      {effect.effect === 'outline' && (
        <HeldLengthField
          {...context}
          label="width"
          value={effect.width}
          onChange={(width) => onChange({ ...effect, width })}
        />
      )}
      {(effect.effect === 'shadow' || effect.effect === 'glow') && (
        <HeldLengthField
          {...context}
          label="spread"
          value={effect.spread}
          onChange={(spread) => onChange({ ...effect, spread })}
        />
      )}
      {'paint' in effect && (
        <SolidPaintField
          label="colour"
          value={effect.paint}
          onChange={(paint) => paint && onChange({ ...effect, paint })}
        />
      )}
      {(effect.effect === 'shadow' || effect.effect === 'glow') && (
        <>
          <NumberField
            label="opacity"
            value={Math.round(effect.opacity * 100)}
            least={0}
            most={100}
            width={60}
            after=" %"
            onChange={(p) => onChange({ ...effect, opacity: p / 100 })}
          />
          <ChoiceField<Blend>
            label="mixes"
            width={104}
            value={effect.blend}
            options={BLEND_OPTIONS}
            onChange={(blend) => onChange({ ...effect, blend })}
          />
        </>
      )}
    </Group>
  );
}
