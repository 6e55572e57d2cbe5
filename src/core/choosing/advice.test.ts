import { describe, expect, test } from 'vitest';
import { JUDGEMENT_CASES, type CaseSeen, type CaseWant } from '../testing/judgement-cases';
import { NOW, seenIn } from '../testing/seen';
import { VOICE_BARS } from '../testing/voice-bars';
import { VOICE_CASES } from '../testing/voice-cases';
import { adviseOn, type ChildAdvice } from './advice';
import { isPointed } from '../evidence/pointed';
import { ladderOf, rungNow } from '../evidence/ladders';
import { plainStep, type NextStep } from './next-step';
import { sure } from '../sure';

interface Case {
  readonly name: string;
  readonly seen: CaseSeen;
  readonly want: CaseWant;
}

function chosenIn({ seen }: Case): NextStep | null {
  if (!seen.chosen) return null;
  const [ladder = '', rung = ''] = seen.chosen.split('/');
  return plainStep(ladderOf(ladder).id, sure(rungNow(ladder, rung)), 'stay', '');
}

const adviceIn = (of: Case): ChildAdvice =>
  adviseOn(seenIn(of), {
    now: NOW,
    unitOrder: of.seen.order ?? 'large-first',
    chosen: chosenIn(of),
    child: { band: of.seen.band ?? null, access: of.seen.ownWay?.access ?? [], lowOnly: false },
  });

const named = (step: NextStep, { chosen }: ChildAdvice): string => {
  if (step === chosen) return `chosen ${step.ladder}/${step.rung}`;
  if (step.check) return `check ${step.check}`;
  return step.pattern ? `pattern ${step.pattern}` : `${step.move} ${step.ladder}/${step.rung}`;
};

const saidIn = (advice: ChildAdvice): Readonly<Record<string, boolean>> => ({
  talk: advice.talk,
  point: advice.replies === 'hardly',
  alone: advice.replies === 'alone',
  room: advice.rooms.length > 0,
  hearing: advice.hearing,
  together: advice.next?.move === 'together',
  'words-they-can-say': advice.open.some((o) => o.verdict === 'own-words'),
});

const stateIn = ({ skills }: ChildAdvice, name: string): string => {
  const [ladder, rung] = name.split('/');
  return sure(skills.find((s) => s.ladder.id === ladder)?.rungs.find((r) => r.rung.id === rung)).state;
};

/** What is wrong with the advice of a case; nothing where it agrees. */
function faultsIn(of: Case): string[] {
  const advice = adviceIn(of);
  const names = [advice.next, advice.other].flatMap((s) => (s ? [named(s, advice)] : []));
  return [...stepFaults(of.want, advice, names), ...saidFaults(of.want, advice), ...stateFaults(of.want, advice)];
}

function stepFaults(want: CaseWant, { next, open }: ChildAdvice, names: readonly string[]): string[] {
  const { first, among = [], never = [], nothing, settle } = want;
  const forbidden = [...never, ...(nothing ? ['pattern', 'up ', 'back '] : [])];
  const name = names[0] ?? 'none';
  return [
    ...(first && !first.some((f) => name.startsWith(f)) ? [`first is ${name}`] : []),
    ...among.filter((a) => !names.includes(a)).map((a) => `no ${a} among ${names.join(', ')}`),
    ...forbidden.flatMap((f) => names.filter((n) => n.includes(f)).map((n) => `${n} is advised`)),
    ...(settle && !open.some((o) => o.key === settle) ? [`${settle} is not to be settled`] : []),
    ...nextFaults(want, next),
  ];
}

const nextFaults = ({ reason, pointed }: CaseWant, next: NextStep | null): string[] => [
  ...(reason && !reason.test(next?.reason ?? '') ? [`the reason is ${next?.reason}`] : []),
  ...(pointed && !(next && isPointed(...next.game)) ? [`${next?.does} asks them to speak`] : []),
];

function saidFaults({ says, silent }: CaseWant, advice: ChildAdvice): string[] {
  const said = saidIn(advice);
  return [
    ...(says && !said[says] ? [`${says} is not said`] : []),
    ...(silent && said[silent] ? [`${silent} is said`] : []),
  ];
}

function stateFaults({ state, notState }: CaseWant, advice: ChildAdvice): string[] {
  const isWrong = (text: string | undefined, is: boolean): string[] => {
    const [place = '', wanted = ''] = text?.split(' ') ?? [];
    const now = text && stateIn(advice, place);
    return text && (now === wanted) !== is ? [`${place} is ${now}`] : [];
  };
  return [...isWrong(state, true), ...isWrong(notState, false)];
}

/** Where the app does otherwise, and why. */
const OTHERWISE: Readonly<Record<string, readonly string[]>> = {
  // Four or five right on three sounds are enough to move on.
  'cannot tell “fog” from “frog”, on two days: speak with the family; clusters pause': [
    'up blending/3-clip is advised',
  ],
  // One look after a rest, and this was it: the same step goes on.
  'three sounds secure, one of three after five weeks: two easy ones, and look again': [
    'first is stay blending/3-clip',
  ],
};

describe('written cases of what comes next', () => {
  test.each(JUDGEMENT_CASES.map((c) => [c.name, c] as const))('%s', (_, of) =>
    expect(faultsIn(of)).toEqual(OTHERWISE[of.name] ?? []),
  );
});

describe('written cases of what is said', () => {
  test('there are sixty, and nine of ten agree', () => {
    expect(VOICE_CASES).toHaveLength(VOICE_BARS.cases.all);
    expect(VOICE_CASES.filter((c) => !OTHERWISE[c.name]).length).toBeGreaterThanOrEqual(VOICE_BARS.cases.agree);
  });
  test.each(VOICE_CASES.map((c) => [c.name, c] as const))('%s', (_, of) =>
    expect(faultsIn(of)).toEqual(OTHERWISE[of.name] ?? []),
  );
});
