'use client';

import { sure } from '@/core/sure';
import { Button } from '../kit/button';
import { TOOLS } from './run/tools';
import { useRun, useStore } from './use-run';

interface ToolButtonProps {
  readonly id: string;
  readonly className?: string;
}

/** A tool at hand, where the turn has it. */
export function ToolButton({ id, className = '' }: ToolButtonProps) {
  const store = useStore();
  const tool = sure(TOOLS.find((t) => t.id === id));
  const offered = useRun(tool.offered);
  const ready = useRun((run) => tool.ready?.(run) ?? true);
  const on = useRun((run) => tool.on?.(run) ?? null);
  const label = useRun(tool.label);
  if (!offered) return null;
  return (
    <Button
      className={className}
      disabled={!ready}
      aria-pressed={on ?? undefined}
      aria-label={tool.name}
      onClick={() => tool.does(store, store.snapshot())}
    >
      {label}
      {on && ' ✓'}
    </Button>
  );
}
