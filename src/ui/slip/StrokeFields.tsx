'use client';
import type { Stroke } from '@/core/job';
import { BLACK } from '@/core/job';
import { CheckField } from '../field/CheckField';
import { ChoiceField } from '../field/ChoiceField';
import { NumberField } from '../field/NumberField';
import { SolidPaintField } from '../field/PaintField';
import { Opener } from './Opener';
import { Group } from './Slip';

const DASHES = [
  { value: 'solid', label: 'solid' },
  { value: 'dashed', label: 'dashed' },
  { value: 'dotted', label: 'dotted' },
  { value: 'own', label: 'own' },
] as const;

const words = <T extends string>(...values: readonly T[]) => values.map((value) => ({ value, label: value }));

interface Props {
  readonly title: string;
  readonly stroke: Stroke | null;
  /** Whether there may be none. */
  readonly none?: string;
  /** Whether it can lie in or out of its outline. */
  readonly closed: boolean;
  readonly onChange: (stroke: Stroke | null) => void;
}

const FIRST: Stroke = {
  paint: BLACK,
  widthPt: 1,
  dash: 'solid',
  whole: true,
  align: 'centre',
  cap: 'butt',
  join: 'miter',
};

/** A line’s ink, width and form. */
export function StrokeFields({ title, stroke, none, closed, onChange }: Props) {
  const set = (values: Partial<Stroke>) => onChange({ ...FIRST, ...stroke, ...values });
  const dash = stroke && typeof stroke.dash === 'object' ? stroke.dash : undefined;
  return (
    <Group title={title}>
      <SolidPaintField
        label="paint"
        value={stroke?.paint ?? null}
        none={none}
        onChange={(paint) => (paint ? set({ paint }) : onChange(null))}
      />
      {stroke && (
        <>
          <NumberField
            label="width"
            name="stroke-width"
            value={stroke.widthPt}
            least={0.01}
            most={500}
            width={64}
            after=" pt"
            onChange={(widthPt) => set({ widthPt })}
          />
          <ChoiceField
            label="form"
            width={78}
            value={typeof stroke.dash === 'object' ? 'own' : stroke.dash}
            options={DASHES}
            onChange={(form) =>
              set({ dash: form === 'own' ? { onPt: stroke.widthPt * 4, offPt: stroke.widthPt * 3 } : form })
            }
          />
          <Opener label="Line ends">
            <Group title="Line ends">
              {dash && (
                <>
                  <NumberField
                    label="dash"
                    value={dash.onPt}
                    least={0.01}
                    most={2000}
                    width={70}
                    after=" pt"
                    onChange={(onPt) => set({ dash: { ...dash, onPt } })}
                  />
                  <NumberField
                    label="gap"
                    value={dash.offPt}
                    least={0.01}
                    most={2000}
                    width={70}
                    after=" pt"
                    onChange={(offPt) => set({ dash: { ...dash, offPt } })}
                  />
                </>
              )}
              {stroke.dash !== 'solid' && (
                <CheckField label="dashes end whole" checked={stroke.whole} onChange={(whole) => set({ whole })} />
              )}
              {closed && (
                <ChoiceField
                  label="lies"
                  width={84}
                  value={stroke.align}
                  options={words('centre', 'in', 'out')}
                  onChange={(align) => set({ align })}
                />
              )}
              <ChoiceField
                label="caps"
                width={84}
                value={stroke.cap}
                options={words('butt', 'round', 'square')}
                onChange={(cap) => set({ cap })}
              />
              <ChoiceField
                label="corners"
                width={84}
                value={stroke.join}
                options={words('miter', 'round', 'bevel')}
                onChange={(join) => set({ join })}
              />
            </Group>
          </Opener>
        </>
      )}
    </Group>
  );
}
