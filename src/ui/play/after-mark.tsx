'use client';

import { clsx } from 'clsx';
import { noHelp } from '@/core/answers/access';
import { HELP_WORDS, OUTCOME_WORDS, type Help } from '@/core/answers/outcome';
import { brief } from '@/core/sessions/initials';
import { roundOf, type AnswerEntry } from '@/core/sessions/log';
import { Chip } from '../kit/chip';
import { differ, toggleHelp, toggleSelfCorrected, toggleShown } from './run/acts';
import { offerOf, putOffKey } from './run/pebbles';
import type { Run } from './run/run';
import { useNames, useRun, useStore } from './use-run';

/** What its own button has not noted already comes first. */
const LADDER: readonly Help[] = ['gesture', 'choice', 'together', 'modelled', 'said-again', 'slower'];

/** One child gave an answer that counts. */
const spoke = ({ childId, outcome }: AnswerEntry): boolean =>
  childId !== null && outcome !== 'no-reply' && outcome !== 'does-not-count';

/** Everyone answered together. */
const together = ({ childId, outcome }: AnswerEntry): boolean => childId === null && outcome !== 'does-not-count';

/** What everyone says now that it is marked: the word joined again. */
function joinOf({ round, state, view }: Run): string | null {
  const { last, turn } = state;
  const item = last ? round.items[last.word] : undefined;
  const joins = round.routine.includes('join') && last?.turn === turn - 1 && item && !view.covered;
  return joins ? `${item.word}!` : null;
}

/** The newest mark of this round: what can still be said of it goes with the next one. */
export const lastHere = ({ state }: Run): AnswerEntry | null =>
  state.last && roundOf(state.last.turn) === state.round ? state.last : null;

/** How many choices stand in the open on a phone, a tablet upright, and anything wider; more are behind one button. */
const IN_SIGHT = { phone: 2, tablet: 5, wide: 10 } as const;

/** How much there is to choose; what everyone says now takes the room of one. */
function choicesIn(run: Run): number {
  const last = lastHere(run);
  if (!last) return 0;
  const join = joinOf(run) ? 1 : 0;
  if (together(last)) return join + presentIn(run).length;
  if (!spoke(last)) return 0;
  const helps = last.outcome === 'with-help' ? helpsFor(run, last).length : 0;
  return join + helps + (offerOf(run) ? 2 : 0) + (last.outcome === 'on-own' ? 2 : 1);
}

const presentIn = ({ people, state }: Run): Run['people'] => people.filter((c) => !state.away.has(c.id));

/** Which helps a child can have had: none of those that are always there. */
function helpsFor({ people }: Run, { childId }: AnswerEntry): readonly Help[] {
  const none = noHelp(people.find((p) => p.id === childId)?.ownWay.access ?? []);
  return LADDER.filter((help) => !none.includes(help));
}

/** What is asked of the newest mark. Example: `More about Wren`. */
export const whoseWords = (last: AnswerEntry, name: string): string =>
  together(last) ? 'Who answered differently?' : `More about ${name}`;

/** The same in a word or two, where Undo beside it names the child. */
function moreOf(last: AnswerEntry, offered: boolean): string {
  if (offered) return 'Pebble check?';
  if (together(last)) return 'Who answered differently?';
  return last.outcome === 'with-help' ? 'Which help?' : 'More';
}

