'use client';

import { clsx } from 'clsx';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { canJudge } from '@/core/answers/judge';
import type { LikelyAnswer } from '@/core/answers/likely';
import { saidOf } from '@/core/answers/said';
import { covered as coveredText, fill } from '@/core/games/fill';
import type { Item } from '@/core/games/item';
import type { RoutineStep } from '@/core/games/routine-steps';
import { OWN_NAME } from '@/core/games/spec';
import { OUTCOME_WORDS, OUTCOMES, type Outcome } from '@/core/answers/outcome';
import { saidIn } from '@/core/sessions/pace';
import type { PlaySession } from '@/server/sessions/play-session';
import { Dialog } from '../kit/dialog';
import { sure } from '@/core/sure';
import { AfterMark } from './after-mark';
import { ChildrenList } from './children-list';
import { HuntView } from './hunt-view';
import { beatsOf, ItemView } from './item-view';
import { forgetPage, keepPage } from './offline';
import { forget } from './outbox';
import { Calling, Marks } from './play-footer';
import { LIKELY_KEYS, usePlayKeys } from './play-keys';
import { PlayTop } from './play-top';
import { RoundDone } from './round-done';
import { ThinkRing } from './think-ring';
import { TurnTools } from './turn-tools';
import { useDevice } from './use-device';
import { GAPS, usePacing } from './use-pacing';
import { useDraft } from './use-draft';
import { questionOf, useActs, useLikely, useOfTurn, useRun, withHelp } from './use-run';
import { useSessionLog } from './use-session-log';
import { useTurnClock } from './use-turn-clock';
import { useWakeLock } from './use-wake-lock';

// What is not on the first screen comes after it.
const SoundPad = dynamic(() => import('./sound-pad').then((m) => m.SoundPad));
const DeviceDialog = dynamic(() => import('./device-dialog').then((m) => m.DeviceDialog));
const KeysDialog = dynamic(() => import('./device-dialog').then((m) => m.KeysDialog));

