import { ROUTINE_WORDS } from '@/core/games/routine-steps';
import { skip, swap } from './acts';
import { beatCount } from './beats';
import { checkOfTurn } from './pebbles';
import type { Run } from './run';
import type { RunStore } from './store';
import { tools as say } from '../text';

/** Something a hand may need besides the marks. */
export interface Tool {
  readonly id: string;
  /** True where the turn has it at all. */
  readonly offered: (run: Run) => boolean;
  /** False where it is there and cannot be used now. */
  readonly ready?: (run: Run) => boolean;
  /** True where it was used, or is on. */
  readonly on?: (run: Run) => boolean;
  readonly label: (run: Run) => string;
  /** With room for it, it stands in the open and not among the tools. */
  readonly open?: true;
  /** What it is called in full, where the label is short for it. */
  readonly name?: string;
  readonly does: (store: RunStore, run: Run) => void;
}

const always = (): boolean => true;
const plain = (text: string) => (): string => text;
const inTurn = ({ playing, hunting }: Run): boolean => playing && !hunting;

/** All tools, the ones a hand needs most often first (common practice, no source). */
export const TOOLS: readonly Tool[] = [
  {
    id: 'beat',
    open: true,
    offered: (run) => (inTurn(run) || run.modelling) && run.item !== undefined && beatCount(run.item) > 1,
    label: plain(say.beatItOut),
    does: (store) => store.beat(),
  },
  {
    id: 'said-again',
    open: true,
    offered: inTurn,
    on: ({ draft }) => draft.helps.includes('said-again'),
    label: plain(say.saidAgain),
    does: (store) => store.sayAgain(),
  },
  {
    id: 'slower',
    open: true,
    offered: (run) => inTurn(run) && !run.check,
    label: ({ draft, gaps }) => say.slower(draft.gap > 0 ? `: ${gaps[draft.gap]} s` : ''),
    does: (store) => store.slower(),
  },
  {
    id: 'pebbles',
    offered: (run) => inTurn(run) && checkOfTurn(run) !== null,
    label: plain(say.pebbleCheck),
    does: (store) => store.show({ dialog: 'pebbles' }),
  },
  {
    id: 'other-word',
    open: true,
    offered: (run) => inTurn(run) && !run.round.inOrder && !run.check,
    ready: (run) => run.spare !== undefined,
    label: plain(say.otherWord),
    does: (store, { state }) => void store.dispatch(swap(state.turn)),
  },
  {
    id: 'skip',
    open: true,
    offered: (run) => run.playing && run.state.childId !== null && !run.check,
    label: plain(say.skip),
    name: say.skipComeBack,
    does: (store, { state }) => void store.dispatch(skip(state.turn)),
  },
  {
    id: 'speaks',
    open: true,
    offered: (run) => inTurn(run) && run.round.routine.length > 1,
    label: ({ step }) => say.whoSpeaksNow(ROUTINE_WORDS[step]),
    does: (store) => store.show({ dialog: 'speaks' }),
  },
  {
    id: 'note',
    open: true,
    offered: inTurn,
    on: ({ draft }) => draft.note !== '',
    label: plain(say.note),
    does: (store) => store.show({ dialog: 'note' }),
  },
  {
    id: 'covered',
    offered: always,
    on: ({ view }) => view.covered,
    label: plain(say.childrenCanSee),
    does: (store, { view }) => store.show({ covered: !view.covered }),
  },
  {
    id: 'pause',
    offered: always,
    label: plain(say.pause),
    does: (store) => store.show({ dialog: 'pause' }),
  },
  {
    id: 'finish',
    offered: always,
    label: plain(say.finish),
    does: (store) => store.show({ dialog: 'finish' }),
  },
  {
    id: 'device',
    offered: always,
    label: plain(say.onThisDevice),
    does: (store) => store.show({ dialog: 'device' }),
  },
  {
    id: 'keys',
    offered: ({ device }) => device.keys,
    label: plain(say.keys),
    does: (store) => store.show({ dialog: 'keys' }),
  },
];
