import { RefreshCw } from 'lucide-react';
import Link from 'next/link';
import type { ReactNode } from 'react';
import type { Choice } from '@/core/formats/schemas';
import { gameOf, TASKS } from '@/core/games';
import { COUNTS, FIRSTS } from '@/core/lexicon/select';
import { SET_SIZE } from '@/core/sessions/turns';
import type { Proposal, ShownWord } from '@/server/choose';
import type { Group } from '@/server/groups';
import { BounceLine } from '../kit/bounce-line';
import { StartForm } from '../today/start-form';

const FIRST_WORDS = { hold: 'you can hold', clip: 'to clip', light: 'h, w, y', vowel: 'a vowel' } as const;
const LOOSEN_WORDS = {
  shape: 'any shape', first: 'any first sound', contested: 'words whose count is argued about (confirm your counting in Settings)',
} as const;

/** The address with some of its choices changed. Changing a filter lets go of swapped words. */
function address(choice: Choice, change: Partial<Record<keyof Choice, Choice[keyof Choice] | undefined>>): string {
  const query = new URLSearchParams();
  for (const [name, value] of Object.entries({ ...choice, ...change })) {
    if (value === undefined || (Array.isArray(value) && !value.length)) continue;
    query.set(name, Array.isArray(value) ? value.join(',') : String(value));
  }
  return `/choose?${query.toString()}`;
}
const FRESH = { words: undefined, no: undefined } as const;

function Pill({ href, on, disabled, children }: { href: string; on: boolean; disabled?: boolean; children: ReactNode }) {
  if (disabled) return <span className="flex min-h-12 items-center gap-2 rounded-full px-4 text-muted">{children}</span>;
  return (
    <Link
      href={href} scroll={false} aria-current={on ? 'true' : undefined}
      className={`flex min-h-12 items-center gap-2 rounded-full border px-3.5 ${on ? 'border-ink bg-ink text-card' : 'border-line-strong bg-card hover:border-ink'}`}
    >
      {children}
    </Link>
  );
}

