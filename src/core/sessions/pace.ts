/**
 * How long it takes to say a thing, so that the time to mark begins when the adult has done. Common practice, no
 * source.
 */
const SYLLABLE_MS = 260;
const PAUSE_MS = 250;

/** Syllables of a line of English, near enough: runs of vowel letters. */
const syllables = (text: string): number => (text.match(/[aeiouy]+/gi) ?? []).length;

/**
 * Milliseconds to say a line; an ellipsis is a gap of the chosen length.
 * @param gapSeconds seconds between sounds
 * @example saidIn('s … u … n', 1) // about 2.5 s
 */
export function saidIn(text: string, gapSeconds: number): number {
  const gaps = (text.match(/…/g) ?? []).length;
  const stops = (text.match(/[.?!,:]/g) ?? []).length;
  return Math.round(syllables(text) * SYLLABLE_MS + stops * PAUSE_MS + gaps * gapSeconds * 1_000);
}

/** Seconds of thinking time to choose from; 0 for none. */
export const THINK_SECONDS = [0, 3, 5, 8, 10] as const;

/** A stopwatch that can be held: times a turn by a clock that only goes forward, pauses left out. */
export interface Stopwatch {
  /** Begins anew; what is said first does not count. */
  readonly begin: (now: number, sayMs: number) => void;
  /** The adult has just done saying it: time begins here. */
  readonly said: (now: number) => void;
  readonly hold: (now: number) => void;
  readonly go: (now: number) => void;
  /** Milliseconds from the end of what the adult said. */
  readonly read: (now: number) => number;
}

/** @example const watch = makeStopwatch(); watch.begin(0, 2000); watch.read(5000) // 3000 */
export function makeStopwatch(): Stopwatch {
  let from = 0;
  let heldSince: number | null = null;
  return {
    begin: (now, sayMs) => {
      from = now + sayMs;
      if (heldSince !== null) heldSince = now;
    },
    said: (now) => {
      from = now;
      if (heldSince !== null) heldSince = now;
    },
    hold: (now) => {
      heldSince ??= now;
    },
    go: (now) => {
      if (heldSince !== null) from += now - heldSince;
      heldSince = null;
    },
    read: (now) => Math.max(0, Math.round((heldSince ?? now) - from)),
  };
}
