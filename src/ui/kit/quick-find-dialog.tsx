'use client';

import { clsx } from 'clsx';
import { Command } from 'cmdk';
import { useRouter } from 'next/navigation';
import { useEffect, useEffectEvent, useState, type KeyboardEvent } from 'react';
import { groupBy } from '@/core/group-by';
import type { Hit } from '@/server/whole/quick-find';
import { Dialog } from './dialog';
import { ErrorMessage } from './message';
import { unreached } from './unreached';

const KIND_HEADINGS = {
  count: 'By number of sounds',
  child: 'Children',
  word: 'Words',
  sound: 'Sounds',
  set: 'Word sets',
  plan: 'Plans',
  session: 'Sessions',
  note: 'Notes',
  place: 'Screens',
} as const;

/** While someone is typing, nothing is asked for: milliseconds between two keys. */
const TYPING_MS = 120;

interface FoundHits {
  /** What was typed for it. */
  readonly typed: string;
  readonly hits: readonly Hit[];
  readonly error: string | null;
}

/** What the server finds for `typed`; `null` until the first answer. */
function useFound(typed: string): FoundHits | null {
  const [found, setFound] = useState<FoundHits | null>(null);
  useEffect(() => {
    const stop = new AbortController();
    const ask = async (): Promise<void> => {
      try {
        const answer = await fetch(`/api/find?q=${encodeURIComponent(typed)}`, { signal: stop.signal });
        const body = (await answer.json()) as Hit[] | { readonly error: string };
        setFound('error' in body ? { typed, hits: [], error: body.error } : { typed, hits: body, error: null });
      } catch {
        if (!stop.signal.aborted) setFound({ typed, hits: [], ...unreached()() });
      }
    };
    const wait = setTimeout(() => void ask(), typed ? TYPING_MS : 0);
    return () => {
      clearTimeout(wait);
      stop.abort();
    };
  }, [typed]);
  return found;
}

/**
 * What Enter does while the answer is on its way: it waits for it and goes to the first that is found, for what still
 * stands in the list was found for something else.
 */
function useEnter(typed: string, found: FoundHits | null, go: (href: string) => void): (event: KeyboardEvent) => void {
  const [entered, enter] = useState<string | null>(null);
  const href = found && found.typed === entered ? found.hits[0]?.href : undefined;
  const arrive = useEffectEvent(go);
  useEffect(() => {
    if (href !== undefined) arrive(href);
  }, [href]);
  return (event) => {
    if (event.key !== 'Enter' || event.nativeEvent.isComposing || found?.typed === typed) return;
    event.preventDefault();
    enter(typed);
  };
}

const GROUP = '**:[[cmdk-group-heading]]:px-3 **:[[cmdk-group-heading]]:pt-3 **:[[cmdk-group-heading]]:text-muted';
const ITEM = clsx(
  'flex min-h-12 cursor-pointer flex-wrap items-baseline gap-x-3 rounded-lg px-3 py-2.5',
  'data-[selected=true]:bg-slate-soft',
);

/** What tells a hit from the others of its kind. */
const valueOf = ({ kind, href, name }: Hit, at: number): string => `${kind} ${at} ${href} ${name}`;

/** A field, and what it finds; arrows choose and Enter goes there. */
export function QuickFindDialog({ close }: { readonly close: () => void }) {
  const [typed, setTyped] = useState('');
  const found = useFound(typed);
  // What comes from the server comes late: the first of it is chosen then, and not what stood there before.
  const [chosen, choose] = useState('');
  const [last, setLast] = useState(found);
  if (found !== last) {
    setLast(found);
    choose(found?.hits[0] ? valueOf(found.hits[0], 0) : '');
  }
  const router = useRouter();
  const go = (href: string): void => {
    close();
    router.push(href);
  };
  const pressed = useEnter(typed, found, go);
  return (
    <Dialog open onOpenChange={close} title="Find anything" high>
      <Command
        shouldFilter={false}
        label="Find anything"
        loop
        value={chosen}
        onValueChange={choose}
        onKeyDown={pressed}
      >
        <Command.Input
          autoFocus
          className="field"
          placeholder="a name, a word, 4 sounds, or sh o p"
          value={typed}
          maxLength={60}
          onValueChange={setTyped}
        />
        <Command.List hidden={!found?.hits.length} className="mt-3 max-h-[60dvh] overflow-y-auto" label="What we found">
          {[...groupBy(found?.hits ?? [], (hit) => hit.kind)].map(([kind, hits]) => (
            <Command.Group key={kind} heading={KIND_HEADINGS[kind]} className={GROUP}>
              {hits.map((hit, at) => (
                <Command.Item
                  key={`${kind} ${at} ${hit.href}`}
                  value={`${kind} ${at} ${hit.href} ${hit.name}`}
                  onSelect={() => go(hit.href)}
                  className={ITEM}
                >
                  <span className="font-word text-lg wrap-anywhere">{hit.name}</span>
                  <span className="min-w-0 wrap-anywhere text-muted">{hit.detail}</span>
                </Command.Item>
              ))}
            </Command.Group>
          ))}
        </Command.List>
        <div role="status">
          <ErrorMessage>{found?.error}</ErrorMessage>
          {found && !found.hits.length && !found.error && found.typed === typed && (
            <p className="px-3 py-4 text-muted">
              We can’t find “{typed}”. Try part of a name, a day like 26 November, or sounds with spaces between them.
            </p>
          )}
        </div>
      </Command>
    </Dialog>
  );
}
