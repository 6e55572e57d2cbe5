'use client';

import { useState, useTransition } from 'react';
import { tickSpellings, typeSpellings } from '@/actions/words';
import type { AddedSpellings } from '@/server/words/letters';
import { Button, buttonLook } from '../kit/button';
import { Collapsible } from '../kit/collapsible';
import { Field } from '../kit/field';
import { useKeptText } from '../kit/kept-form';
import { ErrorMessage } from '../kit/message';
import { unreached } from '../kit/unreached';

const HINT =
  'Put spaces between them: m o d t e h. You can also put each on a line of its own, with a word that has its sound ' +
  'and the date: ow, cow, 20/11/2026.';

interface TypedSpellingsProps {
  readonly groupId: string;
  /** Something was taught already. */
  readonly taught: boolean;
}

/** The setting’s own list, typed or pasted, and the same list as a file. */
export function TypedSpellings({ groupId, taught }: TypedSpellingsProps) {
  const { text, setText, done } = useKeptText(`spellings of ${groupId}`);
  // What was typed before and not understood is in sight.
  const [asked, ask] = useState(!taught);
  const [error, setError] = useState('');
  const [added, setAdded] = useState<AddedSpellings | null>(null);
  const [running, begin] = useTransition();
  const add = (): void =>
    begin(async () => {
      const answer = await typeSpellings(groupId, text).catch(unreached('Your list is still here.'));
      setError(answer.ok ? '' : answer.error);
      if (!answer.ok) return;
      setAdded(answer.value);
      done();
      const unread = answer.value.unread.map(({ typed }) => typed).join('\n');
      if (unread) setText(unread);
    });
  const undo = (of: AddedSpellings['added']): void =>
    begin(async () => {
      const plain = of.map(({ spelling, keys, on }) => ({ spelling, keys, on }));
      const answer = await tickSpellings(groupId, { of: plain, taught: false }).catch(
        unreached('Nothing was changed.'),
      );
      setError(answer.ok ? '' : answer.error);
      if (answer.ok) setAdded(null);
    });
  return (
    <Collapsible title="Type or paste your own list" open={asked || text !== ''} onOpenChange={ask}>
      <form
        className="max-w-2xl"
        onSubmit={(event) => {
          event.preventDefault();
          add();
        }}
      >
        <Field htmlFor="spellings-typed" label="Spellings you’ve taught, in your order" hint={HINT}>
          <textarea
            id="spellings-typed"
            className="field min-h-28 w-full font-word text-lg"
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
        </Field>
        <div aria-live="polite">
          <ErrorMessage className="mt-2">{error}</ErrorMessage>
          {added && <Result added={added} undo={undo} />}
        </div>
        <p className="mt-3 flex flex-wrap gap-3">
          <Button kind="action" type="submit" disabled={running || !text.trim()}>
            Tick these
          </Button>
          {taught && (
            <a className={buttonLook({})} href={`/api/groups/${groupId}/letters`} download>
              Save our list as CSV
            </a>
          )}
        </p>
      </form>
    </Collapsible>
  );
}

interface ResultProps {
  readonly added: AddedSpellings;
  readonly undo: (of: AddedSpellings['added']) => void;
}

/** What became of the list: how many, which sound was taken where none was named, what could not be read. */
function Result({ added: { read, unread, added }, undo }: ResultProps) {
  const assumed = read.filter((s) => s.assumed);
  return (
    <div className="mt-3 rounded-xl border border-line bg-card p-4">
      <p>
        {read.length === 1 ? 'One spelling is ticked' : `${read.length} spellings are ticked`}
        {added.length < read.length && `, ${added.length === 0 ? 'none' : added.length} of them new`}.{' '}
        {added.length > 0 && (
          <Button kind="quiet" onClick={() => undo(added)}>
            Undo
          </Button>
        )}
      </p>
      {assumed.length > 0 && (
        <p className="mt-1 text-muted">
          We took the usual sound:{' '}
          {assumed.map(({ spelling, examples }) => `${spelling.replace('_', '…')} as in ${examples[0]}`).join(', ')}.
          You can tick another sound below.
        </p>
      )}
      {unread.length > 0 && (
        <ul className="mt-1">
          {unread.map(({ typed, why }) => (
            <li key={typed}>{why}</li>
          ))}
        </ul>
      )}
    </div>
  );
}
