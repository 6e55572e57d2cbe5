'use client';

import { sure } from '@/core/sure';
import { Button } from '../kit/button';
import { TOOLS } from './run/tools';
import { useRun, useStore } from './use-run';

interface ToolButtonProps {
  readonly id: string;
  readonly size?: 'usual' | 'big';
  readonly className?: string;
  /** What comes before it is used. */
  readonly before?: () => void;
}

/** A tool at hand, where the turn has it. */
export function ToolButton({ id, size = 'usual', className = '', before }: ToolButtonProps) {
  const store = useStore();
  const tool = sure(TOOLS.find((t) => t.id === id));
  const offered = useRun(tool.offered);
  const ready = useRun((run) => tool.ready?.(run) ?? true);
  const on = useRun((run) => tool.on?.(run) ?? null);
  const label = useRun(tool.label);
  if (!offered) return null;
  return (
    <Button
      size={size}
      className={className}
      disabled={!ready}
      aria-pressed={on ?? undefined}
      aria-label={tool.name}
      onClick={() => {
        before?.();
        tool.does(store, store.snapshot());
      }}
    >
      {label}
      {on && ' ✓'}
    </Button>
  );
}
