'use client';

import { clsx } from 'clsx';
import { CalendarPlus, FileDown, Printer, Tablet } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useEffect, useEffectEvent, useState, useTransition } from 'react';
import { keepPlan, playPlan } from '@/actions/plans';
import { CONFUSABLE_PAIRS, isPair } from '@/core/phonology/articulation';
import { fitOf, roundSeconds, takeAdvice, type Advice, type RoundRole } from '@/core/sessions/running-order';
import type { Catalogue, CatalogueTask } from '@/server/plans/catalogue';
import type { OpenPlan } from '@/server/plans/plans';
import { Button } from '../kit/button';
import { Checkbox } from '../kit/checkbox';
import { Chip } from '../kit/chip';
import { Collapsible } from '../kit/collapsible';
import { CautionMark, cautionLines } from '../kit/cautions';
import { useKeptText } from '../kit/kept-form';
import { Link } from '../kit/link';
import { ErrorMessage } from '../kit/message';
import { sure } from '@/core/sure';
import type { PlanWork } from './use-plan';
import type { Fit } from '@/core/sessions/running-order';
import type { Plan } from '@/core/sessions/running-order';
import type { ShownPlan } from '@/server/plans/plan-shown';
import type { Caution } from '@/core/lexicon/cautions';
import { Section } from '../kit/section';
import { unreached } from '../kit/unreached';

const whoIsAway = (list: string, away: number) => `${list} ${away === 1 ? 'is' : 'are'} away.`;

const COLOUR: Readonly<Record<RoundRole, string>> = {
  'warm-up': 'bg-ink',
  focus: 'bg-marigold',
  stretch: 'bg-slate',
  close: 'bg-green',
};

/** The steps of a game that were left out for lack of time, and are still out. */
const goneOf = ({ id, name, steps }: CatalogueTask, { dropped = [], rounds }: Plan): string[] =>
  steps
    .filter((step) => dropped.includes(`${id}/${step.id}`))
    .filter((step) => !rounds.some((r) => r.task === id && r.step === step.id))
    .map((step) => (rounds.some((r) => r.task === id) ? `${name} (${step.name})` : name));

/** Where the plan stands over what is beside it, what is done with it stays at the foot of the screen. */
const ACTS = clsx(
  'space-y-2.5 max-lg:fixed max-lg:inset-x-0 max-lg:bottom-0 max-lg:z-20 max-lg:flex max-lg:flex-wrap',
  'max-lg:items-center max-lg:gap-2.5 max-lg:space-y-0 max-lg:border-t max-lg:border-line-strong max-lg:bg-paper',
  'max-lg:my-0! max-lg:px-4 max-lg:py-2 sm:max-lg:px-10',
);

