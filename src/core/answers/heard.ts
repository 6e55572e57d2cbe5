import type { AccentId } from '../phonology/accents';
import { heardLine } from './heard-line';
import { lineText, type Bit } from './line-text';
import type { LikelyContext } from './likely';
import type { Slip } from './outcome';
import { chunksOf, type Chunks } from './said';

/** An answer as every screen and file shows it: a word or a safe respelling, and the small line with its sounds. */
export interface Heard {
  readonly show: string | null;
  readonly line?: readonly Bit[];
}

/** An answer that was kept. */
export interface KeptSaid {
  readonly said: string | null;
  readonly slip: Slip | null;
  /** The sounds of the item’s word. */
  readonly sounds: readonly string[];
}

/**
 * What was said, shown so that it cannot be misread. What is no row of sounds (a choice, a number) stays as it is; of
 * what would be heard as a rude word, nothing is shown; null where nothing was noted.
 * @param context of the accent, where the bank is at hand; without it the line does alone
 * @example heardOf({ said: 'f+ɒ+ɡ', slip: 'lost-sound', sounds: ['f', 'r', 'ɒ', 'ɡ'] }, accent, context)?.show // 'fog'
 */
export function heardOf(
  { said, slip, sounds }: KeptSaid,
  accent: AccentId,
  context: LikelyContext | null,
): Heard | null {
  if (!said) return null;
  const chunks = chunksOf(said);
  const lost = slip === 'lost-sound';
  try {
    if (context?.guard(chunks.flat())) return null;
    const line = heardLine(chunks, lost ? sounds : [], accent);
    const { show, known } = inLetters(chunks, context);
    return known && !lost ? { show } : { show, line };
  } catch {
    return { show: said };
  }
}

/** What was said in one go as letters: a known word, or a respelling. */
function inLetters(chunks: Chunks, context: LikelyContext | null): { show: string | null; known: boolean } {
  const [whole = []] = chunks;
  if (!context || chunks.length > 1 || whole.length < 2) return { show: null, known: false };
  const word = context.spellingOf(whole);
  return { show: word ?? context.respell(whole), known: word !== undefined };
}

/** In one word where there is one, else the line. Example: `heardShort({ show: 'fog', line }) // 'fog'`. */
export const heardShort = ({ show, line }: Heard): string => show ?? lineText(line ?? []);

/**
 * The same as text, for files and for print.
 * @example heardText({ show: 'fog', line }) // 'fog (f-[r]-o-g)'
 */
export function heardText({ show, line }: Heard): string {
  if (!line) return show ?? '';
  return show === null ? lineText(line) : `${show} (${lineText(line)})`;
}