/** What can still be said of the mark just made, one tap each, and whose it is. */
export function AfterMark() {
  const nameOf = useNames();
  const store = useStore();
  const last = useRun(lastHere);
  const join = useRun(joinOf);
  const many = useRun(choicesIn);
  const offered = useRun((run) => offerOf(run) !== null);
  // The place is there from the start, so that nothing moves.
  if (!last) return <div className="fit min-h-0 min-w-0" data-zone="after" />;
  const name = brief(nameOf(last.childId));
  const asked = whoseWords(last, name);
  return (
    <div
      role="group"
      aria-label={`More about ${name}: ${OUTCOME_WORDS[last.outcome]}`}
      className={clsx('fit flex min-h-0 min-w-0 items-center gap-1', 'wide:flex-wrap wide:content-start')}
      data-zone="after"
    >
      {join && (
        <p className="font-word text-[1.1em] leading-tight snug:order-last roomy:text-[1.2em]">
          <span className="font-sans text-[0.8em] text-muted roomy:text-[1em]">All join it up: </span>
          {join}
        </p>
      )}
      {many > 0 && many <= IN_SIGHT.wide && (
        <span
          className={clsx(
            'contents text-[0.9em] roomy:text-[1em]',
            many > IN_SIGHT.phone && 'snug:hidden',
            many > IN_SIGHT.tablet && 'narrow:hidden',
          )}
        >
          <span className="text-muted snug:hidden">{together(last) ? asked : `${name}:`}</span>
          <AfterChoices last={last} size="small" />
        </span>
      )}
      {many > IN_SIGHT.phone && (
        <Chip
          size="small"
          className={clsx(
            'text-[0.9em] roomy:text-[1em]',
            many <= IN_SIGHT.tablet && 'roomy:hidden',
            many <= IN_SIGHT.wide && 'wide:hidden',
          )}
          onClick={() => store.show({ dialog: 'after' })}
        >
          {moreOf(last, offered)}
          {spoke(last) && <span className="sr-only"> About {name}</span>}
        </Chip>
      )}
    </div>
  );
}

interface ChoicesProps {
  /** The newest answer. */
  readonly last: AnswerEntry;
  readonly size: 'small' | 'big';
}

/** Everything there is to say of the newest mark, one tap each. */
export function AfterChoices(of: ChoicesProps) {
  const { last } = of;
  if (together(last)) return <WhoDiffered {...of} />;
  if (!spoke(last)) return null;
  return (
    <>
      {last.outcome === 'with-help' && <Helps {...of} />}
      <PebbleOffer {...of} />
      <How {...of} />
    </>
  );
}

/** Which help it took. */
function Helps({ last, size }: ChoicesProps) {
  const store = useStore();
  const run = useRun((all) => all);
  return helpsFor(run, last).map((help) => (
    <Chip key={help} size={size} on={last.helps.includes(help)} onClick={() => void store.dispatch(toggleHelp(help))}>
      {HELP_WORDS[help]}
    </Chip>
  ));
}

/** A slip that may be no more than how the child speaks: a check, now or not. */
function PebbleOffer({ size }: ChoicesProps) {
  const store = useStore();
  const run = useRun((all) => all);
  const offer = offerOf(run);
  if (!offer) return null;
  const { putOff } = run.view;
  return (
    <>
      <Chip size={size} onClick={() => store.show({ dialog: 'pebbles' })}>
        Pebble check
        <span className="sr-only">: do they hear it, or is it how they say it?</span>
      </Chip>
      <Chip size={size} onClick={() => store.show({ putOff: [...putOff, putOffKey(offer)] })}>
        Not now
        <span className="sr-only">: no pebble check</span>
      </Chip>
    </>
  );
}

/** Put right by the child; shown and not said. */
function How({ last, size }: ChoicesProps) {
  const store = useStore();
  return (
    <>
      {last.outcome === 'on-own' && (
        <Chip size={size} on={last.selfCorrected === true} onClick={() => void store.dispatch(toggleSelfCorrected)}>
          corrected
          <span className="sr-only"> themselves</span>
        </Chip>
      )}
      <Chip size={size} on={last.shown === true} onClick={() => void store.dispatch(toggleShown)}>
        pointed
        <span className="sr-only">, not spoken</span>
      </Chip>
    </>
  );
}

/** Who answered otherwise than everyone did. */
function WhoDiffered({ last, size }: ChoicesProps) {
  const store = useStore();
  const nameOf = useNames();
  const run = useRun((all) => all);
  return presentIn(run).map(({ id }) => (
    <Chip
      key={id}
      size={size}
      on={run.state.differing.some((d) => d.turn === last.turn && d.childId === id)}
      onClick={() => void store.dispatch(differ(id))}
    >
      {nameOf(id)}
    </Chip>
  ));
}
