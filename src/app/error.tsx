'use client';

export default function ErrorPage({ reset }: { error: Error; reset: () => void }) {
  return (
    <main className="mx-auto max-w-2xl px-6 py-20">
      <h1 className="mb-4 text-4xl">Something went wrong</h1>
      <p className="mb-6 text-xl">
        Every answer you marked is saved. Try again, and if it happens again, restart Bouncy Echo.
      </p>
      <button type="button" className="action" onClick={reset}>
        Try again
      </button>
    </main>
  );
}
