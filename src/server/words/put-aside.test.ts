import { describe, expect, test } from 'vitest';
import { v7 } from 'uuid';
import { planRequestSchema } from '../../core/formats/plan-file';
import { wordsSchema } from '../../core/formats/schemas';
import { readKey } from '../../core/games/spec';
import { PRESETS } from '../../core/phonology/conventions';
import type { AccentId } from '../../core/phonology/accents';
import type { Plan } from '../../core/sessions/running-order';
import { sure } from '../../core/sure';
import { addGroup, eraseGroup } from '../people/groups';
import { newPlan, openPlan, workOnPlan } from '../plans/plans';
import { appendLog } from '../record/append-log';
import { homePaper } from '../sessions/home-page';
import { playSession } from '../sessions/play-session';
import { startSession, startWords } from '../sessions/start-session';
import { saveSettings } from '../setting/settings';
import { database } from '../storage/database';
import { inFreshFiles } from '../testing/fresh-file';
import { putAside, wordsAside } from './put-aside';
import { saveOwnWord } from './own-words';
import { savedSet, saveSet } from './word-sets';
import { wordPage } from './word-page';
import { findWords } from './words';

inFreshFiles();

const find = async (query: Record<string, string>, groupId: string) =>
  findWords(wordsSchema.parse(query), { id: groupId, children: [] });
const accent = (id: AccentId, letIn?: boolean): Promise<void> =>
  saveSettings({ accent: id, conventions: PRESETS.default, letIn });
const wordsIn = ({ rounds }: Plan): string[] =>
  rounds.flatMap((r) => [...r.items.map((i) => i.key), ...r.spares].flatMap((key) => readKey(key).words));
const rhymes = planRequestSchema.parse({ shape: 'focus', task: 'rhyme-match', step: '2-far', minutes: 8, seed: 4 });

describe('a word put aside for a group', () => {
  test('is in no list, no proposal, no plan and no session of that group, and in those of others', async () => {
    const [ours, theirs] = [await addGroup('Beans'), await addGroup('Peas')];
    const proposed = (await find({ sounds: '3' }, ours.id)).set.map((w) => w.word);
    const plan = (await openPlan(await newPlan(ours.id, rhymes))).plan;
    // Words that people count differently are in no list until a setting has chosen how.
    const planned = wordsIn(plan).filter((word) => !word.includes('x'));
    const away = [sure(proposed[0]), sure(proposed[1]), sure(planned[0]), sure(planned[1])];
    for (const word of away) await putAside(ours.id, word, true);
    expect(await wordsAside(ours.id)).toEqual([...new Set(away)].sort());
    for (const word of away) {
      const listed = async (group: string) =>
        (await find({ sounds: 'any', q: word }, group)).results.map((w) => w.word);
      expect(await listed(ours.id)).not.toContain(word);
      expect(await listed(theirs.id)).toContain(word);
    }
    const seeds = [1, 2, 3, 4, 5, 6];
    for (const seed of seeds) {
      const set = await find({ sounds: '3', seed: String(seed) }, ours.id);
      expect([...set.set.map((w) => w.word), ...set.spares].filter((w) => away.includes(w))).toEqual([]);
      const made = (await openPlan(await newPlan(ours.id, { ...rhymes, seed }))).plan;
      expect(wordsIn(made).filter((w) => away.includes(w))).toEqual([]);
    }
    await putAside(ours.id, sure(away[0]), false);
    expect(await wordsAside(ours.id)).not.toContain(away[0]);
  });

  test('a plan that holds it changes it for another; a session of an older plan leaves it out', async () => {
    const group = await addGroup('Beans');
    const id = await newPlan(group.id, rhymes);
    const { plan } = await openPlan(id);
    const word = sure(readKey(sure(sure(plan.rounds[0]).items[0]).key).words[0]);
    const changed = await workOnPlan(id, plan, { kind: 'aside', word });
    expect(wordsIn(changed.plan)).not.toContain(word);
    expect(changed.plan.rounds.map((r) => r.items.length)).toEqual(plan.rounds.map((r) => r.items.length));
    expect(await wordsAside(group.id)).toEqual([word]);
    const old = await startSession(group.id, plan);
    const run = await playSession(old);
    expect(run.plan.rounds.flatMap((r) => r.words.flatMap((key) => readKey(key).words))).not.toContain(word);
    expect((await homePaper(old)).text).not.toMatch(new RegExp(`\\b${word}\\b`));
  });

  test('a set of its words is played without it, and a set of nothing else says so', async () => {
    const group = await addGroup('Beans');
    await putAside(group.id, 'gran', true);
    const session = await startWords({ groupId: group.id, task: 'blending', words: ['gran', 'sun'] });
    expect((await playSession(session)).plan.rounds[0]?.words).toEqual(['sun']);
    await expect(startWords({ groupId: group.id, task: 'blending', words: ['gran'] })).rejects.toThrow('put aside');
    const page = await wordPage('gran', group.id);
    expect([page.aside, page.word.withheld]).toEqual([true, 'put-aside']);
  });

  test('while playing: it is kept in the log, holds for the group, and sent twice changes nothing', async () => {
    const group = await addGroup('Beans');
    const session = await startWords({ groupId: group.id, task: 'blending', words: ['sun', 'pond'] });
    const entry = { kind: 'aside' as const, id: v7(), at: 1, turn: 0, word: 'sun' };
    await appendLog(session, [entry]);
    const again = await appendLog(session, [entry, { ...entry, id: v7(), word: 'nonsuch' }]);
    expect(again.refused.map((r) => r.why)).toEqual(['“nonsuch” isn’t in the word bank.']);
    expect(await wordsAside(group.id)).toEqual(['sun']);
    expect((await playSession(session)).plan.rounds[0]?.words).toEqual(['pond']);
  });

  test('is in no sentence whose words are counted', async () => {
    const group = await addGroup('Beans');
    await putAside(group.id, 'teddy', true);
    const asked = planRequestSchema.parse({ shape: 'focus', task: 'count-words', step: '4', minutes: 8, seed: 2 });
    for (const seed of [1, 2, 3, 4, 5, 6, 7, 8]) {
      const { shown } = await openPlan(await newPlan(group.id, { ...asked, seed }));
      const said = shown.rounds.flatMap((r) => r.items.map((i) => i.say)).join(' ');
      expect(said).toContain('How many');
      expect(said).not.toMatch(/teddy/i);
    }
  });

  test('goes with its group; a word or a group that is not there is refused in a sentence', async () => {
    const group = await addGroup('Beans');
    await putAside(group.id, 'sun', true);
    await expect(putAside(group.id, 'nonsuch', true)).rejects.toMatchObject({ status: 404 });
    await expect(putAside(v7(), 'sun', true)).rejects.toThrow('Nothing has been put aside');
    await eraseGroup(group.id);
    const { models } = await database();
    expect(await models.putAside.count()).toBe(0);
  });
});

