import type { GameReason } from '../choosing/group-game';
import { inWords, listed } from '../in-words';

const allOf = (names: readonly string[], everyone: boolean): string => {
  if (!everyone || names.length < 2) return listed([...names]);
  return names.length === 2 ? 'both of them' : `all ${inWords(names.length)}`;
};

/**
 * Why a small group plays this, in a sentence or two, each true of those it names.
 * @example groupLine({ next: ['a', 'b'], harder: ['c'], beside: [] }, nameOf, false)
 * // 'It’s next for Wren and Kofi. Bo is a step further on and can show the others.'
 */
export function groupLine({ next, harder, beside }: GameReason, nameOf: (id: string) => string, own: boolean): string {
  const names = (ids: readonly string[]): string[] => ids.map(nameOf);
  const are = (ids: readonly string[]): string => `${listed(names(ids))} ${ids.length === 1 ? 'is' : 'are'}`;
  if (own) return 'No single step suits them all, so each child plays their own.';
  const alone = harder.length + beside.length === 0;
  const rest = [...next, ...beside];
  const whom = rest.length === 1 ? listed(names(rest)) : 'the others';
  const more = harder.length > 0 ? ` ${are(harder)} a step further on and can show ${whom}.` : '';
  if (!next.length && harder.length)
    return beside.length ? `${are(beside)} ready for it.${more}` : 'It’s easy for all of them: a good warm-up.';
  if (!next.length) return 'Something else is next for each of them, but they’re all ready for this.';
  return [
    `It’s next for ${allOf(names(next), alone)}.`,
    ...(beside.length ? [` ${are(beside)} ready for it too.`] : []),
    more,
  ].join('');
}
