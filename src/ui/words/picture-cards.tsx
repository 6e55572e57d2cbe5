'use client';

import { clsx } from 'clsx';
import { useState } from 'react';
import type { Shown } from '@/core/games/view';
import { BounceLine } from '../kit/bounce-line';
import { Checkbox } from '../kit/checkbox';
import { Picture } from '../kit/picture';

/** Cards to cut out: a picture where there is one, the line, and the word where it is wanted. */
export function PictureCards({
  words,
}: {
  words: readonly Pick<Shown, 'word' | 'marks' | 'count' | 'meaning' | 'picture'>[];
}) {
  const [worded, setWorded] = useState(true);
  return (
    <>
      <div className="mb-4 print:hidden">
        <Checkbox label="With the word under the picture" checked={worded} onChange={setWorded} />
      </div>
      <ul className="grid grid-cols-2 gap-4 sm:grid-cols-3 print:grid-cols-3">
        {words.map((w) => (
          <li
            key={w.word}
            className={clsx(
              'flex aspect-[3/4] break-inside-avoid flex-col items-center justify-between gap-2',
              'rounded-xl border-2 border-dashed border-line-strong bg-card p-4 text-center',
            )}
          >
            <span className="grid flex-1 place-items-center">
              {w.picture ? (
                <Picture code={w.picture} size={150} />
              ) : (
                <span className="text-lg text-balance text-muted">
                  {w.meaning}
                  <span className="mt-2 block text-sm">(space to draw it)</span>
                </span>
              )}
            </span>
            <BounceLine marks={w.marks} count={w.count} size="list" />
            {worded && <span className="font-word text-3xl font-bold wrap-anywhere">{w.word}</span>}
          </li>
        ))}
      </ul>
      {!words.length && <p className="text-muted">There are no words to make cards from.</p>}
    </>
  );
}
