import { Module } from '@nestjs/common';
import { VerdictsModule } from '../verdicts/verdicts.module.js';
import { SoilController } from './soil.controller.js';
import { SoilLogModule } from './soil-log.module.js';

@Module({ imports: [SoilLogModule, VerdictsModule], controllers: [SoilController] })
export class SoilModule {}
