import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { canJudge } from '../answers/can-judge';
import { judge } from '../answers/judge';
import { chunksOf, saidOf } from '../answers/said';
import { findTask, TASKS } from '../games';
import { tryMake, type Item } from '../games/item';
import { marksOf } from '../games/marks';
import { accentOf, type AccentId } from '../phonology/accents';
import { material, word } from './bank';

const ACCENTS: Readonly<Record<string, AccentId>> = {
  gb: 'southern-british',
  north: 'northern-english',
  scot: 'scottish',
  us: 'general-american',
};

type Verdict = 'right' | 'not yet' | 'not asked';
const VERDICTS: Readonly<Record<string, Verdict>> = { '+': 'right', '-': 'not yet', '~': 'not asked' };

interface Case {
  readonly accent: AccentId;
  readonly path: string;
  readonly key: string;
  readonly answer: string;
  readonly verdict: Verdict;
  /** What went wrong, where the line says it. */
  readonly slip: string | undefined;
}

/** Every answer of the lists, one a case. */
const CASES: readonly Case[] = ['verdicts', 'slips']
  .flatMap((name) => readFileSync(`src/core/testing/${name}.tsv`, 'utf8').split('\n'))
  .filter((line) => line && !line.startsWith('#'))
  .flatMap((line) => {
    const [accent = '', path = '', key = '', ...answers] = line.split('\t');
    return answers.map((cell) => {
      const [answer = '', slip] = cell.split('>');
      const verdict = VERDICTS[answer[0] ?? ''] as Verdict;
      return { accent: ACCENTS[accent] as AccentId, path, key, answer: answer.slice(1), verdict, slip };
    });
  });

interface Heard {
  readonly verdict: Verdict;
  readonly slip: string | null;
}

/** What an adult would have tapped: the judge’s verdict, or the choice, the number or the list that is right. */
function verdictOf(item: Item, answer: string, accent: AccentId): Heard {
  const { judged } = item;
  const said = answer.startsWith('=')
    ? [word(answer.slice(1), accent).sounds.map((s) => s.ipa)]
    : chunksOf(answer.replaceAll('g', 'ɡ'));
  const of = (right: boolean): Heard => ({ verdict: right ? 'right' : 'not yet', slip: null });
  if (judged.by === 'choice') {
    expect(judged.choices).toContain(answer);
    return of(judged.choices[judged.right] === answer);
  }
  if (judged.by === 'number') return of(String(judged.right) === answer);
  if (judged.by === 'list') return of(judged.entries.join(', ') === answer);
  if (judged.by === 'words')
    return of(item.view.kind === 'hunt' && item.view.words.some((w) => w.word === answer.slice(1)));
  expect(canJudge(judged)).toBe(true);
  const head = item.words[0];
  const question = {
    judged,
    marks: head ? marksOf(word(head.word, accent)) : [],
    to: item.view.kind === 'change' ? item.view.to : undefined,
    tapsT: accentOf(accent).tapsT,
  };
  const { outcome, slip } = judge(question, said);
  return { ...of(outcome === 'on-own'), slip };
}

function heard({ accent, path, key, answer }: Case): Heard {
  const [family, id = '', stepId] = path.split('/');
  const task = findTask(id);
  const step = task?.steps.find((s) => s.id === stepId);
  if (!task || !step || task.family !== family) throw new Error(`There is no “${path}”.`);
  const { item, why } = tryMake(task, step, key, material(accent));
  // A way of asking that parts right from wrong by what nobody hears is never dealt.
  if (!item)
    return why.includes('anyone tells') ? { verdict: 'not asked', slip: null } : expect.unreachable(`${key}: ${why}`);
  return verdictOf(item, answer, accent);
}

describe('the verdict a practitioner would give, on answers written by hand', () => {
  test.each(CASES)('$path, $key: $answer is $verdict', (one) => {
    const { verdict, slip } = heard(one);
    expect(verdict, saidOf([[one.answer]])).toBe(one.verdict);
    if (one.slip !== undefined) expect(slip).toBe(one.slip);
  });
  test('there are hundreds, for every game', () => {
    expect(CASES.length).toBeGreaterThan(850);
    expect(TASKS.filter((task) => !CASES.some((c) => c.path.split('/')[1] === task.id)).map((t) => t.id)).toEqual([]);
  });
});
