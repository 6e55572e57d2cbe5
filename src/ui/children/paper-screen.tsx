import { clsx } from 'clsx';
import type { Paper } from '@/server/children/papers';
import { Link } from '../kit/link';
import { PrintButton } from '../words/print-button';
import { ChangePicture } from './change-picture';

/** A page to hand on, as it is printed. */
interface PaperProps {
  readonly paper: Paper;
  readonly csvAt?: string;
  /** Another way to have the page. */
  readonly other?: { readonly href: string; readonly name: string };
}

export function PaperScreen({ paper, csvAt, other }: PaperProps) {
  const [heads, ...rows] = paper.table;
  return (
    <main className="mx-auto max-w-[46rem] px-4 py-6 print:max-w-none print:p-0 print:text-[0.85rem]">
      <nav aria-label="This page" className="mb-6 flex flex-wrap items-center gap-3 print:hidden">
        <Link className="quiet px-1" href={paper.back.href}>
          {paper.back.name}
        </Link>
        {csvAt && (
          <a className="plain" href={csvAt} download>
            As a table (CSV)
          </a>
        )}
        {other && (
          <Link className="plain" href={other.href}>
            {other.name}
          </Link>
        )}
        <PrintButton />
      </nav>
      {paper.setting && <p className="font-word text-xl wrap-anywhere print:text-base">{paper.setting}</p>}
      <h1 className="text-4xl wrap-anywhere print:text-2xl">{paper.title}</h1>
      <p className="text-muted">{paper.day}</p>
      {paper.parts.map(({ heading, lines, room = 0 }) => (
        <section key={heading} className="mt-5 break-inside-avoid print:mt-2.5">
          <h2 className="mb-1 text-2xl wrap-anywhere print:mb-0.5 print:text-lg">{heading}</h2>
          <ul className="space-y-1 text-lg leading-snug print:space-y-0.5 print:text-[0.85rem]">
            {lines.map((line) => (
              <li key={line}>
                {line}
                <Room lines={room} />
              </li>
            ))}
          </ul>
          {!lines.length && <Room lines={room} />}
        </section>
      ))}
      {paper.change && paper.change.length > 0 && <ChangePicture change={paper.change} />}
      {heads && (
        <div
          className={clsx(
            'mt-6 overflow-x-auto print:mt-3 print:overflow-visible',
            paper.tableOnScreen && 'print:hidden',
          )}
          tabIndex={0}
          role="region"
          aria-label={paper.tableTitle}
        >
          <table className="w-full border-collapse text-left print:text-[0.75rem]">
            <caption className="mb-1 text-left font-word text-2xl print:text-lg">{paper.tableTitle}</caption>
            <thead>
              <tr className="border-b border-line-strong align-bottom">
                {heads.map((head) => (
                  <th key={head} scope="col" className="py-1 pr-3 leading-tight">
                    {head}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={row.slice(0, 2).join(' ')} className="break-inside-avoid border-b border-line">
                  {row.map((cell, i) => (
                    <td key={i} className="py-1 pr-3 print:py-px">
                      {cell}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      <p className="mt-6 text-muted print:mt-3">{paper.caution}</p>
    </main>
  );
}

/** Lines to write on. */
const Room = ({ lines }: { readonly lines: number }) => (
  <>
    {Array.from({ length: lines }, (_, i) => (
      <span key={i} aria-hidden="true" className="block h-8 border-b border-line-strong print:h-7" />
    ))}
  </>
);
