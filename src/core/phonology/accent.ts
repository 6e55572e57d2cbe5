import type { ConsonantFacts } from './consonants';
import type { ConsonantKey, VowelKey } from './keys';
import { USUAL_LABELS, type Label, type SetLabel } from './labels';

/** A consonant that no other accent has: how it is made, its plain label, and what to tell an adult. */
export interface OwnConsonant extends ConsonantFacts {
  /** A word that tells it from another sound with the same label. */
  readonly as: string;
  /** What lips, tongue and voice do, in a sentence. */
  readonly made: string;
}

/**
 * An accent is one object: what each lexical set is there, which consonants differ, which of the documented rules
 * hold, how its sounds are labelled, and what it is verified against. Everything else asks the object; nothing asks
 * for its id.
 */
export interface Accent {
  readonly id: string;
  readonly name: string;
  /** The country whose everyday words go with it. */
  readonly country: 'gb' | 'us';
  /** What each lexical set is there; several sounds apart by a space. */
  readonly vowels: Readonly<Record<VowelKey, string>>;
  /** Consonant keys that differ from the usual sound. */
  readonly consonants: Partial<Record<ConsonantKey, string>>;
  /** Consonants it has and no other accent, by IPA. */
  readonly ownConsonants: Readonly<Record<string, OwnConsonant>>;
  /** A written r is said wherever it stands. */
  readonly rhotic: boolean;
  /** FLEECE . commA said as one sound (*idea*). */
  readonly ideaIsOne: string | null;
  /** STRUT r before a vowel (*hurry*) becomes this sound. */
  readonly hurry: string | null;
  /** y is dropped after t d n s z l th before GOOSE or CURE in the same syllable (*new*). */
  readonly dropsYod: boolean;
  /** PRICE or MOUTH and lettER in one syllable (*fire*): the weak vowel is not said, only its r. */
  readonly fireIsShort: boolean;
  /** What a set is before a written r, where that differs (*orange*, where cot and caught are merged). */
  readonly beforeR: Partial<Record<VowelKey, string>>;
  /** A t between vowels may be said as a quick d (*water*), and is heard so. */
  readonly tapsT: boolean;
  /** Plain labels of vowels by lexical set, in order of claim. */
  readonly labels: readonly SetLabel[];
  /** Labels of vowels before an r that is said, where they differ (American *car*: ah, not o), by IPA. */
  readonly labelsBeforeR: Readonly<Record<string, string>>;
  /** Labels of vowels that no set of this accent gives, by IPA. */
  readonly moreLabels: Readonly<Record<string, Label>>;
  /** The accent whose own lines and name this one shares, and the choice of the setting in which it differs. */
  readonly variant?: {
    readonly of: string;
    /** Two words that are said alike here. */
    readonly alike: readonly [string, string];
  };
  /** Names of the outside references its words are checked against (core/testing/references). */
  readonly references: readonly string[];
}

/** What an accent has unless it says otherwise. */
export const PLAIN = {
  consonants: {},
  ownConsonants: {},
  rhotic: false,
  ideaIsOne: null,
  hurry: null,
  dropsYod: false,
  fireIsShort: false,
  beforeR: {},
  tapsT: false,
  labels: USUAL_LABELS,
  labelsBeforeR: {},
  moreLabels: {},
} as const satisfies Partial<Accent>;

/** Sets that end in no full vowel (*apple*, *bottom*, *kitten*): the same in every accent that ships. */
export const SYLLABIC = { EL: 'ə l', EM: 'ə m', EN: 'ə n' } as const;
