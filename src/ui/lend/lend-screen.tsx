'use client';

import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { anotherTablet, keepLendSettings, openLending, stopLending, type CodeShown } from '@/actions/lending';
import type { LendView, TabletShown } from '@/server/lending/lend';
import { Button, buttonLook } from '../kit/button';
import { Collapsible } from '../kit/collapsible';
import { Link } from '../kit/link';
import { ErrorMessage } from '../kit/message';
import { Plant } from '../kit/plant';
import { QrCode } from '../kit/qr-code';
import { RadioGroup } from '../kit/radio-group';
import { Switch } from '../kit/switch';
import { unreached } from '../kit/unreached';
import { tellLending, useLending } from './use-lending';

const LOOK_MS = 2_000;

const CLOSED_WORDS = {
  finished: 'The session is finished, so the way in is closed.',
  stopped: 'The way in is closed.',
  'two-hours': 'The way in was open for two hours, so it is closed.',
  slept: 'This computer was asleep, so the way in is closed.',
  'address-gone': 'This computer has another address now, so the way in is closed.',
} as const;

const marksOf = (marks: number): string => (marks === 1 ? '1 mark' : `${marks} marks`);

/** One tablet: what it is called, what came from it, whether it is heard. */
function TabletLine({ tablet: { colour, marks, quiet } }: { readonly tablet: TabletShown }) {
  return (
    <li className="flex flex-wrap gap-x-3">
      <b>{colour} tablet</b>
      <span>{marksOf(marks)}</span>
      <span className={quiet ? 'text-red' : 'text-muted'}>
        {quiet ? 'not heard from for a while; its marks are waiting on it' : 'here'}
      </span>
    </li>
  );
}

/** The code of one tablet: to be looked at by its camera, or typed. */
function Code({ code, now }: { code: CodeShown; now: number }) {
  if (now > code.until) return <p className="text-lg">That code is ten minutes old, so it’s no good any more.</p>;
  return (
    <div className="flex flex-wrap items-center gap-x-8 gap-y-4">
      <QrCode alt={`Code for the ${code.colour} tablet`} picture={code.picture} />
      <div className="max-w-md text-lg">
        <p>
          For the <b>{code.colour} tablet</b>. Point its camera at the picture. Or open{' '}
          <b className="font-mono wrap-anywhere">{code.url}</b> and type
        </p>
        <p className="my-2 font-mono text-3xl tracking-wider">{code.letters}</p>
        <p className="text-muted">It lets one tablet in, once, within ten minutes.</p>
      </div>
    </div>
  );
}

/** What somebody should know before a tablet is let in, said plainly. */
const Honest = ({ plain, initials }: LendView['settings']) => (
  <section>
    <h2 className="mb-2 text-2xl">What goes to the tablet</h2>
    <ul className="max-w-prose list-disc space-y-1 pl-5">
      <li>
        This session’s words, and each child’s plant{initials && ' and initials'}. No names, no notes, and nothing about
        how anyone speaks.
      </li>
      {plain ? (
        <li>
          Without https, anyone on the same network could read along: plants, and what was right or wrong in this one
          session.
        </li>
      ) : (
        <li>
          The tablet warns that it doesn’t know this computer. That’s expected. On an iPad tap Show Details, then visit
          this website; on an Android tablet tap Advanced, then Proceed. Nobody on the network can read along. Somebody
          in the room who pretends to be this computer could; the worst they would see is plants, and what was right or
          wrong in this one session.
        </li>
      )}
      <li>Best of all, use this computer’s own hotspot, which you’ll find in its network settings.</li>
      <li>Keep the tablet in an adult’s hands, and lock it when you put it down.</li>
      <li>Your setting’s own rules on tablets and on children’s data come first.</li>
    </ul>
  </section>
);

interface ChoicesProps {
  readonly settings: LendView['settings'];
  readonly onKept: (settings: LendView['settings']) => void;
}

/** How sessions are lent here: both are kept at once. */
function Choices({ settings: { initials, plain }, onKept }: ChoicesProps) {
  const [error, setError] = useState('');
  const keep = async (settings: LendView['settings']): Promise<void> => {
    const kept = await keepLendSettings(settings).catch(unreached('Nothing was changed.'));
    setError(kept.ok ? '' : kept.error);
    if (kept.ok) onKept(settings);
  };
  return (
    <section className="max-w-prose">
      <Switch
        label={
          <>
            <b>Initials beside the plants</b>
            <span className="block text-muted">Whoever sees the tablet sees them too.</span>
          </>
        }
        on={initials}
        onChange={(on) => void keep({ initials: on, plain })}
      />
      <Switch
        label={
          <>
            <b>Without https</b>
            <span className="block text-muted">
              Only on this computer’s own hotspot: there is no warning then, and no lock either.
            </span>
          </>
        }
        on={plain}
        onChange={(on) => void keep({ initials, plain: on })}
      />
      <ErrorMessage>{error}</ErrorMessage>
    </section>
  );
}

interface OpenProps {
  readonly view: LendView;
  readonly state: LendView['state'];
  readonly code: CodeShown | null;
  readonly busy: boolean;
  readonly onMore: () => void;
  readonly onStop: () => void;
}

