'use client';

import { format } from 'date-fns';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState, useSyncExternalStore, useTransition } from 'react';
import { keepTyped } from '@/actions/papers';
import type { Sheet } from '@/server/sessions/papers';
import { Button, buttonLook } from '../kit/button';
import { Field } from '../kit/field';
import { Link } from '../kit/link';
import { ErrorMessage } from '../kit/message';
import { deviceNow } from '../play/run/device';
import { draftOf, keepDraft } from './paper-draft';
import { PaperGrid } from './paper-grid';
import { asLines, asText, markedIn, typingOf } from './paper-typing';
import { unreached } from '../kit/unreached';

const saveMarks = (marks: number) => (marks === 1 ? 'Save 1 mark' : `Save ${marks} marks`);

interface PaperProps {
  readonly sheet: Sheet;
  /** As an input has it. */
  readonly today: string;
}

const never = () => () => undefined;

/** A tick grid that was marked on paper, typed in box by box as it lies on the table. */
export function PaperScreen({ sheet, today }: PaperProps) {
  // What was typed before is on this device, so the boxes are drawn once the page is there.
  const there = useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
  return (
    <>
      <h1 className="text-4xl wrap-anywhere">Type in grid {sheet.number}</h1>
      <p className="mt-1 text-lg text-muted">
        {sheet.title} · {sheet.groupName} · printed on {format(sheet.madeAt, 'EEEE d MMMM')}
      </p>
      {sheet.sessionId && (
        <>
          <p className="mt-4 mb-3 text-lg">This grid has already been typed in.</p>
          <Link className={buttonLook({ kind: 'action' })} href={`/look-back/${sheet.sessionId}`}>
            Look back at it
          </Link>
        </>
      )}
      {!sheet.sessionId && there && <Typed sheet={sheet} today={today} />}
    </>
  );
}

function Typed({ sheet: { number, rounds }, today }: PaperProps) {
  const router = useRouter();
  const [widths] = useState(() => rounds.map((r) => r.rows.map((row) => row.boxes.length)));
  const [before] = useState(() => draftOf(number));
  const [typing, setTyping] = useState(() => typingOf(widths, before.marks));
  const [day, setDay] = useState(before.day ?? today);
  const [by, setBy] = useState(before.by ?? deviceNow().by);
  const [error, setError] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  const marks = asText(typing);
  // Once anything was filled in, every change is kept: a box that was emptied stays empty.
  const begun = useRef(before.marks !== undefined);
  useEffect(() => {
    begun.current ||= marks.trim() !== '' || day !== today || by !== deviceNow().by;
    if (begun.current) keepDraft(number, { marks, day, by });
  }, [number, marks, day, by, today]);
  const keep = (): void =>
    begin(async () => {
      const kept = await keepTyped(number, { day, by, marks: asLines(typing, widths) }).catch(
        unreached('What you typed is still here: try again in a moment.'),
      );
      setError('error' in kept ? kept.error : null);
      if ('error' in kept) return;
      keepDraft(number, null);
      router.push(`/look-back/${kept.value}`);
    });
  return (
    <>
      <p className="mt-3 max-w-3xl leading-snug">
        Tap a box, then its mark. Each mark moves you on to the next box. What you type stays on this device until you
        save it.{' '}
        <span className="hidden sm:inline">
          With keys: 1 to 5 for the marks below, Space to leave a box empty, Enter for the next line, Backspace to take
          a mark back.
        </span>
      </p>
      <PaperGrid rounds={rounds} typing={typing} onTyping={setTyping} />
      <form
        className="mt-6 flex flex-wrap items-end gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          keep();
        }}
      >
        <Field label="When did you play?" htmlFor="day">
          <input
            id="day"
            type="date"
            className="field"
            value={day}
            max={today}
            required
            onChange={(event) => setDay(event.target.value)}
          />
        </Field>
        <Field label="Marked by (initials)" htmlFor="by">
          <input
            id="by"
            className="field"
            maxLength={24}
            autoComplete="off"
            value={by}
            onChange={(event) => setBy(event.target.value)}
          />
        </Field>
        <Button kind="action" type="submit" disabled={busy}>
          {saveMarks(markedIn(typing))}
        </Button>
      </form>
      <ErrorMessage className="mt-4">{error}</ErrorMessage>
    </>
  );
}
