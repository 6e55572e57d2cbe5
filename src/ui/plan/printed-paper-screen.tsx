import { format } from 'date-fns';
import type { Sheet } from '@/server/sessions/papers';
import { buttonLook } from '../kit/button';
import { Link } from '../kit/link';
import { PrintTabs } from './print-tabs';
import { MarkKey, TickGrid } from './tick-grid';

/** A tick grid with its number: printed, marked, and typed in later. */
export const PrintedPaperScreen = ({ sheet }: { readonly sheet: Sheet }) => (
  <main className="mx-auto max-w-[60rem] px-4 py-6 print:max-w-none print:p-0 print:text-[0.8rem]">
    {sheet.planId && <PrintTabs planId={sheet.planId} at="grid" />}
    <header className="mb-4 flex flex-wrap items-start justify-between gap-x-6 gap-y-3">
      <div className="min-w-0">
        <h1 className="text-4xl wrap-anywhere print:text-2xl">{sheet.title}</h1>
        <p className="text-muted">
          {sheet.groupName} · {format(sheet.madeAt, 'EEEE d MMMM yyyy')}
        </p>
      </div>
      <p className="rounded-xl border-2 border-ink px-4 py-1 text-center leading-tight">
        <span className="block text-sm">Grid number</span>
        <b className="block font-word text-3xl">{sheet.number}</b>
      </p>
    </header>
    <MarkKey />
    {sheet.rounds.map((round, i) => (
      <TickGrid key={i} round={round} />
    ))}
    <p className="mt-1 text-sm">Back at a screen: Look back, “Marked on paper?”, grid {sheet.number}.</p>
    <p className="mt-4 print:hidden">
      <Link className={buttonLook({ kind: 'action' }, 'inline-flex')} href={`/look-back/paper/${sheet.number}`}>
        Type it in
      </Link>
    </p>
  </main>
);
