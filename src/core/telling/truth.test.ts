import { describe, expect, test } from 'vitest';
import { adviseOn, type ChildAdvice } from '../choosing/advice';
import type { NextStep } from '../choosing/next-step';
import { notExpected } from '../evidence/not-expected';
import { isPointed } from '../evidence/pointed';
import { carries, LADDERS, type Rung } from '../evidence/ladders';
import { verdictOn } from '../evidence/pebbles';
import { sure } from '../sure';
import { randomChild, type RandomChild } from '../testing/random-child';
import { VOICE_BARS } from '../testing/voice-bars';
import { familyPage } from './family-page';
import { noticesOf } from './notices';
import { summaryOf } from './summary';
import { whySentence } from './why';

/**
 * Every sentence that is said of a child is taken apart again and held against the answers one by one, by other code
 * than said it: what a stranger would check who knows only the sentence.
 */
const DAY = 86_400_000;
const PAGES = VOICE_BARS.pages;

/** An answer as it counts: what a pebble check has settled is right or missed. */
interface Counted {
  readonly rung: Rung | undefined;
  readonly ladder: string;
  readonly mark: string;
  readonly fresh: boolean;
  readonly standing: string;
  readonly at: number;
  readonly day: number;
  readonly by: string | null;
  readonly among: number;
  readonly again: boolean;
  readonly guess: number;
  readonly key: string | undefined;
}

const PLACES = LADDERS.flatMap(({ id, rungs }) =>
  rungs.flatMap((rung) => rung.steps.map(([task, step]) => ({ name: `${task} ${step}`, ladder: id, rung }))),
);
const GUESSES: Readonly<Record<string, number>> = {
  'rhyme-pairs': 1 / 2,
  'same-first': 1 / 2,
  sort: 1 / 2,
  clap: 1 / 2,
  anywhere: 1 / 2,
  'how-many': 1 / 2,
  'count-words': 1 / 3,
  'blend-pictures': 1 / 3,
};
const guessIn = (task: string, step: string): number => {
  const choices = /(?:^|-)(\d)-/u.exec(`${step}-`)?.[1];
  if (GUESSES[task] !== undefined) return GUESSES[task];
  if (['rhyme-match', 'rhyme-odd', 'hear-first', 'hear-last', 'sound-odd'].includes(task)) return 1 / Number(choices);
  if (task === 'where' || task === 'which-changed') return step === 'ends' ? 1 / 2 : 1 / 3;
  return 0;
};

function countedIn({ answers, checks }: RandomChild): Counted[] {
  return answers.map((a) => {
    const place = PLACES.find((p) => p.name === `${a.task} ${a.step}`);
    const verdict = a.key
      ? verdictOn(
          checks,
          a.key,
          Math.max(
            ...answers
              .filter((b) => b.at - a.at < DAY / 4 && b.day === a.day && b.task === a.task && b.step === a.step)
              .map((b) => b.at),
          ),
        )
      : null;
    const settled: Readonly<Record<string, string>> = { speech: '1', awareness: '0' };
    return {
      rung: place?.rung,
      ladder: place?.ladder ?? '',
      mark: (verdict && settled[verdict]) ?? a.mark,
      fresh: a.standing === 'fresh',
      standing: a.standing,
      at: a.at,
      day: a.day,
      by: a.by,
      among: a.among,
      again: a.help === 'said-again',
      guess: guessIn(a.task, a.step),
      key: a.key,
    };
  });
}

interface Page {
  readonly of: RandomChild;
  readonly all: readonly Counted[];
  readonly advice: ChildAdvice;
}
function pageOf(seed: number): Page {
  const of = randomChild(seed);
  const { runs, checks, child, now } = of;
  const advice = adviseOn(
    { runs, checks, sessions: [] },
    { now, unitOrder: seed % 2 ? 'large-first' : 'sounds-first', child },
  );
  return { of, all: countedIn(of), advice };
}

