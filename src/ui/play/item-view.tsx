'use client';

import { clsx } from 'clsx';
import type { CSSProperties } from 'react';
import type { Item } from '@/core/games/item';
import type { Mark, View } from '@/core/games/view';
import { BounceLine, lineLength, type MarkState } from '../kit/bounce-line';
import { Picture } from '../kit/picture';
import { useNames, useRun, useStore } from './use-run';

interface ItemViewProps {
  readonly item: Item;
  /** Children can see: what would give the answer away is hidden. */
  readonly covered: boolean;
  readonly letters: boolean;
  /** Beats said so far; -1 where nothing is running. */
  readonly lit: number;
  readonly missed: readonly number[];
  readonly onTap: ((index: number) => void) | undefined;
  /** The name to clap, where the item is the child’s own. */
  readonly ownName: string;
}

const lifted = (indices: readonly number[], way: 'up' | 'down'): Record<number, 'up' | 'down'> =>
  Object.fromEntries(indices.map((i) => [i, way]));

const NONE: readonly number[] = [];

/** The item of the turn. */
export function ItemView() {
  const store = useStore();
  const nameOf = useNames();
  const item = useRun((run) => run.item);
  const covered = useRun((run) => run.view.covered);
  const letters = useRun((run) => run.session.letters);
  const lit = useRun((run) => run.view.lit);
  const missed = useRun((run) => (run.modelling ? NONE : run.draft.missed));
  const scores = useRun((run) => run.round.scoresSounds && run.playing);
  const child = useRun((run) => run.state.childId);
  if (!item) return null;
  return (
    <ItemDrawn
      item={item}
      covered={covered}
      letters={letters}
      lit={lit}
      missed={missed}
      onTap={scores ? store.tapMissed : undefined}
      ownName={child ? nameOf(child) : 'your own name'}
    />
  );
}

/** Each task drawn properly: a line, a pair, a row, a change, beats, a list, a story. */
function ItemDrawn(props: ItemViewProps) {
  const { item, covered, lit } = props;
  const { view } = item;
  switch (view.kind) {
    case 'line':
      return <OneLine {...props} view={view} />;
    case 'pair':
      return (
        <ul className="flex flex-wrap items-baseline gap-x-[2.5em] gap-y-[0.4em]">
          {item.words.map((w) => (
            <li key={w.word} className="min-w-0">
              <span className="big-1 block font-word leading-tight font-bold wrap-anywhere">
                {covered ? '…' : w.word}
              </span>
              {!covered && (
                <span className="mt-1 block">
                  <BounceLine marks={w.marks} count={w.count} size="list" />
                </span>
              )}
            </li>
          ))}
        </ul>
      );
    case 'row':
      return <Row item={item} view={view} covered={covered} />;
    case 'change':
      return <Change view={view} covered={covered} lit={lit} />;
    case 'beats':
      return <Beats {...props} view={view} />;
    case 'list':
      return (
        <ol className="big-2 flex flex-wrap items-baseline gap-x-[0.7em] gap-y-[0.2em] font-word font-bold">
          {view.entries.map((entry, i) => (
            <li
              key={entry}
              className={clsx(
                'flex items-baseline gap-[0.2em] border-b-[0.12em] leading-tight',
                lit > i ? 'border-marigold' : 'border-transparent',
              )}
            >
              <span className="font-sans text-[0.45em] font-normal text-muted">{i + 1}</span>
              {covered ? '…' : entry}
            </li>
          ))}
        </ol>
      );
    case 'story':
      return (
        <div
          className={clsx(
            'big-3 font-word leading-snug',
            // Single words stand in a row; sentences each have a line.
            view.sentences.every((s) => s.length === 1) ? 'flex flex-wrap gap-x-[0.7em] gap-y-[0.1em]' : 'space-y-2',
          )}
        >
          {view.sentences.map((sentence, i) => (
            <p key={i}>
              {sentence.map((w, j) =>
                w.hit && !covered ? (
                  <strong key={j} className="border-b-4 border-marigold">
                    {w.text}{' '}
                  </strong>
                ) : (
                  <span key={j}>{w.text} </span>
                ),
              )}
            </p>
          ))}
        </div>
      );
    case 'hunt':
      return null;
  }
}

type Of<K extends View['kind']> = Extract<View, { kind: K }>;

