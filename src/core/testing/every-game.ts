import { canJudge } from '../answers/can-judge';
import { judge, luckOf } from '../answers/judge';
import { lineText } from '../answers/line-text';
import { chunksOf, soundsSaid } from '../answers/said';
import { material, oneBeats } from './bank';
import { forbiddenIn } from './forbidden';
import type { AccentId } from '../phonology/accents';
import { describe, expect, test } from 'vitest';
import { generate } from '../games/generate';
import { TASKS } from '../games';
import type { Item } from '../games/item';
import { readKey } from '../games/spec';
import type { Step } from '../games/step';
import type { Task } from '../games/task';
import { isVowel } from '../phonology/sounds';
import { sure } from '../sure';
import { times } from './deep';
import { JUDGES } from './rejudge';
import { unsayable } from './sayable';

/** Sets of every task and step in every accent, each day. */
export const DAILY_SEEDS = 30;
const SEEDS = times(200, DAILY_SEEDS);
const SIZE = 4;
/** Sets of these hang together: a word stands in more than one item. */
const CHAINED: ReadonlySet<string> = new Set(['chain', 'recall']);

const judgedOnce = new Set<string>();

/** What a set was made of, and who judges it a second time. */
interface Judging {
  readonly task: Task;
  readonly step: Step;
  readonly accent: AccentId;
  readonly judges?: Readonly<Record<string, (item: Item, step: Step, accent: AccentId) => string | null>>;
}

/** What is wrong with an item: by the second judge, by ear, or by the judge of answers. */
function faultOf(item: Item, judged: Judging): string | null {
  const { task, step, accent, judges = JUDGES } = judged;
  const rude = material(accent).guard;
  const wrong = sure(judges[task.id])(item, step, accent);
  if (wrong) return `“${item.key}”: ${wrong}`;
  const said = [
    item.words.map((w) => w.marks.map((m) => m.ipa)),
    item.judged.by === 'sounds' ? [item.judged.sounds] : [],
    item.judged.by === 'choice' ? [] : item.likely.filter((l) => l.show !== null).map((l) => soundsSaid(l.said)),
  ].flat();
  if (said.some((ipa) => rude(ipa))) return `“${item.key}” sounds rude`;
  const forbidden = forbiddenIn(item);
  if (forbidden) return `“${item.key}” prints “${forbidden}”`;
  const misread = misreadIn(item, accent);
  if (misread) return `“${item.key}” prints “${misread}”, which is another word`;
  const stiff = unsayable(item, task);
  if (stiff) return `“${item.key}”: ${stiff}`;
  const unlike = judgedUnlike(item, accent);
  if (unlike) return `“${item.key}”: the judge does not agree with “${unlike.note}” (${unlike.said})`;
  const twin = answerAgain(item);
  if (twin) return `“${item.key}”: “${twin}” stands on a right answer and on another`;
  if (item.judged.by === 'choice') {
    const { right } = item.judged;
    const wrongWay = item.likely.some((l, i) => (l.outcome === 'on-own') !== (i === right));
    if (wrongWay) return `“${item.key}”: a choice is marked the wrong way`;
  }
  return /\{\w+\}/.test(item.say) ? `“${item.key}” leaves a slot open: ${item.say}` : null;
}

/** The words of a chip that stand on a right answer and on one that is not. */
function answerAgain({ likely }: Item): string | undefined {
  const told = (right: boolean): string[] =>
    likely
      .filter((l) => (l.outcome === 'on-own') === right && l.slip !== 'another-heard')
      .map(({ show, line }) => show ?? lineText(line ?? []));
  const right = new Set(told(true));
  return told(false).find((text) => right.has(text) && text !== 'a different word');
}

/** Letters of a likely answer that spell another common word, with no line beside them. */
function misreadIn(item: Item, accent: AccentId): string | undefined {
  if (item.judged.by !== 'sounds' && item.judged.by !== 'rhyme') return undefined;
  const { soundsOf } = material(accent);
  const misread = item.likely.find(({ show, line, said }) => {
    if (!show || line || !/^[a-z]+$/.test(show)) return false;
    const sounds = soundsSaid(said);
    const known = soundsOf(show)?.join(' ') === sounds.join(' ');
    return sounds.some(isVowel) && !known && !oneBeats.mayRead(show, sounds, accent);
  });
  return misread?.show ?? undefined;
}

/** A likely answer that the judge marks otherwise than its chip. Once for each item: sets share many. */
function judgedUnlike(item: Item, accent: AccentId): Item['likely'][number] | undefined {
  const once = `${accent} ${item.task} ${item.step} ${item.key}`;
  if (!canJudge(item.judged) || judgedOnce.has(once)) return undefined;
  judgedOnce.add(once);
  return item.likely.find(
    (l) => l.said && judge({ judged: item.judged, marks: item.marks }, chunksOf(l.said)).outcome !== l.outcome,
  );
}

/** What is wrong with a set, or null. */
export function fault(items: readonly Item[], judging: Judging): string | null {
  const { task } = judging;
  for (const item of items) {
    const wrong = faultOf(item, judging);
    if (wrong) return wrong;
  }
  if (items.some((item, i) => i > 0 && !task.inOrder && item.difficulty < sure(items[i - 1]).difficulty))
    return 'not from easy to hard';
  const names = items.flatMap((item) => readKey(item.key).words);
  if (!CHAINED.has(task.id) && new Set(names).size !== names.length) return `a word twice: ${names.join(' ')}`;
  if (new Set(items.map((i) => i.key)).size !== items.length) return 'an item twice';
  if (
    items.some(
      (item, i) => luckOf(item.judged) > 0 && i >= 3 && items.slice(i - 3, i).every((o) => o.kind === item.kind),
    )
  )
    return 'more than three like answers in a row';
  return null;
}

// Seeded sets of every task and step in every accent, each item judged again from the transcription lines alone
// (testing/rejudge); a failure says which seed makes it again.
export const judgeEveryGame = (accent: AccentId): unknown =>
  describe(`every game, judged a second time (${accent})`, () => {
    test.each(TASKS.map((task) => [task.id, task] as const))(
      '%s',
      (_, task) => {
        const made = material(accent);
        for (const step of task.steps) {
          let items = 0;
          for (let seed = 1; seed <= SEEDS; seed += 1) {
            const set = generate(task, step, made, { size: SIZE, seed, contested: seed % 2 === 0 });
            items += set.items.length;
            const wrong = fault(set.items, { task, step, accent });
            if (wrong) expect.fail(`${task.id}, step ${step.id}, ${accent}, seed ${seed}: ${wrong}`);
          }
          expect(items / SEEDS, `${task.id} ${step.id} makes enough`).toBeGreaterThan(
            SIZE * 0.9 - (step.count === 3 && CHAINED.has(task.id) ? 1 : 0),
          );
        }
      },
      240_000,
    );
  });
