'use client';

import { FileText } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { Button } from '../kit/button';
import { Menu } from '../kit/menu';

type Pages = readonly (readonly [name: string, place: string])[];

const OF_CHILD: Pages = [
  ['For the family', 'children'],
  ['Handover', 'handover'],
  ['To talk over', 'talk'],
];
const OF_GROUP: Pages = [
  ['Half-term page', 'half-term'],
  ['Group handover', 'handover-group'],
];

/** Pages to hand on, of a child or of a group. */
export function PapersMenu({ id, of }: { readonly id: string; readonly of: 'child' | 'group' }) {
  const router = useRouter();
  const acts = (of === 'child' ? OF_CHILD : OF_GROUP).map(([name, place]) => ({
    name,
    does: () => router.push(`/print/${place}/${id}`),
  }));
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
