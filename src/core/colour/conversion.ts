/** How colours that a paper cannot show are taken onto it, as ICC.1 names it. */
export const INTENTS = ['relative', 'perceptual', 'saturation', 'absolute'] as const;
export type Intent = (typeof INTENTS)[number];

/** The way of colours to the press. */
export interface Conversion {
  /** Key of the output profile. */
  readonly profile: string;
  readonly intent: Intent;
  /** The darkest of the screen becomes the darkest of the paper, and what lies between keeps its steps. */
  readonly blackPoint: boolean;
}

/** The usual way: relative colorimetric with black-point compensation [cp]. */
export const USUAL: Omit<Conversion, 'profile'> = { intent: 'relative', blackPoint: true };

const OWN_BLACK = 'own-black';

/** A conversion as a key that fits an address; the usual way is the profile’s own key. */
export const conversionKey = ({ profile, intent, blackPoint }: Conversion): string =>
  [profile, ...(intent === USUAL.intent ? [] : [intent]), ...(blackPoint ? [] : [OWN_BLACK])].join('~');

/** What a key stands for. Its profile is not looked for. */
export function readConversion(key: string): Conversion {
  const [profile = '', ...rest] = key.split('~');
  return {
    profile,
    intent: INTENTS.find((intent) => rest.includes(intent)) ?? USUAL.intent,
    blackPoint: !rest.includes(OWN_BLACK),
  };
}
