'use client';

import { useRef, useState, useTransition } from 'react';
import { putOutOfSight } from '@/actions/groups';
import type { Group } from '@/server/people/groups';
import { Button } from '../kit/button';
import { Link } from '../kit/link';
import { ErrorMessage } from '../kit/message';
import { AwaySwitch } from './away-switch';
import { ChildMenu } from './menus';
import { OwnWayButton } from './own-way';
import { PlantButton } from './plant-button';
import { unreached } from '../kit/unreached';
import { Section } from '../kit/section';

interface NamesProps {
  readonly group: Group;
  readonly groups: readonly { readonly id: string; readonly name: string }[];
}
interface Said {
  readonly said?: string;
  readonly error?: string;
}

/** The names of a group, and what is needed of each now and then; those out of sight under them. */
export function NamesList({ group, groups }: NamesProps) {
  const [now, setNow] = useState<Said>({});
  const [, begin] = useTransition();
  const line = useRef<HTMLParagraphElement>(null);
  // The row is gone with the button that did it: the focus goes to what is said of it.
  const tell = (said: Said): void => {
    setNow(said);
    line.current?.focus();
  };
  const back = (id: string, name: string): void =>
    begin(async () => {
      const state = await putOutOfSight(id, false).catch(unreached('Nothing was changed.'));
      tell(state.error ? { error: state.error } : { said: `${name} is back on the list.` });
    });
  return (
    <>
      <p ref={line} tabIndex={-1} role="status" className={now.said ? 'mb-3 text-green outline-none' : 'outline-none'}>
        {now.said}
      </p>
      <ErrorMessage>{now.error}</ErrorMessage>
      {group.children.length > 0 && (
        <ul className="divide-y divide-line border-y border-line">
          {group.children.map((child) => (
            <li key={child.id} className="flex items-center gap-x-2 max-sm:flex-wrap">
              <PlantButton child={child} taken={group.children.filter((c) => c !== child).map((c) => c.plant)} />
              <Link
                href={`/children/${child.id}`}
                className="min-w-0 flex-1 py-3 font-word text-xl wrap-anywhere hover:underline"
              >
                {child.name}
              </Link>
              <div className="w-30 shrink-0 sm:w-40">
                <AwaySwitch child={child} named={false} />
              </div>
              <span className="min-w-0 max-sm:order-last max-sm:basis-full max-sm:pl-9 sm:w-60">
                <OwnWayButton child={child} />
              </span>
              <ChildMenu
                child={child}
                others={group.children.filter((c) => c.id !== child.id)}
                groups={groups}
                tell={tell}
              />
            </li>
          ))}
        </ul>
      )}
      {group.outOfSight.length > 0 && (
        <Section id="out" title="Off the list" heading="text-xl" className="mt-6">
          <p className="text-muted">They won’t appear on lists or in games. We keep everything about them.</p>
          <ul>
            {group.outOfSight.map(({ id, name }) => (
              <li key={id} className="flex flex-wrap items-center gap-x-3">
                <Link href={`/children/${id}`} className="py-3 font-word text-lg wrap-anywhere hover:underline">
                  {name}
                </Link>
                <Button kind="quiet" onClick={() => back(id, name)}>
                  Bring back
                  <span className="sr-only">: {name}</span>
                </Button>
              </li>
            ))}
          </ul>
        </Section>
      )}
    </>
  );
}