const rungsDoing = (does: string): Rung[] =>
  LADDERS.flatMap((l) => l.rungs.filter((r) => r.does === does || r.plainly === does));
const has = (text: string, letters: string): boolean => [...letters].some((l) => text === l);
/** Fresh answers of a step; what is older than 240 days before the last of them is gone. */
function onStep(all: readonly Counted[], does: string): Counted[] {
  const rungs = rungsDoing(does);
  const fresh = all.filter((a) => a.fresh && a.rung && rungs.includes(a.rung));
  const last = Math.max(0, ...fresh.map((a) => a.at));
  return fresh.filter((a) => a.at >= last - 240 * DAY);
}
const tally = (all: readonly Counted[]) => ({
  own: all.filter((a) => a.mark === '1').length,
  tried: all.filter((a) => has(a.mark, '1h0')).length,
  helped: all.filter((a) => a.mark === 'h').length,
  open: all.filter((a) => a.mark === 'u').length,
  silent: all.filter((a) => a.mark === '-').length,
  days: new Set(all.filter((a) => a.mark !== '-').map((a) => a.day)).size,
});
/** As many right, or more, by luck alone: every row of rights and misses counted. */
function byLuck(all: readonly Counted[]): number {
  const plain = all.filter((a) => has(a.mark, '10'));
  let ways = new Map([[0, 1]]);
  for (const { guess } of plain) {
    const next = new Map<number, number>();
    for (const [k, p] of ways) {
      next.set(k + 1, (next.get(k + 1) ?? 0) + p * guess);
      next.set(k, (next.get(k) ?? 0) + p * (1 - guess));
    }
    ways = next;
  }
  const right = plain.filter((a) => a.mark === '1').length;
  return [...ways].reduce((sum, [k, p]) => sum + (k >= right ? p : 0), 0);
}
/** The last day on which a step was played, as it went. */
function lastDay(all: readonly Counted[]) {
  const day = Math.max(...all.map((a) => a.day));
  return { then: tally(all.filter((a) => a.day === day)), before: all.filter((a) => a.day < day), day };
}
const harderThan = (all: readonly Counted[], does: string): Counted[] => {
  const [rung] = rungsDoing(does);
  const ladder = sure(LADDERS.find((l) => rung && l.rungs.includes(rung)));
  const at = ladder.rungs.indexOf(sure(rung));
  return all.filter((a) => a.fresh && a.rung && ladder.rungs.indexOf(a.rung) > at);
};
const NUMBERS = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];
const numberOf = (word: string): number => {
  const at = NUMBERS.indexOf(word.toLowerCase());
  return at >= 0 ? at : Number(word);
};

/** A kind of sentence, and whether it is true of a child; `next` is the step it is said of. */
interface Kind {
  readonly says: RegExp;
  readonly holds: (m: readonly string[], page: Page, does: string) => boolean;
}

const counts = (all: readonly Counted[], own: string | undefined, tried: string | undefined): boolean => {
  const { own: o, tried: t } = tally(all);
  return o === Number(own) && t === Number(tried);
};

/** It went so on the last day of the step, or in all. */
function went(
  all: readonly Counted[],
  does: string,
  when: string,
  [own, tried]: readonly (string | undefined)[],
): boolean {
  const seen = onStep(all, does);
  if (when.toLowerCase() === 'so far') return counts(seen, own, tried);
  const { day } = lastDay(seen);
  const then = seen.filter((a) => a.day === day);
  return then.every((a) => dayInWords(a.at) === when) && counts(then, own, tried);
}
const dayInWords = (at: number): string =>
  new Date(at).toLocaleDateString('en-GB', { weekday: 'long', day: 'numeric', month: 'long' });

