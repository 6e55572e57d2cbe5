import { format } from 'date-fns';
import { csv } from '../../core/formats/csv';
import { familyPage } from '../../core/telling/family-page';
import { halfTermOf, type HalfTerm } from '../../core/telling/half-term';
import { STATES, STATE_WORDS } from '../../core/evidence/rule';
import { capital, listed } from '../../core/in-words';
import { sure } from '../../core/sure';
import { settle } from '../../core/evidence/settle';
import { summaryOf } from '../../core/telling/summary';
import { seenOf, slipsOf } from '../answers/kept-evidence';
import { groupOf, type Group } from '../people/groups';
import { advised, spotWords, subjectOf } from './advised';
import { childPage } from './child-page';
import { needsOf } from './needs';

const seenSince = (days: number, since: string) =>
  `We’ve seen them in games on ${days === 1 ? 'one day' : `${days} days`} since ${since}.`;

const handingOver = (name: string) => `Handing over: ${name}`;

const keepsSentence = (what: string, words: string) =>
  `Often ${what}${words ? `, so we’re playing with words like ${words}` : ''}.`;

const missesSentence = (what: string, words: string) =>
  `They often miss ${what}${words ? `, so we’re playing with words like ${words}` : ''}.`;

const FAMILY_QUESTIONS = [
  'Which languages do you speak at home, and which does your child like best?',
  'Do people outside the family understand your child?',
  'Has your child’s hearing been checked? Do they often have colds or sore ears?',
  'What does your child love to do at home?',
] as const;

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

async function readHalfTerm(group: Group, now: number): Promise<HalfTerm> {
  const ids = group.children.map((c) => c.id);
  const [{ of }, seen] = await Promise.all([advised(ids, now), seenOf(ids, now)]);
  return halfTermOf(
    group.children.map(({ id, name }) => ({
      name,
      skills: sure(of.get(id)).skills,
      runs: settle(sure(seen.get(id)), now).runs,
    })),
    now,
  );
}

const HEADS = ['Skill', 'Step', ...STATES.map((s) => capital(STATE_WORDS[s]))];
const halfTermTable = ({ rows }: HalfTerm): string[][] =>
  rows.map((r) => [r.ladder, r.step, ...STATES.map((s) => String(r.states[s]))]);

/** The half-term page of a group. Throws a Problem (404) where there is no such group. */
export async function halfTermPaper(groupId: string, now = Date.now()): Promise<Paper> {
  const group = await groupOf(groupId);
  const read = await readHalfTerm(group, now);
  const rows = halfTermTable(read);
  return {
    title: `${group.name}: the last six weeks`,
    day: dayOf(now),
    parts: withLines([
      { heading: 'What we played', lines: read.played },
      { heading: 'Where the children are', lines: read.where },
      { heading: 'Who we’ve seen too little of', lines: read.tooLittle },
    ]),
    table: rows.length ? [HEADS, ...rows] : [],
    caution:
      'These are numbers of children, not a ranking. What comes from practice and what from growing up can’t be ' +
      'told apart here. It’s a teaching record, not a diagnosis.',
    back: { href: '/children/board', name: group.name },
  };
}

/** The counts of the half-term page as a file. Throws a Problem (404) where there is no such group. */
export async function halfTermCsv(groupId: string, now = Date.now()): Promise<{ text: string; name: string }> {
  const group = await groupOf(groupId);
  return {
    text: csv(HEADS, halfTermTable(await readHalfTerm(group, now))),
    name: `bouncy-echo-half-term-${format(now, 'yyyy-MM-dd')}.csv`,
  };
}

type ChildPage = Awaited<ReturnType<typeof childPage>>;

const seenWords = ({ days, since }: ChildPage): string =>
  since === null ? 'We haven’t seen them in a game yet.' : seenSince(days, format(since, 'd MMMM'));

async function needsFor(child: ChildPage, now: number): Promise<string[]> {
  const checks = sure((await slipsOf([child.id], now)).get(child.id)).checks;
  return needsOf(child.ownWay, checks, child.accent, now);
}

const nextLines = ({ next }: ChildPage): string[] => (next ? [`${capital(next.does)}. ${next.reason}`] : []);

