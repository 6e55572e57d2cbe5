import { ROUTINE_WORDS } from '@/core/games/routine-steps';
import { skip, swap } from './acts';
import { beatCount } from './beats';
import { checkOfTurn } from './pebbles';
import type { Run } from './run';
import type { RunStore } from './store';

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
  /** It stands in the open and not among the tools: with room for it, or always, in the head line. */
  readonly open?: 'roomy' | 'always';
  /** What it is called in full, where the label is short for it. */
  readonly name?: string;
  readonly does: (store: RunStore, run: Run) => void;
}

const always = (): boolean => true;
const textOnly = (text: string) => (): string => text;
const inTurn = ({ playing, hunting }: Run): boolean => playing && !hunting;

/** All tools, the ones a hand needs most often first (common practice, no source). */
export const TOOLS: readonly Tool[] = [
  {
    id: 'beat',
    open: 'roomy',
    offered: (run) => (inTurn(run) || run.modelling) && run.item !== undefined && beatCount(run.item) > 1,
    label: textOnly('Tap it out'),
    does: (store) => store.beat(),
  },
  {
    id: 'said-again',
    open: 'roomy',
    offered: inTurn,
    on: ({ draft }) => draft.helps.includes('said-again'),
    label: textOnly('Said again'),
    does: (store) => store.sayAgain(),
  },
  {
    id: 'slower',
    open: 'roomy',
    offered: (run) => inTurn(run) && !run.check,
    label: ({ draft, gaps }) => `Slower${draft.gap > 0 ? `: ${gaps[draft.gap]} s` : ''}`,
    does: (store) => store.slower(),
  },
  {
    id: 'pebbles',
    offered: (run) => inTurn(run) && checkOfTurn(run) !== null,
    label: textOnly('Pebble check'),
    does: (store) => store.show({ dialog: 'pebbles' }),
  },
  {
    id: 'other-word',
    open: 'roomy',
    offered: (run) => inTurn(run) && !run.round.inOrder && !run.check,
    ready: (run) => run.spare !== undefined,
    label: textOnly('Other word'),
    does: (store, { state }) => void store.dispatch(swap(state.turn)),
  },
  {
    id: 'skip',
    open: 'roomy',
    offered: (run) => run.playing && run.state.childId !== null && !run.check,
    label: textOnly('Skip'),
    name: 'Skip: come back to this child later',
    does: (store, { state }) => void store.dispatch(skip(state.turn)),
  },
  {
    id: 'speaks',
    open: 'roomy',
    offered: (run) => inTurn(run) && run.round.routine.length > 1,
    label: ({ step }) => `Who speaks: ${ROUTINE_WORDS[step].toLowerCase()}`,
    does: (store) => store.show({ dialog: 'speaks' }),
  },
  {
    id: 'note',
    open: 'always',
    offered: (run) => inTurn(run) && !run.session.lent,
    on: ({ draft }) => draft.note !== '',
    label: textOnly('Note'),
    does: (store) => store.show({ dialog: 'note' }),
  },
  {
    id: 'covered',
    offered: always,
    on: ({ view }) => view.covered,
    label: textOnly('Children can see'),
    does: (store, { view }) => store.show({ covered: !view.covered }),
  },
  {
    id: 'pause',
    open: 'always',
    offered: always,
    label: textOnly('Pause'),
    does: (store) => store.show({ dialog: 'pause' }),
  },
  {
    id: 'finish',
    open: 'always',
    offered: always,
    label: textOnly('Finish'),
    does: (store) => store.show({ dialog: 'finish' }),
  },
  {
    id: 'device',
    offered: always,
    label: textOnly('On this device'),
    does: (store) => store.show({ dialog: 'device' }),
  },
  {
    id: 'keys',
    offered: ({ device }) => device.keys,
    label: textOnly('Keys'),
    does: (store) => store.show({ dialog: 'keys' }),
  },
];
