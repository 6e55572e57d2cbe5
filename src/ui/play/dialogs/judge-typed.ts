import { judgeTyped } from '@/actions/sessions';

/** Judges what was typed for an item of a round, by its sounds. */
export type JudgeTyped = (round: number, key: string, typed: string) => ReturnType<typeof judgeTyped>;

/** By the computer itself. */
export const judgeHere =
  (session: string): JudgeTyped =>
  (round, key, typed) =>
    judgeTyped(session, round, key, typed);

/** By the computer that lent the session to this tablet: there are no actions here. */
export const judgeFromTablet: JudgeTyped = async (round, key, typed) => {
  const response = await fetch('/judge', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ round, key, typed }),
  });
  const body = (await response.json()) as Record<string, unknown>;
  return response.ok
    ? ({ ok: true, value: body } as unknown as Awaited<ReturnType<JudgeTyped>>)
    : { ok: false, error: String(body.error) };
};