/** Minutes, turns, what to bring; play it, print it, keep it. */
export function PlanSide({ open, work, games }: { open: OpenPlan; work: PlanWork; games: Catalogue }) {
  const { plan, shown, edit } = work;
  const router = useRouter();
  const [error, setError] = useState('');
  const [kept, setKept] = useState(open.kept);
  const { text: day, setText: setDay, done } = useKeptText(`day ${open.id}`, open.plannedFor ?? '');
  const [busy, begin] = useTransition();
  const paceOf = (task: string): number => shown.paces[task] ?? 15;
  const fit = fitOf(plan, shown.children, paceOf);
  const seconds = plan.rounds.map((r) => roundSeconds(r, shown.children, paceOf(r.task)));
  const span = Math.max(plan.minutes * 60, fit.seconds, 1);
  const nameOf = (id: string): string => shown.rounds.find((r) => r.id === id)?.family ?? 'the round';
  const labels = (advice: Advice): string =>
    advice.kind === 'drop-items'
      ? advice.keys.map((k) => shown.rounds.flatMap((r) => r.items).find((i) => i.key === k)?.label ?? k).join(', ')
      : '';
  const words = (advice: Advice): string =>
    ({
      'drop-items': `Leave out ${labels(advice)}`,
      together: `${nameOf(advice.round)}: play it all together`,
      'drop-round': `Leave out ${nameOf(advice.round)}`,
    })[advice.kind];
  const gone = games.families.flatMap(({ tasks }) => tasks).flatMap((task) => goneOf(task, plan));
  const cautions = [...new Set(shown.bring.flatMap((b) => b.cautions))];
  const play = (where: 'play' | 'lend'): void =>
    begin(async () => {
      const answer = await playPlan(open.id, plan).catch(unreached());
      if (answer.ok) router.push(`/${where}/${answer.value}`);
      else setError(answer.error);
    });
  const keep = (change: { kept?: boolean; plannedFor?: string | null }): void =>
    begin(async () => {
      const answer = await keepPlan(open.id, change).catch(unreached('The day is still here.'));
      setError(answer.ok ? '' : answer.error);
      if (!answer.ok) return;
      setKept(true);
      if (change.plannedFor) done(change.plannedFor);
    });
  // A day is kept as soon as it is chosen, and one that a reload cut short then.
  const keepDay = useEffectEvent(() => {
    if (day && day.slice(0, 16) !== (open.plannedFor ?? '').slice(0, 16)) keep({ plannedFor: day });
  });
  useEffect(() => keepDay(), [day]);
  return (
    <aside className="min-w-0 space-y-7">
      <Time fit={fit} plan={plan} edit={edit} nameOf={nameOf} seconds={seconds} span={span} words={words} gone={gone} />
      <div className={ACTS}>
        <Button
          kind="action"
          size="big"
          className="w-full text-xl max-lg:flex-1 max-sm:px-3"
          disabled={busy || !plan.rounds.some((r) => r.items.length)}
          onClick={() => play('play')}
        >
          Play now
        </Button>
        <div className="flex gap-2.5 max-lg:shrink-0">
          <Link className="plain flex-1 max-sm:px-3" href={`/print/plans/${open.id}`}>
            <Printer aria-hidden="true" size={18} /> Print
          </Link>
          <Button className="flex-1 max-sm:px-3" disabled={busy || kept} onClick={() => keep({ kept: true })}>
            {kept ? 'Saved' : 'Save'}
          </Button>
        </div>
        <Button
          className="w-full max-lg:hidden"
          disabled={busy || !plan.rounds.some((r) => r.items.length)}
          onClick={() => play('lend')}
        >
          <Tablet aria-hidden="true" size={18} /> Play it on a tablet
        </Button>
        <ErrorMessage>{error}</ErrorMessage>
      </div>
      <Turns shown={shown} />
      <Bring shown={shown} cautions={cautions} />
      <More plan={plan} edit={edit} day={day} setDay={setDay} open={open} games={games} />
    </aside>
  );
}

interface MoreProps {
  readonly plan: Plan;
  readonly edit: (change: (plan: Plan) => Plan) => void;
  readonly day: string;
  readonly setDay: (next: string) => void;
  readonly open: OpenPlan;
  readonly games: Catalogue;
}

/** Letters, the day, files, and sounds never set against each other. */
function More({ plan, edit, day, setDay, open, games }: MoreProps) {
  return (
    <Collapsible
      className="border-t border-line pt-2"
      title={<span className="font-word text-lg">More for this plan</span>}
    >
      <div className="space-y-5 pb-2">
        <Checkbox
          label="Show letters under the sounds"
          checked={plan.letters}
          onChange={(letters) => edit((now) => ({ ...now, letters }))}
        />
        <label className="block">
          <span className="mb-1 block text-muted">When</span>
          <input
            type="datetime-local"
            className="field"
            value={day.slice(0, 16)}
            onChange={(e) => setDay(e.target.value)}
          />
        </label>
        {day && (
          <a className="plain w-full" href={`/api/plans/${open.id}/calendar`} download>
            <CalendarPlus aria-hidden="true" size={18} /> Add to a calendar
          </a>
        )}
        <a className="plain w-full" href={`/api/plans/${open.id}/export`} download>
          <FileDown aria-hidden="true" size={18} /> Save as a file to share
        </a>
        <Pairs plan={plan} games={games} edit={edit} />
      </div>
    </Collapsible>
  );
}

/** Sounds that a child says alike. */
function Pairs({
  plan,
  games,
  edit,
}: {
  readonly plan: Plan;
  readonly games: Catalogue;
  readonly edit: (change: (plan: Plan) => Plan) => void;
}) {
  return (
    <fieldset>
      <legend className="mb-1 text-muted">Don’t contrast these, for children who say them the same</legend>
      <div className="flex flex-wrap gap-2">
        {CONFUSABLE_PAIRS.map(([a, b]) => {
          const on = isPair(plan.pairs, a, b);
          const label = (ipa: string): string => games.sounds.find((s) => s.ipa === ipa)?.label.split(' ')[0] ?? ipa;
          return (
            <Chip
              key={a + b}
              on={on}
              className="font-word"
              onClick={() =>
                edit((now) => ({
                  ...now,
                  pairs: on ? now.pairs.filter(([x, y]) => !isPair([[a, b]], x, y)) : [...now.pairs, [a, b]],
                }))
              }
            >
              {label(a)} {label(b)}
            </Chip>
          );
        })}
      </div>
      <div className="mt-2">
        <Checkbox
          label="Contrast sounds that many young children mix up, such as /k/ and /t/"
          checked={plan.mixUps === true}
          onChange={(mixUps) => edit((now) => ({ ...now, mixUps }))}
        />
      </div>
      <p className="mt-1 text-[0.95rem] text-muted">Applies to new words from now on.</p>
    </fieldset>
  );
}