/** The run: what to say, the line that paces it, what is right, and one tap for what the child did. */
export function PlayScreen({ session }: { session: PlaySession }) {
  const log = useSessionLog(session.id, session.log);
  const { pending, news, dismiss, add, settled, flush } = log;
  const [device] = useDevice();
  const run = useRun(session, log.log, device);
  const { state, round, people, late, nameOf, modelling, item, ownWay } = run;
  const turnKey = `${session.id}/${state.turn}/${state.childId ?? ''}/${item?.key ?? ''}`;

  const [covered, setCovered] = useState(false);
  const [mine, change] = useDraft(session.id, turnKey);
  const [dialog, setDialog] = useState<'note' | 'keys' | 'said' | 'device' | 'late' | 'pause' | null>(null);
  const [step, setStep] = useOfTurn<RoutineStep>(turnKey, 'your-turn');
  const [spoken, setSpoken] = useOfTurn(turnKey, 0);
  const [kindly, setKindly] = useState<string | null>(null);
  const gaps = useMemo(() => GAPS.map((g) => g * round.gap), [round.gap]);
  const asked = item ? fill(round.ask, item.slots) : '';
  const sayMs = spoken ? 0 : saidIn(asked, sure(gaps[mine.gap]));
  const clock = useTurnClock(turnKey, sayMs, dialog !== null);
  const pacing = usePacing(item ? beatsOf(item) : 0, device.tick, () => {
    clock.said();
    setSpoken(spoken + 1);
  });
  const { play, stop } = pacing;
  const acts = useActs({ run, session, log, draft: mine, by: device.by, second: device.second, toMark: clock.toMark });
  const likely = useLikely(session, state, round, item, ownWay);
  const router = useRouter();
  useWakeLock();

  useEffect(() => stop(), [turnKey, stop]);
  useEffect(() => void keepPage(`/play/${session.id}`), [session.id]);

  const playing = state.phase === 'turn';
  const hunting = item?.view.kind === 'hunt';
  const check = round.way === 'check';
  const pairLine = state.partnerId ? `${nameOf(state.partnerId)} asks ${nameOf(state.childId)}. ` : '';
  const mark = async (outcome: Outcome, of?: Pick<LikelyAnswer, 'slip' | 'said' | 'missed'>): Promise<void> => {
    if (!playing || state.calling || !item || clock.sameFinger() || (check && outcome === 'with-help')) return;
    await clock.marking(() => acts.add(acts.entryOf(outcome, of)));
  };
  // A handler that stays the same keeps the marks from being drawn again while a beat lights up.
  const markNow = useRef(mark);
  useEffect(() => {
    markNow.current = mark;
  });
  const onMark = useCallback(
    (outcome: Outcome, of?: Pick<LikelyAnswer, 'slip' | 'said' | 'missed'>): void =>
      void settled().then(() => markNow.current(outcome, of)),
    [settled],
  );
  const onElse = useCallback((): void => setDialog('said'), []);

  const sayAgain = (): void => {
    change({ helps: withHelp(mine.helps, 'said-again') });
    play(sure(gaps[mine.gap]));
  };
  const slower = (): void => {
    const gap = Math.min(mine.gap + 1, gaps.length - 1);
    change({ gap, helps: withHelp(mine.helps, 'slower') });
    play(sure(gaps[gap]));
  };
  const onStep = (to: RoutineStep): void => {
    setStep(to);
    if (to === 'my-turn' || to === 'together') acts.saidAs(to);
  };
  const byStep = (by: 1 | -1): void => {
    const to = round.routine[round.routine.indexOf(step) + by];
    if (to && playing) onStep(to);
  };
  const another = (by: 1 | -1): void => {
    const here = people.filter((c) => !state.away.has(c.id));
    const next = here[(here.findIndex((c) => c.id === state.childId) + by + here.length) % here.length];
    if (next && playing) acts.choose(next.id);
  };
  const finish = async (): Promise<void> => {
    await add({ kind: 'finish' });
    // With the server away the end is kept here; the screen says what still waits.
    if (!(await flush())) return;
    await Promise.all([forget(session.id, Date.now()).catch(() => undefined), forgetPage(`/play/${session.id}`)]);
    router.push(`/look-back/${session.id}`);
  };
  const finishHunt = (): void =>
    onMark('on-own', { slip: null, said: [...state.ticked].join(', ').slice(0, 200), missed: [] });
  const judgeable = item !== undefined && !hunting && canJudge(item.judged);

  usePlayKeys({
    blocked: dialog !== null,
    keys: {
      ' ': () => (pacing.lit < 0 ? play(sure(gaps[mine.gap])) : stop()),
      ...(hunting
        ? { '1': finishHunt, '5': () => onMark('does-not-count') }
        : Object.fromEntries(OUTCOMES.map((outcome, i) => [String(i + 1), () => onMark(outcome)]))),
      ...Object.fromEntries(likely.map((answer, i) => [sure(LIKELY_KEYS[i]), () => onMark(answer.outcome, answer)])),
      ...(judgeable ? { t: onElse } : {}),
      u: acts.undo,
      a: sayAgain,
      ...(check ? {} : { s: slower }),
      w: acts.swap,
      p: acts.skip,
      n: () => {
        if (playing && !hunting) setDialog('note');
      },
      '?': () => setDialog('keys'),
      b: () => setDialog('pause'),
      d: () => setDialog('device'),
      o: () => {
        if (state.last?.outcome === 'on-own') acts.amend({ selfCorrected: state.last.selfCorrected !== true });
      },
      h: () => setCovered((was) => !was),
      ArrowDown: () => another(1),
      ArrowUp: () => another(-1),
      ArrowRight: () => byStep(1),
      ArrowLeft: () => byStep(-1),
      ...(modelling ? { Enter: acts.modelled } : {}),
    },
  });

  const tapMissed =
    round.scoresSounds && playing
      ? (i: number): void =>
          change({
            missed: mine.missed.includes(i)
              ? mine.missed.filter((m) => m !== i)
              : [...mine.missed, i].sort((a, b) => a - b),
          })
      : undefined;
  const lastItem = state.last ? round.items[state.last.word] : undefined;
  const join =
    round.routine.includes('join') && state.last?.turn === state.turn - 1 && lastItem && !covered
      ? `${lastItem.word}!`
      : null;
  const hard = state.rescue !== null && kindly !== state.last?.id && playing ? state.rescue : null;

  return (
    <div
      className="playing grid min-h-dvh grid-cols-[minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)_auto] bg-paper md:h-dvh"
      data-pending={pending}
    >
      <PlayTop
        title={round.name}
        detail={[
          device.second && device.by.trim() ? `${device.by.trim()} listens along` : '',
          round.step,
          session.rounds.length > 1 ? `round ${state.round + 1} of ${session.rounds.length}` : session.groupName,
        ]
          .filter(Boolean)
          .join(' · ')}
        done={state.done}
        planned={state.planned}
        minutes={session.minutes}
        startedAt={log.log[0]?.at ?? null}
        covered={covered}
        onCover={() => setCovered(!covered)}
        onFinish={() => void finish()}
        onPause={() => setDialog('pause')}
        onDevice={() => setDialog('device')}
        pending={pending}
      />
      <div role="status" className="fixed inset-x-0 top-0 z-20">
        {news && (
          <p
            className={clsx(
              'flex items-center justify-between gap-4 border-b border-line bg-marigold-soft px-4',
              'py-1 sm:px-7',
            )}
          >
            {news}
            <button type="button" className="quiet min-h-16 text-ink" onClick={dismiss}>
              Understood
            </button>
          </p>
        )}
        {hard && (
          <p
            className={clsx(
              'flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-line bg-slate-soft px-4',
              'py-1.5 sm:px-7',
            )}
          >
            <span className="min-w-0 flex-1">
              Three in a row were hard for {nameOf(hard)}. An easier one to end on?
            </span>
            {acts.easier && (
              <button type="button" className="action min-h-16" onClick={() => acts.ease(hard, sure(acts.easier).key)}>
                Now: {covered ? 'an easier one' : acts.easier.word}
              </button>
            )}
            <button type="button" className="plain min-h-16" onClick={() => acts.rest(hard)}>
              Enough for this round
            </button>
            <button type="button" className="plain min-h-16" onClick={() => setKindly(state.last?.id ?? null)}>
              Go on
            </button>
          </p>
        )}
      </div>

      <div className="grid min-h-0 grid-cols-1 md:grid-cols-[216px_minmax(0,1fr)] lg:grid-cols-[256px_minmax(0,1fr)]">
        <ChildrenList
          people={people}
          nameOf={nameOf}
          state={state}
          onChoose={acts.choose}
          onAway={acts.away}
          onLate={late.length ? () => setDialog('late') : undefined}
        />
        <main
          className={clsx(
            'flex min-w-0 flex-col gap-2 px-4 py-3 [--room:calc(100vw-48px)] *:shrink-0',
            'max-xl:gap-1 max-xl:py-1.5 sm:px-7 sm:[--room:calc(100vw-72px)] md:overflow-y-auto',
            'md:[--room:min(46rem,calc(100vw-288px))] lg:px-9',
            'lg:[--room:min(46rem,calc(100vw-344px))]',
          )}
        >
          {item && (playing || modelling) ? (
            <>
              <h1 className="sr-only">
                {round.name} with {session.groupName}
              </h1>
              <p role="status" className="sr-only">
                {modelling || state.calling
                  ? ''
                  : `${nameOf(state.childId)}’s turn, ${state.done + 1} of ${state.planned}`}
              </p>
              <div
                className={clsx(
                  'flex min-h-[5.2rem] items-baseline gap-4 max-xl:min-h-[4.8rem] max-sm:flex-col',
                  'max-sm:gap-1',
                )}
              >
                <Tag tone="say">Say</Tag>
                <div className="min-w-0 flex-1">
                  <p
                    className={clsx(
                      'font-word leading-tight',
                      modelling
                        ? 'text-[1.4rem]'
                        : item.view.kind === 'line' || item.view.kind === 'pair'
                          ? 'text-[1.6rem] xl:text-[2rem]'
                          : 'text-2xl xl:text-[1.7rem]',
                    )}
                  >
                    {modelling ? round.opening : sayOf(step, item, covered ? coveredText(round.ask) : asked, covered)}
                  </p>
                  <p className="mt-1 text-muted">
                    {modelling
                      ? `Together now. Then it is their turn. With hands: ${round.gesture} ${round.reminder}`
                      : `${pairLine}${check ? round.reminder : item.how}`}
                  </p>
                </div>
                {device.think > 0 && playing && !hunting && step === 'your-turn' && (
                  <ThinkRing key={`${turnKey}/${spoken}`} seconds={device.think} after={sayMs} showMe={device.showMe} />
                )}
              </div>
              {hunting && !modelling ? (
                <HuntView
                  key={turnKey}
                  item={item}
                  covered={covered}
                  ticked={state.ticked}
                  onTick={acts.tick}
                  onTyped={onElse}
                />
              ) : (
                <ItemView
                  item={item}
                  covered={covered}
                  letters={session.letters}
                  lit={pacing.lit}
                  missed={modelling ? [] : mine.missed}
                  onTap={tapMissed}
                  ownName={item.key === OWN_NAME ? (state.childId ? nameOf(state.childId) : 'your own name') : ''}
                />
              )}
              <div className={`flex min-h-[3.6rem] items-baseline gap-4 ${hunting && !modelling ? 'hidden' : ''}`}>
                <Tag tone="listen">{modelling ? 'Model' : 'Listen'}</Tag>
                {covered ? (
                  <p className="text-muted">Hidden while children can see.</p>
                ) : (
                  <p className="flex min-w-0 flex-wrap items-baseline gap-x-4">
                    <span
                      data-answer
                      className={clsx(
                        'font-word leading-none font-bold',
                        modelling ? 'text-3xl' : 'text-[2.5rem] max-xl:text-[2rem]',
                      )}
                    >
                      {modelling ? modelLine(item) : item.expected}
                    </span>
                    <span className="text-muted">
                      {item.view.kind === 'line' &&
                        [item.count ? `${item.count} sounds` : '', item.meaning].filter(Boolean).join(' · ')}
                      {item.contested && <span className="ml-2">({item.contested})</span>}
                    </span>
                  </p>
                )}
              </div>
              <div className="mt-auto grid gap-2 max-xl:gap-1.5">
                {!modelling && !hunting && (
                  <TurnTools
                    steps={round.routine}
                    step={step}
                    onStep={onStep}
                    beats={beatsOf(item) > 1}
                    onBeat={() => play(sure(gaps[mine.gap]))}
                    saidAgain={mine.helps.includes('said-again')}
                    onSaidAgain={sayAgain}
                    slowed={mine.gap > 0 ? `: ${gaps[mine.gap]} s` : ''}
                    onSlower={check ? undefined : slower}
                  />
                )}
                {modelling && beatsOf(item) > 1 && (
                  <div>
                    <button type="button" className="plain min-h-16" onClick={() => play(sure(gaps[mine.gap]))}>
                      Beat it out
                    </button>
                  </div>
                )}
                <AfterMark
                  canSwap={modelling || hunting || round.inOrder || check ? null : acts.spare !== undefined}
                  onSwap={acts.swap}
                  onSkip={playing && state.childId && !check ? acts.skip : undefined}
                  noted={mine.note !== ''}
                  onNote={playing && !hunting ? () => setDialog('note') : undefined}
                  last={state.last}
                  nameOf={nameOf}
                  people={people.filter((c) => !state.away.has(c.id))}
                  differing={state.differing}
                  join={join}
                  onUndo={acts.undo}
                  onMore={acts.amend}
                  onDiffer={acts.differ}
                />
              </div>
            </>
          ) : (
            <RoundDone
              state={state}
              nameOf={nameOf}
              onUndo={acts.undo}
              onFinish={() => void finish()}
              sessionId={session.id}
              next={session.rounds[state.round + 1] ?? null}
              onNext={() => acts.goTo(state.round + 1)}
              onMore={
                check
                  ? undefined
                  : () =>
                      acts.more(
                        Math.max(
                          1,
                          round.way === 'together' || round.way === 'volunteers'
                            ? acts.words.length
                            : people.length - state.away.size,
                        ),
                      )
              }
            />
          )}
        </main>
      </div>

      <footer className="sticky bottom-0 z-10 border-t border-line bg-card px-4 pt-2 pb-3 sm:px-7">
        {modelling ? (
          <button type="button" className="action min-h-24 w-full text-2xl wrap-anywhere" onClick={acts.modelled}>
            Modelled: {state.calling ? 'who wants to?' : `${nameOf(state.childId)} first`}
          </button>
        ) : playing && hunting ? (
          <div className="grid grid-cols-[1fr_auto] gap-3">
            <button type="button" className="action min-h-24 text-2xl" onClick={finishHunt}>
              That is the harvest: {state.ticked.size} {state.ticked.size === 1 ? 'word' : 'words'}
            </button>
            <button type="button" className="plain min-h-24 px-6" onClick={() => onMark('does-not-count')}>
              {OUTCOME_WORDS['does-not-count']}
            </button>
          </div>
        ) : playing && state.calling ? (
          <Calling
            people={people
              .filter((c) => !state.away.has(c.id) && !state.resting.has(c.id))
              .map(({ id }) => ({ id, turns: state.answers.filter((a) => a.childId === id).length }))}
            nameOf={nameOf}
            onChoose={acts.choose}
          />
        ) : playing && item ? (
          <Marks
            who={nameOf(state.childId)}
            likely={likely}
            covered={covered}
            noHelp={check}
            onMark={onMark}
            onElse={judgeable ? onElse : undefined}
          />
        ) : (
          <p className="text-muted">
            {pending
              ? 'The last answers are kept on this device and go to the server as soon as it can be reached.'
              : 'Every answer is saved.'}
          </p>
        )}
      </footer>

      {dialog === 'note' && (
        <Dialog
          open
          onOpenChange={() => setDialog(null)}
          title={`Note on ${nameOf(state.childId)}`}
          description="Kept with this answer. Write what you heard, not what you think of the child."
        >
          <label className="block">
            <span className="sr-only">Note</span>
            <textarea
              className="field min-h-32"
              maxLength={500}
              autoFocus
              value={mine.note}
              onChange={(e) => change({ note: e.target.value })}
            />
          </label>
          <button type="button" className="action mt-4 min-h-16" onClick={() => setDialog(null)}>
            Keep the note
          </button>
        </Dialog>
      )}
      {dialog === 'said' && item && (
        <SoundPad
          sessionId={session.id}
          round={state.round}
          itemKey={item.key}
          accent={session.accent}
          who={nameOf(state.childId)}
          question={hunting ? null : questionOf(session, round, item, ownWay)}
          onClose={() => setDialog(null)}
          onMark={({ chunks, word, judgement }) => {
            setDialog(null);
            if (!hunting)
              onMark(judgement.outcome, {
                slip: judgement.slip,
                said: saidOf(chunks).slice(0, 200),
                missed: judgement.missed,
              });
            else if (judgement.outcome === 'on-own') acts.tick(word, true);
          }}
        />
      )}
      {dialog === 'pause' && (
        <Dialog
          open
          onOpenChange={() => setDialog(null)}
          title="Paused"
          description="No time is counted. Every answer so far is kept."
        >
          <button type="button" className="action min-h-24 w-full text-2xl" autoFocus onClick={() => setDialog(null)}>
            Go on
          </button>
        </Dialog>
      )}
      {dialog === 'late' && (
        <Dialog
          open
          onOpenChange={() => setDialog(null)}
          title="Who has come?"
          description="They join in where the others are."
        >
          <ul className="divide-y divide-line">
            {late.map(({ id }) => (
              <li key={id}>
                <button
                  type="button"
                  className="min-h-16 w-full text-left font-word text-2xl hover:bg-paper"
                  onClick={() => {
                    acts.arrive(id);
                    setDialog(null);
                  }}
                >
                  {nameOf(id)}
                </button>
              </li>
            ))}
          </ul>
        </Dialog>
      )}
      {dialog === 'device' && (
        <DeviceDialog
          team={[...new Set(state.answers.flatMap((a) => a.by ?? []))]}
          onKeys={() => setDialog('keys')}
          onClose={() => setDialog(null)}
        />
      )}
      {dialog === 'keys' && <KeysDialog onClose={() => setDialog(null)} />}
      <noscript>
        <p className="p-6">
          Play needs JavaScript. <Link href="/">Back to Today</Link>
        </p>
      </noscript>
    </div>
  );
}

