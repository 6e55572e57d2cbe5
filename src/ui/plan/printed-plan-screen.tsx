import { clsx } from 'clsx';
import { format, parseISO } from 'date-fns';
import Link from 'next/link';
import { WAY_WORDS } from '@/core/sessions/running-order';
import type { PrintedPlan } from '@/server/plans/printed-plan';
import type { ShownRound } from '@/server/plans/plan-shown';
import { cautionLines } from '../kit/cautions';
import { Plant } from '../kit/plant';
import { PictureCards } from '../words/picture-cards';
import { PrintButton } from '../words/print-button';
import { sure } from '@/core/sure';
import { printedPlanScreen as say } from './text';

export const PAPERS = [
  { id: 'page', name: say.pageWall },
  { id: 'grid', name: say.tickGrid },
  { id: 'cards', name: say.pictureCards },
] as const;
export type Paper = (typeof PAPERS)[number]['id'];

/** A plan on paper: a page to lead from, a grid to mark on, cards to cut out. */
export function PrintedPlanScreen({ plan, as }: { plan: PrintedPlan; as: Paper }) {
  return (
    <main className="mx-auto max-w-[60rem] px-4 py-6 print:max-w-none print:p-0 print:text-[0.8rem]">
      <nav aria-label={say.printing} className="mb-6 flex flex-wrap items-center gap-3 print:hidden">
        <Link className="quiet px-1" href={`/plan/${plan.id}`}>
          {say.thePlan}
        </Link>
        {PAPERS.map(({ id, name }) => (
          <Link
            key={id}
            href={`/print/plans/${plan.id}?as=${id}`}
            aria-current={as === id ? 'page' : undefined}
            className={clsx(
              'flex min-h-12 items-center rounded-full border px-4',
              as === id ? 'border-ink bg-ink text-card' : 'border-line-strong bg-card',
            )}
          >
            {name}
          </Link>
        ))}
        <PrintButton />
      </nav>
      <header className={`mb-4 ${as === 'cards' ? 'print:hidden' : ''}`}>
        <h1 className="text-4xl wrap-anywhere print:text-2xl">{plan.plan.title}</h1>
        <p className="text-muted">
          {say.min(plan.groupName, plan.shown.fit.minutes)}
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
    <ul className="mt-4 grid grid-cols-2 gap-4 sm:grid-cols-4 print:grid-cols-4" aria-label={say.nameCards}>
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
              <span className="text-sm">{say.minLine}</span>
            </p>
            <div className="min-w-0">
              <h2 className="text-xl">
                {round.name}{' '}
                <span className="font-sans text-base font-normal text-muted">
                  {round.step} · {WAY_WORDS[sure(plan.plan.rounds[i]).way]} · {round.gesture}
                </span>
              </h2>
              <p className="font-word text-lg">
                “{round.opening}” {round.model && <span className="text-muted">{say.model(round.model)}</span>}
              </p>
              <Said round={round} />
              {sure(plan.plan.rounds[i]).reminder && <p className="italic">{sure(plan.plan.rounds[i]).reminder}</p>}
            </div>
          </li>
        ))}
      </ol>
      <p className="mt-3">
        <strong>{say.turns}</strong> {shown.turnLine}
      </p>
      <p>
        <strong>{say.bring}</strong> {shown.bring.map((b) => b.word).join(', ') || say.nothingButVoice}.
      </p>
      {cautionLines(cautions).map((line) => (
        <p key={line} className="text-sm">
          {line}
        </p>
      ))}
      <p className="mt-2 text-sm text-muted">{say.saySoundsAlone(shown.mirror)}</p>
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
      {round.own.map(({ childId, name, items }) => (
        <li key={childId} className="break-inside-avoid wrap-anywhere">
          <b>{name}</b> {items.map((item) => say.saidIs(item.say || item.label, item.expected)).join(' ')}
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

/** Six empty rows, to write names in. */
const NOBODY = Array.from({ length: 6 }, () => ({ id: '', name: '', plant: null }));

/** Names down, items across, a box for each: for when there is no device. */
function Grid({ plan }: { plan: PrintedPlan }) {
  const rows = plan.children.length ? plan.children : NOBODY;
  return (
    <>
      {plan.shown.rounds.map((round) => (
        <section key={round.id} className="mb-6 break-inside-avoid">
          <h2 className="mb-1 text-xl">
            {round.name} {!round.own.length && <span className={SMALL}>{round.step}</span>}
          </h2>
          <div className="overflow-x-auto" tabIndex={0} aria-label={say.gridFor(round.name)}>
            <table className="w-full border-collapse text-left">
              <thead>
                <tr>
                  <th className="w-36 border border-line-strong px-2 py-1 font-word">{say.name}</th>
                  {headsOf(round).map((head) => (
                    <th key={head} className={HEAD}>
                      {head}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {rows.map((child, i) => (
                  <Row key={i} child={child} round={round} />
                ))}
              </tbody>
            </table>
          </div>
        </section>
      ))}
      <p className="text-sm">{say.markOwnH}</p>
    </>
  );
}

const SMALL = 'font-sans text-base font-normal text-muted';
const HEAD = 'border border-line-strong px-1.5 py-1 align-bottom font-word text-base font-bold wrap-anywhere';

/** What stands over the boxes: the words; where each child has their own, the turns. */
function headsOf({ own, items }: ShownRound): string[] {
  if (!own.length) return items.map((i) => i.label);
  const most = Math.max(...own.map((o) => o.items.length), 1);
  return Array.from({ length: most }, (_, turn) => say.turn(turn + 1));
}

interface RowProps {
  readonly child: PrintedPlan['children'][number];
  readonly round: ShownRound;
}

/** A child’s boxes; their own words stand in them, where they have some. */
function Row({ child: { id, name, plant }, round }: RowProps) {
  const own = round.own.find((o) => o.childId === id);
  const boxes = round.own.length ? headsOf(round).map((_, i) => own?.items[i]?.label ?? '') : round.items.map(() => '');
  return (
    <tr>
      <th scope="row" className="h-10 border border-line-strong px-2 font-word font-normal wrap-anywhere print:h-7">
        {plant && <Plant id={plant} />} {name || <span className="sr-only">{say.aChild}</span>}
      </th>
      {boxes.map((word, i) => (
        <td key={i} className="border border-line-strong px-1.5 align-top font-word wrap-anywhere">
          {word}
        </td>
      ))}
    </tr>
  );
}
