import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { expect, test } from 'vitest';
import { planRequestSchema } from '../../core/formats/plan-file';
import { fill } from '../../core/games/fill';
import { findTask, TASKS } from '../../core/games';
import { sure } from '../../core/sure';
import { PrintedPlanScreen } from '../../ui/plan/printed-plan-screen';
import { addChildren, addGroup } from '../people/groups';
import { playSession } from '../sessions/play-session';
import { startSession } from '../sessions/start-session';
import { inFreshFiles } from '../testing/fresh-file';
import { newPlan, openPlan } from './plans';
import { printedPlan } from './printed-plan';

inFreshFiles();

/** A page as it reads: no marks, one space between words. */
const readable = (html: string): string =>
  html
    .replace(/<[^>]*>/g, ' ')
    .replace(/&#x27;/g, "'")
    .replace(/&quot;/g, '"')
    .replace(/&amp;/g, '&')
    .replace(/\s+/g, ' ');

test('the paper has every line that Play would say: opening, asks with their parts, stories, turns', async () => {
  const { id: groupId } = await addGroup('Radishes');
  await addChildren(groupId, 'Wren\nKofi\nIdris');
  for (const task of TASKS) {
    const step = sure(task.steps.at(-1)).id;
    const id = await newPlan(
      groupId,
      planRequestSchema.parse({ shape: 'focus', task: task.id, step, minutes: 20, seed: 5 }),
    );
    const paper = await printedPlan(id);
    const text = readable(renderToStaticMarkup(createElement(PrintedPlanScreen, { plan: paper, as: 'page' })));
    const script = JSON.stringify(paper.shown.rounds);
    const played = await playSession(await startSession(groupId, (await openPlan(id)).plan));
    for (const [i, round] of played.rounds.entries()) {
      expect(text, task.id).toContain(round.opening);
      const { words } = sure(played.plan.rounds[i]);
      // Of a list that grows, the last line has all of it.
      const keys = findTask(sure(paper.plan.rounds[i]).task)?.grows ? words.slice(-1) : words;
      for (const key of keys) {
        const item = sure(round.items[key]);
        const line = fill(round.ask, item.slots).replace(/\s+/g, ' ');
        expect(text, `${task.id} ${key}`).toContain(line);
        expect(text, `${task.id} ${key}`).toContain(item.expected.replace(/\s+/g, ' '));
        expect(script).toContain(JSON.stringify(fill(round.ask, item.slots)).slice(1, -1));
        if (item.view.kind === 'story' && item.view.title)
          for (const sentence of item.view.sentences) expect(text).toContain(sentence.map((w) => w.text).join(' '));
      }
    }
    for (const { model } of paper.shown.rounds) if (model) expect(text).toContain(`Model “${model}” first.`);
    expect(text).toContain(paper.shown.turnLine);
  }
});
