import { lendState } from '@/server/lending/lend';

/** What is on loan to tablets now. */
export const GET = (): Response => Response.json(lendState(), { headers: { 'cache-control': 'no-store' } });
