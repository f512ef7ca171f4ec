'use client';
import { INTENTS, type Intent } from '@/core/colour';
import { profilesOf, withProfile } from '@/core/job';
import { PROFILES, type ProfileKey } from '@/core/shop';
import { CheckField } from '../../field/CheckField';
import { ChoiceField } from '../../field/ChoiceField';
import { FileButton } from '../../field/FileButton';
import { useJob } from '../../open-job/context';
import { useDesk } from '../../open-job/use-desk';
import { wordsOf } from '../../shell/api';
import { addAsset } from '../../shell/bring-in';
import { useSay } from '../../shell/Messages';
import { Group } from '../../slip/Slip';

const PROFILE_WORDS = { 'coated-fogra39': 'coated, FOGRA39', 'uncoated-fogra29': 'uncoated, FOGRA29' } as const;

const INTENT_WORDS: Readonly<Record<Intent, string>> = {
  relative: 'relative: as it is, up to the edge',
  perceptual: 'perceptual: all drawn in a little',
  saturation: 'saturation: as vivid as can be',
  absolute: 'absolute: with the paper’s white',
};

/** The way of colours to the press: through which profile, and what becomes of those that it cannot show. */
export function ColourFields() {
  const { job, rules } = useDesk();
  const change = useJob((s) => s.change);
  const say = useSay();
  const { profile, intent, ownBlack } = job.output;
  const own = profilesOf(job);
  const take = async (file: File) => {
    try {
      const { sha, asset } = await addAsset(file);
      if (asset.kind === 'profile') change(`Output profile ${asset.name}`, (now) => withProfile(now, sha, asset));
      else say({ tone: 'problem', text: `“${file.name}” is no output profile. Nothing was changed.` });
    } catch (error) {
      say({ tone: 'problem', text: wordsOf(error) });
    }
  };
  return (
    <Group title="Colour" term="output-profile">
      <ChoiceField<ProfileKey | 'open'>
        label={profile ? 'profile, set by hand' : 'profile, from the stock'}
        width="100%"
        value={rules.profile}
        options={[
          ...PROFILES.map((p) => ({ value: p, label: PROFILE_WORDS[p] })),
          ...own.map(({ key, about }) => ({ value: key, label: about })),
          ...(profile ? [{ value: 'open' as const, label: 'as the stock says' }] : []),
        ]}
        onChange={(to) =>
          change('Output profile', (now) => ({
            ...now,
            output: { ...now.output, profile: to === 'open' ? undefined : to },
          }))
        }
      />
      <FileButton asks="Output profile of the printer, ICC" accept=".icc,.icm" onFile={(file) => void take(file)}>
        Bring in a profile
      </FileButton>
      <ChoiceField
        label="colours beyond it"
        width="100%"
        value={intent ?? 'relative'}
        options={INTENTS.map((i) => ({ value: i, label: INTENT_WORDS[i] }))}
        onChange={(to) =>
          change('Rendering intent', (now) => ({
            ...now,
            output: { ...now.output, intent: to === 'relative' ? undefined : to },
          }))
        }
      />
      {intent !== 'absolute' && (
        <CheckField
          label="darkest to darkest"
          checked={ownBlack !== true}
          onChange={(on) =>
            change('Black point', (now) => ({ ...now, output: { ...now.output, ownBlack: on ? undefined : true } }))
          }
        />
      )}
    </Group>
  );
}
