import { Inject, Injectable } from '@nestjs/common';
import type { AccountView } from '@keen/core';
import { CONFIG, type Config, isReachable } from '../config/config.js';
import { badField, conflict, notFound } from '../errors/api-error.js';
import { AccessRepository, type AccountRow } from '../records/access.repository.js';
import { SettingsService } from '../settings/settings.service.js';
import type { ChangeAccountDto, CreateAccountDto } from './access.dto.js';
import { AccessService } from './access.service.js';

/** What one signs in with does not depend on capitals. */
const usernameOf = (name: string): string => name.toLowerCase();

/** Accounts, and the phones and computers on which they are signed in. */
@Injectable()
export class AccountsService {
  constructor(
    private readonly repository: AccessRepository,
    private readonly access: AccessService,
    private readonly settings: SettingsService,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  /** @param thisSession the one that asks; null: none */
  async list(thisSession: string | null): Promise<AccountView[]> {
    const sessions = await this.repository.sessions();
    return (await this.repository.accounts()).map((account) => ({
      ...account,
      devices: sessions
        .filter(({ userId }) => userId === account.id)
        .map(({ id, device, lastSeenMs }) => ({
          id,
          device,
          lastSeenMs,
          isThis: id === thisSession,
        })),
    }));
  }

  private async nameFree(name: string, of: string | null): Promise<string> {
    const wanted = name.trim();
    const accounts = await this.repository.accounts();
    if (accounts.some((one) => one.id !== of && usernameOf(one.name) === usernameOf(wanted)))
      throw conflict('name', `There is an account named ${wanted} already.`);
    return wanted;
  }

  private async requireWorker(workerId: string | null | undefined): Promise<void> {
    if (workerId == null) return;
    const { workers } = await this.settings.read();
    if (!workers.some(({ id }) => id === workerId))
      throw badField('workerId', `workerId is ${workerId}; there is no such person.`);
  }

  /** @throws 400 where the first account is not an owner's, 409 where the name is taken */
  async create(dto: CreateAccountDto): Promise<void> {
    const isFirst = !(await this.access.hasAccounts());
    if (isFirst && dto.role !== 'owner')
      throw badField('role', 'The first account must be an owner’s: nobody else could add the others.');
    const name = await this.nameFree(dto.name, null);
    await this.requireWorker(dto.workerId);
    const { internalAdapter, password } = await (await this.access.signIns).$context;
    const user = {
      name,
      username: usernameOf(name),
      displayUsername: name,
      email: `${crypto.randomUUID()}@account.invalid`,
      emailVerified: true,
      role: dto.role,
      workerId: dto.workerId ?? null,
    };
    const { id } = await internalAdapter.createUser(user, { method: 'email-password' });
    await internalAdapter.linkAccount({
      userId: id,
      accountId: id,
      providerId: 'credential',
      password: await password.hash(dto.password),
    });
    this.access.accountsChanged();
  }

  /** @throws 404, 409 where the name is taken or no owner would be left */
  async change(id: string, { password, ...dto }: ChangeAccountDto): Promise<void> {
    const account = await this.require(id);
    if (dto.role && dto.role !== 'owner') await this.requireOtherOwner(account);
    const name = dto.name === undefined ? undefined : await this.nameFree(dto.name, id);
    await this.requireWorker(dto.workerId);
    await this.repository.change(id, { ...dto, ...(name && { name, username: usernameOf(name) }) });
    if (password === undefined) return;
    const { internalAdapter, password: passwords } = await (await this.access.signIns).$context;
    await internalAdapter.updatePassword(id, await passwords.hash(password));
    await this.repository.endAll(id);
  }

  /** Deletes an account, and signs it out everywhere. @throws 404, 409 where no owner would be left */
  async remove(id: string): Promise<void> {
    const account = await this.require(id);
    const accounts = await this.repository.accounts();
    // The last account of all may go where only this machine can ask: then it is open again, as before the first.
    if (accounts.length > 1 || isReachable(this.config)) await this.requireOtherOwner(account);
    await this.repository.remove(id);
    this.access.accountsChanged();
  }

  async endDevice(id: string): Promise<void> {
    if (!(await this.repository.endSession(id))) throw notFound('device', id);
  }

  /** @throws 404 */
  async require(id: string): Promise<AccountRow> {
    const account = (await this.repository.accounts()).find((one) => one.id === id);
    if (!account) throw notFound('account', id);
    return account;
  }

  private async requireOtherOwner({ id, role }: AccountRow): Promise<void> {
    if (role !== 'owner') return;
    const accounts = await this.repository.accounts();
    if (!accounts.some((one) => one.id !== id && one.role === 'owner'))
      throw conflict('role', 'This is the only owner; make another one first.');
  }
}
