import { format } from 'date-fns';
import { csv } from '../../core/formats/csv';
import { examplesOf, plainWords } from '../../core/choosing/examples';
import { familyOf } from '../../core/games';
import { leadIn } from '../../core/lexicon/country';
import { familyPage } from '../../core/telling/family-page';
import { halfTermOf, type HalfTerm, type SkillChange } from '../../core/telling/half-term';
import { STATES, STATE_WORDS } from '../../core/evidence/rule';
import { capital, listed } from '../../core/in-words';
import { sure } from '../../core/sure';
import { settle } from '../../core/evidence/settle';
import { summaryOf } from '../../core/telling/summary';
import { seenOf, slipsOf } from '../answers/kept-evidence';
import { groupOf, type Group } from '../people/groups';
import { getSettings, settingName } from '../setting/settings';
import { preparedBank } from '../words/bank';
import { advised, spotWords, subjectOf, type Advised } from './advised';
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

/** A heading with sentences under it, and lines to write on. */
interface PaperPart {
  readonly heading: string;
  readonly lines: readonly string[];
  /** So many empty lines after each sentence, or alone. */
  readonly room?: number;
}

/** A page to hand on: headings with whole sentences under them. */
export interface Paper {
  /** What the setting is called; null where nobody said. */
  readonly setting: string | null;
  readonly title: string;
  readonly day: string;
  readonly parts: readonly PaperPart[];
  /** A table, where there is one: the first line is its heads. */
  readonly table: readonly (readonly string[])[];
  readonly tableTitle?: string;
  /** The table is for the screen: on paper the picture says it. */
  readonly tableOnScreen?: boolean;
  /** How many children held something, skill by skill, then and now. */
  readonly change?: readonly SkillChange[];
  /** What to bear in mind. */
  readonly caution: string;
  /** Where it leads back to. */
  readonly back: { readonly href: string; readonly name: string };
}

const dayOf = (now: number): string => format(now, 'd MMMM yyyy');
const withLines = (parts: Paper['parts']): Paper['parts'] => parts.filter((p) => p.lines.length > 0 || p.room);

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
    setting: await settingName(),
    title: `${group.name}: the last six weeks`,
    day: dayOf(now),
    parts: withLines([
      { heading: 'What we played', lines: read.played },
      { heading: 'The children’s steps', lines: read.where },
      { heading: 'Children we haven’t seen enough of', lines: read.tooLittle },
    ]),
    table: rows.length ? [HEADS, ...rows] : [],
    tableTitle: 'How many children are at each point',
    tableOnScreen: true,
    change: read.change,
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
    setting: await settingName(),
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
    setting: await settingName(),
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

/** So many things a page to talk over has of each kind. */
const TALK = { can: 4, tries: 2 } as const;

/** Two things to try at home, with words of the step the child is on: nothing has to be bought or made. */
async function triesFor(advice: Advised): Promise<string[]> {
  const { accent, conventions } = await getSettings();
  const material = await preparedBank(accent, conventions);
  const steps = [advice.next, ...advice.skills.filter((s) => s.begun).map((s) => s.workingOn)].flatMap((s) => s ?? []);
  const bySkill = steps.filter((s, i) => steps.findIndex((other) => other.ladder === s.ladder) === i);
  return bySkill.slice(0, TALK.tries).map((step) => {
    const { tries, withWords } = familyOf(step.ladder).atHome;
    const words = plainWords(examplesOf(step, advice.patterns, material));
    return withWords && words.length ? `${tries} Try ${listed(words)}.` : tries;
  });
}

/** What an adult may add to a page to talk over: what was noticed, as far as it may be told to a family. */
function noticedOf(child: ChildPage, advice: Advised): string[] {
  const spots = advice.open
    .filter(isToldFamilies)
    .slice(0, 3)
    .map((o) => spotWords(o.key, child.accent));
  const missed = advice.patterns.filter(isToldFamilies).flatMap((pattern) => {
    if (pattern.id !== child.next?.pattern) return [];
    const often = pattern.id.startsWith('keeps-') ? keepsSentence : missesSentence;
    return [often(subjectOf(child.accent)(pattern), listed(child.next.words))];
  });
  const slips = spots.length
    ? [
        `They don’t always say ${listed(spots)}. Many children hear a sound well before they can say it, so ` +
          'we’re finding out in games.',
      ]
    : [];
  return [...child.notices, ...missed, ...slips];
}

/**
 * A page to talk over with a family: what the child can do first, two things to try at home, room to write. No names of
 * steps, no figures; what was noticed only where an adult adds it. Throws a Problem (404) where there is no such child.
 * @param noticed with what was noticed
 */
export async function talkPaper(childId: string, now = Date.now(), noticed = false): Promise<Paper> {
  const [child, all] = await Promise.all([childPage(childId, now), advised([childId], now)]);
  const advice = sure(all.of.get(childId));
  const page = familyPage(advice);
  const can = [...page.can, ...page.coming].slice(0, TALK.can);
  const told = noticedOf(child, advice);
  return {
    setting: await settingName(),
    title: `Talking about ${child.name}`,
    day: dayOf(now),
    parts: withLines([
      {
        heading: `What ${child.name} can do`,
        lines: can.length ? can : ['We haven’t seen enough yet to say.'],
      },
      { heading: 'Two things to try at home', lines: await triesFor(advice) },
      ...(noticed ? [{ heading: 'What we’ve noticed', lines: told.length ? told : ['Nothing stands out.'] }] : []),
      { heading: 'What we’d like to ask you', lines: FAMILY_QUESTIONS, room: 1 },
      { heading: 'What we agreed', lines: [], room: 4 },
    ]),
    table: [],
    caution:
      'This is what we’ve seen in short listening and talking games. It’s a teaching record, not a diagnosis. If ' +
      `you or we are worried about speech or hearing, we’ll talk to our ${leadIn(child.accent)} and follow local ` +
      'rules on who to ask next.',
    back: { href: `/children/${childId}`, name: child.name },
  };
}
