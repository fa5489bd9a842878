import { createHash, randomInt } from 'node:crypto';
import { isIP } from 'node:net';
import { Injectable } from '@nestjs/common';
import { MS_PER_MINUTE, type PairingView } from '@keen/core';
import { turnedAway } from '../errors/api-error.js';
import { AccessService } from './access.service.js';
import { AccountsService } from './accounts.service.js';

/** Long enough to walk to the bay with the phone (judgement). */
const GOOD_FOR_MINUTES = 10;
/** No letter or digit that is mistaken for another. */
const LETTERS = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';
const CODE_LENGTH = 10;

const makeCode = (): string =>
  Array.from({ length: CODE_LENGTH }, () => LETTERS[randomInt(LETTERS.length)]).join('');

/** As it is typed: small letters, spaces and dashes do not matter. */
const plainCode = (typed: string): string => typed.toUpperCase().replaceAll(/[^A-Z0-9]/g, '');

/** Codes are kept by their hash, so that a copy of the database lets nobody in. */
const nameOf = (code: string): string => `pair-${createHash('sha256').update(plainCode(code)).digest('hex')}`;

const isOwnMachine = (hostname: string): boolean =>
  hostname === 'localhost' || hostname === '[::1]' || (isIP(hostname) > 0 && hostname.startsWith('127.'));

/** Lets phones in by a code that is shown on the desk, good once. */
@Injectable()
export class PairingService {
  constructor(
    private readonly access: AccessService,
    private readonly accounts: AccountsService,
  ) {}

  /** @param origin address under which the desk reaches this server. @throws 404 */
  async offer(accountId: string, origin: string): Promise<PairingView> {
    await this.accounts.require(accountId);
    const code = makeCode();
    const expiresAt = new Date(Date.now() + GOOD_FOR_MINUTES * MS_PER_MINUTE);
    const { internalAdapter } = await (await this.access.signIns).$context;
    await internalAdapter.createVerificationValue({ identifier: nameOf(code), value: accountId, expiresAt });
    const path = `/pair?code=${code}`;
    const picture = isOwnMachine(new URL(origin).hostname)
      ? null
      : await (await import('qrcode')).default.toString(`${origin}${path}`, { type: 'svg', margin: 2 });
    return { code, goodForMinutes: GOOD_FOR_MINUTES, path, picture };
  }

  /** @returns cookies of the phone's own session. @throws 401 for a code that was never made, was used, or is too old */
  async redeem(code: string, device: string): Promise<string[]> {
    const { internalAdapter } = await (await this.access.signIns).$context;
    const found = await internalAdapter.consumeVerificationValue(nameOf(code));
    if (!found || found.expiresAt.getTime() < Date.now()) {
      const message =
        'This code is not good, or no longer: it lets one phone in, within ten minutes. Show a new one at the desk.';
      throw turnedAway(401, { code: 'wrong-code', field: 'code', message });
    }
    return this.access.letIn(found.value, device.trim());
  }
}