const REASONS: Readonly<Record<string, Kind>> = {
  holds: {
    says: /^They can (.+) \((\d+) of (\d+) on their own, over (\d+) days\), so on to the next step\./u,
    holds: ([, does = '', own, tried, days], { all }) => {
      const seen = onStep(all, does);
      return (
        counts(seen, own, tried) &&
        tally(seen).days === Number(days) &&
        Number(days) > 1 &&
        Number(own) >= 0.7 * Number(tried)
      );
    },
  },
  'harder shows': {
    says: /^They can (.+), as harder steps show, so on to the next one\./u,
    holds: ([, does = ''], { all }) => isDoneAlone(all, does) && tally(harderThan(all, does)).own > 0,
  },
  luck: {
    says: /^They got (\d+) of (\d+) on their own, but guessing could explain it\./u,
    holds: ([, own, tried], { all, advice }) =>
      advice.skills.some(({ rungs }) =>
        rungs.some(({ rung }) => {
          const seen = onStep(all, rung.does);
          return seen.length > 0 && counts(seen, own, tried) && seen.some((a) => a.guess > 0) && byLuck(seen) >= 0.05;
        }),
      ),
  },
  'that day': {
    says: /^(?:On (\w+ \d+ \w+)|(So far)) they could (.+) \((\d+) of (\d+) on their own\), so try the next step\./u,
    holds: ([, day, soFar = '', does = '', own, tried], { all }) =>
      went(all, does, day ?? soFar, [own, tried]) && Number(own) >= 0.5 * Number(tried),
  },
  'not yet': {
    says: /^They can’t (.+) yet \((\d+) of (\d+) on their own\), (?:but they can do this: |so try something easier)/u,
    holds: ([, does = '', own, tried], { all }) =>
      counts(onStep(all, does), own, tried) && Number(own) <= 0.67 * Number(tried),
  },
  'since then': {
    says: /^(\w+) right since then on “(.+)”, so it’s time to try this again\./u,
    holds: ([, many = '', easier = ''], { all }, does) => {
      const tried = Math.max(...all.filter((a) => a.rung && rungsDoing(does).includes(a.rung)).map((a) => a.at));
      const right = onStep(all, easier).filter((a) => a.at > tried && a.mark === '1').length;
      return right === numberOf(many) || (numberOf(many) > 12 && right > 12);
    },
  },
  'only open': {
    says: /^They’ve tried it, and what they missed may only be how they speak\./u,
    holds: (_, { all }, does) => tally(onStep(all, does)).open > 0 && tally(onStep(all, does)).tried === 0,
  },
  silent: {
    says: /^No reply so far, which doesn’t tell us what they know\./u,
    holds: (_, { all }, does) => {
      const { silent, tried, open } = tally(onStep(all, does));
      return silent > 0 && tried + open === 0;
    },
  },
  first: { says: /^An easy first step\./u, holds: (_, { all }, does) => tally(onStep(all, does)).tried === 0 },
  'something new': {
    says: /^(?:What comes next in (.+) can wait|In (.+) they’d have to speak|They’re at the top of (.+), so here)/u,
    holds: ([, waits, speak, held], { all, of, advice }, does) => {
      const told = waits ?? speak ?? held ?? '';
      const begun = [...new Set(all.map((a) => a.ladder))].map((id) => sure(LADDERS.find((l) => l.id === id)));
      const named = begun.filter((l) => told.includes(l.name.toLowerCase()));
      const isNew = !all.some((a) => a.rung && rungsDoing(does).includes(a.rung));
      const left = (id: string) =>
        sure(advice.skills.find((k) => k.ladder.id === id)).rungs.filter((r) => r.state !== 'secure');
      // Of each skill that is named, something is left that the reason speaks of.
      const isSo = (l: (typeof LADDERS)[number]): boolean => {
        if (speak !== undefined) return left(l.id).some((r) => !r.rung.steps.some((s) => isPointed(...s)));
        if (waits === undefined) return l.rungs.at(-1) !== left(l.id).at(-1)?.rung;
        return advice.talk || left(l.id).some((r) => notExpected(of.child.band, r.rung));
      };
      return isNew && named.length > 0 && named.every(isSo) && (speak === undefined || advice.points);
    },
  },
  'just started': {
    says: /^Just started \((\d+) of (\d+) on their own\): a few more turns will show\./u,
    holds: ([, own, tried], { all }, does) => counts(onStep(all, does), own, tried) && Number(tried) < 3,
  },
  helped: {
    says: /^They can do it with help \((\d+) of (\d+) on their own\)/u,
    holds: ([, own, tried], { all }, does) =>
      counts(onStep(all, does), own, tried) && tally(onStep(all, does)).helped > Number(own),
  },
  'go on': {
    says: /^(\d+) of (\d+) on their own\. Play the same step with new words\./u,
    holds: ([, own, tried], { all }, does) => counts(onStep(all, does), own, tried),
  },
  'at the first': {
    says: /^(\d+) of (\d+) on their own so far\. Start with the first step and help them along\./u,
    holds: ([, own, tried], { all }, does) =>
      counts(onStep(all, does), own, tried) && Number(own) <= 0.67 * Number(tried),
  },
  'a bad day': {
    says: /^This went well before \((\d+) of (\d+)\), but not on (\w+ \d+ \w+)\./u,
    holds: ([, own, tried, when], { all }, does) => {
      const { then, before, day } = lastDay(onStep(all, does));
      return (
        onStep(all, does).every((a) => a.day !== day || dayInWords(a.at) === when) &&
        counts(before, own, tried) &&
        Number(own) >= 0.6 * Number(tried) &&
        then.own <= then.tried / 3 &&
        then.tried >= 3
      );
    },
  },
  'look again, held': {
    says: /^They could do this before, but they haven’t played (.+) for (\w+) weeks\./u,
    holds: ([, skill = '', weeks = ''], page, does) =>
      isDoneAlone(page.all, does) && restsFor({ skill, weeks }, page, does),
  },
  'look again, nearly': {
    says: new RegExp(
      '^They got (\\d+) of (\\d+) on their own (?:on (\\w+ \\d+ \\w+)|(so far)), ' +
        'but they haven’t played (.+) for (\\w+) weeks\\.',
      'u',
    ),
    holds: ([, own, tried, day, soFar = '', skill = '', weeks = ''], page, does) =>
      went(page.all, does, day ?? soFar, [own, tried]) && restsFor({ skill, weeks }, page, does),
  },
  'two adults': {
    says: /^(\w+) marked (\d+) of (\d+) right, (\w+) (\d+) of (\d+)\. Mark four turns together/u,
    holds: ([, a = '', aRight, aOf, b = '', bRight, bOf], { all }, does) => {
      const tried = onStep(all, does).filter((x) => has(x.mark, '1h0'));
      const last = Math.max(...tried.map((x) => x.day));
      const of = (by: string): Counted[] => tried.filter((x) => x.by === by && last - x.day <= 21);
      const differ = Number(aRight) / Number(aOf) - Number(bRight) / Number(bOf) >= 0.5;
      return a !== b && counts(of(a), aRight, aOf) && counts(of(b), bRight, bOf) && differ;
    },
  },
  'can point': {
    says: /^They can answer this by pointing\./u,
    holds: (_, { advice }) => advice.next !== null && isPointed(...advice.next.game),
  },
  'before sounds': {
    says: /^Single sounds can wait at their age, so play this first\./u,
    holds: (_, { of }, does) => of.child.band === 'nursery' && !notExpected('nursery', sure(rungsDoing(does)[0])),
  },
  'pairs wait': {
    says: /^Words with two sounds together can wait until you’ve talked with the family\./u,
    holds: (_, { of }) => of.checks.some((c) => c.says === 'slip' && !c.pebbles && c.told === 3),
  },
  found: {
    says: /^A good place to start: (.+)\./u,
    holds: (_, { all, of }) => all.some((a) => a.standing === 'check-in' && of.now - a.at <= 42 * DAY),
  },
  check: {
    says: /^(\d+) of their answers may just be the way they speak\. A minute with pebbles will show/u,
    holds: ([, many], { all, of, advice }) => {
      const key = sure(advice.next?.check);
      const place = key.split(' ').slice(1).join(' ');
      const last = Math.max(...of.answers.map((a) => a.at));
      const open = all.filter((a) => a.mark === 'u' && a.key?.split(' ').slice(1).join(' ') === place);
      return open.filter((a) => a.at >= last - 31 * DAY).length >= Number(many) && Number(many) >= 5;
    },
  },
};

