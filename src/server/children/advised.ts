import { adviseOn, type AdvisedChild, type AdviceWords, type ChildAdvice } from '../../core/choosing/advice';
import { ADVICE_VERSION, adviceKept, adviceRead } from '../../core/choosing/kept';
import { plainStep, type NextStep } from '../../core/choosing/next-step';
import { ladderOf, rungNow } from '../../core/evidence/ladders';
import type { Pattern } from '../../core/evidence/patterns';
import { checkWords, patternName } from '../../core/games/pebbles';
import { labelOf } from '../../core/phonology/sounds';
import type { AccentId } from '../../core/phonology/accents';
import { sure } from '../../core/sure';
import { endOfDay } from 'date-fns';
import { seenOf } from '../answers/kept-evidence';
import { localKept } from '../answers/local-steps';
import { bandOf } from '../people/groups';
import { otherLanguages } from '../../core/answers/own-way';
import { caughtUp } from '../record/rebuild-queue';
import { readOwnWay } from '../record/session-record';
import { allSettings, type ProgressSettings, type Settings } from '../setting/settings';
import { database } from '../storage/database';
import { otherTurns } from '../storage/other-turns';
import { rows } from '../storage/rows';
import { preparedBank } from '../words/bank';
import { chosenSteps, type ChosenStep } from './chosen-steps';

/** A step an adult chose, with its words. */
export interface Chosen extends ChosenStep {
  readonly step: NextStep;
}

