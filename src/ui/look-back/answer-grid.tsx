'use client';

import { clsx } from 'clsx';
import { useState } from 'react';
import { OUTCOME_WORDS, OUTCOMES, type Outcome } from '@/core/answers/outcome';
import { groupBy } from '@/core/group-by';
import type { AccentId } from '@/core/phonology/accents';
import { roundOf } from '@/core/sessions/log';
import type { LookBackAnswer } from '@/server/sessions/look-back';
import { SelectField } from '../kit/select';
import { sure } from '@/core/sure';
import { AnswerButton } from './answer-button';
import { answerGrid as say } from './text';

interface GridProps {
  readonly sessionId: string;
  readonly accent: AccentId;
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly rounds: readonly { readonly name: string; readonly step: string }[];
  readonly answers: readonly LookBackAnswer[];
}

/** What is looked at: all of it, or one thing. */
const SIEVES = {
  all: { name: 'everything', lets: () => true },
  slips: { name: 'slips', lets: (a: LookBackAnswer) => a.slip !== null || a.missed.length > 0 },
  notes: { name: 'notes', lets: (a: LookBackAnswer) => a.note !== null },
  corrected: { name: say.putRight, lets: (a: LookBackAnswer) => a.before.some((b) => b.why !== 'detail') },
  fresh: { name: say.freshAndAlone, lets: (a: LookBackAnswer) => a.standing === 'fresh' },
} as const;
type Sieve = keyof typeof SIEVES;

/**
 * Children down, items across, what was said in each square; a square opens what was heard and lets it be put right.
 */
export function AnswerGrid({ sessionId, accent, people, rounds, answers }: GridProps) {
  const [sieve, setSieve] = useState<Sieve>('all');
  const [outcome, setOutcome] = useState<Outcome | ''>('');
  const [child, setChild] = useState('');
  const seen = answers.filter(
    (a) =>
      SIEVES[sieve].lets(a) && (!outcome || a.outcome === outcome) && (!child || (a.childId ?? 'everyone') === child),
  );
  const rows = [
    ...(answers.some((a) => a.childId === null) ? [{ id: 'everyone', name: say.everyoneTogether }] : []),
    ...people.filter((c) => answers.some((a) => a.childId === c.id)),
  ].filter((r) => !child || r.id === child);
  const byRound = [...groupBy(answers, (a) => roundOf(a.turn))].sort(([a], [b]) => a - b);
  return (
    <>
      <Sieves
        sieve={sieve}
        setSieve={setSieve}
        outcome={outcome}
        setOutcome={setOutcome}
        child={child}
        setChild={setChild}
        people={people}
        seen={seen}
        answers={answers}
      />
      {byRound.map(([number, inRound]) => {
        const items = [...groupBy(inRound, (a) => a.word)].map(([word, of]) => ({ word, label: sure(of[0]).label }));
        const caption = `${rounds[number]?.name ?? ''}${rounds[number]?.step ? `, ${sure(rounds[number]).step}` : ''}`;
        return (
          <div key={number} tabIndex={0} role="region" aria-label={caption} className="relative mb-8 overflow-x-auto">
            <table className="border-collapse">
              <caption className="pb-1 text-left font-word text-xl font-bold">{caption}</caption>
              <thead>
                <tr className="border-b border-line-strong">
                  <td className="sticky left-0 z-10 min-w-24 bg-paper" />
                  {items.map(({ word, label }) => (
                    <th
                      key={word}
                      scope="col"
                      className="max-w-56 px-2 pb-1 text-left align-bottom font-word text-lg leading-tight"
                    >
                      {label}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {rows
                  .filter((row) => inRound.some((a) => (a.childId ?? 'everyone') === row.id))
                  .map((row) => (
                    <Line
                      key={row.id}
                      row={row}
                      items={items}
                      seen={seen}
                      number={number}
                      sessionId={sessionId}
                      accent={accent}
                      people={people}
                    />
                  ))}
              </tbody>
            </table>
          </div>
        );
      })}
    </>
  );
}

interface SievesProps {
  readonly sieve: Sieve;
  readonly setSieve: (next: Sieve) => void;
  readonly outcome: Outcome | '';
  readonly setOutcome: (next: Outcome | '') => void;
  readonly child: string;
  readonly setChild: (next: string) => void;
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly seen: LookBackAnswer[];
  readonly answers: readonly LookBackAnswer[];
}

/** What is looked at. */
function Sieves({ sieve, setSieve, outcome, setOutcome, child, setChild, people, seen, answers }: SievesProps) {
  return (
    <div className="mb-3 flex flex-wrap gap-x-5 gap-y-2">
      <SelectField
        inline
        label={say.show}
        value={sieve}
        onChange={(v) => setSieve(v as Sieve)}
        options={Object.entries(SIEVES).map(([key, { name }]) => [key, name])}
      />
      <SelectField
        inline
        label="marked"
        value={outcome}
        onChange={(v) => setOutcome(v as Outcome | '')}
        options={[['', say.anyWay], ...OUTCOMES.map((o) => [o, OUTCOME_WORDS[o].toLowerCase()] as const)]}
      />
      <SelectField
        inline
        label="of"
        value={child}
        onChange={setChild}
        options={[['', 'everyone'], ...people.map((c) => [c.id, c.name] as const)]}
      />
      <p role="status" className="content-center text-muted">
        {seen.length === answers.length ? '' : say.of(seen.length, answers.length)}
      </p>
    </div>
  );
}

interface LineProps {
  readonly row: { readonly id: string; readonly name: string };
  readonly items: { word: string; label: string }[];
  readonly seen: LookBackAnswer[];
  readonly number: number;
  readonly sessionId: string;
  readonly accent: AccentId;
  readonly people: readonly { readonly id: string; readonly name: string }[];
}

/** The answers of one child in a round. */
function Line({ row, items, seen, number, sessionId, accent, people }: LineProps) {
  return (
    <tr className="border-b border-line">
      <th
        scope="row"
        className={clsx(
          'sticky left-0 z-10 max-w-48 bg-paper py-1 pr-4 text-left font-word text-lg',
          'font-normal wrap-anywhere',
        )}
      >
        {row.name}
      </th>
      {items.map(({ word }) => (
        <td key={word} className="min-w-18 align-top">
          {seen
            .filter((a) => a.word === word && roundOf(a.turn) === number && (a.childId ?? 'everyone') === row.id)
            .map((a) => (
              <AnswerButton key={a.id} sessionId={sessionId} answer={a} accent={accent} people={people} />
            ))}
        </td>
      ))}
    </tr>
  );
}
