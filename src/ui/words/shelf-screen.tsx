import type { ShelfSound } from '@/server/words/props';
import { CautionMark } from '../kit/cautions';
import { Link } from '../kit/link';
import { Picture } from '../kit/picture';
import { OwnTick } from './own-tick';
import { Section } from '../kit/section';

function shelfCount(owned: number, covered: number, shelf: number): string {
  if (!owned) return 'Tick what you have. Nothing is ticked yet.';
  const things = owned === 1 ? '1 thing' : `${owned} things`;
  return `Tick what you have. ${things} on the shelf; ${covered} of ${shelf} first sounds have one.`;
}

/** What we own as things, by first sound; which first sounds have nothing, and what would help. */
export function ShelfScreen({ shelf }: { shelf: readonly ShelfSound[] }) {
  const covered = shelf.filter((s) => s.owned > 0);
  const lacking = shelf.filter((s) => s.owned === 0);
  const owned = shelf.reduce((n, s) => n + s.owned, 0);
  const name = ({ label, as }: ShelfSound): string => `/${label}/${as ? ` as in ${as}` : ''}`;
  return (
    <>
      <h1 className="mb-1 text-4xl">Prop shelf</h1>
      <p className="mb-5 max-w-3xl text-lg text-muted">{shelfCount(owned, covered.length, shelf.length)}</p>
      {lacking.length > 0 && (
        <Section id="collect" title="To collect" heading="mb-2 text-2xl" className="mb-7 max-w-4xl">
          <ul className="grid gap-x-10 border-t border-line sm:grid-cols-2">
            {lacking.slice(0, 8).map((s) => {
              const safe = [...s.words].sort((a, b) => a.cautions.length - b.cautions.length).slice(0, 3);
              return (
                <li key={s.ipa} className="flex items-baseline gap-3 border-b border-line py-2">
                  <a href={`#s-${s.ipa}`} className="w-28 shrink-0 hover:underline">
                    <span className="font-word text-xl font-bold">/{s.label}/</span>
                    {s.as && <span className="text-muted"> {s.as}</span>}
                  </a>
                  <span>{safe.map((w) => w.word).join(', ')}</span>
                </li>
              );
            })}
          </ul>
          {lacking.length > 8 && (
            <p className="mt-2 text-muted">and nothing yet for {lacking.slice(8).map(name).join(', ')}.</p>
          )}
        </Section>
      )}
      <p className="mb-6 max-w-3xl border-l-4 border-marigold py-1 pl-4">
        Small parts are a choking hazard for under-3s (the 31.7 mm cylinder test, 16 CFR 1501.4 and EN 71-1), and for
        older children who put things in their mouths. Your setting’s own rules come first.
      </p>
      <div className="grid gap-x-10 gap-y-7 sm:grid-cols-2 lg:grid-cols-3">
        {shelf.map((s) => (
          <section key={s.ipa} id={`s-${s.ipa}`} aria-label={`First sound ${name(s)}`}>
            <h2 className="flex items-baseline gap-2 border-b border-line-strong pb-1 text-2xl">
              <span>/{s.label}/</span>
              {s.as && <span className="font-sans text-base font-normal text-muted">as in {s.as}</span>}
              <span className="ml-auto font-sans text-base font-normal text-muted">
                {s.owned ? `we have ${s.owned}` : 'nothing yet'}
              </span>
            </h2>
            <ul>
              {s.words.map((w) => (
                <li key={w.word} className="flex items-center gap-3 border-b border-line">
                  <div className="min-w-0 flex-1">
                    <OwnTick word={w.word} owned={w.owned} label={w.word} />
                  </div>
                  <span className="text-sm">
                    <CautionMark cautions={w.cautions} />
                  </span>
                  {w.picture && <Picture code={w.picture} size={30} />}
                </li>
              ))}
            </ul>
          </section>
        ))}
      </div>
      <p className="mt-8">
        <Link className="quiet px-1" href="/words?only=owned&sounds=any">
          Find words for the things we have
        </Link>
      </p>
    </>
  );
}
