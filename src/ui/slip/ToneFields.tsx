'use client';
import Box from '@mui/material/Box';
import type { Adjust, ElementOf } from '@/core/job';
import { CheckField } from '../field/CheckField';
import { ChoiceField } from '../field/ChoiceField';
import { NumberField } from '../field/NumberField';
import { SolidPaintField } from '../field/PaintField';
import { useDesk } from '../open-job/use-desk';
import { BLEND_OPTIONS } from './EffectFields';
import { Opener } from './Opener';
import { Group } from './Slip';

const LEVELS = { black: 0, white: 255, gamma: 1 } as const;

/** What is done to the picture’s colours; its file stays as it is. */
export function ToneFields({
  element,
  onChange,
}: {
  readonly element: ElementOf<'picture'>;
  readonly onChange: (adjust: Adjust) => void;
}) {
  const { adjust } = element;
  const limit = useDesk().rules.inkLimit.value;
  const { grey, levels, clear, overlay } = adjust;
  const set = (values: Partial<Adjust>) => onChange({ ...adjust, ...values });
  const put = (values: Partial<NonNullable<Adjust['levels']>>) => set({ levels: { ...(levels ?? LEVELS), ...values } });
  const count =
    Number(grey) +
    Number(levels !== null) +
    Number(clear !== null) +
    Number(overlay !== null) +
    Number(adjust.ink !== undefined);
  const tones = levels ?? LEVELS;
  return (
    <Opener label="Tones" count={count} width={420}>
      <Box sx={{ display: 'grid', gap: 1.5 }}>
        <Group title="Levels">
          <CheckField label="black and white" checked={grey} onChange={(to) => set({ grey: to })} />
          <NumberField
            label="black at"
            value={tones.black}
            least={0}
            most={tones.white - 1}
            whole
            width={66}
            onChange={(black) => put({ black })}
          />
          <NumberField
            label="gamma"
            value={tones.gamma}
            least={0.1}
            most={10}
            width={60}
            onChange={(gamma) => put({ gamma })}
          />
          <NumberField
            label="white at"
            value={tones.white}
            least={tones.black + 1}
            most={255}
            whole
            width={66}
            onChange={(white) => put({ white })}
          />
        </Group>
        <Group title="Ink">
          <CheckField
            label={`separated anew, at most ${adjust.ink ?? limit} % on each other`}
            checked={adjust.ink !== undefined}
            onChange={(on) => set({ ink: on ? limit : undefined })}
          />
        </Group>
        <Group title="Colour over it">
          <SolidPaintField
            label="colour"
            value={overlay?.paint ?? null}
            none="None"
            onChange={(paint) => set({ overlay: paint && { opacity: 0.5, blend: 'multiply', ...overlay, paint } })}
          />
          {overlay && (
            <>
              <NumberField
                label="opacity"
                value={Math.round(overlay.opacity * 100)}
                least={0}
                most={100}
                width={60}
                after=" %"
                onChange={(p) => set({ overlay: { ...overlay, opacity: p / 100 } })}
              />
              <ChoiceField
                label="mixes"
                width={104}
                value={overlay.blend}
                options={BLEND_OPTIONS}
                onChange={(blend) => set({ overlay: { ...overlay, blend } })}
              />
            </>
          )}
        </Group>
        <Group title="A colour made transparent">
          <SolidPaintField
            label="colour"
            value={clear && { kind: 'rgb', r: clear.r, g: clear.g, b: clear.b }}
            none="None"
            onChange={(paint) =>
              set({
                clear:
                  paint?.kind === 'rgb'
                    ? { tolerance: clear?.tolerance ?? 8, r: paint.r, g: paint.g, b: paint.b }
                    : paint
                      ? { tolerance: clear?.tolerance ?? 8, r: 255, g: 255, b: 255 }
                      : null,
              })
            }
          />
          {clear && (
            <NumberField
              label="tolerance"
              value={clear.tolerance}
              least={0}
              most={100}
              width={70}
              after=" ΔE"
              onChange={(tolerance) => set({ clear: { ...clear, tolerance } })}
            />
          )}
        </Group>
      </Box>
    </Opener>
  );
}
