'use server';

import { toString } from 'qrcode';
import { z } from 'zod';
import { idSchema } from '@/core/formats/schemas';
import * as lending from '@/server/lending/lend';
import { takeTabletBack } from '@/server/sessions/tablets';
import { saveLendSettings } from '@/server/setting/settings';
import { answer, type Answer } from './answer';

const addressSchema = z.ipv4('Choose an address of this computer.');

/** A code for one tablet, as the screen shows it. */
export interface CodeShown {
  readonly colour: string;
  /** An address to type, without the code. */
  readonly url: string;
  readonly letters: string;
  readonly until: number;
  /** The QR code, as an SVG. */
  readonly picture: string;
}

const codeFor = async (session: string): Promise<CodeShown> => {
  const { colour, url, letters, until, secret } = lending.nextCode(session);
  const picture = await toString(`${url}/#${secret}`, { type: 'svg', margin: 2, errorCorrectionLevel: 'M' });
  return { colour, url, letters, until, picture };
};

/** Opens the way in for a session, and makes the first code. */
export async function openLending(session: unknown, address: unknown): Promise<Answer<CodeShown>> {
  return answer(async () => {
    const id = idSchema.parse(session);
    await lending.lend(id, addressSchema.parse(address));
    return codeFor(id);
  }, false);
}

/** A code for one more tablet. */
export async function anotherTablet(session: unknown): Promise<Answer<CodeShown>> {
  return answer(() => codeFor(idSchema.parse(session)), false);
}

export async function stopLending(): Promise<Answer<void>> {
  return answer(lending.stopLending, false);
}

export async function keepLendSettings(asked: unknown): Promise<Answer<void>> {
  return answer(() => saveLendSettings(asked), false);
}

/** Takes back everything that one tablet marked in a session. */
export async function takeBackTablet(session: unknown, tablet: unknown): Promise<Answer<number>> {
  return answer(() => takeTabletBack(idSchema.parse(session), z.string().min(1).max(20).parse(tablet)));
}
