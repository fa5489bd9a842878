import { Module } from '@nestjs/common';
import { AnswersModule } from '../answers/answers.module.js';
import { SoilController } from './soil.controller.js';

@Module({ imports: [AnswersModule], controllers: [SoilController] })
export class SoilModule {}
