import { FAMILIES } from '../../core/games/families';
import { labelOf, isVowel } from '../../core/phonology/sounds';
import { preparedBank } from '../words/bank';
import { getSettings } from '../setting/settings';

interface CatalogueStep {
  readonly id: string;
  readonly name: string;
}

const named = (steps: readonly CatalogueStep[]): CatalogueStep[] => steps.map(({ id, name }) => ({ id, name }));

export interface CatalogueTask {
  readonly id: string;
  readonly name: string;
  readonly asks: string;
  /** Children’s own names can be played. */
  readonly ownName: boolean;
  /** A chain from one word to another can be asked for. */
  readonly leadsOn: boolean;
  readonly steps: readonly CatalogueStep[];
  /** Steps that a plan may have and that are not offered in order. */
  readonly unlisted: readonly CatalogueStep[];
  /** Not offered any more; a plan made before may have it. */
  readonly former: boolean;
}

export interface Catalogue {
  readonly families: readonly { readonly name: string; readonly tasks: readonly CatalogueTask[] }[];
  /** The sounds of the accent, consonants first. */
  readonly sounds: readonly { readonly ipa: string; readonly label: string }[];
}

/** Every game and step to choose from, and the sounds of the accent in force. */
export async function catalogue(): Promise<Catalogue> {
  const { accent, conventions } = await getSettings();
  const bank = await preparedBank(accent, conventions);
  const sounds = bank.index.sounds.map((ipa) => {
    const { label, as } = labelOf(ipa, accent);
    return { ipa, label: `/${label}/${as ? ` as in ${as}` : ''}`, vowel: isVowel(ipa) };
  });
  return {
    families: FAMILIES.map((family) => ({
      name: family.name,
      tasks: family.tasks.map(({ id, name, asks, steps, unlisted = [], former, ownName, leadsOn }) => ({
        id,
        name,
        asks,
        ownName: ownName === true,
        leadsOn: leadsOn === true,
        steps: named(steps),
        unlisted: named(unlisted),
        former: former === true,
      })),
    })),
    sounds: sounds
      .sort((a, b) => Number(a.vowel) - Number(b.vowel) || a.label.localeCompare(b.label))
      .map(({ ipa, label }) => ({ ipa, label })),
  };
}
