import { Module } from '@nestjs/common';
import { VerdictsModule } from '../verdicts/verdicts.module.js';
import { SoilController } from './soil.controller.js';

@Module({ imports: [VerdictsModule], controllers: [SoilController] })
export class SoilModule {}
