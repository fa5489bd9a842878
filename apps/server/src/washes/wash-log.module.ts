import { Module } from '@nestjs/common';
import { WashesRepository } from './washes.repository.js';

/** The kept washes alone: the verdicts read them, and the washes ask the verdicts. */
@Module({ providers: [WashesRepository], exports: [WashesRepository] })
export class WashLogModule {}
