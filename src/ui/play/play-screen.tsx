'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { LikelyAnswer } from '@/core/answers/likely';
import { covered as coveredText, fill } from '@/core/games/fill';
import type { Item } from '@/core/games/item';
import { OWN_NAME } from '@/core/games/spec';
import { OUTCOME_WORDS, OUTCOMES, type Help, type Outcome } from '@/core/answers/outcome';
import { replay } from '@/core/sessions/replay';
import type { PlaySession } from '@/server/play-session';
import { Dialog } from '../kit/dialog';
import { ChildrenList } from './children-list';
import { HuntView } from './hunt-view';
import { beatsOf, ItemView } from './item-view';
import { LIKELY_KEYS, PLAY_KEYS, usePlayKeys } from './play-keys';
import { PlayTop } from './play-top';
import { RoundDone } from './round-done';
import { SaidDialog } from './said-dialog';
import { GAPS, usePacing } from './use-pacing';
import { useDraft } from './use-draft';
import { useSessionLog } from './use-session-log';
import { useTurnClock } from './use-turn-clock';

/** The run: what to say, the line that paces it, what is right, and one tap for what the child did. */
export function PlayScreen({ session }: { session: PlaySession }) {
  const { log, pending, news, dismiss, add, flush } = useSessionLog(session.id, session.log);
  const state = useMemo(() => replay(session.plan, log), [session, log]);
  const round = session.rounds[state.round]!;
  const names = useMemo(() => new Map(session.children.map((c) => [c.id, c.name])), [session]);
  const nameOf = useCallback((id: string | null): string => (id === null ? 'Everyone' : (names.get(id) ?? 'A child')), [names]);

  const modelling = state.phase === 'model';
  const item = round.items[modelling ? round.model : state.word] ?? Object.values(round.items)[0];
  const turnKey = `${session.id}/${state.turn}/${state.childId ?? ''}/${item?.key ?? ''}`;

  // A stable handler keeps the rows of thirty children from being drawn again at every tap.
  const turnNow = useRef(state.turn);
  useEffect(() => {
    turnNow.current = state.turn;
  }, [state.turn]);

  const [covered, setCovered] = useState(false);
  const [mine, change] = useDraft(session.id, turnKey);
  const [dialog, setDialog] = useState<'note' | 'keys' | 'said' | null>(null);
  const clock = useTurnClock(turnKey);
  const router = useRouter();
  const pacing = usePacing(item ? beatsOf(item) : 0);
  const { play, stop } = pacing;
  const gaps = useMemo(() => GAPS.map((g) => g * round.gap), [round.gap]);

  useEffect(() => stop(), [turnKey, stop]);

  const mark = async (outcome: Outcome, likely?: Pick<LikelyAnswer, 'slip' | 'said' | 'missed'>): Promise<void> => {
    if (state.phase !== 'turn' || !item || clock.sameFinger()) return;
    await clock.marking(() => add({
      kind: 'answer', turn: state.turn, childId: state.childId, word: item.key, outcome,
      slip: likely?.slip ?? (mine.missed.length && outcome !== 'on-own' ? 'lost-sound' : null),
      said: likely?.said || null,
      missed: likely ? likely.missed : mine.missed, helps: mine.helps, note: mine.note.trim() || null,
      thinkMs: clock.sinceShown(), supersedes: null,
    }));
  };

  const undo = (): void => {
    if (state.last) void add({ kind: 'undo', answerId: state.last.id });
  };
  const help = (kind: Help): void => change({ helps: [...new Set([...mine.helps, kind])] });
  const sayAgain = (): void => {
    help('said-again');
    play(gaps[mine.gap]!);
  };
  const slower = (): void => {
    const gap = Math.min(mine.gap + 1, gaps.length - 1);
    change({ gap, helps: [...new Set<Help>([...mine.helps, 'slower'])] });
    play(gaps[gap]!);
  };
  const words = session.plan.rounds[state.round]!.words;
  // A word with the same answer keeps yes and no in balance.
  const free = round.inOrder ? [] : round.spares.filter((k) => k !== item?.key && !state.swapped.includes(k) && !words.includes(k));
  const spare = free.find((k) => round.items[k]?.kind === item?.kind) ?? free[0];
  const swap = (): void => {
    if (spare && state.phase === 'turn') void add({ kind: 'swap', turn: state.turn, from: state.word, to: spare });
  };
  const skip = (): void => {
    if (state.childId && state.phase === 'turn') void add({ kind: 'pass', turn: state.turn, childId: state.childId });
  };
  const choose = useCallback((childId: string | null): void => void add({ kind: 'choose', turn: turnNow.current, childId }), [add, turnNow]);
  const away = useCallback((childId: string, gone: boolean): void => void add({ kind: 'away', childId, away: gone }), [add]);
  const step = (by: 1 | -1): void => {
    const here = session.children.filter((c) => !state.away.has(c.id));
    const at = here.findIndex((c) => c.id === state.childId);
    const next = here[(at + by + here.length) % here.length];
    if (next && state.phase === 'turn') choose(next.id);
  };
  const finish = async (): Promise<void> => {
    await add({ kind: 'finish' });
    // With the server away the end is kept here; the screen says what still waits.
    if (await flush()) router.push(`/look-back/${session.id}`);
  };
  const startTurns = (): void => void add({ kind: 'modelled', round: state.round });
  const goTo = (number: number): void => void add({ kind: 'round', round: number });
  const tick = (word: string, on: boolean): void => void add({ kind: 'tick', turn: state.turn, word, on });
  const finishHunt = (): void => void mark('on-own', { slip: null, said: [...state.ticked].join(', ').slice(0, 200), missed: [] });
  const hunting = item?.view.kind === 'hunt';
  /** Answers that the core can judge from what was typed. */
  const judgeable = item !== undefined && ['sounds', 'rhyme', 'begins'].includes(item.judged.by);

  usePlayKeys({
    blocked: dialog !== null,
    keys: {
      ' ': () => (pacing.lit < 0 ? play(gaps[mine.gap]!) : stop()),
      ...(hunting ? { '1': finishHunt, '5': () => void mark('does-not-count') } : Object.fromEntries(OUTCOMES.map((outcome, i) => [String(i + 1), () => void mark(outcome)]))),
      ...Object.fromEntries((item?.likely ?? []).map((answer, i) => [LIKELY_KEYS[i]!, () => void mark(answer.outcome, answer)])),
      ...(judgeable ? { t: () => setDialog('said') } : {}),
      u: undo, a: sayAgain, s: slower, w: swap, p: skip, n: () => setDialog('note'), '?': () => setDialog('keys'),
      h: () => setCovered((was) => !was), ArrowDown: () => step(1), ArrowUp: () => step(-1),
      ...(modelling ? { Enter: startTurns } : {}),
    },
  });

  const tapMissed = round.scoresSounds && state.phase === 'turn'
    ? (i: number): void => change({ missed: mine.missed.includes(i) ? mine.missed.filter((m) => m !== i) : [...mine.missed, i].sort((a, b) => a - b) })
    : undefined;

  return (
    <div className="grid min-h-dvh grid-cols-[minmax(0,1fr)] grid-rows-[auto_1fr_auto] bg-paper" data-pending={pending}>
      <PlayTop
        title={round.name} detail={[round.step, session.rounds.length > 1 ? `round ${state.round + 1} of ${session.rounds.length}` : session.groupName].filter(Boolean).join(' · ')} done={state.done} planned={state.planned}
        minutes={session.minutes} startedAt={log[0]?.at ?? null} covered={covered} onCover={() => setCovered(!covered)}
        onFinish={() => void finish()} pending={pending}
      />
      <div role="status" className="fixed inset-x-0 top-0 z-20">
        {news && (
          <p className="flex items-center justify-between gap-4 border-b border-line bg-marigold-soft px-4 py-1 sm:px-7">
            {news}
            <button type="button" className="quiet text-ink" onClick={dismiss}>Understood</button>
          </p>
        )}
      </div>

      <div className="grid grid-cols-1 md:grid-cols-[13rem_minmax(0,1fr)] lg:grid-cols-[15.5rem_minmax(0,1fr)]">
        <ChildrenList
          people={session.children} state={state} onChoose={choose} onAway={away}
        />
        <main className="flex min-w-0 flex-col gap-3 px-4 py-4 sm:px-7 lg:px-11">
          {item && (state.phase === 'turn' || modelling) ? (
            <>
              <h1 className="sr-only">{round.name} with {session.groupName}</h1>
              <p role="status" className="sr-only">{modelling ? '' : `${nameOf(state.childId)}’s turn, ${state.done + 1} of ${state.planned}`}</p>
              <div className="flex min-h-[6rem] items-baseline gap-4">
                <Tag tone="say">Say</Tag>
                <div>
                  {modelling ? (
                    <p className="font-word text-2xl leading-snug lg:text-[1.7rem]">{round.opening}</p>
                  ) : (
                    <p className={`font-word leading-tight ${item.view.kind === 'line' || item.view.kind === 'pair' ? 'text-3xl lg:text-[2.5rem]' : 'text-2xl lg:text-[2rem]'}`}>
                      {covered ? coveredText(round.ask) : fill(round.ask, item.slots)}
                    </p>
                  )}
                  <p className="mt-1 text-muted">{modelling ? `Together now. Then it is their turn. With hands: ${round.gesture} ${round.reminder}` : item.how}</p>
                </div>
              </div>
              {hunting && !modelling ? (
                <HuntView key={turnKey} item={item} covered={covered} ticked={state.ticked} onTick={tick} onTyped={() => setDialog('said')} />
              ) : (
                <ItemView
                  item={item} turnKey={turnKey} covered={covered} letters={session.letters} lit={pacing.lit} missed={modelling ? [] : mine.missed} onTap={tapMissed}
                  ownName={item.key === OWN_NAME ? (state.childId ? nameOf(state.childId) : 'your own name') : ''}
                />
              )}
              <div className={`flex min-h-[4.5rem] items-baseline gap-4 ${hunting && !modelling ? 'hidden' : ''}`}>
                <Tag tone="listen">{modelling ? 'Model' : 'Listen'}</Tag>
                {covered ? (
                  <p className="text-muted">Hidden while children can see.</p>
                ) : (
                  <p className="flex flex-wrap items-baseline gap-x-4">
                    <span className={`font-word font-bold leading-none ${modelling ? 'text-4xl' : 'text-5xl'}`}>
                      {modelling ? modelLine(item) : item.expected}
                    </span>
                    <span className="text-muted">
                      {item.view.kind === 'line' && [item.count ? `${item.count} sounds` : '', item.meaning].filter(Boolean).join(' · ')}
                      {item.contested && <span className="ml-2 text-sm">({item.contested})</span>}
                    </span>
                  </p>
                )}
              </div>
              <div className="mt-auto flex flex-wrap gap-2.5">
                {beatsOf(item) > 1 && <button type="button" className="plain min-h-16" onClick={() => play(gaps[mine.gap]!)}>Beat it out</button>}
                {!modelling && !hunting && (
                  <>
                    <button type="button" className="plain min-h-16" aria-pressed={mine.helps.includes('said-again')} onClick={sayAgain}>Said again{mine.helps.includes('said-again') && ' ✓'}</button>
                    <button type="button" className="plain min-h-16" onClick={slower}>Slower{mine.gap > 0 && `: ${gaps[mine.gap]} s`}</button>
                    {!round.inOrder && <button type="button" className="plain min-h-16" disabled={!spare} onClick={swap}>Other word</button>}
                    {judgeable && <button type="button" className="plain min-h-16" onClick={() => setDialog('said')}>They said…</button>}
                    {state.childId && <button type="button" className="plain min-h-16" onClick={skip}>Come back later</button>}
                    <button type="button" className="plain min-h-16" onClick={() => setDialog('note')}>Note{mine.note && ' ✓'}</button>
                  </>
                )}
                <button type="button" className="plain min-h-16 w-36 max-w-full" disabled={!state.last} onClick={undo}>
                  <span className="truncate">Undo{state.last ? `: ${nameOf(state.last.childId)}` : ''}</span>
                </button>
              </div>
            </>
          ) : (
            <RoundDone
              state={state} nameOf={nameOf} onUndo={undo} onFinish={() => void finish()} sessionId={session.id}
              next={session.rounds[state.round + 1] ?? null} onNext={() => goTo(state.round + 1)}
              onMore={() => void add({ kind: 'more', round: state.round, turns: Math.max(1, round.together ? words.length : session.children.length - state.away.size) })}
            />
          )}
        </main>
      </div>

      <footer className="sticky bottom-0 z-10 border-t border-line bg-card px-4 pb-4 pt-3 sm:px-7">
        {modelling ? (
          <button type="button" className="action min-h-24 w-full text-2xl wrap-anywhere" onClick={startTurns}>
            Modelled: {nameOf(state.childId)} first
          </button>
        ) : state.phase === 'turn' && hunting ? (
          <div className="grid grid-cols-[1fr_auto] gap-3">
            <button type="button" className="action min-h-24 text-2xl" onClick={finishHunt}>That is the harvest: {state.ticked.size} {state.ticked.size === 1 ? 'word' : 'words'}</button>
            <button type="button" className="plain min-h-24 px-6" onClick={() => void mark('does-not-count')}>{OUTCOME_WORDS['does-not-count']}</button>
          </div>
        ) : state.phase === 'turn' && item ? (
          <>
            <div className="-mx-2 mb-2 flex items-center gap-2.5 overflow-x-auto p-1.5">
              <span className="mr-1 max-w-40 shrink-0 truncate text-muted max-sm:sr-only">{nameOf(state.childId)} said</span>
              {item.likely.map((answer, i) => (
                <button
                  key={answer.id} type="button" onClick={() => void mark(answer.outcome, answer)}
                  className="flex min-h-16 shrink-0 items-center gap-2.5 rounded-full border border-line-strong bg-paper px-4 hover:border-ink"
                >
                  {!covered && answer.show && <span className="font-word text-xl">{answer.show}</span>}
                  <span className="text-[0.95rem] text-muted">{answer.note}</span>
                  <kbd className="hidden font-sans text-sm text-muted lg:inline">{LIKELY_KEYS[i]!.toUpperCase()}</kbd>
                </button>
              ))}
            </div>
            <div className="grid grid-cols-6 gap-3 sm:grid-cols-[2fr_2fr_1fr_1fr_1fr]">
              {OUTCOMES.map((outcome, i) => (
                <button
                  key={outcome} type="button" onClick={() => void mark(outcome)}
                  className={`flex min-h-24 items-center justify-center gap-3 rounded-2xl border-ink px-2 font-word max-sm:min-h-20 ${OUTCOME_LOOK[i]}`}
                >
                  {OUTCOME_WORDS[outcome]}
                  <kbd className={`font-sans text-base ${i === 0 ? '' : 'text-muted'} max-sm:hidden`}>{i + 1}</kbd>
                </button>
              ))}
            </div>
          </>
        ) : (
          <p className="text-muted">
            {pending ? 'The last answers are kept on this device and go to the server as soon as it can be reached.' : 'Every answer is saved.'}
          </p>
        )}
      </footer>

      {dialog === 'note' && (
        <Dialog open onOpenChange={() => setDialog(null)} title={`Note on ${nameOf(state.childId)}`}
          description="Kept with this answer. Write what you heard, not what you think of the child.">
          <label className="block">
            <span className="sr-only">Note</span>
            <textarea className="field min-h-32" maxLength={500} autoFocus value={mine.note} onChange={(e) => change({ note: e.target.value })} />
          </label>
          <button type="button" className="action mt-4" onClick={() => setDialog(null)}>Keep the note</button>
        </Dialog>
      )}
      {dialog === 'said' && item && (
        <SaidDialog
          sessionId={session.id} round={state.round} itemKey={item.key} who={nameOf(state.childId)} onClose={() => setDialog(null)}
          onMark={(judged) => {
            setDialog(null);
            if (!hunting) void mark(judged.outcome, { slip: judged.slip, said: judged.said.join(' '), missed: [] });
            else if (judged.outcome === 'on-own') tick(judged.word, true);
          }}
        />
      )}
      {dialog === 'keys' && (
        <Dialog open onOpenChange={() => setDialog(null)} title="Keys">
          <dl className="grid grid-cols-[7rem_1fr] gap-y-2">
            {PLAY_KEYS.map(([key, what]) => (
              <div key={key} className="contents"><dt className="font-word font-bold">{key}</dt><dd>{what}</dd></div>
            ))}
          </dl>
        </Dialog>
      )}
      <noscript><p className="p-6">Play needs JavaScript. <Link href="/">Back to Today</Link></p></noscript>
    </div>
  );
}

/** What the adult does alone: the whole of it said together, where the game has such a line; else the question and its answer. */
function modelLine({ script }: Item): string {
  const whole = script.find((line) => line.role === 'together' && line.text.endsWith('!'));
  return whole?.text ?? script.slice(0, 2).map((line) => line.text).join(' ');
}

const OUTCOME_LOOK = [
  'border-0 bg-green text-2xl font-bold text-card hover:bg-green-dark max-sm:col-span-3',
  'border-2 bg-card text-2xl font-bold hover:bg-paper max-sm:col-span-3',
  ...Array.from({ length: 3 }, () => 'border bg-card text-lg hover:bg-paper max-sm:col-span-2'),
] as const;

function Tag({ tone, children }: { tone: 'say' | 'listen'; children: string }) {
  const look = tone === 'say' ? 'bg-marigold-soft' : 'bg-slate-soft';
  return <span className={`min-w-20 shrink-0 rounded-full px-3.5 py-0.5 text-center font-word font-bold ${look}`}>{children}</span>;
}
