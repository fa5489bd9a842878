import { Module } from '@nestjs/common';
import { SolverModule } from '../solver/solver.module.js';
import { CalcController } from './calc.controller.js';

@Module({ imports: [SolverModule], controllers: [CalcController] })
export class CalcModule {}
