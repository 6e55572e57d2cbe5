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
const lastHere = ({ state }: Run): AnswerEntry | null =>
  state.last && roundOf(state.last.turn) === state.round ? state.last : null;

/** What can still be said of the mark just made, one tap each, and whose it is. */
export function AfterMark() {
  const nameOf = useNames();
  const last = useRun(lastHere);
  const join = useRun(joinOf);
  if (!last) return null;
  const name = brief(nameOf(last.childId));
  return (
    <div
      role="group"
      aria-label={`More about ${name}: ${OUTCOME_WORDS[last.outcome]}`}
      className={clsx(
        'flex min-h-0 min-w-0 items-center gap-1 overflow-x-auto text-[0.9em] roomy:text-[1em]',
        'wide:flex-wrap wide:content-start wide:overflow-y-auto',
      )}
      data-zone="after"
    >
      {join && (
        <p className="shrink-0 font-word text-[1.2em] snug:order-last">
          <span className="font-sans text-[0.8em] text-muted roomy:text-[1em]">All join it up: </span>
          {join}
        </p>
      )}
      {(spoke(last) || together(last)) && (
        <span className="shrink-0 text-muted">{together(last) ? 'Who answered differently?' : `${name}:`}</span>
      )}
      {last.outcome === 'with-help' && last.childId !== null && <Helps last={last} />}
      {spoke(last) && <PebbleOffer />}
      {spoke(last) && <How last={last} />}
      {together(last) && <WhoDiffered last={last} />}
    </div>
  );
}

interface LastProps {
  /** The newest answer. */
  readonly last: AnswerEntry;
}

/** Which help it took. */
function Helps({ last }: LastProps) {
  const store = useStore();
  const access = useRun((run) => run.people.find((p) => p.id === last.childId)?.ownWay.access);
  const none = noHelp(access ?? []);
  return LADDER.filter((help) => !none.includes(help)).map((help) => (
    <Chip key={help} size="small" on={last.helps.includes(help)} onClick={() => void store.dispatch(toggleHelp(help))}>
      {HELP_WORDS[help]}
    </Chip>
  ));
}

/** A slip that may be no more than how the child speaks: a check, now or not. */
function PebbleOffer() {
  const store = useStore();
  const run = useRun((all) => all);
  const offer = offerOf(run);
  if (!offer) return null;
  const { putOff } = run.view;
  return (
    <>
      <Chip size="small" onClick={() => store.show({ dialog: 'pebbles' })}>
        Pebble check
        <span className="sr-only">: do they hear it, or is it how they say it?</span>
      </Chip>
      <Chip size="small" onClick={() => store.show({ putOff: [...putOff, putOffKey(offer)] })}>
        Not now
        <span className="sr-only">: no pebble check</span>
      </Chip>
    </>
  );
}

/** Put right by the child; shown and not said. */
function How({ last }: LastProps) {
  const store = useStore();
  return (
    <>
      {last.outcome === 'on-own' && (
        <Chip size="small" on={last.selfCorrected === true} onClick={() => void store.dispatch(toggleSelfCorrected)}>
          corrected
          <span className="sr-only"> themselves</span>
        </Chip>
      )}
      <Chip size="small" on={last.shown === true} onClick={() => void store.dispatch(toggleShown)}>
        pointed
        <span className="sr-only">, not spoken</span>
      </Chip>
    </>
  );
}

/** Who answered otherwise than everyone did. */
function WhoDiffered({ last }: LastProps) {
  const store = useStore();
  const nameOf = useNames();
  const people = useRun((run) => run.people);
  const { away, differing } = useRun((run) => run.state);
  return people
    .filter((c) => !away.has(c.id))
    .map(({ id }) => (
      <Chip
        key={id}
        size="small"
        on={differing.some((d) => d.turn === last.turn && d.childId === id)}
        onClick={() => void store.dispatch(differ(id))}
      >
        {nameOf(id)}
      </Chip>
    ));
}
