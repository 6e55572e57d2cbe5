import type { Word } from '../../core/lexicon/entry';
import { howMade, type HowMade } from '../../core/phonology/how-made';
import { chart, consonantPad, vowelPad, type PadSound } from '../../core/phonology/pad';
import { CONSONANTS, labelOf, makingOf, MAKING_ADVICE } from '../../core/phonology/sounds';
import type { Making } from '../../core/phonology/consonants';
import { preparedBank } from './bank';
import { Problem } from '../storage/problems';
import { getSettings } from '../setting/settings';
import { sure } from '../../core/sure';
import { shown, type ShownWord } from './words';

export interface SoundChart {
  readonly accent: string;
  readonly consonants: ReturnType<typeof chart>;
  readonly vowels: readonly PadSound[];
}

/** All sounds of the accent in force: consonants by place and manner, then the vowels. */
export async function soundChart(): Promise<SoundChart> {
  const { accent } = await getSettings();
  return { accent, consonants: chart(accent), vowels: vowelPad(accent).filter((v) => !v.ipa.includes(' ')) };
}

export interface SoundPage {
  readonly ipa: string;
  readonly label: string;
  readonly as: string | null;
  readonly making: Making;
  readonly advice: string;
  readonly how: HowMade;
  /** Place, manner and voicing of a consonant; null for a vowel. */
  readonly facts: { readonly place: string; readonly manner: string; readonly voiced: boolean } | null;
  readonly first: readonly ShownWord[];
  readonly middle: readonly ShownWord[];
  readonly last: readonly ShownWord[];
}

const SHOWN = 8;

/** One sound of the accent in force with words for it. Throws a Problem (404) for a sound this accent does not have. */
export async function soundPage(ipa: string): Promise<SoundPage> {
  const { accent, conventions } = await getSettings();
  const { words } = await preparedBank(accent, conventions);
  if (!words.some((w) => w.sounds.some((s) => s.ipa === ipa)))
    throw new Problem(`/${ipa}/ isn’t a sound of this accent.`, 404);
  const { label, as } = labelOf(ipa, accent);
  const order = [...words]
    .filter((w) => !w.entry.doubt && !w.contest)
    .sort((a, b) => a.entry.band - b.entry.band || a.count - b.count || a.word.localeCompare(b.word));
  const pick = (test: (word: Word) => boolean): ShownWord[] =>
    order
      .filter(test)
      .slice(0, SHOWN)
      .map((w) => shown(w));
  const facts = CONSONANTS[ipa];
  return {
    ipa,
    label,
    as: as ?? null,
    making: makingOf(ipa),
    advice: MAKING_ADVICE[makingOf(ipa)],
    how: howMade(ipa, label),
    facts: facts ? { place: facts.place, manner: facts.manner, voiced: facts.voiced } : null,
    first: pick((w) => sure(w.sounds[0]).ipa === ipa),
    middle: pick((w) => w.sounds.slice(1, -1).some((s) => s.ipa === ipa) && w.count <= 6),
    last: pick((w) => sure(w.sounds.at(-1)).ipa === ipa && w.sounds.length > 1),
  };
}

/** Every sound of the accent in force, in rows as they are ticked: to hold, to clip, light ones, vowels. */
export async function soundsToTick(): Promise<{
  readonly accent: string;
  readonly rows: readonly { readonly name: string; readonly sounds: readonly PadSound[] }[];
}> {
  const { accent } = await getSettings();
  const consonants = consonantPad(accent);
  const made = (making: Making): readonly PadSound[] => consonants.filter((s) => makingOf(s.ipa) === making);
  return {
    accent,
    rows: [
      { name: 'Hold', sounds: made('hold') },
      { name: 'Clip', sounds: made('clip') },
      { name: 'Light', sounds: made('light') },
      { name: 'Vowels', sounds: vowelPad(accent) },
    ],
  };
}
