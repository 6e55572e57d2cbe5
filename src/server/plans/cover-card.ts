import { format, getISODay } from 'date-fns';
import { groupBy } from '../../core/group-by';
import { capital } from '../../core/in-words';
import type { Caution } from '../../core/lexicon/cautions';
import { initialsOf } from '../../core/sessions/initials';
import { sure } from '../../core/sure';
import { slipsOf } from '../answers/kept-evidence';
import { advised } from '../children/advised';
import { needsOf } from '../children/needs';
import { openDays } from '../children/small-groups';
import { whoWithWhom } from '../children/who-with-whom';
import { groupOf, type Group } from '../people/groups';
import { settingName } from '../setting/settings';
import { readySessions } from './today';
import { showPlan } from './plan-shown';
import { planFrom, workshopOf } from './workshop';

interface CoverChild {
  readonly id: string;
  readonly name: string;
  readonly initials: string;
  /** What to play next, as on the child’s page; empty where every step holds. */
  readonly next: string;
  /** What this child needs, and what is right for them: a sentence each. */
  readonly needs: readonly string[];
}

interface CoverLine {
  readonly title: string;
  readonly minutes: number;
  readonly words: readonly string[];
}

/** What is said in one round, from its opening to the first question. */
interface CoverRound {
  readonly name: string;
  readonly opening: string;
  readonly ask: string;
}

export interface CoverCard {
  readonly groupId: string;
  readonly setting: string | null;
  readonly group: string;
  /** The day it is for. */
  readonly day: string;
  /** It is for the day after this one. */
  readonly ahead: boolean;
  /** The sessions that are ready, the first one first. */
  readonly lines: readonly CoverLine[];
  /** What to say in the first of them. */
  readonly say: readonly CoverRound[];
  /** Who plays with whom that day, and what. */
  readonly together: readonly { readonly who: readonly string[]; readonly does: string }[];
  readonly children: readonly CoverChild[];
  /** Initials or names of those who do not come that day. */
  readonly notIn: readonly { readonly name: string; readonly initials: string }[];
  /** What to bring, game by game. */
  readonly bring: readonly { readonly game: string; readonly words: readonly string[] }[];
  readonly cautions: readonly Caution[];
}

/** A group as it is on another day: who comes then is here. */
function groupOn(group: Group, day: Date): Group {
  const comes = (c: Group['children'][number]): boolean => c.company.days.includes(getISODay(day));
  return { ...group, children: group.children.map((c) => ({ ...c, away: !comes(c) })) };
}

/**
 * The card for who takes over, for today or for the next day the nursery is open: who comes, what is ready, the lines
 * to say, who needs what, what to bring. Throws a Problem for no such group.
 */
export async function coverCard(groupId: string, ahead: boolean, now = Date.now()): Promise<CoverCard> {
  const [today, tomorrow] = openDays(now);
  const isToday = format(sure(today), 'yyyy-MM-dd') === format(now, 'yyyy-MM-dd');
  const day = ahead ? sure(isToday ? tomorrow : today) : new Date(now);
  const known = await groupOf(groupId);
  const group = ahead ? groupOn(known, day) : known;
  const at = ahead ? day.getTime() : now;
  const [ready, setting, who] = await Promise.all([readySessions(group, now), settingName(), whoWithWhom(group, at)]);
  const shown = ready[0] && (await firstShown(group, ready[0].wish));
  const initials = initialsOf(group.children.map((c) => c.name));
  const here = group.children.filter((c) => !c.away);
  return {
    groupId,
    setting,
    group: group.name,
    day: format(day, 'EEEE d MMMM'),
    ahead,
    lines: ready.map(({ title, minutes, words }) => ({ title, minutes, words: words.slice(0, 8) })),
    say: (shown?.rounds ?? []).map(({ name, opening, sample }) => ({ name, opening, ask: sample })),
    together: who.grouping.groups
      .filter((g) => g.day === 0 && g.children.length < here.length)
      .map((g) => ({ who: g.children, does: capital(g.game.does) })),
    children: await childrenOn(group, initials, now),
    notIn: group.children.flatMap((c, i) => (c.away ? [{ name: c.name, initials: sure(initials[i]) }] : [])),
    bring: [...groupBy(shown?.bring ?? [], (b) => b.game)].map(([game, of]) => ({
      game,
      words: of.map((b) => b.word),
    })),
    cautions: [...new Set((shown?.bring ?? []).flatMap((b) => b.cautions))],
  };
}

/** The first session, with every line of it. */
async function firstShown(group: Group, wish: Parameters<typeof planFrom>[0]) {
  const shop = await workshopOf(group);
  return showPlan(await planFrom(wish, shop), group, shop);
}

/** Who comes, with what to play next and what they need. */
async function childrenOn(group: Group, initials: readonly string[], now: number): Promise<CoverChild[]> {
  const here = group.children.flatMap((c, i) => (c.away ? [] : [{ ...c, initials: sure(initials[i]) }]));
  const ids = here.map((c) => c.id);
  const [{ of, speech }, slips] = await Promise.all([advised(ids, now), slipsOf(ids, now)]);
  return here.map(({ id, name, ownWay, initials: letters }) => {
    const { next } = sure(of.get(id));
    return {
      id,
      name,
      initials: letters,
      next: next ? capital(next.does) : '',
      needs: needsOf(ownWay, sure(slips.get(id)).checks, speech.accent, now),
    };
  });
}