/** What may follow a reason. */
const ASIDES: Readonly<Record<string, Kind>> = {
  early: {
    says: /It’s early for their age: go on while they enjoy it\.$/u,
    holds: (_, { of }, does) => of.child.band === 'nursery' && notExpected('nursery', sure(rungsDoing(does)[0])),
  },
  'most do later': {
    says: /Most children do this later, but this child has done what comes before it\./u,
    holds: (_, { of }, does) => of.child.band === 'nursery' && notExpected('nursery', sure(rungsDoing(does)[0])),
  },
  nod: {
    says: /Let them answer with a nod or a tap\.$/u,
    holds: (_, { advice }) => advice.points,
  },
};

/** The skill has rested for three weeks and more, and for so many. */
function restsFor({ skill, weeks }: { skill: string; weeks: string }, { all, of }: Page, does: string): boolean {
  const [rung] = rungsDoing(does);
  const ladder = sure(LADDERS.find((l) => rung && l.rungs.includes(rung)));
  const seen = all.filter((a) => a.rung && ladder.rungs.includes(a.rung));
  const days = Math.floor((of.now - Math.max(...seen.map((a) => a.at))) / DAY);
  const week = Math.round(days / 7);
  return ladder.name.toLowerCase() === skill && days >= 21 && (NUMBERS[week] ?? String(week)) === weeks;
}

