import { cookies } from 'next/headers';
import { GROUP_COOKIE } from '@/actions/group-cookie';
import { groupOrFirst, type Group } from '@/server/people/groups';

/** The group this device works with: the one chosen last, else the first. */
export const currentGroup = async (): Promise<Group> => groupOrFirst((await cookies()).get(GROUP_COOKIE)?.value);
