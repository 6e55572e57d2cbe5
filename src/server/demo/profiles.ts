import type { LikelyAnswer } from '../../core/answers/likely';
import type { Help, Outcome } from '../../core/answers/outcome';
import type { Random } from '../../core/random';
import { sure } from '../../core/sure';

/** How a made-up child tends to answer. Shares are invented, for the demo only. */
interface Profile {
  /** Share of answers for each outcome, in words without and with a cluster. */
  readonly plain: Shares;
  readonly cluster: Shares;
  /** What comes with help comes once it was said again. */
  readonly onlyAgain?: true;
  /** Seconds before the tap, least and most. */
  readonly seconds: readonly [number, number];
}

type Shares = Partial<Record<Outcome, number>>;

export const PROFILES = {
  'racing-ahead': {
    plain: { 'on-own': 0.97, 'with-help': 0.03 },
    cluster: { 'on-own': 0.9, 'with-help': 0.1 },
    seconds: [2, 5],
  },
  steady: {
    plain: { 'on-own': 0.68, 'with-help': 0.2, 'not-yet': 0.12 },
    cluster: { 'on-own': 0.45, 'with-help': 0.3, 'not-yet': 0.25 },
    seconds: [4, 10],
  },
  'drops-from-clusters': {
    plain: { 'on-own': 0.94, 'with-help': 0.05, 'not-yet': 0.01 },
    cluster: { 'on-own': 0.04, 'with-help': 0.06, 'not-yet': 0.9 },
    seconds: [4, 9],
  },
  quiet: {
    plain: { 'no-reply': 0.7, 'on-own': 0.25, 'not-yet': 0.05 },
    cluster: { 'no-reply': 0.8, 'on-own': 0.15, 'not-yet': 0.05 },
    seconds: [10, 20],
  },
  'with-help-only': {
    plain: { 'with-help': 0.88, 'not-yet': 0.12 },
    cluster: { 'with-help': 0.7, 'not-yet': 0.3 },
    onlyAgain: true,
    seconds: [8, 16],
  },
} as const satisfies Record<string, Profile>;

export type ProfileId = keyof typeof PROFILES;

function pick(shares: Shares, random: Random): Outcome {
  let left = random();
  const rows = Object.entries(shares) as [Outcome, number][];
  for (const [outcome, share] of rows) {
    left -= share;
    if (left < 0) return outcome;
  }
  return sure(rows[0])[0];
}

export interface DemoAnswer {
  readonly outcome: Outcome;
  readonly likely: LikelyAnswer | undefined;
  readonly helps: readonly Help[];
  readonly thinkMs: number;
  /** What the adult adds right after the mark, now and then. */
  readonly after: { readonly helps: readonly Help[] } | { readonly selfCorrected: true } | null;
}

/** What the adult adds to a mark, now and then. */
function afterwards(outcome: Outcome, helps: readonly Help[], random: Random): DemoAnswer['after'] {
  if (outcome === 'with-help' && !helps.length && random() < 0.4) {
    return { helps: [random() < 0.6 ? 'gesture' : 'choice'] };
  }
  return outcome === 'on-own' && random() < 0.05 ? { selfCorrected: true } : null;
}

/** What a child of this profile does with a word: outcome, slip, help and time. Same numbers in, same answer out. */
export function answerAs(
  profile: ProfileId,
  hasCluster: boolean,
  likely: readonly LikelyAnswer[],
  random: Random,
): DemoAnswer {
  const { plain, cluster, seconds, onlyAgain }: Profile = PROFILES[profile];
  const outcome = pick(hasCluster ? cluster : plain, random);
  const slips = likely.filter((a) => a.outcome === outcome);
  // A child who drops sounds from clusters does just that; the others slip in any of the likely ways.
  const at =
    profile === 'drops-from-clusters'
      ? Math.max(
          0,
          slips.findIndex((a) => a.slip === 'lost-sound'),
        )
      : Math.floor(random() * slips.length);
  const helps: Help[] = outcome === 'with-help' && random() < 0.4 ? [random() < 0.6 ? 'said-again' : 'slower'] : [];
  const thinkMs = Math.round((seconds[0] + random() * (seconds[1] - seconds[0])) * 1000);
  const after = afterwards(outcome, helps, random);
  return {
    outcome,
    helps: helps.length && onlyAgain ? ['said-again'] : helps,
    likely: outcome === 'not-yet' ? slips[at] : undefined,
    thinkMs,
    after: after && 'helps' in after && onlyAgain ? { helps: ['said-again'] } : after,
  };
}
