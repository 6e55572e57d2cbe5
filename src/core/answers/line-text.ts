/** One sound of an answer as the small line under it has it. */
export interface Bit {
  readonly label: string;
  /** A word that tells it from another sound with the same label. */
  readonly as?: string;
  /** It was asked for and not said: struck through. */
  readonly lost?: true;
  /** Said in one go with the sound before it. */
  readonly tied?: true;
}

const bitText = ({ label, as, lost }: Bit): string => {
  const text = as ? `${label} (as in ${as})` : label;
  return lost ? `[${text}]` : text;
};

/**
 * The line as text, for files and for readers of screens: parts said apart with a dot between, sounds said in one go
 * with a hyphen, a lost sound in brackets.
 * @example lineText(heardLine([['f', 'ɒ', 'ɡ']], ['f', 'r', 'ɒ', 'ɡ'], accent)) // 'f-[r]-o-g'
 */
export const lineText = (line: readonly Bit[]): string =>
  line.reduce((text, one, i) => text + between(one, i) + bitText(one), '');

function between({ tied }: Bit, at: number): string {
  if (at === 0) return '';
  return tied ? '-' : ' · ';
}
