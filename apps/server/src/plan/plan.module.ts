import { Module } from '@nestjs/common';
import { SolverModule } from '../solver/solver.module.js';
import { AnswersModule } from '../answers/answers.module.js';
import { WashesModule } from '../washes/washes.module.js';
import { PlanController } from './plan.controller.js';
import { PlanService } from './plan.service.js';

@Module({
  imports: [AnswersModule, WashesModule, SolverModule],
  controllers: [PlanController],
  providers: [PlanService],
})
export class PlanModule {}
