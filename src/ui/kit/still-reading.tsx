const sessionsBehind = (sessions: number) =>
  `${sessions === 1 ? 'One earlier session is' : `${sessions} earlier sessions are`} still being added up. ` +
  'Nothing is lost: look again in a minute.';
/** Says that what is shown is not complete yet: sessions kept by an earlier version are still being read. */
export function StillReading({ sessions }: { readonly sessions: number }) {
  if (!sessions) return null;
  return (
    <p role="status" className="mx-auto max-w-[82rem] px-4 pt-3 text-muted sm:px-10">
      {sessionsBehind(sessions)}
    </p>
  );
}