/** What a colleague needs to go on with a child. Throws a Problem (404) where there is no such child. */
export async function handoverPaper(childId: string, now = Date.now()): Promise<Paper> {
  const child = await childPage(childId, now);
  return {
    title: handingOver(child.name),
    day: dayOf(now),
    parts: withLines([
      { heading: 'What they can do', lines: [child.summary, seenWords(child)] },
      { heading: 'What comes next', lines: nextLines(child) },
      { heading: 'Good to know', lines: [...(await needsFor(child, now)), ...child.notices] },
      { heading: 'What we can’t tell yet', lines: child.open.map((o) => o.text) },
    ]),
    table: [],
    caution:
      'This page is about a child. Pass it on only as your setting’s rules and the family allow. What we’ve seen ' +
      'in short games may not show everything they can do.',
    back: { href: `/children/${childId}`, name: child.name },
  };
}

/** What a colleague needs to go on with a group, child by child. Throws a Problem (404) for no such group. */
export async function groupHandover(groupId: string, now = Date.now()): Promise<Paper> {
  const group = await groupOf(groupId);
  const ids = group.children.map((c) => c.id);
  const [{ of, speech }, slips] = await Promise.all([advised(ids, now), slipsOf(ids, now)]);
  const parts = group.children.map(({ id, name, ownWay }) => {
    const { skills, next } = sure(of.get(id));
    const needs = needsOf(ownWay, sure(slips.get(id)).checks, speech.accent, now);
    return {
      heading: name,
      lines: [summaryOf({ skills }), ...(next ? [`Next: ${next.does}.`] : []), ...needs],
    };
  });
  return {
    title: handingOver(group.name),
    day: dayOf(now),
    parts,
    table: [],
    caution:
      'This page is about children. Pass it on only as your setting’s rules and the families allow. What we’ve ' +
      'seen in short games may not show everything they can do.',
    back: { href: '/children/board', name: group.name },
  };
}

/** Nothing is said to a family that rests on fewer slips, or on one day. Our own choice. */
const FAMILIES = { slips: 3, days: 2 } as const;
const isToldFamilies = (slip: { readonly days: number } & ({ readonly times: number } | { readonly missed: number })) =>
  ('times' in slip ? slip.times : slip.missed) >= FAMILIES.slips && slip.days >= FAMILIES.days;

/**
 * A page to talk over with a family and the special-needs lead: plain words, no figures, nothing that was not seen.
 * Throws a Problem (404) where there is no such child.
 */
export async function talkPaper(childId: string, now = Date.now()): Promise<Paper> {
  const [child, all] = await Promise.all([childPage(childId, now), advised([childId], now)]);
  const advice = sure(all.of.get(childId));
  const page = familyPage(advice);
  const spots = advice.open
    .filter(isToldFamilies)
    .slice(0, 3)
    .map((o) => spotWords(o.key, child.accent));
  const missed = advice.patterns.filter(isToldFamilies).flatMap((pattern) => {
    if (pattern.id !== child.next?.pattern) return [];
    const often = pattern.id.startsWith('keeps-') ? keepsSentence : missesSentence;
    return [often(subjectOf(child.accent)(pattern), listed(child.next.words))];
  });
  const noticed = [
    ...child.notices,
    ...missed,
    ...(spots.length
      ? [
          `They don’t always say ${listed(spots)}. Many children hear a sound well before they can say it, so ` +
            'we’re finding out in games.',
        ]
      : []),
  ];
  return {
    title: `Talking about ${child.name}`,
    day: dayOf(now),
    parts: withLines([
      {
        heading: 'What’s going well',
        lines: page.can.length || page.coming.length ? page.can : ['We haven’t seen enough yet to say.'],
      },
      { heading: 'What’s on its way', lines: page.coming },
      { heading: 'What we’ve noticed', lines: noticed.length ? noticed : ['Nothing stands out.'] },
      { heading: 'What we’ll play next', lines: page.next ? [page.next] : [] },
      { heading: 'What we’d like to ask you', lines: FAMILY_QUESTIONS },
      { heading: 'To try at home', lines: page.home },
    ]),
    table: [],
    caution:
      'This is what we’ve seen in short listening and talking games. It’s a teaching record, not a diagnosis. If ' +
      'you or we are worried about speech or hearing, we’ll talk to our special-needs lead and follow local ' +
      'rules on who to ask next.',
    back: { href: `/children/${childId}`, name: child.name },
  };
}
