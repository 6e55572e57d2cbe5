'use client';

import { useActionState } from 'react';
import { planIt, playReady } from '@/actions/plans';
import type { PlanWish } from '@/core/formats/plan-file';
import { ErrorMessage } from '../kit/message';

interface ReadyFormsProps {
  readonly groupId: string;
  readonly wish: PlanWish;
  readonly minutes: number;
  readonly title: string;
  readonly main: boolean;
}

/** One tap plays a ready session; another opens it as a plan first. */
export function ReadyForms({ groupId, wish, minutes, title, main }: ReadyFormsProps) {
  const [played, play, playing] = useActionState(playReady, {});
  const [planned, plan, planning] = useActionState(planIt, {});
  const fields = (
    <>
      <input type="hidden" name="groupId" value={groupId} />
      {Object.entries(wish).map(([name, value]) =>
        value === undefined ? null : <input key={name} type="hidden" name={name} value={String(value)} />,
      )}
    </>
  );
  const error = played.error ?? planned.error;
  return (
    <div className="flex flex-col gap-2">
      <form action={play}>
        {fields}
        <button type="submit" className={`${main ? 'action text-xl' : 'plain'} min-h-16 w-full`} disabled={playing}>
          Play now · {minutes} min
          <span className="sr-only">: {title}</span>
        </button>
      </form>
      <form action={plan} className="text-center">
        {fields}
        <button type="submit" className="quiet" disabled={planning}>
          Change it first
          <span className="sr-only">: {title}</span>
        </button>
      </form>
      <ErrorMessage>{error}</ErrorMessage>
    </div>
  );
}
