'use client';

export default function ErrorPage({ reset }: { error: Error; reset: () => void }) {
  return (
    <main className="mx-auto max-w-2xl px-6 py-20">
      <h1 className="mb-4 text-4xl">This screen could not be shown</h1>
      <p className="mb-6 text-xl">
        Answers that were shown as marked are kept. Try again; if it goes on, restart Bouncy Echo.
      </p>
      <button type="button" className="action" onClick={reset}>
        Try again
      </button>
    </main>
  );
}
