import { Module } from '@nestjs/common';
import { VerdictsModule } from '../verdicts/verdicts.module.js';
import { WashesModule } from '../washes/washes.module.js';
import { RunPhotosService } from './run-photos.service.js';
import { RunsController } from './runs.controller.js';
import { RunsService } from './runs.service.js';

@Module({
  imports: [WashesModule, VerdictsModule],
  controllers: [RunsController],
  providers: [RunsService, RunPhotosService],
})
export class RunsModule {}
