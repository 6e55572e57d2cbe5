import { canJudge } from '@/core/answers/can-judge';
import { OUTCOMES, type Outcome } from '@/core/answers/outcome';
import { chooseBy, goToItem, modelled, skip, swap, toggleSelfCorrected, undo } from './acts';
import type { DialogName, Run } from './run';
import type { RunStore } from './store';

/** Keys of the likely answers, in order. */
export const LIKELY_KEYS = ['z', 'x', 'c', 'v'] as const;

/** A key pressed, as far as a run asks. */
export interface Press {
  /** As KeyboardEvent has it. */
  readonly key: string;
  /** Held down, or with another key that changes its meaning. */
  readonly modified: boolean;
  /** In a field where one writes. */
  readonly typing: boolean;
  /** On a button or a link, where Space and Enter have a meaning already. */
  readonly onControl: boolean;
}

/** The words ticked in a hunt, as what was said. */
export const harvestOf = ({ state }: Run) => ({
  slip: null,
  said: [...state.ticked].join(', ').slice(0, 200),
  missed: [],
});

/** True where anything the child says can be judged by its sounds or words. */
export const canHear = ({ item, hunting }: Run): boolean => item !== undefined && !hunting && canJudge(item.judged);

type Do = (store: RunStore, run: Run) => void;

const open =
  (dialog: DialogName): Do =>
  (store) =>
    store.show({ dialog });

/** The step of the routine before or after the one of now. */
const byStep =
  (by: 1 | -1): Do =>
  (store, { round, step, playing }) => {
    const to = round.routine[round.routine.indexOf(step) + by];
    if (to && playing) store.setStep(to);
  };

const outcomeKey =
  (outcome: Outcome): Do =>
  (store, run) => {
    if (!run.hunting) void store.mark(outcome);
    else if (outcome === 'on-own') void store.mark(outcome, harvestOf(run));
    else if (outcome === 'does-not-count') void store.mark(outcome);
  };

const likelyKey =
  (at: number): Do =>
  (store, { likely }) => {
    const answer = likely[at];
    if (answer) void store.mark(answer.outcome, answer);
  };

/** What each key does. */
const KEYS: Readonly<Record<string, Do>> = {
  ' ': (store, { view }) => (view.lit < 0 ? store.beat() : store.stopBeat()),
  ...Object.fromEntries(OUTCOMES.map((outcome, i) => [String(i + 1), outcomeKey(outcome)])),
  ...Object.fromEntries(LIKELY_KEYS.map((key, i) => [key, likelyKey(i)])),
  t: (store, run) => {
    if (canHear(run)) store.show({ dialog: 'said' });
  },
  u: (store) => void store.dispatch(undo),
  a: (store) => store.sayAgain(),
  s: (store, { check }) => {
    if (!check) store.slower();
  },
  w: (store, { state }) => void store.dispatch(swap(state.turn)),
  p: (store, { state }) => void store.dispatch(skip(state.turn)),
  n: (store, { playing, hunting }) => {
    if (playing && !hunting) store.show({ dialog: 'note' });
  },
  '?': open('keys'),
  b: open('pause'),
  d: open('device'),
  o: (store) => void store.dispatch(toggleSelfCorrected),
  h: (store, { view }) => store.show({ covered: !view.covered }),
  ArrowDown: (store) => void store.dispatch(chooseBy(1)),
  ArrowUp: (store) => void store.dispatch(chooseBy(-1)),
  ArrowRight: byStep(1),
  ArrowLeft: byStep(-1),
  Enter: (store, run) => {
    if (run.modelling) void store.dispatch(modelled);
    else if (hasNext(run)) void store.dispatch(goToItem(run.state.round + 1));
    else store.show({ dialog: 'finish' });
  },
};

/** Another round comes after this one. */
const hasNext = ({ session, state }: Run): boolean => session.rounds[state.round + 1] !== undefined;

/** One sign, as WCAG 2.2 has it in 2.1.4: a letter, a figure, a mark or a symbol. Space is none. */
const isSingle = (key: string): boolean => key.length === 1 && key !== ' ';

/**
 * Does what a key stands for; `true` where it stands for something. Shortcuts never fire while someone types, with a
 * modifier, for a key held down, or behind a dialog; those of one sign can be off on this device.
 */
export function press(store: RunStore, { key, modified, typing, onControl }: Press): boolean {
  const run = store.snapshot();
  if (run.view.dialog || modified || typing || (onControl && (key === ' ' || key === 'Enter'))) return false;
  if (isSingle(key) && !run.device.singleKeys) return false;
  const does = KEYS[key.length === 1 ? key.toLowerCase() : key];
  if (!does || (key === 'Enter' && !run.modelling && run.state.phase !== 'round-done')) return false;
  does(store, run);
  return true;
}
