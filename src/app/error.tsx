'use client';

import { error as say } from './text';

export default function ErrorPage({ reset }: { error: Error; reset: () => void }) {
  return (
    <main className="mx-auto max-w-2xl px-6 py-20">
      <h1 className="mb-4 text-4xl">{say.screenCouldShown}</h1>
      <p className="mb-6 text-xl">{say.answersShownMarked}</p>
      <button type="button" className="action" onClick={reset}>
        {say.tryAgain}
      </button>
    </main>
  );
}