/** One word on its bounce line. Where the adult says larger parts, they stand above it. */
function OneLine({ item, view, covered, letters, lit, missed, onTap }: ItemViewProps & { view: Of<'line'> }) {
  const states = item.marks.map((_, i): MarkState => {
    if (view.parts === null && lit > i) return 'lit';
    return missed.includes(i) ? 'missed' : 'plain';
  });
  return (
    <div>
      {view.parts && (
        <p className="big-2 flex flex-wrap gap-x-[0.6em] pb-[0.2em] font-word leading-tight font-bold">
          {view.parts.map((part, i) => (
            <span key={i} className={clsx('border-b-[0.12em]', lit > i ? 'border-marigold' : 'border-line')}>
              {covered ? '…' : part}
            </span>
          ))}
        </p>
      )}
      <BounceLine
        room="var(--room)"
        marks={item.marks}
        count={item.count}
        size="full"
        labels={!covered}
        letters={letters && !covered}
        states={states}
        spot={view.parts ? null : view.spot}
        onTap={onTap}
      />
    </div>
  );
}

/** Words in a row; the one that is right is underlined for the adult. */
function Row({ item, view, covered }: { item: Item; view: Of<'row'>; covered: boolean }) {
  return (
    <ul className="flex flex-wrap items-end gap-x-[1.6em] gap-y-[0.3em]">
      {item.words.map((w, i) => {
        const right = !covered && view.answer === i;
        const asked = view.first && i === 0;
        return (
          <li key={w.word} className={clsx('min-w-0', asked && 'pr-[1em] snug:basis-full')}>
            {view.pictures && w.picture && (
              <span className="block *:size-[3.2em] roomy:*:size-[5em]">
                <Picture code={w.picture} size={100} />
              </span>
            )}
            <span
              className={clsx(
                'big-2 block border-b-[0.12em] font-word leading-tight font-bold wrap-anywhere',
                right ? 'border-green' : 'border-transparent',
              )}
            >
              {covered ? '…' : w.word}
            </span>
            <span className="block text-[0.9em] leading-tight text-muted roomy:min-h-[1.3em] roomy:text-[1em]">
              {asked ? view.tags.first : right && view.tags.answer}
            </span>
          </li>
        );
      })}
    </ul>
  );
}

/** The line as it was with what leaves lifted out, and the line it becomes with what drops in. */
function Change({ view, covered, lit }: { view: Of<'change'>; covered: boolean; lit: number }) {
  const line = (marks: readonly Mark[], lifts: Record<number, 'up' | 'down'>, lights: number) => (
    <BounceLine
      marks={marks}
      count={marks.length}
      size="full"
      labels={!covered}
      lifts={lifts}
      states={marks.map((_, i) => (lights > i ? 'lit' : 'plain'))}
    />
  );
  return (
    <div
      className={clsx(
        'grid max-w-[60rem] grid-cols-1 items-start gap-x-[1em] low:grid-cols-(--lines)',
        'roomy:grid-cols-(--lines)',
      )}
      style={
        { '--lines': `minmax(0, ${lineLength(view.from)}fr) auto minmax(0, ${lineLength(view.to)}fr)` } as CSSProperties
      }
    >
      <div className="min-w-0">{line(view.from, lifted(view.gone, 'up'), lit)}</div>
      <span aria-hidden="true" className="big-2 hidden font-word leading-none text-muted low:inline roomy:inline">
        →
      </span>
      <div className="min-w-0">{line(view.to, lifted(view.come, 'down'), -1)}</div>
    </div>
  );
}

function beatLook(lit: boolean, out: boolean): string {
  if (lit) return 'border-marigold bg-marigold';
  return out ? 'border-dashed border-line-strong' : 'border-ink bg-ink';
}

/** One beat for each word of a sentence, or each syllable. */
function Beats({ view, lit, covered, ownName }: ItemViewProps & { view: Of<'beats'> }) {
  if (view.ownName) return <p className="big-1 font-word leading-tight font-bold wrap-anywhere">{ownName}</p>;
  return (
    <ol className="flex flex-wrap gap-x-[1.2em] gap-y-[0.3em]">
      {view.parts.map((part, i) => (
        <li key={i} className="flex flex-col items-center gap-[0.3em]">
          <span
            className={clsx(
              'big-2 font-word leading-tight font-bold',
              view.out === i && 'text-muted line-through decoration-4',
            )}
          >
            {covered ? '…' : part}
          </span>
          <span
            aria-hidden="true"
            className={clsx('size-[1.3em] rounded-full border-4', beatLook(lit > i, view.out === i))}
          />
        </li>
      ))}
    </ol>
  );
}
