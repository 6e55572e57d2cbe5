import { format } from 'date-fns';
import { examplesOf, plainWords } from '../../core/choosing/examples';
import { plainStep } from '../../core/choosing/next-step';
import { settle } from '../../core/evidence/settle';
import { listed } from '../../core/in-words';
import { sure } from '../../core/sure';
import { backOf, breakIn, type BackChild, type Break } from '../../core/telling/week-back';
import { seenOf } from '../answers/kept-evidence';
import { groupOf, type Group } from '../people/groups';
import { getSettings, settingName } from '../setting/settings';
import { rows } from '../storage/rows';
import { Problem } from '../storage/problems';
import { preparedBank } from '../words/bank';
import { advised, type Advised } from './advised';
import type { Paper } from './papers';

/** Sessions in which a break is looked for: enough for two busy weeks and what came before them. */
const LATELY = 100;

/** The break a class has come back from, as its answers tell; null where there is none to speak of. */
export async function breakOf(groupId: string, now = Date.now()): Promise<Break | null> {
  const days = await rows<{ at: number }>(
    `SELECT MIN(a.at) AS at FROM answers a JOIN sessions s ON s.id = a.session_id
     WHERE s.id IN (SELECT id FROM sessions WHERE group_id = :group ORDER BY started_at DESC LIMIT :lately)
     GROUP BY CAST(a.at / 3600000 AS INTEGER)`,
    { group: groupId, lately: LATELY },
  );
  return breakIn(
    days.map((d) => d.at),
    now,
  );
}

/** Quick words, and steps named, for each child at most. */
const SHOWN = { words: 2, held: 3 } as const;

const HEADS = ['Child', 'Could do before', 'Since then', 'Two quick words', 'Look at again'];

const sinceWords = ({ right, of }: BackChild['since']): string => (of ? `${right} of ${of} alone` : 'not played yet');

/** What to look at again: skills that were not played since, or went badly. */
function againWords({ held, since }: BackChild): string {
  if (!since.of) return held.length ? 'everything' : '';
  return listed(held.filter((h) => h.missed || h.rested).map((h) => h.ladder.name.toLowerCase()));
}

async function wordsFor(group: Group, backs: ReadonlyMap<string, BackChild>, of: ReadonlyMap<string, Advised>) {
  const { accent, conventions } = await getSettings();
  const material = await preparedBank(accent, conventions);
  return new Map(
    group.children.map(({ id }) => {
      const { held } = sure(backs.get(id));
      const first = held.find((h) => h.missed) ?? held.find((h) => h.rested) ?? held[0];
      const { next, patterns } = sure(of.get(id));
      const step = first ? plainStep(first.ladder.id, first.held.rung, 'again', '') : next;
      return [id, step ? plainWords(examplesOf(step, patterns, material)).slice(0, SHOWN.words) : []];
    }),
  );
}

/**
 * The first week back: one page for a class, from the third day after a break. Throws a Problem (404) for no such
 * group, or where there was no break.
 */
export async function weekBackPaper(groupId: string, now = Date.now()): Promise<Paper> {
  const group = await groupOf(groupId);
  const rest = await breakOf(groupId, now);
  if (!rest) throw new Problem('There hasn’t been a break lately.', 404);
  const ids = group.children.map((c) => c.id);
  const [{ of }, seen, setting] = await Promise.all([advised(ids, now), seenOf(ids, now), settingName()]);
  const backs = new Map(ids.map((id) => [id, backOf(settle(sure(seen.get(id)), now).runs, rest)]));
  const words = await wordsFor(group, backs, of);
  const lines = group.children.map(({ id, name }) => {
    const back = sure(backs.get(id));
    return [
      name,
      listed(back.held.slice(-SHOWN.held).map((h) => h.held.rung.does)) || 'nothing secure yet',
      sinceWords(back.since),
      sure(words.get(id)).join(', '),
      againWords(back),
    ];
  });
  return {
    setting,
    title: `${group.name}: the first week back`,
    day: format(now, 'd MMMM yyyy'),
    parts: [
      {
        heading: 'Start gently',
        lines: [
          `Nobody played between ${format(rest.before, 'd MMMM')} and ${format(rest.after, 'd MMMM')}. Look again at ` +
            'what they could do before you try anything harder.',
          'Ask each child their two words. A mistake now doesn’t mean much: children often need a few days ' +
            'to settle.',
        ],
      },
    ],
    table: [HEADS, ...lines],
    tableTitle: 'Child by child',
    caution: 'This page is about children. It’s a teaching record, not a diagnosis, and no list of who is best.',
    back: { href: '/', name: 'Today' },
  };
}
