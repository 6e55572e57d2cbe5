import type { Habits } from '../../core/answers/rank';
import { familyOf, openingOf, stepOf, taskOf } from '../../core/games';
import { GESTURES, gestureLine } from '../../core/games/gestures';
import type { Item } from '../../core/games/item';
import { tryItem } from '../../core/games/try-item';
import type { Material } from '../../core/games/material';
import { routineOf } from '../../core/games/routine';
import type { RoutineStep } from '../../core/games/routine-steps';
import type { AccentId } from '../../core/phonology/accents';
import { isPlain } from '../../core/answers/own-way';
import { rightInOwnWay } from '../../core/sessions/question';
import { roundSeconds, ROLE_WORDS, type Way } from '../../core/sessions/running-order';
import type { Entry } from '../../core/sessions/log';
import { hasWordOf } from '../../core/games/spec';
import type { SessionPlan } from '../../core/sessions/replay';
import type { FindPlan } from '../../core/sessions/find';
import { ownKeys, playedAs, type OwnDeal } from '../../core/sessions/own-step';
import type { StoredRound } from '../../core/sessions/stored-round';
import { getSettings } from '../setting/settings';
import { preparedBank } from '../words/bank';
import { wordsAside } from '../words/put-aside';
import { listGroups } from '../people/groups';
import { whereIn } from '../../core/answers/spots';
import { pebbleWord, pebbleWords, type PebbleWord } from '../../core/games/pebbles';
import { verdictOn } from '../../core/evidence/pebbles';
import { settle } from '../../core/evidence/settle';
import { slipsOf } from '../answers/kept-evidence';
import { habitsOfChildren } from './habits';
import { pacesOf } from './paces';
import { replayPlan, sessionLog, sessionRecord, type Participant } from '../record/session-record';
import { sure } from '../../core/sure';

/** A round as Play runs it. */
export interface PlayRound {
  readonly role: string;
  readonly task: string;
  readonly family: string;
  readonly name: string;
  readonly step: string;
  readonly gesture: string;
  readonly reminder: string;
  readonly scoresSounds: boolean;
  /** Who speaks, in order. */
  readonly routine: readonly RoutineStep[];
  readonly inOrder: boolean;
  readonly way: Way;
  /** The answers as another accent says them that a child of this session speaks: by accent, then by key. */
  readonly inAccents: Readonly<Record<string, Readonly<Record<string, readonly string[]>>>>;
  /** Likely answers (by id) that are right in a child’s own way of speaking: by child, then by item. */
  readonly rightFor: Readonly<Record<string, Readonly<Record<string, readonly string[]>>>>;
  readonly spares: readonly string[];
  /** What is dealt to whom, where each child has their own step; empty elsewhere. */
  readonly own: readonly OwnDeal[];
  readonly model: string;
  readonly opening: string;
  /** What the adult says, with slots that each item fills. */
  readonly ask: string;
  readonly gap: number;
  readonly names: boolean;
  readonly items: Readonly<Record<string, Item>>;
}

export interface PlaySession {
  readonly id: string;
  /** It is on a tablet that was lent this session: no notes, and nothing beyond it. */
  readonly lent?: true;
  readonly title: string;
  readonly letters: boolean;
  readonly groupName: string;
  readonly accent: AccentId;
  /** People here speak in several accents: any shipped accent’s vowel is a fair answer. */
  readonly mixed: boolean;
  readonly children: readonly Participant[];
  /** Children of the group who may still come. */
  readonly others: readonly Participant[];
  /** Pebble checks: what a slip of an item could be checked with, and what is settled already. */
  readonly pebbles: Pebbles;
  /** What each child has said before. */
  readonly habits: Readonly<Record<string, Habits>>;
  readonly plan: SessionPlan;
  readonly rounds: readonly PlayRound[];
  readonly minutes: number;
  readonly startedAt: number;
  readonly log: readonly Entry[];
}

/** All that Play needs to offer a pebble check and to play it. */
interface Pebbles {
  /** By item, then by index of the sound. */
  readonly checks: Readonly<Record<string, Readonly<Record<number, PebbleWord>>>>;
  /** More words of a place, for who says the first one well. */
  readonly more: Readonly<Record<string, readonly PebbleWord[]>>;
  /** What is open for a child already, by sound and place: its check is at hand before a slip. */
  readonly open: Readonly<Record<string, readonly string[]>>;
  /** What is settled for a child: nothing is offered for it. */
  readonly settled: Readonly<Record<string, readonly string[]>>;
}

const NO_PEBBLES: Pebbles = { checks: {}, more: {}, open: {}, settled: {} };
/** Words of a place that go with a session. */
const MORE_WORDS = 6;

