import { clsx } from 'clsx';
import { format, parseISO } from 'date-fns';
import { WAY_WORDS } from '@/core/sessions/running-order';
import type { PrintedPlan } from '@/server/plans/printed-plan';
import type { ShownRound } from '@/server/plans/plan-shown';
import { cautionLines } from '../kit/cautions';
import { Plant } from '../kit/plant';
import { PictureCards } from '../words/picture-cards';
import { PrintTabs } from './print-tabs';
import { MarkKey, TickGrid } from './tick-grid';
import { sure } from '@/core/sure';

export const PAPERS = ['page', 'grid', 'cards'] as const;
export type Paper = (typeof PAPERS)[number];

/** A plan on paper: a page to lead from, a grid to mark on, cards to cut out. */
export function PrintedPlanScreen({ plan, as }: { plan: PrintedPlan; as: Paper }) {
  return (
    <main className="mx-auto max-w-[60rem] px-4 py-6 print:max-w-none print:p-0 print:text-[0.8rem]">
      <PrintTabs planId={plan.id} at={as} />
      <header className={`mb-4 ${as === 'cards' ? 'print:hidden' : ''}`}>
        <h1 className="text-4xl wrap-anywhere print:text-2xl">{plan.plan.title}</h1>
        <p className="text-muted">
          {plan.groupName} · {plan.shown.fit.minutes} min
          {plan.plannedFor && ` · ${format(parseISO(plan.plannedFor), 'EEEE d MMMM, HH:mm')}`}
        </p>
      </header>
      {as === 'page' && <Page plan={plan} />}
      {as === 'grid' && <Grid plan={plan} />}
      {as === 'cards' && (
        <>
          <PictureCards words={plan.cards} />
          <NameCards people={plan.children} />
        </>
      )}
    </main>
  );
}

/** Cards to cut out with each child’s plant and name: to draw from a hat, to stand on a place, to queue with. */
function NameCards({ people }: { people: PrintedPlan['children'] }) {
  if (!people.some((c) => c.plant)) return null;
  return (
    <ul className="mt-4 grid grid-cols-2 gap-4 sm:grid-cols-4 print:grid-cols-4" aria-label="Name cards">
      {people.map(({ name, plant }, i) => (
        <li
          key={i}
          className={clsx(
            'flex aspect-[4/3] break-inside-avoid flex-col items-center justify-center gap-2',
            'rounded-xl border-2 border-dashed border-line-strong bg-card p-3 text-center',
          )}
        >
          <span className="text-[2.6rem] leading-none">{plant && <Plant id={plant} />}</span>
          <span className="font-word text-2xl font-bold wrap-anywhere">{name}</span>
        </li>
      ))}
    </ul>
  );
}

function Page({ plan }: { plan: PrintedPlan }) {
  const { shown } = plan;
  const cautions = [...new Set(shown.bring.flatMap((b) => b.cautions))];
  return (
    <>
      <ol className="border-t border-line-strong">
        {shown.rounds.map((round, i) => (
          <li
            key={round.id}
            className={clsx(
              'grid break-inside-avoid grid-cols-[3rem_minmax(0,1fr)] border-b border-line-strong',
              'py-3 print:py-1.5',
            )}
          >
            <p className="font-word leading-tight">
              <span className="block text-2xl font-bold">{round.minutes}</span>
              <span className="text-sm">min</span>
            </p>
            <div className="min-w-0">
              <h2 className="text-xl">
                {round.name}{' '}
                <span className="font-sans text-base font-normal text-muted">
                  {round.step} · {WAY_WORDS[sure(plan.plan.rounds[i]).way]} · {round.gesture}
                </span>
              </h2>
              <p className="font-word text-lg">
                “{round.opening}” {round.model && <span className="text-muted">(Model “{round.model}” first.)</span>}
              </p>
              <Said round={round} />
              {sure(plan.plan.rounds[i]).reminder && <p className="italic">{sure(plan.plan.rounds[i]).reminder}</p>}
            </div>
          </li>
        ))}
      </ol>
      <p className="mt-3">
        <strong>Turns.</strong> {shown.turnLine}
      </p>
      <p>
        <strong>Bring.</strong> {shown.bring.map((b) => b.word).join(', ') || 'just your voice'}.
      </p>
      {cautionLines(cautions).map((line) => (
        <p key={line} className="text-sm">
          {line}
        </p>
      ))}
      <p className="mt-2 text-sm text-muted">
        {shown.mirror} When you say a sound alone, keep it short and pure, without an “uh”. A child’s pronunciation or
        accent never counts as a mistake.
      </p>
    </>
  );
}

/** What is the same for all; nothing where each has their own. */
function sharedLines({ own, items, grows }: ShownRound): ShownRound['items'] {
  if (own.length) return [];
  return grows ? items.slice(-1) : items;
}

/** Every line of a round as it is said, with what is right; a list that grows is printed once, whole. */
function Said({ round }: { readonly round: ShownRound }) {
  return (
    <ul className="my-1 gap-x-8 font-word text-lg sm:columns-2 print:text-[0.82rem]">
      {round.own.map(({ childId, name, stepName, why, items }) => (
        <li key={childId} className="break-inside-avoid wrap-anywhere">
          <b>{name}</b> {items.map((item) => `${item.say || item.label} → ${item.expected}`).join(' ')}
          <span className="block font-sans text-[0.8em] text-muted">
            {stepName}. {why}
          </span>
        </li>
      ))}
      {sharedLines(round).map((item) => (
        <li key={item.key} className="break-inside-avoid wrap-anywhere">
          {item.say || item.label}
          {item.story.length > 0 && <span className="block">{item.story.join(' ')}</span>}{' '}
          <span className="text-muted">→ {item.expected}</span>
        </li>
      ))}
    </ul>
  );
}

/** Six empty rows, to write names in: nobody is here who has a line of their own. */
const NOBODY = Array.from({ length: 6 }, () => '');

/** A box for each item, to mark by hand, without a number: there is nobody to type it in for. */
const Grid = ({ plan }: { plan: PrintedPlan }) => (
  <>
    <MarkKey />
    {plan.shown.rounds.map(({ id, name, step, items }) => {
      const boxes = items.map((i) => i.label);
      const rows = NOBODY.map((nobody) => ({ name: nobody, plant: null, boxes }));
      return <TickGrid key={id} round={{ name, step, own: false, rows }} />;
    })}
  </>
);
