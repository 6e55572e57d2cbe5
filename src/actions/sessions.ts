'use server';

import { z } from 'zod';
import { correctionSchema, idSchema, startSchema } from '@/core/formats/schemas';
import type { Entry } from '@/core/sessions/log';
import { startDoor } from '@/server/plans/door';
import { gamesOfSet, startSetIn, type SetGame } from '@/server/plans/set-games';
import { startFind } from '@/server/plans/start-find';
import { startPebbles, startStep } from '@/server/plans/start-step';
import { appendLog } from '@/server/record/append-log';
import { judgeSaid } from '@/server/sessions/judge-said';
import { correctionOf, lookBack } from '@/server/sessions/look-back';
import { reopenSession } from '@/server/sessions/reopen';
import { takenBack } from '@/server/sessions/take-back';
import { startWords } from '@/server/sessions/start-session';
import { answer, formAnswer, goTo, type Answer, type FormState } from './answer';
import { fieldOf, filledIn, typedText } from './form';

const CHANGED_MEANWHILE = 'Someone else has changed that answer. Look again before you correct it.';

/** Starts a session of a word set. */
export async function start(_: FormState, form: FormData): Promise<FormState> {
  return goTo(async () => `/play/${await startWords(startSchema.parse(filledIn(form)))}`);
}

/** A step of a ladder, the pattern whose words it is played with, and the sound in a place to be checked instead. */
const named = z
  .string()
  .max(40)
  .nullish()
  .transform((name) => name ?? undefined);
const stepSchema = z.object({
  ladder: z.string(),
  rung: z.string(),
  pattern: named,
  check: named,
  own: z.boolean().optional(),
});

/** Starts a session of one step with these children. */
export async function playStep(groupId: unknown, asked: unknown, children: unknown): Promise<FormState> {
  return goTo(async () => {
    const playing = z.array(idSchema).min(1).max(60).parse(children);
    return `/play/${await startStep(idSchema.parse(groupId), stepSchema.parse(asked), playing)}`;
  });
}

/** Starts a pebble check of one child for a sound in a place. */
export async function playPebbles(childId: unknown, key: unknown): Promise<FormState> {
  return goTo(async () => `/play/${await startPebbles(idSchema.parse(childId), z.string().max(40).parse(key))}`);
}

/** Finds where these children are in a game, one after another. */
export async function playFind(groupId: unknown, task: unknown, children: unknown): Promise<FormState> {
  return goTo(async () => {
    const playing = z.array(idSchema).min(1).max(60).parse(children);
    return `/play/${await startFind(idSchema.parse(groupId), z.string().max(40).parse(task), playing)}`;
  });
}

const setWords = z.array(z.string().max(40)).min(1).max(60);

/** The games that words of a set can be played in. */
export async function gamesForSet(groupId: unknown, words: unknown): Promise<Answer<SetGame[]>> {
  return answer(async () => gamesOfSet(idSchema.parse(groupId), setWords.parse(words)), false);
}

/** Plays a game with those words of a set that it takes. */
export async function playSetIn(groupId: unknown, task: unknown, words: unknown): Promise<FormState> {
  return goTo(async () => {
    const chosen = setWords.parse(words);
    return `/play/${await startSetIn(idSchema.parse(groupId), z.string().max(40).parse(task), chosen)}`;
  });
}

/** Starts one question each, for a queue at the door. */
export async function playDoor(_: FormState, form: FormData): Promise<FormState> {
  return goTo(async () => `/play/${await startDoor(idSchema.parse(fieldOf(form, 'groupId')))}`);
}

/** Takes the end of a session back and goes on with it. */
export async function reopen(_: FormState, form: FormData): Promise<FormState> {
  return goTo(async () => {
    const id = idSchema.parse(fieldOf(form, 'session'));
    await reopenSession(id);
    return `/play/${id}`;
  });
}

/** Adds one entry, and says what was done, or why it could not be. */
async function kept(sessionId: string, entry: Entry, done: string): Promise<FormState> {
  const [no] = (await appendLog(sessionId, [entry])).refused;
  return no ? { error: no.why } : { said: done };
}

/** Puts a mark right in Look back. */
export async function correct(sessionId: string, change: unknown): Promise<FormState> {
  return formAnswer(async () => {
    const correction = correctionSchema.parse(change);
    const { answers } = await lookBack(sessionId);
    // The same correction sent twice finds its answer corrected already.
    if (answers.some((a) => a.id === correction.newId)) return { said: 'Corrected.' };
    const entry = correctionOf(answers, correction);
    if (!entry) return { error: CHANGED_MEANWHILE };
    return kept(sessionId, entry, 'Corrected.');
  });
}

const takeBackSchema = z.strictObject({ answerId: idSchema, newId: idSchema });

/** Takes a correction back. */
export async function uncorrect(sessionId: string, change: unknown): Promise<FormState> {
  return formAnswer(async () => {
    const entry = await takenBack(idSchema.parse(sessionId), takeBackSchema.parse(change));
    if (!entry) return { error: CHANGED_MEANWHILE };
    return kept(sessionId, entry, 'It’s back as it was.');
  });
}

const round = z.int().min(0).max(9).catch(0);

/** What the core says of an answer that was typed. */
export async function judgeTyped(
  sessionId: unknown,
  roundNumber: unknown,
  key: unknown,
  typed: unknown,
): Promise<Answer<Awaited<ReturnType<typeof judgeSaid>>>> {
  return answer(
    () => judgeSaid(typedText.parse(sessionId), round.parse(roundNumber), typedText.parse(key), typedText.parse(typed)),
    false,
  );
}
