import { z } from 'zod';
import { jsonError } from '@/app/json-error';
import { erasedSince } from '@/server/people/erased';
import { epoch } from '@/server/whole/epoch';

export const dynamic = 'force-dynamic';

const sinceSchema = z.coerce.number().int().min(0);

/**
 * Which sessions a device has to let go of, since it asked last (milliseconds since 1970, 0 for ever); and which life
 * of the data this is.
 */
export async function GET(request: Request): Promise<Response> {
  try {
    const since = sinceSchema.parse(new URL(request.url).searchParams.get('since') ?? 0);
    return Response.json({ ...(await erasedSince(since)), epoch: await epoch() });
  } catch (error) {
    return jsonError(error);
  }
}
