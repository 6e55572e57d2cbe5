'use client';

import { FileText } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { Button } from '../kit/button';
import { Link } from '../kit/link';
import { Menu } from '../kit/menu';

type Pages = readonly (readonly [name: string, place: string])[];

const OF_CHILD: Pages = [
  ['To talk over', 'talk'],
  ['For the family', 'children'],
  ['Handover', 'handover'],
];
const OF_GROUP: Pages = [
  ['Half-term page', 'half-term'],
  ['Group handover', 'handover-group'],
];

/** Pages to hand on, of a child: one tap each. */
export const ChildPapers = ({ id }: { readonly id: string }) => (
  <nav aria-label="Pages to pass on" className="flex flex-wrap gap-x-5">
    {OF_CHILD.map(([name, place]) => (
      <Link key={place} href={`/print/${place}/${id}`} className="quiet">
        {name}
      </Link>
    ))}
  </nav>
);

/** Pages to hand on, of a group. */
export function PapersMenu({ id }: { readonly id: string }) {
  const router = useRouter();
  const acts = OF_GROUP.map(([name, place]) => ({ name, does: () => router.push(`/print/${place}/${id}`) }));
  return (
    <Menu
      acts={acts}
      trigger={
        <Button>
          <FileText size={18} aria-hidden="true" /> Pages to pass on
        </Button>
      }
    />
  );
}
