import type { Metadata } from 'next';
import { currentGroup } from '@/app/current-group';
import { guarded } from '@/app/guarded';
import { ChildrenScreen } from '@/ui/children/children-screen';

export const metadata: Metadata = { title: 'Children' };

export default guarded(async () => <ChildrenScreen group={await currentGroup()} />);