/** While tablets can come in: the code, who is here, and the way to close it. */
function WayIn({ view, state, code, busy, onMore, onStop }: OpenProps) {
  // A code that let its tablet in is good for nothing more.
  const came = state.tablets.some((t) => t.colour === code?.colour);
  return (
    <>
      {code && !came && <Code code={code} now={state.now} />}
      <ul className="space-y-1 text-lg" aria-label="Tablets">
        {state.tablets.map((tablet) => (
          <TabletLine key={tablet.colour} tablet={tablet} />
        ))}
      </ul>
      <WhoIsWho people={view.people} />
      {state.fingerprint && <Fingerprint sum={state.fingerprint} />}
      <div className="flex flex-wrap gap-3">
        <Button disabled={busy} onClick={onMore}>
          {state.tablets.length || code ? 'Another tablet' : 'Let a tablet in'}
        </Button>
        <Button disabled={busy} onClick={onStop}>
          Close the way in
        </Button>
      </div>
    </>
  );
}

interface ClosedProps {
  readonly view: LendView;
  readonly state: LendView['state'];
  readonly busy: boolean;
  readonly onOpen: (address: string) => void;
}

/** Before: by which address, and why it was closed where it was open. */
function Closed({ view, state, busy, onOpen }: ClosedProps) {
  const [address, setAddress] = useState(view.addresses[0]?.address ?? '');
  return (
    <>
      {state.ended?.session === view.session && <p role="status">{CLOSED_WORDS[state.ended.why]}</p>}
      <Addresses view={view} address={address} setAddress={setAddress} />
      <Button kind="action" size="big" disabled={busy || !address} onClick={() => onOpen(address)}>
        Let a tablet in
      </Button>
    </>
  );
}

/** Lends one session to tablets in the room. */
export function LendScreen({ view }: { readonly view: LendView }) {
  const router = useRouter();
  const { state, look } = useLending(view.state, LOOK_MS);
  const [code, setCode] = useState<CodeShown | null>(null);
  const [settings, setSettings] = useState(view.settings);
  const [error, setError] = useState('');
  const [busy, begin] = useTransition();
  const open = state.session === view.session;
  const after = async (): Promise<void> => {
    await look();
    tellLending();
    // Whoever had no plant has one now.
    router.refresh();
  };
  const act = (work: () => ReturnType<typeof anotherTablet>): void =>
    begin(async () => {
      const answer = await work().catch(unreached('Nothing was opened.'));
      setError(answer.ok ? '' : answer.error);
      if (answer.ok) setCode(answer.value);
      await after();
    });
  const stop = (): void =>
    begin(async () => {
      const answer = await stopLending().catch(unreached('The way in is still open.'));
      setError(answer.ok ? '' : answer.error);
      if (answer.ok) setCode(null);
      await after();
    });
  return (
    <>
      <h1 className="mb-1 text-4xl">Play it on a tablet</h1>
      <p className="mb-6 text-lg text-muted">{view.what}</p>
      <div className="max-w-4xl space-y-8">
        {view.why && <p className="text-lg">{view.why}</p>}
        {!view.why && (
          <section className="space-y-5">
            {open ? (
              <WayIn
                view={view}
                state={state}
                code={code}
                busy={busy}
                onMore={() => act(() => anotherTablet(view.session))}
                onStop={stop}
              />
            ) : (
              <Closed
                view={view}
                state={state}
                busy={busy}
                onOpen={(address) => act(() => openLending(view.session, address))}
              />
            )}
            <ErrorMessage>{error}</ErrorMessage>
            <p>
              <Link className={buttonLook({})} href={`/play/${view.session}`}>
                Play it here too
              </Link>
            </p>
          </section>
        )}
        {!open && <Choices settings={settings} onKept={setSettings} />}
        <Honest {...settings} />
      </div>
    </>
  );
}

/** Which way a tablet comes by. */
function Addresses({
  view,
  address,
  setAddress,
}: {
  readonly view: LendView;
  readonly address: string;
  readonly setAddress: (address: string) => void;
}) {
  if (!view.addresses.length)
    return (
      <p className="text-lg">
        This computer is on no network. Switch its hotspot on, join the tablet to it, and open this page again.
      </p>
    );
  if (view.addresses.length === 1) return null;
  return (
    <RadioGroup
      legend="Which network is the tablet on?"
      value={address}
      onChange={setAddress}
      options={view.addresses.map((a) => ({ value: a.address, label: a.address, hint: a.name }))}
    />
  );
}

/** The names stay here: this is how the adult knows whose turn it is there. */
const WhoIsWho = ({ people }: Pick<LendView, 'people'>) => (
  <Collapsible title="Who is who on the tablet" defaultOpen className="max-w-prose">
    <ul className="flex flex-wrap gap-x-6 gap-y-1">
      {people.map(({ id, name, plant, called }) => (
        <li key={id}>
          {plant && <Plant id={plant} />} <b>{called}</b> is {name}
        </li>
      ))}
    </ul>
  </Collapsible>
);

const Fingerprint = ({ sum }: { readonly sum: string }) => (
  <Collapsible title="To be quite sure it is this computer" className="max-w-prose">
    <p className="text-muted">
      Open the warning’s details on the tablet, and compare its SHA-256 fingerprint with this one:
      <span className="block font-mono wrap-anywhere">{sum}</span>
    </p>
  </Collapsible>
);
