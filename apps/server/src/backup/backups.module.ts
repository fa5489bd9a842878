import { Module } from '@nestjs/common';
import { BackupsController } from './backups.controller.js';
import { LiveCopyService } from './live-copy.service.js';
import { BackupsService } from './backups.service.js';

@Module({
  controllers: [BackupsController],
  providers: [BackupsService, LiveCopyService],
  exports: [BackupsService],
})
export class BackupsModule {}
