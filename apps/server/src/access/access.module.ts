import { Module } from '@nestjs/common';
import { APP_GUARD, APP_INTERCEPTOR } from '@nestjs/core';
import { SettingsModule } from '../settings/settings.module.js';
import { AccessController } from './access.controller.js';
import { AccessGuard } from './access.guard.js';
import { AccessService } from './access.service.js';
import { AccountsService } from './accounts.service.js';
import { ForHelper } from './for-helper.js';
import { PairingService } from './pairing.service.js';

/** Who may come in, and to what. */
@Module({
  imports: [SettingsModule],
  controllers: [AccessController],
  providers: [
    AccessService,
    AccountsService,
    PairingService,
    { provide: APP_GUARD, useClass: AccessGuard },
    { provide: APP_INTERCEPTOR, useClass: ForHelper },
  ],
  exports: [AccessService],
})
export class AccessModule {}
