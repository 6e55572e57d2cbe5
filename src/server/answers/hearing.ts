import { heardOf, type Heard, type KeptSaid } from '../../core/answers/heard';
import type { AccentId } from '../../core/phonology/accents';
import { getSettings } from '../setting/settings';
import { preparedBank } from '../words/bank';

/** An answer of an accent, as it is shown; null where nothing is. */
export type HeardAs = (answer: KeptSaid & { readonly accent: AccentId }) => Heard | null;

/**
 * Shows kept answers. The bank of the setting’s own accent is at hand and gives words and respellings; of an answer in
 * another accent the line with its sounds does alone.
 */
export async function hearingOfAny(): Promise<HeardAs> {
  const { accent: own, conventions } = await getSettings();
  const { context } = await preparedBank(own, conventions);
  return (answer) => heardOf(answer, answer.accent, answer.accent === own ? context : null);
}

/** The same for answers of one accent. */
export async function hearing(accent: AccentId): Promise<(answer: KeptSaid) => Heard | null> {
  const heard = await hearingOfAny();
  return (answer) => heard({ ...answer, accent });
}
