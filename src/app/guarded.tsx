import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { diskSentence, Problem } from '@/server/storage/problems';
import { databaseFile } from '@/server/storage/database';

/** Says a fault a person can put right in words, with nothing of the machinery. */
function ProblemScreen({ sentence }: { sentence: string }) {
  return (
    <main className="mx-auto max-w-2xl px-6 py-20">
      <h1 className="mb-4 text-4xl">Something went wrong</h1>
      <p role="alert" className="text-xl wrap-anywhere">
        {sentence}
      </p>
      <p className="mt-6">
        <a className="action" href="">
          Try again
        </a>
      </p>
    </main>
  );
}

/** Wraps a page: what is not there is a 404; a Problem becomes a sentence; anything else goes on to the error page. */
export function guarded<P>(page: (props: P) => Promise<ReactNode>): (props: P) => Promise<ReactNode> {
  return async (props) => {
    try {
      return await page(props);
    } catch (error) {
      if (error instanceof Problem && error.status === 404) notFound();
      const sentence = error instanceof Problem ? error.message : diskSentence(error, databaseFile());
      if (sentence) return <ProblemScreen sentence={sentence} />;
      throw error;
    }
  };
}

interface OfOne {
  readonly params: Promise<{ readonly id: string }>;
  readonly searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>;
}

/**
 * Wraps a page about one thing, by the id in its address, with what stands behind the question mark.
 * @example aboutOne(async (id, { as }) => <PrintedSetScreen set={await printedSet(id)} as={as} />)
 */
export const aboutOne = (page: (id: string, query: Awaited<OfOne['searchParams']>) => Promise<ReactNode>) =>
  guarded(async ({ params, searchParams }: OfOne) => page((await params).id, await searchParams));