/** What the items of these rounds could be checked with. */
function pebblesFor(rounds: readonly PlayRound[], material: Material): Pick<Pebbles, 'checks' | 'more'> {
  const checks: Record<string, Record<number, PebbleWord>> = {};
  const more: Record<string, readonly PebbleWord[]> = {};
  for (const { task, items } of rounds) {
    if (!taskOf(task).wholeWord) continue;
    for (const item of Object.values(items)) {
      const word = material.byName.get(item.word);
      if (!word || item.marks.length !== word.sounds.length) continue;
      word.sounds.forEach((_, at) => {
        const made = pebbleWord(word, at, material);
        if (!made) return;
        (checks[item.key] ??= {})[at] = made;
        more[whereIn(made.key)] ??= pebbleWords(whereIn(made.key), material).slice(0, MORE_WORDS);
      });
    }
  }
  return { checks, more };
}

/** What is open and what is settled for each child, as sound and place. */
async function settledFor(childIds: readonly string[], now: number): Promise<Pick<Pebbles, 'open' | 'settled'>> {
  const seen = await slipsOf(childIds, now);
  const each = [...seen].map(([id, of]) => {
    const keys = [...new Set(of.checks.map((c) => c.key))];
    const known = keys.filter((key) => verdictOn(of.checks, key, now) !== 'open');
    return { id, settled: known, open: settle(of, now).open.flatMap((o) => (o.verdict === 'open' ? [o.key] : [])) };
  });
  return {
    open: Object.fromEntries(each.filter((e) => e.open.length).map((e) => [e.id, e.open])),
    settled: Object.fromEntries(each.filter((e) => e.settled.length).map((e) => [e.id, e.settled])),
  };
}

/** The answers of a round as other accents say them, where they are judged by their sounds. */
function inAccents(round: StoredRound, keys: readonly string[], accents: readonly Material[]): PlayRound['inAccents'] {
  return Object.fromEntries(
    accents.map((material) => [
      material.accent,
      Object.fromEntries(
        keys.flatMap((key) => {
          const judged = tryItem(playedAs(round, key), key, material).item?.judged;
          return judged?.by === 'sounds' ? [[key, judged.sounds]] : [];
        }),
      ),
    ]),
  );
}

/** Which likely answers are right for whom, in their own way of speaking. */
function rightFor(
  { items, inAccents: said }: PlayRound,
  people: readonly Participant[],
  here: { readonly accent: AccentId; readonly mixed: boolean },
): PlayRound['rightFor'] {
  return Object.fromEntries(
    people
      .filter(({ ownWay }) => !isPlain(ownWay))
      .map(({ id, ownWay }) => [
        id,
        Object.fromEntries(
          Object.values(items).flatMap((item) => {
            const otherAccent = ownWay.accent ? said[ownWay.accent]?.[item.key] : undefined;
            const right = rightInOwnWay(item, { ...here, ownWay, otherAccent });
            return right.length ? [[item.key, right]] : [];
          }),
        ),
      ]),
  );
}

/** The lines a round is opened and asked with: the adult's own, the frame's, or the plain ones. */
export function spokenLines({ task: id, frame }: Pick<StoredRound, 'task' | 'frame'>): {
  opening: string;
  ask: string;
} {
  const task = taskOf(id);
  const story = openingOf(task);
  return {
    opening: frame.opening ?? (frame.on ? story.opening : story.plain),
    ask: frame.ask ?? task.plain,
  };
}

/** What the items of a round are made with. */
interface Making {
  readonly material: Material;
  readonly accents: readonly Material[];
  /** Words the group has put aside: their items are there to be read, and are not dealt. */
  readonly aside: ReadonlySet<string>;
}

/** What was dealt to each child, without what cannot be made any more. */
const stillThere = (own: readonly OwnDeal[], items: PlayRound['items']): OwnDeal[] =>
  own
    .map((o) => ({ ...o, items: o.items.filter((key) => items[key]), spares: o.spares.filter((key) => items[key]) }))
    .filter((o) => o.items.length > 0);

/** The steps of a search for which there are items. */
const stepsThere = (find: FindPlan, items: PlayRound['items']): FindPlan => ({
  ...find,
  steps: find.steps.map((s) => ({ ...s, keys: s.keys.filter((key) => items[key]) })).filter((s) => s.keys.length > 0),
});