/** What is said at a step of the routine. */
function sayOf(step: RoutineStep, item: Item, ask: string, covered: boolean): string {
  if (step === 'your-turn' || covered) return ask;
  if (step === 'say-back') return `${fill('{word}', item.slots)}. Say it back.`;
  return step === 'join'
    ? joinLine(item)
    : step === 'together'
      ? `All together: ${item.script.find((line) => line.role === 'children')?.text ?? item.expected}`
      : modelLine(item);
}

/** The word joined again, as everyone says it. */
const joinLine = ({ script, word }: Item): string => script.find((line) => line.role === 'together')?.text ?? word;

/**
 * What the adult does alone: the whole of it said together, where the game has such a line; else the question and its
 * answer.
 */
function modelLine({ script }: Item): string {
  const whole = script.find((line) => line.role === 'together' && line.text.endsWith('!'));
  return (
    whole?.text ??
    script
      .slice(0, 2)
      .map((line) => line.text)
      .join(' ')
  );
}

function Tag({ tone, children }: { tone: 'say' | 'listen'; children: string }) {
  const look = tone === 'say' ? 'bg-marigold-soft' : 'bg-slate-soft';
  return (
    <span className={`min-w-20 shrink-0 rounded-full px-3.5 py-0.5 text-center font-word font-bold ${look}`}>
      {children}
    </span>
  );
}
