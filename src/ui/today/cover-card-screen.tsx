import type { CoverCard } from '@/server/plans/cover-card';
import { cautionLines } from '../kit/cautions';
import { Link } from '../kit/link';
import { PrintButton } from '../words/print-button';

interface CoverProps {
  readonly card: CoverCard;
  /** Initials in the place of names. */
  readonly initials: boolean;
}

/** One page for a colleague who takes over: what is ready, who needs what, what to bring. */
export function CoverCardScreen({ card, initials }: CoverProps) {
  const [first, ...others] = card.lines;
  return (
    <main className="mx-auto max-w-[52rem] px-4 py-6 print:max-w-none print:p-0 print:text-[0.85rem]">
      <nav aria-label="This page" className="mb-6 flex flex-wrap items-center gap-3 print:hidden">
        <Link className="quiet px-1" href="/">
          Today
        </Link>
        <Link className="plain" href={`/print/cover/${card.groupId}${initials ? '' : '?initials=1'}`}>
          {initials ? 'With names' : 'With initials'}
        </Link>
        <PrintButton />
      </nav>
      <h1 className="text-4xl wrap-anywhere print:text-2xl">Taking over {card.group}</h1>
      <p className="text-muted">{card.day}</p>
      {first && (
        <section className="mt-5 print:mt-3">
          <h2 className="text-2xl print:text-lg">Ready to play</h2>
          <Line line={first} />
          <p>
            <strong>Bring:</strong> {card.bring.join(', ') || 'nothing but your voice'}.
          </p>
          {cautionLines(card.cautions).map((line) => (
            <p key={line} className="text-sm">
              {line}
            </p>
          ))}
          {others.length > 0 && <p className="mt-2 text-muted">Or one of these:</p>}
          {others.map((line) => (
            <Line key={line.title} line={line} />
          ))}
        </section>
      )}
      <section className="mt-5 print:mt-3">
        <h2 className="text-2xl print:text-lg">Who needs what</h2>
        <ul className="mt-1 border-t border-line-strong">
          {card.children.map((child) => (
            <li
              key={child.id}
              className="grid break-inside-avoid grid-cols-[8rem_minmax(0,1fr)] gap-x-4 border-b border-line py-1.5"
            >
              <strong className="font-word text-lg wrap-anywhere print:text-base">
                {initials ? child.initials : child.name}
              </strong>
              <div>
                {child.next && <p>Next: {child.next}.</p>}
                {child.needs.map((need) => (
                  <p key={need}>{need}</p>
                ))}
              </div>
            </li>
          ))}
        </ul>
      </section>
      <p className="mt-4 print:mt-2">
        Take turns, let them think, and tap or write what each child said. No answer isn’t a wrong answer.
      </p>
      <p className="mt-1 text-sm text-muted">
        This card is about children. Keep it with you, and shred it when you’re done.
      </p>
    </main>
  );
}

const Line = ({ line: { title, minutes, words } }: { readonly line: CoverCard['lines'][number] }) => (
  <p>
    <strong>{title}</strong> <span className="text-muted">about {minutes} min</span>{' '}
    <span className="font-word text-lg print:text-base">{words.join(' · ')}</span>
  </p>
);
