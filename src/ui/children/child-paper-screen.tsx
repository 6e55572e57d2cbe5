import type { ChildPaper } from '@/server/children/child-paper';
import { Link } from '../kit/link';
import { PrintButton } from '../words/print-button';

/** One page on a child for a family or a meeting: words first; figures only where somebody asks for them. */
export function ChildPaperScreen({ paper, figures }: { paper: ChildPaper; figures: boolean }) {
  const part = (heading: string, lines: readonly string[]) =>
    lines.length > 0 && (
      <section className="mt-6 break-inside-avoid print:mt-4">
        <h2 className="mb-1.5 text-2xl print:text-xl">{heading}</h2>
        <ul className="space-y-1 text-xl print:text-lg">
          {lines.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      </section>
    );
  return (
    <main className="mx-auto max-w-[46rem] px-4 py-6 print:max-w-none print:p-0">
      <nav aria-label="This page" className="mb-8 flex flex-wrap items-center gap-3 print:hidden">
        <Link className="quiet px-1" href={`/children/${paper.id}`}>
          {paper.name}
        </Link>
        <Link
          className="plain"
          href={figures ? `/print/children/${paper.id}` : `/print/children/${paper.id}?figures=1`}
        >
          {figures ? 'Without figures' : 'With figures'}
        </Link>
        <PrintButton />
      </nav>
      <h1 className="text-5xl wrap-anywhere print:text-4xl">{paper.name}</h1>
      <p className="mt-1 text-xl text-muted">
        {paper.group} · sound games · {paper.day}
      </p>
      {paper.can.length + paper.coming.length === 0 && (
        <p className="mt-6 text-xl">We haven’t seen enough yet to say where {paper.name} is.</p>
      )}
      {part('What’s going well', paper.can)}
      {part('What’s on its way', paper.coming)}
      {paper.next && part('What we’ll play next', [paper.next])}
      {part('To try at home', paper.home)}
      {figures && part('The figures behind this', paper.figures)}
      <p className="mt-7 text-lg text-muted print:mt-5">
        This is what we’ve seen in short listening and talking games. It may not show everything {paper.name} can do.
        It’s a teaching record, not a diagnosis. If you wonder about hearing, speech or language, please talk to us.
      </p>
    </main>
  );
}
