import { clsx } from 'clsx';
import { OUTCOMES, OUTCOME_WORDS } from '@/core/answers/outcome';
import { OutcomeMark } from '../kit/outcome-mark';
import { Plant } from '../kit/plant';
import type { SheetRound } from '@/server/sessions/papers';

const HEAD = 'border border-line-strong px-1 py-1 align-bottom font-word font-bold wrap-break-word';
/** So many boxes in a line, and their heads are small, so that no word is broken. */
const MANY_BOXES = 8;
const SMALL = 'font-sans text-base font-normal text-muted';

/** What to write in a box: the signs of the screen, and the keys to type them in by. */
export const MarkKey = () => (
  <p className="mb-3 text-sm">
    Mark with:{' '}
    {OUTCOMES.map((outcome, i) => (
      <span key={outcome} className="mr-3 whitespace-nowrap">
        <OutcomeMark outcome={outcome} label={false} /> {OUTCOME_WORDS[outcome].toLowerCase()} ({i + 1})
      </span>
    ))}
    No reply isn’t a mistake.
  </p>
);

/** A round on paper: names down, items across, a box for each; a child’s own words stand in their boxes. */
export function TickGrid({ round }: { readonly round: SheetRound }) {
  const { name, step, own, rows } = round;
  const boxes = Math.max(1, ...rows.map((r) => r.boxes.length));
  const heads = own ? Array.from({ length: boxes }, (_, i) => `Turn ${i + 1}`) : (rows[0]?.boxes ?? []);
  return (
    <section className="mb-6 break-inside-avoid">
      <h2 className="mb-1 text-xl">
        {name} {!own && <span className={SMALL}>{step}</span>}
      </h2>
      <div className="overflow-x-auto" tabIndex={0} aria-label={`Grid for ${name}`}>
        <table className="w-full border-collapse text-left">
          <thead>
            <tr>
              <th className="w-28 border border-line-strong px-2 py-1 font-word">Name</th>
              {heads.map((head, i) => (
                <th key={i} className={clsx(HEAD, boxes > MANY_BOXES ? 'text-[0.8rem]' : 'text-base')}>
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row, i) => (
              <tr key={i}>
                <th
                  scope="row"
                  className="h-10 border border-line-strong px-2 font-word font-normal wrap-anywhere print:h-6"
                >
                  {row.plant && <Plant id={row.plant} />} {row.name || <span className="sr-only">a child</span>}
                </th>
                {heads.map((_, box) => (
                  <td key={box} className="border border-line-strong px-1.5 align-top font-word wrap-anywhere">
                    {own ? (row.boxes[box] ?? '') : ''}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
