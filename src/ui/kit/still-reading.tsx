import { stillReading as say } from './text';

/** Says that what is shown is not complete yet: sessions kept by an earlier version are still being read. */
export function StillReading({ sessions }: { readonly sessions: number }) {
  if (!sessions) return null;
  return (
    <p role="status" className="mx-auto max-w-[82rem] px-4 pt-3 text-muted sm:px-10">
      {say.stillBeingAdded(sessions)}
    </p>
  );
}
