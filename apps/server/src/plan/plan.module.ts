import { Module } from '@nestjs/common';
import { EngineModule } from '../engine/engine.module.js';
import { SolverModule } from '../solver/solver.module.js';
import { AnswersModule } from '../answers/answers.module.js';
import { WashesModule } from '../washes/washes.module.js';
import { LastMorning } from './last-morning.js';
import { PlanController } from './plan.controller.js';
import { PlanService } from './plan.service.js';

@Module({
  imports: [AnswersModule, EngineModule, WashesModule, SolverModule],
  controllers: [PlanController],
  providers: [PlanService, LastMorning],
})
export class PlanModule {}
