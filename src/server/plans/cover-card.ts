import { format } from 'date-fns';
import { capital } from '../../core/in-words';
import type { Caution } from '../../core/lexicon/cautions';
import { initialsOf } from '../../core/sessions/initials';
import { sure } from '../../core/sure';
import { slipsOf } from '../answers/kept-evidence';
import { advised } from '../children/advised';
import { needsOf } from '../children/needs';
import { groupOf, type Group } from '../people/groups';
import { readySessions } from './today';
import { madeFor } from './plans';
import { showPlan } from './plan-shown';
import { workshopOf } from './workshop';

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

export interface CoverCard {
  readonly groupId: string;
  readonly group: string;
  readonly day: string;
  /** The sessions that are ready, the first one first. */
  readonly lines: readonly CoverLine[];
  readonly children: readonly CoverChild[];
  readonly bring: readonly string[];
  readonly cautions: readonly Caution[];
}

/** The card for who takes over: what is ready, who needs what, what to bring. Throws a Problem for no such group. */
export async function coverCard(groupId: string, now = Date.now()): Promise<CoverCard> {
  const group = await groupOf(groupId);
  const ready = await readySessions(group, now);
  const bring = ready[0] ? await toBring(group, sure(ready[0]).wish) : [];
  return {
    groupId,
    group: group.name,
    day: format(now, 'EEEE d MMMM'),
    lines: ready.map(({ title, minutes, words }) => ({ title, minutes, words: words.slice(0, 8) })),
    children: await childrenOn(group, now),
    bring: bring.map((b) => b.word),
    cautions: [...new Set(bring.flatMap((b) => b.cautions))],
  };
}

const toBring = async (group: Group, wish: Parameters<typeof madeFor>[1]) =>
  (await showPlan(await madeFor(group, wish), group, await workshopOf(group))).bring;

/** Who is here, with what to play next and what they need. */
async function childrenOn(group: Group, now: number): Promise<CoverChild[]> {
  const here = group.children.filter((c) => !c.away);
  const ids = here.map((c) => c.id);
  const [{ of, speech }, slips] = await Promise.all([advised(ids, now), slipsOf(ids, now)]);
  const initials = initialsOf(here.map((c) => c.name));
  return here.map(({ id, name, ownWay }, i) => {
    const { next } = sure(of.get(id));
    return {
      id,
      name,
      initials: sure(initials[i]),
      next: next ? capital(next.does) : '',
      needs: needsOf(ownWay, sure(slips.get(id)).checks, speech.accent, now),
    };
  });
}