const lately = (page: Page, days: number): Counted[] => {
  const last = Math.max(...page.all.map((a) => a.day));
  return page.all.filter((a) => a.fresh && last - a.day < days);
};

const NOTICES: Readonly<Record<string, Kind>> = {
  talk: {
    says: /^On two days they couldn’t tell words apart by .+\. Speak with the family/u,
    holds: (_, { of }) => new Set(of.checks.filter((c) => c.told === 3).map((c) => c.day)).size >= 2,
  },
  hearing: {
    says: /^In three different weeks, at least half of what they got right came after hearing it again/u,
    holds: (_, page) => {
      const always = page.of.child.access.some((a) => a === 'said-twice' || a === 'face');
      const right = lately(page, 90).filter((a) => has(a.mark, '1h'));
      const again = right.filter((a) => always || a.again);
      const days = again.map((a) => a.day);
      const known = page.of.child.lowOnly || page.of.child.access.includes('aid');
      return !known && again.length * 2 >= right.length && new Set(days.map((d) => Math.floor((d + 3) / 7))).size >= 3;
    },
  },
  'first months': {
    says: /^At home they speak (.+), and they’ve played here for less than three months\./u,
    holds: ([, languages], { of, all }) =>
      of.child.languages === languages && Math.max(...all.map((a) => a.day)) - Math.min(...all.map((a) => a.day)) < 92,
  },
  'no reply': {
    says: /^Often gives no reply, which doesn’t tell us what they know\./u,
    holds: (_, page) => {
      const all = lately(page, 28);
      return all.length >= 8 && tally(all).silent >= 0.55 * all.length;
    },
  },
  alone: {
    says: /^Hardly replies in the group, but answers when it’s just the two of you\./u,
    holds: (_, page) => {
      const [group, apart] = [
        lately(page, 28).filter((a) => a.among >= 3),
        lately(page, 28).filter((a) => a.among === 1),
      ];
      return (
        tally(group).silent >= 0.55 * group.length && tally(apart).silent <= 0.35 * apart.length && apart.length >= 5
      );
    },
  },
};

