import type { ChildPaper } from '@/server/children/child-paper';
import { Link } from '../kit/link';
import { PrintedPart } from '../kit/printed-part';
import { PrintButton } from '../words/print-button';

/** One page on a child for a family or a meeting: words first; figures only where somebody asks for them. */
export function ChildPaperScreen({ paper, figures }: { paper: ChildPaper; figures: boolean }) {
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
        <p className="mt-6 text-xl">We haven’t seen enough yet to say what {paper.name} can do.</p>
      )}
      <PrintedPart heading="What’s going well" lines={paper.can} />
      <PrintedPart heading="What’s on its way" lines={paper.coming} />
      {paper.next && <PrintedPart heading="What we’ll play next" lines={[paper.next]} />}
      <PrintedPart heading="To try at home" lines={paper.home} />
      {figures && <PrintedPart heading="The figures behind this" lines={paper.figures} />}
      <p className="mt-7 text-lg text-muted print:mt-5">
        This is what we’ve seen in short listening and talking games. It may not show everything {paper.name} can do.
        It’s a teaching record, not a diagnosis. If you wonder about hearing, speech or language, please talk to us.
      </p>
    </main>
  );
}
