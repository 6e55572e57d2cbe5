import { OUTCOME_WORDS, type Outcome } from '@/core/answers/outcome';

/** A small sign for an outcome, told apart by shape: full, half, hollow, dash, cross. */
export function OutcomeMark({ outcome, label = true }: { outcome: Outcome; label?: boolean }) {
  const ink = 'var(--color-ink)';
  const signs = {
    'on-own': <circle cx="7" cy="7" r="6" fill={ink} />,
    'with-help': (
      <>
        <circle cx="7" cy="7" r="5" fill="none" stroke={ink} strokeWidth="2" />
        <path d="M7 1 a6 6 0 0 0 0 12z" fill={ink} />
      </>
    ),
    'not-yet': <circle cx="7" cy="7" r="5" fill="none" stroke={ink} strokeWidth="2" />,
    'no-reply': <path d="M2 7h10" stroke={ink} strokeWidth="2.5" strokeLinecap="round" />,
    'does-not-count': <path d="M3 3l8 8M11 3l-8 8" stroke={ink} strokeWidth="2" strokeLinecap="round" />,
  } as const;
  return (
    <svg
      width="14"
      height="14"
      viewBox="0 0 14 14"
      className="inline-block shrink-0 align-[-1px]"
      {...(label ? { role: 'img', 'aria-label': OUTCOME_WORDS[outcome] } : { 'aria-hidden': true })}
    >
      {signs[outcome]}
    </svg>
  );
}
