import type { Caution } from '../lexicon/cautions';
import type { VowelKey } from '../phonology/keys';
import type { Making } from '../phonology/consonants';

/** One sound as the bounce line shows it. */
export interface Mark {
  readonly ipa: string;
  readonly label: string;
  /** A word that tells two sounds with one label apart. */
  readonly as?: string;
  /** This word's own letters for the sound; absent where the spelling cannot be cut there. */
  readonly letters?: string;
  readonly making: Making;
  /** Stands close to the mark before it: both belong to one cluster. */
  readonly close: boolean;
  /** Shares an underline with the mark before it: the convention counts them as one. */
  readonly fused: boolean;
  /** A vowel of a beat without stress: a clear vowel for it is a fair answer. */
  readonly weak?: true;
  /** The lexical set of a vowel, for groups that speak in several accents. */
  readonly set?: VowelKey;
}

/** Who says a line of the script. */
type Role = 'together' | 'children';
export interface Line {
  readonly role: Role;
  readonly text: string;
}

/** A word as a screen shows it. */
export interface Shown {
  readonly word: string;
  readonly marks: readonly Mark[];
  readonly count: number;
  readonly meaning: string;
  readonly picture: string | null;
  readonly prop: boolean;
  readonly cautions: readonly Caution[];
}

/** Words in a row. */
interface RowView {
  readonly kind: 'row';
  /** The one that is right: the odd one, the one that rhymes. */
  readonly answer: number | null;
  /** The first word is the one asked about, and none of the choices. */
  readonly first: boolean;
  /** What stands under the word asked about and under the right one. */
  readonly tags: { readonly first?: string; readonly answer?: string };
  /** Each word has its picture. */
  readonly pictures?: true;
}

/** How Play draws an item: each task properly, not one card for all. */
export type View =
  /** One word on its bounce line; `spot` is the sound asked for, `parts` what the adult says with gaps. */
  | { readonly kind: 'line'; readonly spot: number | null; readonly parts: readonly string[] | null }
  /** Two words, yes or no. */
  | { readonly kind: 'pair' }
  | RowView
  /** A sound leaves, drops in, or both. */
  | {
      readonly kind: 'change';
      readonly from: readonly Mark[];
      readonly to: readonly Mark[];
      readonly gone: readonly number[];
      readonly come: readonly number[];
    }
  /** One beat for each part: words of a sentence, or syllables. */
  | {
      readonly kind: 'beats';
      readonly parts: readonly string[];
      readonly ownName: boolean;
      readonly out: number | null;
    }
  /** A handful of sounds, every word it makes, and a timer. */
  | {
      readonly kind: 'hunt';
      readonly sounds: readonly Mark[];
      readonly words: readonly { readonly word: string; readonly count: number }[];
      readonly seconds: number;
    }
  /** A list to say back. */
  | { readonly kind: 'list'; readonly entries: readonly string[]; readonly backwards: boolean }
  /** A short story; words to catch are marked. */
  | {
      readonly kind: 'story';
      /** Of a little story, which is read sentence by sentence; single words to catch have none. */
      readonly title?: string;
      readonly sentences: readonly (readonly { readonly text: string; readonly hit: boolean }[])[];
    };