describe('words of another country', () => {
  test('are offered where they are said, or where a setting lets them in', async () => {
    const group = await addGroup('Beans');
    const has = async (word: string) =>
      (await find({ sounds: 'any', q: word }, group.id)).results.some((w) => w.word === word);
    expect([await has('nappy'), await has('diaper')]).toEqual([true, false]);
    await accent('general-american');
    expect([await has('nappy'), await has('diaper')]).toEqual([false, true]);
    await accent('general-american', true);
    expect([await has('nappy'), await has('diaper'), await has('lass')]).toEqual([true, true, true]);
    await accent('general-american');
    expect(await has('nappy'), 'kept where the form says nothing of it').toBe(true);
    await accent('general-american', false);
    expect(await has('nappy')).toBe(false);
    expect((await wordPage('nappy', group.id)).word.withheld).toBe('other-country');
  });
});

describe('a word that left the bank', () => {
  test('stays in a set and a session that have it, says so, and may be added as a word of ours', async () => {
    const group = await addGroup('Beans');
    const id = await saveSet({ name: 'Old words', words: ['jail', 'sun'] });
    const found = await find({ sounds: 'any', words: (await savedSet(id)).words.join(',') }, group.id);
    expect(found.set.map((w) => [w.word, w.withheld])).toEqual([
      ['jail', 'former'],
      ['sun', null],
    ]);
    expect(found.missing).toEqual([]);
    expect((await find({ sounds: 'any', q: 'jail' }, group.id)).results).toEqual([]);
    const session = await startWords({ groupId: group.id, task: 'blending', words: ['jail', 'sun'] });
    expect((await playSession(session)).plan.rounds[0]?.words).toEqual(['jail', 'sun']);
    const plan = planRequestSchema.parse({ shape: 'focus', task: 'blending', step: '3', minutes: 8, seed: 1 });
    const open = await openPlan(await newPlan(group.id, plan));
    const first = sure(open.plan.rounds.find((r) => r.task === 'blending'));
    const with_ = { ...open.plan, rounds: [{ ...first, items: [{ key: 'jail', locked: false }] }] };
    const { shown } = await workOnPlan(open.id, with_, { kind: 'show' });
    expect(sure(shown.rounds[0]).items[0]).toMatchObject({
      problem: null,
      note: '“jail” is not in the word bank any more',
    });
    await saveOwnWord({
      word: 'jeep',
      line: 'j FLEECE p',
      letters: 'j|ee|p',
      meaning: '',
      sentence: '',
      prop: false,
      cautions: [],
    });
    expect((await find({ sounds: 'any', q: 'jeep' }, group.id)).results.map((w) => w.word)).toEqual(['jeep']);
  });
});
