import {
  analyse,
  whereOf,
  type Analysis,
  type AskedSound,
  type Cluster,
  type Fault,
  type WordPart,
} from '../answers/analyse';
import { groupBy } from '../group-by';
import { sure } from '../sure';
import { atLeast } from './luck';

/**
 * What became of single sounds over many answers: which hold, which slip, where in the word, and which slips come so
 * often that they are a habit and no accident.
 */

/** An answer that was judged sound by sound. */
export interface HeardAnswer {
  readonly asked: readonly AskedSound[];
  readonly analysis: Pick<Analysis, 'faults' | 'credit'>;
  /** The sounds were to be said one by one: only then can they be kept together. */
  readonly apart: boolean;
}

export interface SoundRow {
  readonly ipa: string;
  readonly place: WordPart;
  readonly cluster: Cluster;
  readonly asked: number;
  readonly held: number;
}

/** How often each sound was asked for in each place, and how often it was there. */
export function soundRows(answers: readonly HeardAnswer[]): SoundRow[] {
  const rows = new Map<
    string,
    {
      ipa: string;
      place: WordPart;
      cluster: Cluster;
      asked: number;
      held: number;
    }
  >();
  for (const { asked, analysis } of answers) {
    asked.forEach(({ ipa }, at) => {
      const where = whereOf(asked, at);
      const key = `${ipa} ${where.place} ${where.cluster ?? ''}`;
      const row = rows.get(key) ?? { ipa, ...where, asked: 0, held: 0 };
      row.asked += 1;
      row.held += analysis.credit[at] ?? 0;
      rows.set(key, row);
    });
  }
  return [...rows.values()];
}

/** What a habit is about. */
type HabitKind =
  | 'swaps'
  | 'loses'
  | 'loses-from-opening'
  | 'loses-from-closing'
  | 'loses-last'
  | 'loses-first'
  | 'keeps-rime'
  | 'keeps-cluster'
  | 'adds-uh';

export interface Habit {
  readonly kind: HabitKind;
  /** The sound it is about, where it is about one. */
  readonly sound: string | null;
  /** What stands for it, where it is swapped. */
  readonly says: string | null;
  readonly times: number;
  /** How often it could have happened. */
  readonly chances: number;
}

interface Event {
  readonly kind: HabitKind;
  readonly sound: string | null;
  readonly says: string | null;
}
const event = (kind: HabitKind, sound: string | null = null, says: string | null = null): Event => ({
  kind,
  sound,
  says,
});
const nameOf = ({ kind, sound, says }: Event): string => `${kind} ${sound ?? ''} ${says ?? ''}`;

/** The names a lost sound may have, from where it stands; the same whether it was lost or could have been. */
function lossesAt(
  asked: HeardAnswer['asked'],
  at: number,
  { cluster, place }: { readonly cluster: Cluster; readonly place: WordPart },
): Event[] {
  const names: [boolean, HabitKind][] = [
    [cluster === 'opening' && sure(asked[at]).close, 'loses-from-opening'],
    [cluster === 'closing' && asked[at + 1]?.close === true, 'loses-from-closing'],
    [place === 'last' && !cluster, 'loses-last'],
    [place === 'first' && !cluster, 'loses-first'],
  ];
  return names.flatMap(([holds, name]) => (holds ? [event(name)] : []));
}

/** What could have happened in an answer, under every name that it can have. */
function chancesOf({ asked, apart }: HeardAnswer): Event[] {
  const out: Event[] = asked.flatMap(({ ipa }, at) => [
    event('swaps', ipa),
    event('loses', ipa),
    ...lossesAt(asked, at, whereOf(asked, at)),
  ]);
  if (!apart) return out;
  if (asked.length > 2) out.push(event('keeps-rime'));
  if (asked.some((a) => a.close)) out.push(event('keeps-cluster'));
  return [...out, event('adds-uh')];
}

/** What one fault is called; a fault may have several names. */
function eventsOf(fault: Fault, { asked, apart }: HeardAnswer): Event[] {
  const { ipa } = sure(asked[Math.min(fault.at, asked.length - 1)]);
  switch (fault.kind) {
    case 'swapped':
      return [event('swaps', ipa, fault.heard)];
    case 'omitted':
      return [event('loses', ipa), ...lossesAt(asked, fault.at, fault)];
    case 'merged': {
      const toTheEnd = fault.to === asked.length - 1 && asked.slice(fault.at, fault.to + 1).some((a) => !a.close);
      return apart ? [event(toTheEnd ? 'keeps-rime' : 'keeps-cluster')] : [];
    }
    case 'added-uh':
      return apart ? [event('adds-uh')] : [];
    default:
      return [];
  }
}

/** What did happen, under every name that it can have. */
function happenings(heard: HeardAnswer): Event[] {
  const out = heard.analysis.faults.flatMap((fault) => eventsOf(fault, heard));
  // What is about no one sound counts once an answer: three little “uh” in a word are one.
  return out.filter((e, i) => e.sound !== null || out.findIndex((o) => nameOf(o) === nameOf(e)) === i);
}

/** A slip here and there is nobody's habit: up to this share of chances is put down to accident. Our own choice. */
const ACCIDENT = 0.12;
/** Fewer chances than this say nothing. */
const FEWEST = 4;
/** How surely chance alone must be ruled out, shared between all the habits looked for. */
const SURE = 0.01;

/**
 * The slips that come more often than accident explains (exact binomial, the doubt shared between all that were looked
 * for). A habit of one sound that a wider habit explains is not told twice.
 */
export function habitsIn(answers: readonly HeardAnswer[]): Habit[] {
  const chances = groupBy(answers.flatMap(chancesOf), nameOf);
  const happened = [...groupBy(answers.flatMap(happenings), nameOf)];
  const found = happened.flatMap(([, events]): Habit[] => {
    const { kind, sound, says } = sure(events[0]);
    const n = chances.get(nameOf({ kind, sound, says: null }))?.length ?? 0;
    const times = Math.min(events.length, n);
    const looked = Math.max(1, [...chances.values()].filter((c) => c.length >= FEWEST).length);
    return n >= FEWEST && times >= 3 && atLeast(times, n, ACCIDENT) < SURE / looked
      ? [{ kind, sound, says, times, chances: n }]
      : [];
  });
  // Losing /r/ is told as losing the second of a cluster where it is lost there and nowhere else.
  const wider = new Set(found.map((h) => h.kind).filter((k) => k !== 'loses' && k.startsWith('loses')));
  return found
    .filter((h) => h.kind !== 'loses' || wider.size === 0)
    .sort((a, b) => b.times / b.chances - a.times / a.chances);
}

/** An answer as it is judged again from what was said. */
export const heardEvents = (
  asked: readonly AskedSound[],
  said: Parameters<typeof analyse>[1],
  hearing: Parameters<typeof analyse>[2],
): HeardAnswer => ({ asked, apart: hearing.apart, analysis: analyse(asked, said, hearing) });