export function chosenOf(choice: ChosenStep | undefined): Chosen | null {
  const rung = choice && rungNow(choice.ladder, choice.rung);
  if (!choice || !rung) return null;
  return {
    ...choice,
    step: plainStep(ladderOf(choice.ladder).id, rung, 'stay', `Chosen by ${choice.by ?? 'an adult'}.`),
  };
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

/** Words for advice in an accent, from its bank. */
async function wordsIn({ accent, conventions }: Settings): Promise<AdviceWords> {
  const material = await preparedBank(accent, conventions);
  return {
    patternName: (id) => patternName(id, material),
    subjectOf: subjectOf(accent),
    spotOf: (key) => spotWords(key, accent),
    canCheck: (key) => checkWords(key, material).length > 0,
  };
}

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

/** What a child always needs, and how old the group is. */
async function childrenOf(ids: readonly string[]): Promise<ReadonlyMap<string, AdvisedChild>> {
  if (!ids.length) return new Map();
  const kept = await rows<{ id: string; way: string; band: string | null }>(
    `SELECT c.id, c.own_way AS way, g.age_band AS band FROM children c JOIN groups g ON g.id = c.group_id
     WHERE c.id IN (:ids)`,
    { ids: [...ids] },
  );
  return new Map(
    kept.map(({ id, way, band }) => {
      const own = readOwnWay(way);
      const { access, lowOnly } = own;
      return [id, { band: bandOf(band), access, lowOnly, languages: otherLanguages(own) }];
    }),
  );
}
const ANY_CHILD: AdvisedChild = { band: null, access: [], lowOnly: false };

/** One child, and all that advice rests on beside the answers, as text. */
interface Asked {
  readonly id: string;
  readonly child: AdvisedChild;
  readonly choice: Chosen | null;
  readonly under: string;
}

/** Advice as it is remembered. */
interface Remembered {
  readonly under: string;
  readonly advice: Advised;
}

const ADVICE = 'advice';

/** What of those asked for is kept in the file and still holds. */
async function keptOf<T>(asked: readonly Asked[], at: number, read: (text: string) => T): Promise<Map<string, T>> {
  if (!asked.length) return new Map();
  const under = new Map(asked.map((a) => [a.id, a.under]));
  const kept = await rows<{ id: string; under: string; body: string }>(
    `SELECT child_id AS id, under, body FROM kept_advice
     WHERE child_id IN (:ids) AND (until IS NULL OR until > :at)`,
    { ids: asked.map((a) => a.id), at },
  );
  return new Map(kept.filter((k) => k.under === under.get(k.id)).map((k) => [k.id, read(k.body)]));
}

/** What is advised, with what it rests on. */
interface WorkedOut extends AdvisedAll {
  readonly asked: readonly Asked[];
}

async function workedOut(childIds: readonly string[], now: number): Promise<WorkedOut> {
  await caughtUp();
  const { remembered } = await database();
  const begun = new Map(childIds.map((id) => [id, remembered.sinceOf(id)]));
  const [{ progress: settings, speech }, chosen, { at: localAt, local }, children] = await Promise.all([
    allSettings(),
    chosenSteps(childIds),
    localKept(),
    childrenOf(childIds),
  ]);
  const { unitOrder } = settings;
  const { accent, conventions } = speech;
  const at = endOfDay(now).getTime();
  const asked = childIds.map((id): Asked => {
    const choice = chosenOf(chosen.get(id));
    const child = children.get(id) ?? ANY_CHILD;
    const { ladder, rung, at: since, by } = choice ?? {};
    const under = [ADVICE_VERSION, unitOrder, accent, conventions, localAt, child, ladder, rung, since, by];
    return { id, child, choice, under: JSON.stringify(under) };
  });
  const known = new Map(asked.flatMap((a) => inMind(remembered.recall<Remembered>(a.id, ADVICE), a, at)));
  const missing = asked.filter((a) => !known.has(a.id));
  const kept = await keptOf(missing, at, (text) => adviceRead(text, local));
  const anew = new Set(missing.flatMap((a) => (kept.has(a.id) ? [] : a.id)));
  const [seen, words] = await Promise.all([seenOf([...anew], at), anew.size ? wordsIn(speech) : undefined]);
  for (const { id, child, choice, under } of missing) {
    const how = { now: at, unitOrder, local, chosen: choice?.step ?? null, child, ...(words ? { words } : {}) };
    const advice = { ...(kept.get(id) ?? adviseOn(sure(seen.get(id)), how)), choice };
    remembered.keep(id, ADVICE, { under, advice } satisfies Remembered, sure(begun.get(id)));
    known.set(id, advice);
  }
  return { settings, speech, of: new Map(asked.map((a) => [a.id, sure(known.get(a.id))])), asked };
}

/**
 * What is advised for each of some children: the one function behind Today, groups, the board, plans, a child's page
 * and the page for a family. The same all day long, until something new is seen of a child.
 * @param now milliseconds since 1970
 */
export const advised = (childIds: readonly string[], now: number): Promise<AdvisedAll> => workedOut(childIds, now);

/** What is remembered of a child, where it still holds. */
const inMind = (known: Remembered | undefined, { id, under }: Asked, at: number): [string, Advised][] =>
  known?.under === under && known.advice.until > at ? [[id, known.advice]] : [];

/** Children whose advice is written at once. */
const AT_ONCE = 10;

/**
 * Works out what is advised for some children and keeps it in the file, off the way of whoever waits: the next page
 * that asks finds it, after a restart too.
 */
export async function keepAdvice(childIds: readonly string[], now = Date.now()): Promise<void> {
  await caughtUp();
  const db = await database();
  const { models, remembered, write } = db;
  for (let i = 0; i < childIds.length && db.open; i += AT_ONCE) {
    const ids = childIds.slice(i, i + AT_ONCE);
    const begun = new Map(ids.map((id) => [id, remembered.sinceOf(id)]));
    const { of, asked } = await workedOut(ids, now);
    const kept = await keptOf(asked, endOfDay(now).getTime(), () => null);
    const fresh = asked.filter((a) => !kept.has(a.id));
    if (fresh.length && db.open)
      await write(async (transaction) => {
        const here = await models.children.findAll({ where: { id: ids }, attributes: ['id'], transaction });
        const known = new Set(here.map((c) => c.get().id));
        for (const { id, under } of fresh) {
          // Where something new was seen meanwhile, or the child was erased, nothing is kept.
          if (!known.has(id) || begun.get(id) !== remembered.sinceOf(id)) continue;
          const advice = sure(of.get(id));
          const until = Number.isFinite(advice.until) ? Math.floor(advice.until) : null;
          await models.keptAdvice.upsert({ child_id: id, under, until, body: adviceKept(advice) }, { transaction });
        }
      });
    await otherTurns();
  }
}
