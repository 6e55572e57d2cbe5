'use client';

import { clsx } from 'clsx';
import { useState, useTransition } from 'react';
import { keepOwnWay } from '@/actions/groups';
import { ACCESS, ACCESS_WORDS, type Access } from '@/core/answers/access';
import { COMMON_WAYS, isPlain, type OwnWay } from '@/core/answers/own-way';
import { ACCENT_IDS, accentOf, type AccentId } from '@/core/phonology/accents';
import { SHARED_CONSONANTS } from '@/core/phonology/consonants';
import { Button } from '../kit/button';
import { Dialog } from '../kit/dialog';
import { Field } from '../kit/field';
import { useKeptForm } from '../kit/kept-form';
import { ErrorMessage } from '../kit/message';
import { NotSaved } from '../kit/not-saved';
import { Select, SelectField } from '../kit/select';
import { unreached } from '../kit/unreached';

const saidFor = (said: string, asked: string) => `${said} for ${asked}`;

/** Two sounds have one label: a word tells them apart. */
const AS_IN: Readonly<Record<string, string>> = { θ: ' (thin)', ð: ' (this)' };
const label = (ipa: string): string => `/${SHARED_CONSONANTS[ipa]?.label ?? ipa}/${AS_IN[ipa] ?? ''}`;
const ALL = Object.keys(SHARED_CONSONANTS);
const NO_SLIP =
  'A child’s own way of saying sounds never counts as a mistake. This isn’t a diagnosis: if you’re worried about ' +
  'speech or hearing, talk to the family and follow your local rules.';
/** Sounds children leave out of clusters when they talk. */
const DROPPED = ['s', 'l', 'r', 'w', 'j', 'n'];

/** A child’s way of speaking in a few words. Example: `/t/ for /k/`. */
const ownWayWords = ({ swaps, drops, accent }: OwnWay): string =>
  [
    ...swaps.map((s) => saidFor(label(s.says), label(s.asked))),
    ...(drops.length ? [`no ${drops.map(label).join(' ')} in clusters`] : []),
    ...(accent ? [accentOf(accent).name] : []),
  ].join(', ');

/** What is set, in a few words. */
function inShort(way: OwnWay): string {
  if (!isPlain(way)) return `says ${ownWayWords(way)}`;
  if (way.access.length) return way.access.map((a) => ACCESS_WORDS[a].play).join(', ');
  if (way.lowOnly) return 'finds high sounds hard to hear';
  return way.languages ? `speaks ${way.languages} at home` : 'add speech differences';
}

/** How a child says sounds, set once: so that it is never taken for a slip. */
export function OwnWayButton({ child }: { readonly child: ChildOfWay }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        className={clsx(
          'min-h-12 px-3 text-left leading-snug text-muted underline decoration-line-strong',
          'underline-offset-4 hover:text-ink',
        )}
        onClick={() => setOpen(true)}
      >
        <span className="sr-only">{child.name}: </span>
        {inShort(child.ownWay)}
      </button>
      <Dialog open={open} onOpenChange={setOpen} title={`Speech and hearing: ${child.name}`} description={NO_SLIP}>
        {open && <OwnWayForm child={child} close={() => setOpen(false)} />}
      </Dialog>
    </>
  );
}

interface ChildOfWay {
  readonly id: string;
  readonly name: string;
  readonly ownWay: OwnWay;
}

function OwnWayForm({ child, close }: { readonly child: ChildOfWay; readonly close: () => void }) {
  const { form, values, changed, putBack, done } = useKeptForm(`own way ${child.id}`, { way: child.ownWay });
  const { way } = values as { way: OwnWay };
  const setWay = (next: OwnWay): void => form.setValue('way', next as never, { shouldDirty: true });
  const [pair, setPair] = useState({ asked: 'k', says: 't' });
  const [error, setError] = useState<string | null>(null);
  const [running, begin] = useTransition();
  const has = (asked: string, says: string): boolean => way.swaps.some((s) => s.asked === asked && s.says === says);
  const toggle = (asked: string, says: string): void =>
    setWay({
      ...way,
      swaps: has(asked, says)
        ? way.swaps.filter((s) => s.asked !== asked || s.says !== says)
        : [...way.swaps, { asked, says }],
    });
  const own = way.swaps.filter((s) => !COMMON_WAYS.some((c) => c.asked === s.asked && c.says === s.says));
  const keep = (): void =>
    begin(async () => {
      const state = await keepOwnWay(child.id, way).catch(unreached('What you chose is still here.'));
      setError(state.error ?? null);
      if (state.error) return;
      done(values);
      close();
    });
  return (
    <>
      <Swaps has={has} toggle={toggle} own={own} pair={pair} setPair={setPair} />
      <fieldset className="mt-4">
        <legend className="font-word text-lg font-bold">When two consonants come together, leaves out</legend>
        <div className="flex flex-wrap gap-x-6">
          {DROPPED.map((ipa) => (
            <Tick
              key={ipa}
              on={way.drops.includes(ipa)}
              onTap={() =>
                setWay({
                  ...way,
                  drops: way.drops.includes(ipa) ? way.drops.filter((d) => d !== ipa) : [...way.drops, ipa],
                })
              }
            >
              {label(ipa)}
            </Tick>
          ))}
        </div>
      </fieldset>
      <AccentField way={way} setWay={setWay} />
      <LanguagesField id={child.id} way={way} setWay={setWay} />
      <AccessFields way={way} setWay={setWay} />
      <ErrorMessage className="mt-3">{error}</ErrorMessage>
      <NotSaved changed={changed} putBack={putBack} className="mt-4" />
      <Button kind="action" className="mt-3 w-full" disabled={running} onClick={keep}>
        Save
      </Button>
    </>
  );
}