/** Things to bring, with what to watch for. */
function Bring({ shown, cautions }: { readonly shown: ShownPlan; readonly cautions: readonly Caution[] }) {
  return (
    <Section id="bring" title="Bring" heading="text-xl">
      {shown.bring.length ? (
        <ul className="flex flex-wrap gap-x-3">
          {shown.bring.map((b) => (
            <li key={b.word} className="font-word text-lg">
              {b.word}
              {b.owned && <span className="font-sans text-sm text-muted"> we have it</span>}{' '}
              <CautionMark cautions={b.cautions} />
            </li>
          ))}
        </ul>
      ) : (
        <p className="text-muted">Just your voice.</p>
      )}
      {cautionLines(cautions).map((line) => (
        <p key={line} className="mt-1 text-[0.95rem] text-muted">
          {line}
        </p>
      ))}
      <p className="mt-2 text-[0.95rem] text-muted">{shown.mirror}</p>
    </Section>
  );
}

/** How many turns each child has, and who is away. */
function Turns({ shown }: { readonly shown: ShownPlan }) {
  return (
    <Section id="turns" title="Turns" heading="text-xl">
      <p>{shown.turnLine}</p>
      {shown.away.length > 0 && <p className="text-muted">{whoIsAway(shown.away.join(', '), shown.away.length)}</p>}
    </Section>
  );
}

interface TimeProps {
  readonly fit: Fit;
  readonly plan: Plan;
  readonly edit: (change: (plan: Plan) => Plan) => void;
  readonly nameOf: (id: string) => string;
  readonly seconds: readonly number[];
  readonly span: number;
  readonly words: (advice: Advice) => string;
  /** Games that were left out so that the plan keeps to its minutes. */
  readonly gone: readonly string[];
}

/** Minutes, against those there are, and what would make it fit. */
function Time({ fit, plan, edit, nameOf, seconds, span, words, gone }: TimeProps) {
  return (
    <section aria-label="Time">
      <p className="font-word leading-none">
        <span className="text-6xl font-bold">{fit.minutes} min</span>
      </p>
      <div className="mt-2 flex items-center gap-2 text-muted">
        {fit.over ? <strong className="text-red">{Math.ceil(fit.over / 60)} min over</strong> : 'fits'} your
        <input
          type="number"
          min={1}
          max={60}
          aria-label="Minutes available"
          className="min-h-12 w-20 rounded-lg border border-line-strong bg-card px-3 text-ink"
          value={plan.minutes}
          onChange={(e) => {
            const n = Math.round(Number(e.target.value));
            if (n >= 1 && n <= 60) edit((now) => ({ ...now, minutes: n }));
          }}
        />
      </div>
      <div
        role="img"
        aria-label={plan.rounds
          .map((r, i) => `${nameOf(r.id)} ${Math.round(sure(seconds[i]) / 60) || 1} min`)
          .join(', ')}
        className="mt-2 flex h-3.5 overflow-hidden rounded-full bg-line"
      >
        {plan.rounds.map((r, i) => (
          <span
            key={r.id}
            className={`${COLOUR[r.role]} border-r-2 border-paper last:border-0`}
            style={{ width: `${(sure(seconds[i]) / span) * 100}%` }}
          />
        ))}
      </div>
      {gone.length > 0 && (
        <p className="mt-2 text-muted">
          To keep to your minutes, we left out: {gone.join(', ')}. Add a round to put it back.
        </p>
      )}
      {fit.advice.length > 0 && (
        <div className="mt-3">
          <p className="mb-1">This is too long. Any of these would help:</p>
          <ul className="space-y-1.5">
            {fit.advice.map((a) => (
              <li key={a.kind + a.round}>
                <Button className="w-full justify-between text-left" onClick={() => edit((now) => takeAdvice(now, a))}>
                  <span>{words(a)}</span>{' '}
                  <span className="shrink-0 text-muted">−{Math.round(a.saves / 6) / 10} min</span>
                </Button>
              </li>
            ))}
          </ul>
        </div>
      )}
    </section>
  );
}
