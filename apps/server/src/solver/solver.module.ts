import { Module } from '@nestjs/common';
import { SolverPool } from './solver-pool.js';

@Module({ providers: [SolverPool], exports: [SolverPool] })
export class SolverModule {}
