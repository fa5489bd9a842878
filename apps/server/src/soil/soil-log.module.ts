import { Module } from '@nestjs/common';
import { SoilLooksRepository } from './soil-looks.repository.js';

/** What was seen alone: the verdicts read it, and the soil's paths ask the verdicts for the estimate. */
@Module({ providers: [SoilLooksRepository], exports: [SoilLooksRepository] })
export class SoilLogModule {}
