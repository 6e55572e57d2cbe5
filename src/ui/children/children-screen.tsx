import type { Group } from '@/server/people/groups';
import { AgeBandField } from './age-band';
import { AddMenu } from './add-menu';
import { GroupMenu } from './menus';
import { Link } from '../kit/link';
import { NamesList } from './names-list';

interface ChildrenProps {
  readonly group: Group;
  /** Every group of the setting. */
  readonly all: readonly Group[];
  readonly country: 'gb' | 'us';
}

/** The group’s names: who is here in one tap, everything that is added behind one button, the rest in a menu each. */
export function ChildrenScreen({ group, all, country }: ChildrenProps) {
  const groups = all.filter((g) => g.id !== group.id).map(({ id, name }) => ({ id, name }));
  const here = Object.fromEntries(
    all.map((g) => [g.name.toLocaleLowerCase(), g.children.map((c) => c.name.toLocaleLowerCase())]),
  );
  const empty = group.children.length === 0;
  return (
    <div className="max-w-4xl">
      <div className="flex flex-wrap items-start gap-x-4 gap-y-2">
        <div className="flex min-w-0 items-center gap-2">
          <h1 className="min-w-0 text-4xl wrap-anywhere">{group.name}</h1>
          <GroupMenu key={group.id} group={group} childCount={group.children.length} groups={groups} />
        </div>
        <AddMenu
          key={group.id}
          groupId={group.id}
          groupName={group.name}
          here={here}
          plants={group.children.some((c) => !c.plant)}
          empty={empty}
        />
      </div>
      <p className="mt-2 mb-3 text-lg text-muted">
        {empty
          ? 'The children’s names will appear here. You can also play with no names at all: everyone answers together.'
          : 'Tap a name to open their page. Tap the switch if someone’s away today; tomorrow everyone is back.'}
      </p>
      <NamesList key={group.id} group={group} groups={groups} />
      <div className="mt-6 max-w-md">
        <AgeBandField key={group.id} group={group} country={country} />
      </div>
      {!empty && (
        <p className="mt-4">
          <Link className="underline underline-offset-4" href="/children/year">
            A new school year …
          </Link>
        </p>
      )}
      <p className="mt-6 text-[0.95rem] text-muted">
        Keep only what you need: a first name is enough. Your setting’s policy and local law decide about consent, how
        long you keep records and when you delete them.
      </p>
    </div>
  );
}
