import { caughtIn } from './catches';
import type { LikelyAnswer } from '@/core/answers/likely';
import type { Help, Outcome } from '@/core/answers/outcome';
import { ONLY_MARKED, type AnswerEntry, type Entry, type PebbleMark, type SaidAs } from '@/core/sessions/log';
import { hasWordOf } from '@/core/games/spec';
import { sure } from '@/core/sure';
import type { Run } from './run';

/** An entry before it has its id and time. */
export type NewEntry = Entry extends infer E ? (E extends Entry ? Omit<E, 'id' | 'at'> : never) : never;

/** What one tap adds to the log, from the run as it is then: nothing where it makes no sense any more. */
export interface RunAct {
  (run: Run): readonly NewEntry[];
}

/** What was heard, with a mark. */
export type HeardSlip = Pick<LikelyAnswer, 'slip' | 'said' | 'missed'>;

const NO_SLIP: readonly NewEntry[] = [];

/** An act of one turn: a tap that comes when the turn is another is let go. */
const inTurn =
  (turn: number, act: RunAct): RunAct =>
  (run) =>
    run.playing && run.state.turn === turn ? act(run) : NO_SLIP;

const markedBy = ({ device }: Run): { by?: string } => (device.by.trim() ? { by: device.by.trim() } : {});

/** Which slip a mark notes: the one that was tapped; a lost sound where sounds were tapped as missed. */
function slipHeard({ draft }: Run, outcome: Outcome, heard: HeardSlip | undefined): AnswerEntry['slip'] {
  if (heard?.slip) return heard.slip;
  return draft.missed.length && outcome !== 'on-own' ? 'lost-sound' : null;
}

/** True where an outcome can be marked now. */
export const canMark = ({ playing, state, item, check }: Run, outcome: Outcome): boolean =>
  playing && !state.calling && item !== undefined && !(check && outcome === 'with-help');

/** Marks the turn. `thinkMs` runs from the end of what the adult said to the tap. */
export const mark =
  (outcome: Outcome, heard: HeardSlip | undefined, thinkMs: number): RunAct =>
  (run) => {
    if (!canMark(run, outcome)) return NO_SLIP;
    const { state, draft, item } = run;
    return [
      {
        kind: 'answer',
        turn: state.turn,
        childId: state.childId,
        word: sure(item).key,
        outcome,
        slip: slipHeard(run, outcome, heard),
        said: heard?.said || caughtIn(run),
        missed: heard ? heard.missed : draft.missed,
        helps: draft.helps,
        note: draft.note.trim() || null,
        thinkMs,
        supersedes: null,
        ...markedBy(run),
        ...(state.partnerId ? { partnerId: state.partnerId } : {}),
      },
    ];
  };

/** Takes the newest answer back. */
export const undo: RunAct = ({ state: { last } }) => (last ? [{ kind: 'undo', answerId: last.id }] : NO_SLIP);

/** More about the newest answer: it takes its place. */
const amend =
  (more: Partial<Pick<AnswerEntry, 'helps' | 'selfCorrected' | 'shown' | 'pebbles'>>): RunAct =>
  ({ state: { last } }) => {
    if (!last) return NO_SLIP;
    const { id, at, ...rest } = last;
    void at;
    return [{ ...rest, ...more, supersedes: id, why: 'detail' }];
  };

/** Notes a help with the newest answer, or takes it out again. */
export const toggleHelp =
  (help: Help): RunAct =>
  (run) => {
    const helps = run.state.last?.helps ?? [];
    return amend({ helps: helps.includes(help) ? helps.filter((h) => h !== help) : [...helps, help] })(run);
  };

/** The newest answer was put right by the child before anyone said so; or was not, after all. */
export const toggleSelfCorrected: RunAct = (run) =>
  run.state.last?.outcome === 'on-own' ? amend({ selfCorrected: run.state.last.selfCorrected !== true })(run) : NO_SLIP;

export const toggleShown: RunAct = (run) => amend({ shown: run.state.last?.shown !== true })(run);

/**
 * What a pebble check showed. It goes with the slip it is about; where no slip came before it, it is the turn's own
 * mark: right where the pebbles were.
 */
export const notePebbles =
  (answerId: string | null, pebbles: readonly PebbleMark[]): RunAct =>
  (run) => {
    if (!pebbles.length) return NO_SLIP;
    if (answerId !== null) return run.state.last?.id === answerId ? amend({ pebbles })(run) : NO_SLIP;
    const heard = pebbles.some((p) => p.pebbles);
    return mark(heard ? 'on-own' : 'not-yet', undefined, 0)(run).map((e) => ({ ...e, pebbles }) as NewEntry);
  };

