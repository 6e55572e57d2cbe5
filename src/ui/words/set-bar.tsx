import { clsx } from 'clsx';

const wordsInSet = (words: number) => `${words} ${words === 1 ? 'word' : 'words'} in the set`;

/** The set, always in reach on a screen where it stands under the words. */
export const SetBar = ({ words }: { readonly words: number }) => (
  <p className="sticky bottom-2 z-20 lg:hidden">
    <a
      href="#set"
      className={clsx(
        'flex min-h-14 items-center justify-between gap-3 rounded-2xl border border-line-strong bg-card px-5',
        'font-word text-lg shadow-lg',
      )}
    >
      <b>{wordsInSet(words)}</b> <span className="underline underline-offset-4">See and play</span>
    </a>
  </p>
);
