import { listed } from '@/core/in-words';
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
  const at = (change: { readonly initials?: boolean; readonly ahead?: boolean }): string => {
    const { initials: short, ahead } = { initials, ahead: card.ahead, ...change };
    const asked = new URLSearchParams({ ...(short ? { initials: '1' } : {}), ...(ahead ? {} : { day: 'today' }) });
    return `/print/cover/${card.groupId}${asked.size ? `?${asked.toString()}` : ''}`;
  };
  const shortOf = (id: string): string => {
    const child = card.children.find((c) => c.id === id);
    return (initials ? child?.initials : child?.name) ?? '';
  };
  return (
    <main className="mx-auto max-w-[52rem] px-4 py-6 print:max-w-none print:p-0 print:text-[0.82rem]">
      <nav aria-label="This page" className="mb-6 flex flex-wrap items-center gap-3 print:hidden">
        <Link className="quiet px-1" href="/">
          Today
        </Link>
        <Link className="plain" href={at({ ahead: !card.ahead })}>
          {card.ahead ? 'For today' : 'For the next day'}
        </Link>
        <Link className="plain" href={at({ initials: !initials })}>
          {initials ? 'With names' : 'With initials'}
        </Link>
        <PrintButton />
      </nav>
      {card.setting && <p className="font-word text-xl wrap-anywhere print:text-base">{card.setting}</p>}
      <h1 className="text-4xl wrap-anywhere print:text-2xl">Taking over {card.group}</h1>
      <p className="text-lg print:text-base">For {card.day}</p>
      {card.notIn.length > 0 && (
        <p className="text-muted">Not in: {listed(card.notIn.map((c) => (initials ? c.initials : c.name)))}.</p>
      )}
      <Ready card={card} />
      {card.together.length > 0 && (
        <section className="mt-5 print:mt-3">
          <h2 className="text-2xl print:text-lg">Or in small groups</h2>
          {card.together.map(({ who, does }) => (
            <p key={who.join()}>
              <strong>{listed(who.map(shortOf))}:</strong> {does}
            </p>
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

/** What is ready, what to say in it, and what to bring for which game. */
function Ready({ card }: Pick<CoverProps, 'card'>) {
  const [first, ...others] = card.lines;
  if (!first) return null;
  return (
    <section className="mt-5 print:mt-3">
      <h2 className="text-2xl print:text-lg">Ready to play</h2>
      <Line line={first} />
      <ol className="my-1 space-y-1 border-l-4 border-line pl-3">
        {card.say.map(({ name, opening, ask }, i) => (
          <li key={`${i} ${name}`}>
            <b>{name}.</b> Say: <span className="font-word">“{[opening, ask].filter(Boolean).join(' ')}”</span>
          </li>
        ))}
      </ol>
      <p>
        <strong>Bring</strong>{' '}
        {card.bring.map((b) => `for ${b.game}: ${listed(b.words)}`).join('; ') || 'nothing but your voice'}.
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
  );
}

const Line = ({ line: { title, minutes, words } }: { readonly line: CoverCard['lines'][number] }) => (
  <p>
    <strong>{title}</strong> <span className="text-muted">about {minutes} min</span>{' '}
    <span className="font-word text-lg print:text-base">{words.join(' · ')}</span>
  </p>
);