/** How many sounds first, then shape and first sound; the app proposes a set, and any word can be swapped. */
export function ChooseScreen({ choice, group, proposal }: { choice: Choice; group: Group; proposal: Proposal }) {
  const { facets, words, spares, model } = proposal;
  const names = words.map((w) => w.word);
  const swap = (word: string): string | null => {
    const next = spares[0];
    if (!next) return null;
    return address(choice, { words: names.map((w) => (w === word ? next : w)), no: [...(choice.no ?? []), word] });
  };
  return (
    <div className="grid grid-cols-1 gap-x-12 gap-y-8 lg:grid-cols-[1fr_21rem]">
      <div className="min-w-0">
        <h1 className="mb-4 text-4xl">How many sounds?</h1>
        <nav aria-label="Number of sounds" className="mb-5 grid grid-cols-2 gap-3 sm:grid-cols-4">
          {COUNTS.map((count) => {
            const on = choice.sounds === count;
            return (
              <Link
                key={count} href={address(choice, { sounds: count, shape: undefined, first: undefined, ...FRESH })} scroll={false} aria-current={on ? 'true' : undefined}
                className={`flex min-h-16 items-baseline gap-2.5 rounded-2xl border px-5 py-2 ${on ? 'border-ink bg-ink text-card' : 'border-line-strong bg-card hover:border-ink'}`}
              >
                <span className="font-word text-4xl font-bold">{count}</span> sounds
                <span className={on ? '' : 'text-muted'}>{facets.counts[count]}<span className="sr-only"> words</span></span>
              </Link>
            );
          })}
        </nav>
        <div className="grid gap-x-4 gap-y-2.5 sm:grid-cols-[6rem_1fr]">
          <Row label="Game">
            {TASKS.map((task) => (
              <Pill key={task} href={address(choice, { task })} on={choice.task === task}>{gameOf(task).name}</Pill>
            ))}
            <span className="ml-3 flex items-center text-muted">set of</span>
            {Array.from({ length: SET_SIZE.most - SET_SIZE.least + 1 }, (_, i) => SET_SIZE.least + i).map((size) => (
              <Pill key={size} href={address(choice, { size, ...FRESH })} on={proposal.size === size}>{size}</Pill>
            ))}
          </Row>
          <Row label="Shape">
            <Pill href={address(choice, { shape: undefined, ...FRESH })} on={!choice.shape}>any</Pill>
            {facets.shapes.slice(0, 6).map(({ shape, words: left, example }) => (
              <Pill key={shape} href={address(choice, { shape, ...FRESH })} on={choice.shape === shape}>
                <span className="font-word">{example}</span>
                <span className={choice.shape === shape ? '' : 'text-muted'}>{shape} {left}</span>
              </Pill>
            ))}
          </Row>
          <Row label="First sound">
            <Pill href={address(choice, { first: undefined, ...FRESH })} on={!choice.first}>any</Pill>
            {FIRSTS.map((first) => (
              <Pill key={first} href={address(choice, { first, ...FRESH })} on={choice.first === first} disabled={!facets.firsts[first]}>
                {FIRST_WORDS[first]} <span className={choice.first === first ? '' : 'text-muted'}>{facets.firsts[first]}</span>
              </Pill>
            ))}
          </Row>
        </div>
        {proposal.loosen && (
          <p className="mt-6 border-l-4 border-marigold py-1 pl-4">
            Only {words.length} {words.length === 1 ? 'word fits' : 'words fit'}. With {LOOSEN_WORDS[proposal.loosen.filter]} there would be {proposal.loosen.words}.{' '}
            {proposal.loosen.filter === 'contested'
              ? <Link className="quiet px-1 text-ink" href="/settings">Settings</Link>
              : <Link className="quiet px-1 text-ink" href={address(choice, { [proposal.loosen.filter]: undefined, ...FRESH })}>Loosen it</Link>}
          </p>
        )}
        <ol className="mt-7 grid border-t border-line md:grid-cols-2 md:gap-x-12">
          {words.map((word, i) => <WordLine key={word.word} word={word} stretch={i === words.length - 1 && words.length > 1} swapHref={swap(word.word)} />)}
        </ol>
        {!words.length && <p className="py-8 text-xl text-muted">No word of the bank fits all of this. Loosen one choice above.</p>}
      </div>

      <aside aria-labelledby="set" className="h-max rounded-2xl bg-card p-6 lg:sticky lg:top-6">
        <h2 id="set" className="text-2xl">{gameOf(choice.task).name} · {words.length} words</h2>
        <p className="mb-3 text-muted">easy first, one stretch at the end</p>
        <p className="mb-5 font-word text-xl leading-relaxed">{names.join(' · ')}</p>
        {model && <p className="mb-5 text-muted">You model with <span className="font-word text-lg text-ink">{model}</span>.</p>}
        <StartForm groupId={group.id} set={{ task: choice.task, sounds: choice.sounds, words: names, model, spares }} label={`Play with ${group.name}`} />
        <p className="mt-3">
          <Link className="quiet" href={address(choice, { ...FRESH, seed: choice.seed + 1 })} scroll={false}>
            <RefreshCw aria-hidden="true" size={18} /> Propose other words
          </Link>
        </p>
        {!proposal.confirmed && (
          <p className="mt-3 border-t border-line pt-3 text-[0.95rem] text-muted">
            Words such as box and apple, which adults count in different ways, are left out until you{' '}
            <Link className="underline underline-offset-4" href="/settings">say how you count</Link>.
          </p>
        )}
      </aside>
    </div>
  );
}

function Row({ label, children }: { label: string; children: ReactNode }) {
  return (
    <>
      <h2 className="flex items-center font-sans text-base font-normal text-muted">{label}</h2>
      <div className="flex flex-wrap gap-2">{children}</div>
    </>
  );
}

function WordLine({ word, stretch, swapHref }: { word: ShownWord; stretch: boolean; swapHref: string | null }) {
  return (
    <li className="flex min-h-[4.6rem] items-center gap-3 border-b border-line py-2">
      <span className="grid min-w-0 flex-1 gap-x-3 gap-y-1 sm:grid-cols-[6rem_1fr] sm:items-center">
        <span className="font-word text-2xl font-bold">{word.word}</span>
        <span className="flex min-w-0 flex-col gap-1">
          <BounceLine marks={word.marks} count={word.count} size="list" />
          <span className="text-[0.95rem] leading-tight text-muted">
            {word.meaning}{word.contested && <em> · {word.contested}</em>}{stretch && <strong className="font-semibold text-ink"> · stretch</strong>}
          </span>
        </span>
      </span>
      {swapHref && (
        <Link href={swapHref} scroll={false} aria-label={`Swap ${word.word} for another word`} className="grid size-12 shrink-0 place-items-center rounded-lg text-green hover:bg-card">
          <RefreshCw aria-hidden="true" size={20} />
        </Link>
      )}
    </li>
  );
}
