import { Controller, Get, HttpCode, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { BackupsView, BackupTrial } from '@keen/core';
import { LiveCopyService } from './live-copy.service.js';
import { BackupsService } from './backups.service.js';

@ApiTags('backups')
@Controller('backups')
export class BackupsController {
  constructor(
    private readonly backups: BackupsService,
    private readonly live: LiveCopyService,
  ) {}

  /** Copies of the database that there are, when the next is made, and why the last one failed. */
  @Get()
  async read(): Promise<BackupsView> {
    return { ...this.backups.view(), liveCopy: await this.live.view() };
  }

  /** Makes a copy now, and looks whether it is sound. */
  @Post()
  @HttpCode(200)
  async make(): Promise<BackupsView> {
    await this.backups.make();
    return this.read();
  }

  /** Opens the newest copy in a folder of its own, as a restore would, and says what is in it. */
  @Post('trial')
  @HttpCode(200)
  trial(): Promise<BackupTrial> {
    return this.backups.tryNewest();
  }
}
