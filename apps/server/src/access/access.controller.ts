import {
  Body,
  Controller,
  Delete,
  Get,
  Header,
  HttpCode,
  Param,
  Patch,
  Post,
  Req,
  Res,
  StreamableFile,
} from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { AccountView, PairingView, SessionView } from '@keen/core';
import type { Request, Response } from 'express';
import { ChangeAccountDto, CreateAccountDto, PairDto, SignInDto } from './access.dto.js';
import { AccessService, type Asker } from './access.service.js';
import { AccountsService } from './accounts.service.js';
import { PairingService } from './pairing.service.js';

const withCookies = (response: Response, cookies: readonly string[]): void =>
  void response.append('set-cookie', [...cookies]);

const sessionOf = ({ who }: Request & { who?: Asker }): string | null => who?.sessionId ?? null;

@ApiTags('access')
@Controller('access')
export class AccessController {
  constructor(
    private readonly access: AccessService,
    private readonly accounts: AccountsService,
    private readonly pairing: PairingService,
  ) {}

  /** Whether somebody has to sign in here, and who has. */
  @Get('session')
  async session(@Req() { headers }: Request): Promise<SessionView> {
    if (await this.access.isOpen()) return { isOpen: true, who: null };
    const { who } = await this.access.recognise(headers);
    if (!who) return { isOpen: false, who };
    const { sessionId: _, ...shown } = who;
    return { isOpen: false, who: shown };
  }

  /** The shop's own authority, for phones to trust; there is none where a certificate was given. */
  @Get('authority')
  @Header('content-disposition', 'attachment; filename="keen-rinse-authority.crt"')
  authority(): StreamableFile {
    return new StreamableFile(this.access.authority(), { type: 'application/x-x509-ca-cert' });
  }

  /** Signs in with name and password. */
  @Post('session')
  @HttpCode(204)
  async signIn(@Body() dto: SignInDto, @Res({ passthrough: true }) response: Response): Promise<void> {
    withCookies(response, await this.access.signIn(dto));
  }

  /** Signs out here; other phones and computers stay signed in. */
  @Delete('session')
  @HttpCode(204)
  async signOut(@Req() { headers }: Request, @Res({ passthrough: true }) response: Response): Promise<void> {
    withCookies(response, await this.access.signOut(headers));
  }

  /** Lets this phone in by a code from the desk. */
  @Post('pair')
  @HttpCode(204)
  async pair(@Body() dto: PairDto, @Res({ passthrough: true }) response: Response): Promise<void> {
    withCookies(response, await this.pairing.redeem(dto.code, dto.device));
  }

  /** All accounts, with the phones and computers on which they are signed in. */
  @Get('accounts')
  list(@Req() request: Request): Promise<AccountView[]> {
    return this.accounts.list(sessionOf(request));
  }

  /** Adds an account. The first one is an owner's, who is signed in with it. */
  @Post('accounts')
  async create(
    @Body() dto: CreateAccountDto,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<AccountView[]> {
    const wasOpen = await this.access.isOpen();
    await this.accounts.create(dto);
    if (wasOpen) withCookies(response, await this.access.signIn(dto));
    return this.accounts.list(sessionOf(request));
  }

  /** Changes an account; a new password signs its phones and computers out. */
  @Patch('accounts/:id')
  async change(
    @Param('id') id: string,
    @Body() dto: ChangeAccountDto,
    @Req() request: Request,
  ): Promise<AccountView[]> {
    await this.accounts.change(id, dto);
    return this.accounts.list(sessionOf(request));
  }

  /** Deletes an account, and signs it out everywhere. */
  @Delete('accounts/:id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.accounts.remove(id);
  }

  /** A code that lets one phone in for this account. */
  @Post('accounts/:id/pairing')
  offer(@Param('id') id: string, @Req() request: Request): Promise<PairingView> {
    return this.pairing.offer(id, `${request.protocol}://${request.get('host') ?? 'localhost'}`);
  }

  /** Signs a phone or computer out, at once. */
  @Delete('devices/:id')
  @HttpCode(204)
  endDevice(@Param('id') id: string): Promise<void> {
    return this.accounts.endDevice(id);
  }
}
