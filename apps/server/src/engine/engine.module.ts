import { Module } from '@nestjs/common';
import { EnginePool } from './engine-pool.js';

@Module({ providers: [EnginePool], exports: [EnginePool] })
export class EngineModule {}
