import { sure } from '../sure';
import type { Accent } from './accent';
import { CONSONANT_IPA, isConsonantKey, isVowelKey, R_SETS, SYLLABIC_ENDINGS, type Key } from './keys';
import { isConsonant } from './sounds';
import type { Segment } from './transcription';

/** One sound as it is said in an accent, with where in the line it came from. */
export interface Sound {
  readonly ipa: string;
  readonly key: Key;
  /** Index of the segment in the transcription. Two sounds of one segment share it. */
  readonly segment: number;
  readonly syllable: number;
  readonly vowel: boolean;
}

const YOD_DROPPERS: ReadonlySet<Key> = new Set<Key>(['t', 'd', 'n', 's', 'z', 'l', 'th']);

/** A segment with its neighbours. */
interface SoundSpot {
  readonly here: Segment;
  readonly before: Segment | undefined;
  readonly after: Segment | undefined;
  /** True where the segment after the next is a vowel. */
  readonly vowelThen: boolean;
}

/** How a segment is said, and whether the next one is in that too; null where it is not said. */
type Saying = { readonly ipa: string; readonly swallows?: 1 } | null;

const inOneSyllable = (a: Segment, b: Segment | undefined): boolean => b?.syllable === a.syllable;

/** True where a vowel of the same beat stands before. */
const followsVowel = (here: Segment, before: Segment | undefined): boolean =>
  before !== undefined && isVowelKey(before.key) && inOneSyllable(here, before);

/** Vowels that run together, or do not, by the accent's own rules; undefined where none speaks. */
function runTogether({ here, before, after, vowelThen }: SoundSpot, accent: Accent): Saying | undefined {
  const then = after?.key;
  if (accent.ideaIsOne && here.key === 'FLEECE' && then === 'commA') return { ipa: accent.ideaIsOne, swallows: 1 };
  if (accent.fireIsShort && here.key === 'lettER' && followsVowel(here, before)) return { ipa: 'r' };
  if (accent.hurry && here.key === 'STRUT' && after?.key === 'r' && vowelThen)
    return { ipa: accent.hurry, swallows: 1 };
  return undefined;
}

/** True for a consonant that this accent does not say here. */
function isSilent({ here, before, after }: SoundSpot, accent: Accent): boolean {
  if (!before) return false;
  // The r of the set before has been said already.
  if (here.key === 'r') return accent.rhotic && R_SETS.has(before.key);
  if (here.key !== 'y' || !accent.dropsYod) return false;
  const beforeGoose = after?.key === 'GOOSE' || after?.key === 'CURE';
  return beforeGoose && YOD_DROPPERS.has(before.key) && inOneSyllable(here, before);
}

function sayingOf(spot: SoundSpot, accent: Accent): Saying {
  const { here, after } = spot;
  const together = runTogether(spot, accent);
  if (together !== undefined) return together;
  if (isSilent(spot, accent)) return null;
  if (isConsonantKey(here.key)) return { ipa: accent.consonants[here.key] ?? CONSONANT_IPA[here.key] };
  return { ipa: (after?.key === 'r' ? accent.beforeR[here.key] : undefined) ?? accent.vowels[here.key] };
}

/**
 * The sounds of a transcription in an accent, in order.
 *
 * @example realiseSegments(parseTranscription('sh START k'), accentOf('general-american')).map((s) => s.ipa)
 * // ['ʃ', 'ɑ', 'r', 'k']
 */
export function realiseSegments(segments: readonly Segment[], accent: Accent): Sound[] {
  const sounds: Sound[] = [];
  for (let i = 0; i < segments.length; i += 1) {
    const here = sure(segments[i]);
    const segment = i;
    const spot = { here, before: segments[i - 1], after: segments[i + 1], vowelThen: isVowelAt(segments, i + 2) };
    const saying = sayingOf(spot, accent);
    if (!saying) continue;
    for (const ipa of saying.ipa.split(' ')) {
      const vowel = isVowelKey(here.key) && !isConsonant(ipa);
      sounds.push({ ipa, key: here.key, segment, syllable: here.syllable, vowel });
    }
    i += saying.swallows ?? 0;
  }
  return sounds;
}

const isVowelAt = (segments: readonly Segment[], at: number): boolean => {
  const segment = segments[at];
  return segment !== undefined && isVowelKey(segment.key) && !SYLLABIC_ENDINGS.has(segment.key);
};
