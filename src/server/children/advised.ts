import { adviseOn, type ChildAdvice } from '../../core/choosing/advice';
import { ladderOf, rungNow } from '../../core/evidence/ladders';
import type { NextStep } from '../../core/choosing/next-step';
import type { Pattern } from '../../core/evidence/patterns';
import { labelOf } from '../../core/phonology/sounds';
import type { AccentId } from '../../core/phonology/accents';
import { sure } from '../../core/sure';
import { seenOf } from '../answers/kept-evidence';
import { localNow } from '../answers/local-steps';
import { caughtUp } from '../record/rebuild-queue';
import { allSettings, type ProgressSettings, type Settings } from '../setting/settings';
import { database } from '../storage/database';
import { chosenSteps, type ChosenStep } from './chosen-steps';

/** A step an adult chose, with its words. */
export interface Chosen extends ChosenStep {
  readonly step: NextStep;
}

export function chosenOf(choice: ChosenStep | undefined): Chosen | null {
  const rung = choice && rungNow(choice.ladder, choice.rung);
  return choice && rung
    ? {
        ...choice,
        step: {
          ladder: ladderOf(choice.ladder).id,
          rung: rung.id,
          rungOf: rung,
          move: 'stay',
          reason: `Chosen by ${choice.by ?? 'an adult'}.`,
        },
      }
    : null;
}

const SIDES: Readonly<Record<string, string>> = {
  first: 'at the start',
  middle: 'in the middle',
  last: 'at the end',
  opening: 'in a pair of sounds at the start',
  closing: 'in a pair of sounds at the end',
};

/** Sound and place in words. Example: `spotWords('r opening after', accent) // '/r/ in a cluster at the start'`. */
export function spotWords(key: string, accent: AccentId): string {
  const [ipa = '', side = ''] = key.split(' ');
  return `/${labelOf(ipa, accent).label}/ ${SIDES[side] ?? ''}`;
}

/** What a pattern is about, in words. */
export const subjectOf =
  (accent: AccentId) =>
  ({ id, name }: Pick<Pattern, 'id' | 'name'>): string =>
    name || spotWords(id, accent);

/** What is advised for a child, and how the setting wants it. */
export interface Advised extends ChildAdvice {
  readonly choice: Chosen | null;
}

export interface AdvisedAll {
  readonly settings: ProgressSettings;
  /** How people speak and count here. */
  readonly speech: Settings;
  readonly of: ReadonlyMap<string, Advised>;
}

/**
 * What is advised for each of some children: the one function behind Today, groups, the board, plans, a child's page
 * and the page for a family.
 * @param now milliseconds since 1970
 * @param detail figures for a child's own page
 */
export async function advised(childIds: readonly string[], now: number, detail = false): Promise<AdvisedAll> {
  await caughtUp();
  const { remembered } = await database();
  const begun = new Map(childIds.map((id) => [id, remembered.sinceOf(id)]));
  const [{ progress: settings, speech }, chosen, local] = await Promise.all([
    allSettings(),
    chosenSteps(childIds),
    localNow(),
  ]);
  const { rule, unitOrder } = settings;
  const { accent } = speech;
  const at = hourOf(now);
  const name = detail ? 'advice-figures' : 'advice';
  const subject = subjectOf(accent);
  const asked = childIds.map((id) => {
    const choice = chosenOf(chosen.get(id));
    const how = { now: at, rule, unitOrder, local, detail, chosen: choice?.step ?? null };
    const under = JSON.stringify([how, choice?.at, accent]);
    const known = remembered.recall<KeptAdvice>(id, name);
    return { id, choice, how, under, known: known?.under === under ? known.advice : null };
  });
  const seen = await seenOf(
    asked.flatMap((a) => (a.known ? [] : a.id)),
    at,
  );
  const advice = asked.map(({ id, choice, how, under, known }): [string, Advised] => {
    if (known) return [id, known];
    const advice = { ...adviseOn(sure(seen.get(id)), how, subject), choice };
    remembered.keep(id, name, { under, advice } satisfies KeptAdvice, sure(begun.get(id)));
    return [id, advice];
  });
  return { settings, speech, of: new Map(advice) };
}

/** Advice as it is remembered, with all that it was worked out by beside the answers. */
interface KeptAdvice {
  readonly under: string;
  readonly advice: Advised;
}

const HOUR_MS = 3_600_000;
/** The end of the hour: within it, advice is worked out once, until anything new is seen of a child. */
const hourOf = (now: number): number => Math.ceil(now / HOUR_MS) * HOUR_MS;