/** Whether the reason of one child’s next would be true of another. */
const wouldFit = (next: NextStep, other: Page): boolean =>
  Object.values(REASONS).some(({ says, holds }) => {
    const m = says.exec(next.reason);
    return m !== null && holds(m as unknown as string[], other, next.does);
  });

/** What was read: kinds of sentences that hold, and what does not. */
interface Read {
  readonly kinds: string[];
  readonly untrue: string[];
}

function sentence(
  read: Read,
  kinds: Readonly<Record<string, Kind>>,
  said: string,
  of: { page: Page; does: string },
): void {
  const [kind, { says, holds }] = Object.entries(kinds).find(([, k]) => k.says.test(said)) ?? [null, NEVER];
  if (kind && holds(says.exec(said) as unknown as string[], of.page, of.does)) read.kinds.push(kind);
  else read.untrue.push(`${kind ?? 'nobody can check'}: “${said}” of “${of.does}”`);
}
const NEVER: Kind = { says: /$^/u, holds: () => false };

/** Why a step has its state, in numbers. */
const WHY = /(?:(\d+) of (\d+) right on their own, (?:over (\d+) days|all on one day))?(?:, and (\d+) with help)?/u;
function readWhy(why: string, seen: readonly Counted[]): boolean {
  const { own, tried, open, helped, days } = tally(seen);
  const [, o = '0', t = '0', d, h = '0'] = WHY.exec(why) ?? [];
  const uncounted = Number(/(\d+) we can’t count yet/u.exec(why)?.[1] ?? 0);
  const numbers = [o, t, h].map(Number).join(' ') === [own, tried, helped].join(' ') && uncounted === open;
  const onDays = !tried || days === Number(d ?? 1);
  return numbers && onDays && (!why.includes('pure guessing') || byLuck(seen) >= 0.05);
}

/** What a family is told is on its way. */
const PARTS: Readonly<Record<string, (t: ReturnType<typeof tally>) => boolean>> = {
  'with a little help': ({ helped, own }) => helped > own,
  'some of the time': ({ own, tried }) => own >= tried / 4,
  'most of the time': ({ own, tried }) => own >= 0.75 * tried,
};

function readPage(page: Page): Read {
  const { advice, all } = page;
  const read: Read = { kinds: [], untrue: [] };
  const check = (isTrue: boolean, kind: string, said: string): void =>
    void (isTrue ? read.kinds.push(kind) : read.untrue.push(said));
  for (const step of [advice.next, advice.other].filter((s) => s !== null)) {
    const of = { page, does: step.does };
    sentence(read, REASONS, step.reason, of);
    const aside = Object.values(ASIDES).some((k) => k.says.test(step.reason));
    if (aside) sentence(read, ASIDES, step.reason, of);
  }
  for (const notice of noticesOf(advice, (key) => key, 'SENCO')) sentence(read, NOTICES, notice, { page, does: '' });
  for (const does of doneIn(summaryOf(advice))) check(isDoneAlone(all, does), 'on their own', `can ${does}`);
  for (const r of advice.skills.flatMap((s) => s.rungs).filter((r) => r.lastAt !== null))
    check(readWhy(whySentence(r), onStep(all, r.rung.does)), 'why', `${r.rung.does}: ${whySentence(r)}`);
  for (const line of familyPage(advice).coming) {
    const [, does = '', part = ''] =
      /^Can (.+) (with a little help|some of the time|most of the time)\.$/u.exec(line) ?? [];
    check(PARTS[part]?.(tally(onStep(all, does))) ?? false, `family: ${part}`, line);
  }
  return read;
}

/** Six and more came off alone, nearly two of three, on the step, on a harder one that shows it, or on both. */
function isDoneAlone(all: readonly Counted[], does: string): boolean {
  const [rung] = rungsDoing(does);
  const ladder = sure(LADDERS.find((l) => rung && l.rungs.includes(rung)));
  const at = ladder.rungs.indexOf(sure(rung));
  const seen = ladder.rungs.map((r, place) => (place === at || carries(ladder, place, at) ? onStep(all, r.does) : []));
  return seen.some((_, from) =>
    seen.some((_, to) => {
      const { own, tried } = tally(seen.slice(from, to + 1).flat());
      return own >= 6 && own >= 0.6 * tried;
    }),
  );
}