function playRound(
  round: StoredRound,
  { material, accents, aside }: Making,
): { stored: StoredRound; shown: PlayRound } | null {
  const task = taskOf(round.task);
  const keys = [
    ...new Set([...round.items, ...round.spares, ...ownKeys(round), ...(round.model ? [round.model] : [])]),
  ];
  const items = Object.fromEntries(
    keys.flatMap((key) => {
      const { item } = tryItem(playedAs(round, key), key, material);
      return item ? [[key, item]] : [];
    }),
  );
  const made = round.items.filter((key) => items[key]);
  if (!made.length) return null;
  const dealt = made.filter((key) => !hasWordOf(key, aside));
  const there = dealt.length ? dealt : made;
  const gesture = GESTURES.find((g) => g.id === round.gesture) ?? sure(GESTURES[0]);
  return {
    stored: {
      ...round,
      items: there,
      spares: round.spares.filter((key) => items[key]),
      ...(round.own ? { own: stillThere(round.own, items) } : {}),
      ...(round.find ? { find: stepsThere(round.find, items) } : {}),
    },
    shown: {
      role: ROLE_WORDS[round.role],
      task: task.id,
      family: familyOf(task.family).name,
      name: task.name,
      step: round.own?.length || round.find ? '' : stepOf(task, round.step).name,
      gesture: gestureLine(gesture, task.gesture, Math.max(0, ...Object.values(items).map((i) => i.marks.length))),
      reminder: round.reminder,
      scoresSounds: task.scoresSounds === true,
      routine: routineOf(task.id, round.way === 'check'),
      inOrder: task.inOrder === true,
      way: round.way,
      rightFor: {},
      inAccents: inAccents(
        round,
        keys.filter((key) => items[key]),
        accents,
      ),
      spares: round.spares.filter((k) => items[k] && !hasWordOf(k, aside)),
      own: stillThere(round.own ?? [], items),
      model: round.model && items[round.model] ? round.model : sure(there[0]),
      ...spokenLines(round),
      gap: round.gap,
      names: round.names,
      items,
    },
  };
}

/** All that Play needs, with every item made and proved, so that the browser computes nothing of the craft. */
export async function playSession(id: string): Promise<PlaySession> {
  const session = await sessionRecord(id);
  const material = await preparedBank(session.accent, session.conventions);
  const spoken = [...new Set(session.children.flatMap((c) => c.ownWay.accent ?? []))].filter(
    (accent) => accent !== session.accent,
  );
  const [paceOf, accents, group, habits, settings, settled] = await Promise.all([
    pacesOf(session.groupId),
    Promise.all(spoken.map((accent) => preparedBank(accent, session.conventions))),
    listGroups().then((all) => all.find((g) => g.id === session.groupId)),
    habitsOfChildren(session.childIds),
    getSettings(),
    settledFor(session.childIds, Date.now()),
  ]);
  // A round's place in the list is in its answers' turns, so a round that cannot be made keeps its place with nothing
  // in it.
  const aside = new Set(await wordsAside(session.groupId));
  const made = session.rounds.map((round) => playRound(round, { material, accents, aside }));
  const stored = session.rounds.map((round, i) => made[i]?.stored ?? round);
  const playable = made.flatMap((m, i) => (m ? [{ ...m, i }] : []));
  const children = session.children.length;
  const mixed = settings.mixed || spoken.length > 0;
  const others = (group?.children ?? [])
    .filter((c) => !session.childIds.includes(c.id))
    .map(({ id, name, ownWay, plant }) => ({ id, name, ownWay, plant }));
  return {
    id,
    title: session.title,
    letters: session.letters,
    groupName: session.groupName,
    accent: session.accent,
    mixed,
    children: session.children,
    habits,
    pebbles: {
      ...NO_PEBBLES,
      ...pebblesFor(
        playable.map((m) => m.shown),
        material,
      ),
      ...settled,
    },
    others,
    plan: replayPlan({ rounds: stored, childIds: session.childIds }),
    rounds: session.rounds.map((round, i) => {
      const shown = made[i]?.shown ?? emptyRound(round);
      const people = [...session.children, ...others];
      return { ...shown, rightFor: rightFor(shown, people, { accent: session.accent, mixed }) };
    }),
    minutes: Math.max(
      1,
      Math.round(
        playable.reduce(
          (sum, { stored: r }) =>
            sum +
            roundSeconds(
              { items: r.items.map((key) => ({ key, locked: false })), way: r.way },
              children,
              paceOf(r.task),
            ),
          0,
        ) / 60,
      ),
    ),
    startedAt: session.startedAt,
    log: await sessionLog(id),
  };
}

const emptyRound = (round: StoredRound): PlayRound => ({
  role: ROLE_WORDS[round.role],
  task: round.task,
  family: familyOf(taskOf(round.task).family).name,
  name: taskOf(round.task).name,
  step: '',
  gesture: '',
  reminder: '',
  scoresSounds: false,
  routine: ['your-turn'],
  inOrder: false,
  way: round.way,
  inAccents: {},
  rightFor: {},
  spares: [],
  own: [],
  model: '',
  opening: 'The words in this round aren’t in the word bank any more.',
  ask: '',
  gap: 1,
  names: false,
  items: {},
});
