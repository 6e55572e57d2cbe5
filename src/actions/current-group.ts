import { cookies } from 'next/headers';
import { groupOrFirst, type Group } from '@/server/people/groups';

export const GROUP_COOKIE = 'bouncy-echo-group';

/** The group this device works with: the one chosen last, else the first. */
export const currentGroup = async (): Promise<Group> => groupOrFirst((await cookies()).get(GROUP_COOKIE)?.value);