const Tick = ({ on, onTap, children }: { on: boolean; onTap: () => void; children: string }) => (
  <label className="flex min-h-12 cursor-pointer items-center gap-3">
    <input type="checkbox" className="size-6 shrink-0 accent-green" checked={on} onChange={onTap} />
    {children}
  </label>
);

interface SwapsProps {
  readonly has: (asked: string, says: string) => boolean;
  readonly toggle: (asked: string, says: string) => void;
  readonly own: { readonly asked: string; readonly says: string }[];
  readonly pair: { asked: string; says: string };
  readonly setPair: (next: { asked: string; says: string }) => void;
}

/** Sounds said for others. */
function Swaps({ has, toggle, own, pair, setPair }: SwapsProps) {
  return (
    <fieldset>
      <legend className="font-word text-lg font-bold">Swaps one sound for another</legend>
      <div className="grid sm:grid-cols-2">
        {COMMON_WAYS.map(({ asked, says, example }) => (
          <Tick key={asked + says} on={has(asked, says)} onTap={() => toggle(asked, says)}>
            {`${saidFor(label(says), label(asked))}: “${example[1]}” for ${example[0]}`}
          </Tick>
        ))}
        {own.map(({ asked, says }) => (
          <Tick key={asked + says} on onTap={() => toggle(asked, says)}>
            {saidFor(label(says), label(asked))}
          </Tick>
        ))}
      </div>
      <AnyPair pair={pair} setPair={setPair} has={has} toggle={toggle} />
    </fieldset>
  );
}

/** An accent of their own. */
function AccentField({ way, setWay }: { readonly way: OwnWay; readonly setWay: (next: OwnWay) => void }) {
  return (
    <div className="mt-4">
      <SelectField
        label={<span className="font-word text-lg font-bold">Speaks with another accent</span>}
        value={way.accent ?? ''}
        onChange={(accent) => setWay({ ...way, accent: (accent || null) as AccentId | null })}
        options={[
          ['', 'the setting’s own accent'],
          ...ACCENT_IDS.map((id): [string, string] => [id, accentOf(id).name]),
        ]}
      />
    </div>
  );
}

interface LanguagesProps {
  readonly id: string;
  readonly way: OwnWay;
  readonly setWay: (next: OwnWay) => void;
}

/** Which languages are spoken at home, in the adult’s own words. */
const LanguagesField = ({ id, way, setWay }: LanguagesProps) => (
  <div className="mt-4">
    <Field
      htmlFor={`languages-${id}`}
      label={<span className="font-word text-lg font-bold">Languages at home</span>}
      hint="Write them all if there’s more than one. This doesn’t change any marks."
    >
      <input
        id={`languages-${id}`}
        className="field w-full"
        maxLength={60}
        value={way.languages ?? ''}
        onChange={(event) => setWay({ ...way, languages: event.target.value })}
      />
    </Field>
  </div>
);

/** What is always so for the child, and what they hear best. */
function AccessFields({ way, setWay }: { readonly way: OwnWay; readonly setWay: (next: OwnWay) => void }) {
  const toggle = (access: Access): void =>
    setWay({
      ...way,
      access: way.access.includes(access) ? way.access.filter((a) => a !== access) : [...way.access, access],
    });
  return (
    <fieldset className="mt-4">
      <legend className="font-word text-lg font-bold">What this child always has (never counted as help)</legend>
      {ACCESS.map((access) => (
        <Tick key={access} on={way.access.includes(access)} onTap={() => toggle(access)}>
          {ACCESS_WORDS[access].name}
        </Tick>
      ))}
      <Tick on={way.lowOnly} onTap={() => setWay({ ...way, lowOnly: !way.lowOnly })}>
        Finds high sounds hard to hear: we won’t ask anything that only /s/, /f/, /th/ or /sh/ would tell apart
      </Tick>
      <p className="text-muted">
        Follow what you’ve agreed with the family and, if there is one, the child’s teacher of the deaf.
      </p>
    </fieldset>
  );
}

interface AnyPairProps {
  readonly pair: { asked: string; says: string };
  readonly setPair: (next: { asked: string; says: string }) => void;
  readonly has: (asked: string, says: string) => boolean;
  readonly toggle: (asked: string, says: string) => void;
}

const SOUNDS = ALL.map((ipa): [string, string] => [ipa, label(ipa)]);

/** Any sound for any other. */
function AnyPair({ pair, setPair, has, toggle }: AnyPairProps) {
  return (
    <div className="mt-2 flex flex-wrap items-center gap-2">
      <Select
        className="w-28"
        label="Says this sound"
        value={pair.says}
        onChange={(says) => setPair({ ...pair, says })}
        options={SOUNDS}
      />
      for
      <Select
        className="w-28"
        label="In place of this sound"
        value={pair.asked}
        onChange={(asked) => setPair({ ...pair, asked })}
        options={SOUNDS}
      />
      <button
        type="button"
        className="plain"
        disabled={pair.asked === pair.says || has(pair.asked, pair.says)}
        onClick={() => toggle(pair.asked, pair.says)}
      >
        Add
      </button>
    </div>
  );
}
