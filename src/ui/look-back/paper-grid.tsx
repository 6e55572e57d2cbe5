'use client';

import { clsx } from 'clsx';
import { useEffect, useRef, type KeyboardEvent } from 'react';
import { OUTCOME_WORDS, OUTCOMES } from '@/core/answers/outcome';
import { PAPER_MARKS } from '@/core/sessions/paper';
import type { SheetRound } from '@/server/sessions/papers';
import { OutcomeMark } from '../kit/outcome-mark';
import { Plant } from '../kit/plant';
import { goToBox, mark, MARK_KEYS, press, type Typing } from './paper-typing';

interface GridProps {
  readonly rounds: readonly SheetRound[];
  readonly typing: Typing;
  readonly onTyping: (typing: Typing) => void;
}

/** The grid as it lies on the table, and the marks to put in it: by keys, or box by box with a finger. */
export function PaperGrid({ rounds, typing, onTyping }: GridProps) {
  const grid = useRef<HTMLDivElement>(null);
  const byKeys = useRef(true);
  useEffect(() => {
    const box = grid.current?.querySelector<HTMLElement>(`[data-box="${typing.at}"]`);
    // A finger on the bar keeps its place; keys go along with the box.
    if (byKeys.current) box?.focus();
    else box?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [typing.at]);
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const next = press(typing, event.key);
    if (!next) return;
    event.preventDefault();
    byKeys.current = true;
    onTyping(next);
  };
  const tapped = (next: Typing): void => {
    byKeys.current = false;
    onTyping(next);
  };
  return (
    <>
      <div ref={grid} onKeyDown={onKeyDown} className="mt-4 space-y-6">
        {rounds.map((round, i) => (
          <Round key={i} round={round} number={i} typing={typing} onBox={(at) => onTyping(goToBox(typing, at))} />
        ))}
      </div>
      <div
        role="group"
        aria-label="Marks"
        className="sticky bottom-0 z-10 -mx-1 mt-4 grid grid-cols-5 gap-1 bg-paper px-1 py-2"
      >
        {OUTCOMES.map((outcome, i) => (
          <button
            key={outcome}
            type="button"
            className="plain flex-col gap-0.5 px-1 py-1 text-sm leading-tight sm:flex-row sm:gap-2 sm:text-base"
            onClick={() => tapped(mark(typing, MARK_KEYS[i] ?? ''))}
          >
            <OutcomeMark outcome={outcome} label={false} />
            <span>
              {OUTCOME_WORDS[outcome]} <kbd className="hidden text-muted sm:inline">{MARK_KEYS[i]}</kbd>
            </span>
          </button>
        ))}
      </div>
    </>
  );
}

interface RoundProps {
  readonly round: SheetRound;
  readonly number: number;
  readonly typing: Typing;
  readonly onBox: (at: number) => void;
}

function Round({ round: { name, step, own, rows }, number, typing, onBox }: RoundProps) {
  const first = typing.boxes.findIndex((b) => b.round === number);
  // The boxes of a line stand together, line after line.
  const before = rows.map((_, row) => first + rows.slice(0, row).reduce((sum, r) => sum + r.boxes.length, 0));
  const widest = Math.max(1, ...rows.map((r) => r.boxes.length));
  const heads = own ? Array.from({ length: widest }, (_, i) => `Turn ${i + 1}`) : (rows[0]?.boxes ?? []);
  return (
    <section>
      <h2 className="mb-1 text-xl">
        {name} {!own && <span className="font-sans text-base font-normal text-muted">{step}</span>}
      </h2>
      <div className="overflow-x-auto pb-1">
        <table role="grid" aria-label={`Grid for ${name}`} className="border-collapse text-left">
          <thead>
            <tr>
              <th className="sticky left-0 bg-paper pr-3 font-word">Name</th>
              {heads.map((head, i) => (
                <th key={i} className="px-1 align-bottom font-word text-base font-bold">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row, i) => (
              <tr key={i}>
                <th scope="row" className="sticky left-0 max-w-36 bg-paper pr-3 font-word font-normal wrap-anywhere">
                  {row.plant && <Plant id={row.plant} />} {row.name}
                </th>
                {row.boxes.map((word, box) => (
                  <PaperCell
                    key={box}
                    at={(before[i] ?? 0) + box}
                    name={row.name}
                    word={word}
                    shown={own ? word : ''}
                    typing={typing}
                    onBox={onBox}
                  />
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

interface CellProps {
  readonly at: number;
  readonly name: string;
  readonly word: string;
  /** The word, where it stands in the box. */
  readonly shown: string;
  readonly typing: Typing;
  readonly onBox: (at: number) => void;
}

function PaperCell({ at, name, word, shown, typing, onBox }: CellProps) {
  const outcome = PAPER_MARKS[typing.marks[at] ?? ' '];
  const here = typing.at === at;
  return (
    <td role="gridcell" className="p-0">
      <button
        type="button"
        data-box={at}
        tabIndex={here ? 0 : -1}
        aria-label={`${name}, ${word}: ${outcome ? OUTCOME_WORDS[outcome] : 'nothing marked'}`}
        className={clsx(
          'flex min-h-12 w-full min-w-12 scroll-mt-4 scroll-mb-28 flex-col items-center justify-center border px-1',
          'text-sm leading-tight',
          here ? 'relative z-[1] border-ink bg-marigold-soft outline-2 outline-ink' : 'border-line-strong bg-card',
        )}
        onClick={() => onBox(at)}
      >
        {shown && <span className="font-word">{shown}</span>}
        <span className="grid min-h-4 place-items-center">
          {outcome && <OutcomeMark outcome={outcome} label={false} />}
        </span>
      </button>
    </td>
  );
}
