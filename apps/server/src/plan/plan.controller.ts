import { Body, Controller, Get, HttpCode, type MessageEvent, Post, Query, Req, Sse } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type {
  PlanOption,
  WorthOfRelief,
  ChangedWashes,
  MorningSoFar,
  MorningView,
  PlanView,
} from '@keen/core';
import type { Request } from 'express';
import { map, type Observable, throttleTime } from 'rxjs';
import { whenGone } from '../engine/when-gone.js';
import { AcceptPlanDto, MovesQueryDto } from './plan.dto.js';
import { PlanService } from './plan.service.js';

@ApiTags('plan')
@Controller('plan')
export class PlanController {
  constructor(private readonly plan: PlanService) {}

  /** The washes that stand in the plan, the plan that the program would make, and what lies between the two. */
  @Get()
  view(@Req() request: Request): Promise<PlanView> {
    return this.plan.view(whenGone(request));
  }

  /** The morning's answer for every vehicle. */
  @Get('morning')
  morning(@Req() request: Request): Promise<MorningView> {
    return this.plan.morning(whenGone(request));
  }

  /** While the morning is worked out: the cars that are done, and the morning as it was last. */
  @Get('so-far')
  soFar(): MorningSoFar {
    return this.plan.soFar();
  }

  /** Where else a wash could stand, every other planned wash left where it is. */
  @Get('moves')
  moves(@Query() { vehicleId, washId }: MovesQueryDto, @Req() request: Request): Promise<PlanOption[]> {
    return this.plan.moves(vehicleId, washId ?? null, whenGone(request));
  }

  /** What another pair of hands on a day, or more room at a place, would be worth to the plan. */
  @Get('reliefs')
  reliefs(@Req() request: Request): Promise<WorthOfRelief[]> {
    return this.plan.reliefs(whenGone(request));
  }

  /** Carries out some of the proposed changes, all that are named or none. */
  @Post('accept')
  @HttpCode(200)
  accept(@Body() { changeIds }: AcceptPlanDto): Promise<ChangedWashes> {
    return this.plan.accept(changeIds);
  }

  /** Ends the search for a better plan; the best so far is kept. */
  @Post('stop')
  @HttpCode(204)
  stop(): void {
    this.plan.stop();
  }

  /** How good the plan is, as server-sent events. */
  @Sse('news')
  news(): Observable<MessageEvent> {
    return this.plan.news.pipe(
      throttleTime(100, undefined, { leading: true, trailing: true }),
      map((data) => ({ data })),
    );
  }
}
