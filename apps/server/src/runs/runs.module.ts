import { Module } from '@nestjs/common';
import { AnswersModule } from '../answers/answers.module.js';
import { WashesModule } from '../washes/washes.module.js';
import { RunPhotosService } from './run-photos.service.js';
import { RunsController } from './runs.controller.js';
import { RunsService } from './runs.service.js';

@Module({
  imports: [WashesModule, AnswersModule],
  controllers: [RunsController],
  providers: [RunsService, RunPhotosService],
})
export class RunsModule {}
