import { format } from 'date-fns';
import { csv } from '../../core/formats/csv';
import { familyPage } from '../../core/progress/family-page';
import { halfTermOf, type HalfTerm } from '../../core/progress/half-term';
import { STATES, STATE_WORDS } from '../../core/progress/rule';
import { whySentence } from '../../core/progress/why';
import { capital, listed } from '../../core/in-words';
import { sure } from '../../core/sure';
import { slipsOf } from '../answers/kept-evidence';
import { listGroups, type Group } from '../people/groups';
import { Problem } from '../storage/problems';
import { advised, spotWords, subjectOf } from './advised';
import { childPage, summaryOf } from './child-page';
import { needsOf } from './needs';
import { papers as say } from './text';

/** A page to hand on: headings with whole sentences under them. */
export interface Paper {
  readonly title: string;
  readonly day: string;
  readonly parts: readonly { readonly heading: string; readonly lines: readonly string[] }[];
  /** Counts, where there are some: the first line is their heads. */
  readonly table: readonly (readonly string[])[];
  /** What to bear in mind. */
  readonly caution: string;
  /** Where it leads back to. */
  readonly back: { readonly href: string; readonly name: string };
}

const dayOf = (now: number): string => format(now, 'd MMMM yyyy');
const withLines = (parts: Paper['parts']): Paper['parts'] => parts.filter((p) => p.lines.length > 0);

async function groupOf(groupId: string): Promise<Group> {
  const group = (await listGroups()).find((g) => g.id === groupId);
  if (!group) throw new Problem(say.groupMore, 404);
  return group;
}

async function readHalfTerm(group: Group, now: number): Promise<HalfTerm> {
  const { of } = await advised(
    group.children.map((c) => c.id),
    now,
  );
  return halfTermOf(
    group.children.map(({ id, name }) => ({ name, ...sure(of.get(id)) })),
    now,
  );
}

const HEADS = [say.skill, say.step, ...STATES.map((s) => capital(STATE_WORDS[s]))];
const rowsOf = ({ rows }: HalfTerm): string[][] =>
  rows.map((r) => [r.ladder, r.step, ...STATES.map((s) => String(r.states[s]))]);

/** The half-term page of a group. Throws a Problem (404) where there is no such group. */
export async function halfTermPaper(groupId: string, now = Date.now()): Promise<Paper> {
  const group = await groupOf(groupId);
  const read = await readHalfTerm(group, now);
  const rows = rowsOf(read);
  return {
    title: say.halfTerm(group.name),
    day: dayOf(now),
    parts: withLines([
      { heading: say.played, lines: read.played },
      { heading: say.where, lines: read.where },
      { heading: say.tooLittle, lines: read.tooLittle },
    ]),
    table: rows.length ? [HEADS, ...rows] : [],
    caution: say.countsOnly,
    back: { href: '/children/board', name: group.name },
  };
}

/** The counts of the half-term page as a file. Throws a Problem (404) where there is no such group. */
export async function halfTermCsv(groupId: string, now = Date.now()): Promise<{ text: string; name: string }> {
  const group = await groupOf(groupId);
  return {
    text: csv(HEADS, rowsOf(await readHalfTerm(group, now))),
    name: `bouncy-echo-half-term-${format(now, 'yyyy-MM-dd')}.csv`,
  };
}

type Child = Awaited<ReturnType<typeof childPage>>;

const seenWords = ({ days, since }: Child): string =>
  since === null ? say.notSeen : say.seenOn(days, format(since, 'd MMMM'));

async function needsFor(child: Child, now: number): Promise<string[]> {
  const checks = sure((await slipsOf([child.id], now)).get(child.id)).checks;
  return needsOf(child.ownWay, checks, child.accent, now);
}

const nextLines = ({ chosen, next }: Child): string[] =>
  (chosen ? [chosen.shown, ...next] : next).slice(0, 2).map((n) => `${capital(n.does)}. ${n.reason}`);

/** What a colleague needs to go on with a child. Throws a Problem (404) where there is no such child. */
export async function handoverPaper(childId: string, now = Date.now()): Promise<Paper> {
  const child = await childPage(childId, now);
  return {
    title: say.handover(child.name),
    day: dayOf(now),
    parts: withLines([
      { heading: say.can, lines: [child.summary, seenWords(child)] },
      { heading: say.next, lines: nextLines(child) },
      { heading: say.goodToKnow, lines: [...(await needsFor(child, now)), ...child.notices] },
      { heading: say.notSettled, lines: child.open.map((o) => o.text) },
    ]),
    table: [],
    caution: say.passOn,
    back: { href: `/children/${childId}`, name: child.name },
  };
}

/** What a colleague needs to go on with a group, child by child. Throws a Problem (404) for no such group. */
export async function groupHandover(groupId: string, now = Date.now()): Promise<Paper> {
  const group = await groupOf(groupId);
  const ids = group.children.map((c) => c.id);
  const [{ of, speech }, slips] = await Promise.all([advised(ids, now), slipsOf(ids, now)]);
  const parts = group.children.map(({ id, name, ownWay }) => {
    const { ladders, next } = sure(of.get(id));
    const needs = needsOf(ownWay, sure(slips.get(id)).checks, speech.accent, now);
    return {
      heading: name,
      lines: [summaryOf(ladders), ...(next[0] ? [say.nextIs(next[0].rungOf.does)] : []), ...needs],
    };
  });
  return {
    title: say.handover(group.name),
    day: dayOf(now),
    parts,
    table: [],
    caution: say.passOnGroup,
    back: { href: '/children/board', name: group.name },
  };
}

/**
 * A page to talk over with a family and the special-needs lead: plain words, no figures, nothing that was not seen.
 * Throws a Problem (404) where there is no such child.
 */
export async function talkPaper(childId: string, now = Date.now()): Promise<Paper> {
  const [child, all] = await Promise.all([childPage(childId, now), advised([childId], now, true)]);
  const { ladders, next, open, patterns } = sure(all.of.get(childId));
  const page = familyPage(ladders, next[0], whySentence);
  const spots = open.slice(0, 3).map((o) => spotWords(o.key, child.accent));
  const missed = child.next.flatMap((n) => {
    const pattern = patterns.find((p) => p.id === n.pattern);
    if (!pattern) return [];
    const often = pattern.id.startsWith('keeps-') ? say.oftenKeeps : say.oftenMisses;
    return [often(subjectOf(child.accent)(pattern), listed(n.words))];
  });
  const noticed = [...child.notices, ...missed, ...(spots.length ? [say.mayHear(listed(spots))] : [])];
  return {
    title: say.talk(child.name),
    day: dayOf(now),
    parts: withLines([
      { heading: say.goesWell, lines: page.can.length || page.coming.length ? page.can : [say.tooLittleOfChild] },
      { heading: say.coming, lines: page.coming },
      { heading: say.noticed, lines: noticed.length ? noticed : [say.noticedNothing] },
      { heading: say.wePlayNext, lines: page.next ? [page.next] : [] },
      { heading: say.askFamily, lines: say.questions },
      { heading: say.tryHome, lines: page.home },
    ]),
    table: [],
    caution: say.notDiagnosis,
    back: { href: `/children/${childId}`, name: child.name },
  };
}