/** What the sentence of a summary says is done. */
function doneIn(summary: string): string[] {
  const list = /^On their own, can (.+)\.$/u.exec(summary)?.[1];
  if (list === undefined) return [];
  const all = LADDERS.flatMap((l) => l.rungs.map((r) => r.does)).sort((a, b) => b.length - a.length);
  const found: string[] = [];
  let left = list;
  for (const does of all)
    if (left.includes(does)) {
      found.push(does);
      left = left.replace(does, '');
    }
  return found;
}

/** Kinds that need two rare things at once, and are looked at where they come. */
const SELDOM = new Set(['nod', 'most do later']);

describe(`${PAGES} pages of made-up children`, () => {
  const pages = Array.from({ length: PAGES }, (_, i) => pageOf(i + 1));
  test('no sentence is untrue, and every kind of sentence was there', () => {
    const read = pages.map(readPage);
    expect(read.flatMap((r) => r.untrue).slice(0, 20)).toEqual([]);
    const said = new Map<string, number>();
    for (const kind of read.flatMap((r) => r.kinds)) said.set(kind, (said.get(kind) ?? 0) + 1);
    const all = [...Object.keys(REASONS), ...Object.keys(ASIDES), ...Object.keys(NOTICES)];
    const least = Math.ceil((VOICE_BARS.eachKind * PAGES) / VOICE_BARS.pages);
    const few = all.filter((k) => !SELDOM.has(k) && (said.get(k) ?? 0) < least);
    expect(few, JSON.stringify([...said].sort((a, b) => a[1] - b[1]))).toEqual([]);
  }, 600_000);
  test('every child with twelve counted answers has a next step with its reason', () => {
    for (const [i, { all, advice }] of pages.entries()) {
      if (tally(all.filter((a) => a.fresh && a.rung)).tried < VOICE_BARS.answersForNext) continue;
      const held = advice.skills.every((s) => s.rungs.at(-1)?.state === 'secure');
      expect(held || (advice.next?.reason.length ?? 0) > 10, `page ${i + 1}`).toBe(true);
    }
  });
  test('what is next, with its counts, fits few others', () => {
    const looked = pages.slice(0, 300).filter((p) => p.advice.next && p.all.length >= 12);
    const share = looked.map((page, i) => {
      const next = sure(page.advice.next);
      const others = Array.from({ length: 10 }, (_, k) => sure(looked[(i + 7 * (k + 1)) % looked.length]));
      return others.filter((o) => sameNext(o, page) && wouldFit(next, o)).length;
    });
    const much = looked.filter((_, i) => sure(share[i]) > VOICE_BARS.fitsOthers);
    expect(much.map((p) => `${sure(p.advice.next).does}: ${sure(p.advice.next).reason}`)).toEqual([]);
  });
  test('nothing is next against age, pointing or silence without its reason', () => {
    for (const [i, { of, advice }] of pages.entries()) {
      const { next } = advice;
      if (!next || next.check) continue;
      if (notExpected(of.child.band, next.rungOf)) expect(next.reason, `page ${i + 1}`).toMatch(/early|later/u);
      if (advice.points && !isPointed(...next.game)) expect(next.reason, `page ${i + 1}`).toMatch(/nod or a tap/u);
      if (advice.points && of.child.access.includes('points')) expect(next.game[0], `page ${i + 1}`).not.toBe('clap');
    }
  });
});

/** The words a step is played with are its own: a sentence fits another child only with the step it names. */
const sameNext = ({ all }: Page, { advice }: Page): boolean =>
  onStep(all, sure(advice.next).does).length > 0 || sure(advice.next).reason.startsWith('An easy first step');
