'use client';

import {
  columnFilteringFeature,
  constructFilterFn,
  createColumnHelper,
  createFilteredRowModel,
  globalFilteringFeature,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { clsx } from 'clsx';
import { useMemo, useState, useTransition } from 'react';
import { v7 } from 'uuid';
import type { FormState } from '@/actions/answer';
import { uncorrect } from '@/actions/sessions';
import { OUTCOME_WORDS, OUTCOMES, type Outcome } from '@/core/answers/outcome';
import { groupBy } from '@/core/group-by';
import type { AccentId } from '@/core/phonology/accents';
import { roundOf } from '@/core/sessions/log';
import type { LookBackAnswer } from '@/server/sessions/look-back';
import { SelectField } from '../kit/select';
import { sure } from '@/core/sure';
import { Button } from '../kit/button';
import { ErrorMessage } from '../kit/message';
import { AnswerButton, type Corrected } from './answer-button';
import { unreached } from '../kit/unreached';

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
  slips: { name: 'what was missed', lets: (a: LookBackAnswer) => a.slip !== null || a.missed.length > 0 },
  notes: { name: 'what has a note', lets: (a: LookBackAnswer) => a.note !== null },
  corrected: { name: 'what was corrected', lets: (a: LookBackAnswer) => a.before.some((b) => b.why !== 'detail') },
  fresh: { name: 'first time, on their own', lets: (a: LookBackAnswer) => a.standing === 'fresh' },
} as const;
type Sieve = keyof typeof SIEVES;

/** What is asked to be seen. */
interface AskedCell {
  readonly sieve: Sieve;
  readonly outcome: Outcome | '';
  readonly child: string;
}

const features = tableFeatures({
  columnFilteringFeature,
  globalFilteringFeature,
  filteredRowModel: createFilteredRowModel(),
});
const column = createColumnHelper<typeof features, LookBackAnswer>();
const columns = column.columns([column.accessor((a) => a, { id: 'answer' })]);

const asked = constructFilterFn({
  filter: (a: LookBackAnswer, { sieve, outcome, child }: AskedCell) =>
    SIEVES[sieve].lets(a) && (!outcome || a.outcome === outcome) && (!child || (a.childId ?? 'everyone') === child),
});

/**
 * Round by round and child by child, what was said to each item; a tile opens what was heard and lets it be corrected.
 * As many tiles stand in a line as there is room for.
 */
export function AnswerGrid({ sessionId, accent, people, rounds, answers }: GridProps) {
  const [sieve, setSieve] = useState<Sieve>('all');
  const [outcome, setOutcome] = useState<Outcome | ''>('');
  const [child, setChild] = useState('');
  const [corrected, setCorrected] = useState<Corrected | null>(null);
  const data = useMemo(() => [...answers], [answers]);
  const table = useTable({
    features,
    columns,
    data,
    getColumnCanGlobalFilter: () => true,
    globalFilterFn: asked,
    state: { globalFilter: { sieve, outcome, child } satisfies AskedCell },
  });
  const seen = table.getRowModel().rows.map((row) => row.original);
  const rows = [
    ...(answers.some((a) => a.childId === null) ? [{ id: 'everyone', name: 'Everyone together' }] : []),
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
      <TakeBack sessionId={sessionId} corrected={corrected} onDone={() => setCorrected(null)} />
      {byRound.map(([number, inRound]) => {
        const caption = `${rounds[number]?.name ?? ''}${rounds[number]?.step ? `, ${sure(rounds[number]).step}` : ''}`;
        return (
          <section key={number} aria-label={caption} className="mb-8">
            <h3 className="border-b border-line-strong pb-1 text-xl">{caption}</h3>
            {rows
              .filter((row) => inRound.some((a) => (a.childId ?? 'everyone') === row.id))
              .map((row) => (
                <div
                  key={row.id}
                  className="gap-x-4 border-b border-line py-2 sm:grid sm:grid-cols-[7rem_minmax(0,1fr)]"
                >
                  <h4 className="font-word text-lg font-normal wrap-anywhere max-sm:pb-1">{row.name}</h4>
                  <ul className="grid grid-cols-[repeat(auto-fill,minmax(7.5rem,1fr))] gap-2">
                    {seen
                      .filter((a) => roundOf(a.turn) === number && (a.childId ?? 'everyone') === row.id)
                      .map((a, at) => (
                        // An answer that is corrected has another id and the same place, and keeps the focus.
                        <li key={`${a.turn} ${at}`}>
                          <AnswerButton
                            sessionId={sessionId}
                            answer={a}
                            accent={accent}
                            people={people}
                            onCorrected={setCorrected}
                          />
                        </li>
                      ))}
                  </ul>
                </div>
              ))}
          </section>
        );
      })}
    </>
  );
}

interface TakeBackProps {
  readonly sessionId: string;
  readonly corrected: Corrected | null;
  readonly onDone: () => void;
}

/** What was just corrected, and a way back. */
function TakeBack({ sessionId, corrected, onDone }: TakeBackProps) {
  const [said, setSaid] = useState<FormState>({});
  const [busy, begin] = useTransition();
  const undo = (answerId: string): void =>
    begin(async () => {
      const state = await uncorrect(sessionId, { answerId, newId: v7() }).catch(unreached('Nothing was changed.'));
      setSaid(state);
      if (!state.error) onDone();
    });
  return (
    <div role="status" className="sticky top-2 z-20 empty:hidden">
      {(corrected ?? said.said) && (
        <p
          className={clsx(
            'mb-3 flex flex-wrap items-center gap-x-4 rounded-xl border border-line-strong bg-card px-4 py-1 shadow',
          )}
        >
          <span className="py-2">{corrected?.text ?? said.said}</span>
          {corrected && (
            <Button kind="quiet" disabled={busy} onClick={() => undo(corrected.answerId)}>
              Undo
            </Button>
          )}
        </p>
      )}
      <ErrorMessage>{said.error}</ErrorMessage>
    </div>
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
        label="Show"
        value={sieve}
        onChange={(v) => setSieve(v as Sieve)}
        options={Object.entries(SIEVES).map(([key, { name }]) => [key, name])}
      />
      <SelectField
        inline
        label="marked"
        value={outcome}
        onChange={(v) => setOutcome(v as Outcome | '')}
        options={[['', 'any mark'], ...OUTCOMES.map((o) => [o, OUTCOME_WORDS[o].toLowerCase()] as const)]}
      />
      <SelectField
        inline
        label="of"
        value={child}
        onChange={setChild}
        options={[['', 'everyone'], ...people.map((c) => [c.id, c.name] as const)]}
      />
      <p role="status" className="content-center text-muted">
        {seen.length === answers.length ? '' : `${seen.length} of ${answers.length}`}
      </p>
    </div>
  );
}
