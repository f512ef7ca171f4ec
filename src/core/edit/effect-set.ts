import type { Effect, Length } from '../job';
import type { Rect } from '../layout';

interface EffectSet {
  readonly effects: readonly Effect[];
  /** Diagonal of what they were copied from, mm. */
  readonly size: number;
}

let kept: EffectSet | undefined;

const diagonal = (r: Pick<Rect, 'width' | 'height'>): number => Math.hypot(r.width, r.height);

/** Keeps a set of effects for other elements, until the page is left. */
export function copyEffects(effects: readonly Effect[], of: Pick<Rect, 'width' | 'height'> | undefined): void {
  kept = { effects, size: of ? diagonal(of) : 0 };
}

export const copiedEffects = (): EffectSet | undefined => kept;

/** Every length of a set changed as much as the element is larger or smaller; named measures stay what they are. */
export function scaledEffects({ effects, size }: EffectSet, to: Pick<Rect, 'width' | 'height'>): readonly Effect[] {
  const k = size > 0 ? diagonal(to) / size : 1;
  const scale = (length: Length): Length =>
    typeof length === 'number' ? Math.round(length * k * 1000) / 1000 : length;
  return effects.map((effect): Effect => {
    switch (effect.effect) {
      case 'shadow':
        return {
          ...effect,
          dx: scale(effect.dx),
          dy: scale(effect.dy),
          blur: scale(effect.blur),
          spread: scale(effect.spread),
        };
      case 'glow':
        return { ...effect, blur: scale(effect.blur), spread: scale(effect.spread) };
      case 'blur':
      case 'soft-edge':
        return { ...effect, blur: scale(effect.blur) };
      case 'outline':
        return { ...effect, width: scale(effect.width) };
    }
  });
}