/** A child answered otherwise than everyone did together; or did not, after all. */
export const differ =
  (child: string): RunAct =>
  (run) => {
    const { last, differing } = run.state;
    if (last?.childId !== null) return NO_SLIP;
    const already = differing.find((d) => d.turn === last.turn && d.childId === child);
    if (already) return [{ kind: 'undo', answerId: already.id }];
    return [
      {
        kind: 'answer',
        turn: last.turn,
        childId: child,
        word: last.word,
        outcome: 'not-yet',
        ...ONLY_MARKED,
        differs: true,
        ...markedBy(run),
      },
    ];
  };

/** Another word for this turn. */
export const swap = (turn: number): RunAct =>
  inTurn(turn, ({ spare, state, check, hunting }) =>
    spare && !check && !hunting ? [{ kind: 'swap', turn, from: state.word, to: spare }] : NO_SLIP,
  );

/** A word that this group is not to hear again: another comes at once, where there is one. */
export const putAside = (turn: number, word: string): RunAct =>
  inTurn(turn, ({ spare, state, check, hunting, round }) => {
    const out = new Set([word]);
    const other = spare !== undefined && !check && !hunting && !hasWordOf(spare, out) ? spare : undefined;
    const goes = hasWordOf(state.word, out) && !round.inOrder;
    return [
      { kind: 'aside', turn, word },
      ...(goes && other ? [{ kind: 'swap' as const, turn, from: state.word, to: other }] : []),
    ];
  });

/** Comes back to this child later. */
export const skip = (turn: number): RunAct =>
  inTurn(turn, ({ state: { childId }, check }) => (childId && !check ? [{ kind: 'pass', turn, childId }] : NO_SLIP));

/** Gives somebody the turn; `null` for everyone together. */
export const choose =
  (child: string | null): RunAct =>
  ({ state, playing }) =>
    playing ? [{ kind: 'choose', turn: state.turn, childId: child }] : NO_SLIP;

/** Gives the next child of the list the turn, or the one before. */
export const chooseBy =
  (by: 1 | -1): RunAct =>
  (run) => {
    const here = run.people.filter((c) => !run.state.away.has(c.id));
    const at = here.findIndex((c) => c.id === run.state.childId);
    const next = here[(at + by + here.length) % here.length];
    return next && run.playing ? choose(next.id)(run) : NO_SLIP;
  };

export const away =
  (child: string, gone: boolean): RunAct =>
  () => [{ kind: 'away', childId: child, away: gone }];
export const arrive =
  (child: string): RunAct =>
  ({ state }) =>
    state.children.includes(child) ? NO_SLIP : [{ kind: 'arrive', childId: child }];

/** An easier item for a child, now. */
export const ease =
  (child: string): RunAct =>
  ({ state, easier }) =>
    easier ? [{ kind: 'ease', turn: state.turn, childId: child, word: easier.key }] : NO_SLIP;

/** Enough for a child in this round. */
export const rest =
  (child: string): RunAct =>
  ({ state }) => [{ kind: 'rest', round: state.round, childId: child }];

/** The adult, or everyone, said the item of this turn: once is enough. */
export const saidAs = (turn: number, as: SaidAs): RunAct =>
  inTurn(turn, ({ item, log }) =>
    item && !log.some((e) => e.kind === 'said' && e.turn === turn && e.as === as && e.word === item.key)
      ? [{ kind: 'said', turn, word: item.key, as }]
      : NO_SLIP,
  );

export const modelled: RunAct = ({ state, modelling }) =>
  modelling ? [{ kind: 'modelled', round: state.round }] : NO_SLIP;
export const goToItem =
  (round: number): RunAct =>
  ({ state }) =>
    state.round === round ? NO_SLIP : [{ kind: 'round', round }];

/** One more turn each; once more where everyone answers together, or who likes to. */
export const goOn: RunAct = ({ state, round, words, people }) => {
  const each = people.length - state.away.size;
  const turns = round.way === 'together' || round.way === 'volunteers' ? words.length : each;
  return [{ kind: 'more', round: state.round, turns: Math.max(1, turns) }];
};

/** Ticks a word of a hunt, or takes the tick back. */
export const tick =
  (text: string, on: boolean): RunAct =>
  ({ state }) => [{ kind: 'tick', turn: state.turn, word: text, on }];

export const finish: RunAct = ({ state }) => (state.phase === 'finished' ? NO_SLIP : [{ kind: 'finish' }]);
