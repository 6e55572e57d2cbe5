import type { Metadata } from 'next';
import { currentGroup } from '@/app/current-group';
import { guarded } from '@/app/guarded';
import { chooseSchema } from '@/core/formats/schemas';
import { propose } from '@/server/choose';
import { ChooseScreen } from '@/ui/choose/choose-screen';

export const metadata: Metadata = { title: 'Words' };

export default guarded(async ({ searchParams }: { searchParams: Promise<Record<string, string | string[] | undefined>> }) => {
  const first = Object.fromEntries(Object.entries(await searchParams).map(([k, v]) => [k, Array.isArray(v) ? v[0] : v]));
  const choice = chooseSchema.parse(first);
  const group = await currentGroup();
  return <ChooseScreen choice={choice} group={group} proposal={await propose(choice, group)} />;
});
