import {
  Body,
  Controller,
  Get,
  HttpCode,
  type MessageEvent,
  Param,
  Post,
  Query,
  Req,
  Sse,
} from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type {
  CadenceOutcome,
  CoatRecord,
  Flip,
  CellAnswer,
  ConditionView,
  SaltAnswer,
  TrialAnswer,
  BalanceView,
  WashAnswer,
  WayOption,
  WindowsView,
} from '@keen/core';
import type { Request } from 'express';
import { map, type Observable, throttleTime } from 'rxjs';
import { EnginePool } from '../engine/engine-pool.js';
import { BalanceQueryDto, CadencePlansDto, CellQueryDto } from './answer.dto.js';
import { AnswersService } from './answers.service.js';
import { whenGone } from '../engine/when-gone.js';

@ApiTags('verdicts')
@Controller('verdicts')
export class AnswersController {
  constructor(
    private readonly verdicts: AnswersService,
    private readonly pool: EnginePool,
  ) {}

  /** A week of verdicts for one vehicle at every place by every method. */
  @Get('windows/:vehicleId')
  windows(@Param('vehicleId') vehicleId: string, @Req() request: Request): Promise<WindowsView> {
    return this.verdicts.windows(vehicleId, whenGone(request));
  }

  /** All findings for one start, and the films behind them. */
  @Get('cell')
  cell(@Query() query: CellQueryDto): Promise<CellAnswer> {
    return this.verdicts.cell(query);
  }

  /** One start worked through: its steps on their clock, minutes, money and litres, and what becomes of every panel. */
  @Get('wash')
  wash(@Query() query: CellQueryDto): Promise<WashAnswer> {
    return this.verdicts.wash(query);
  }

  /** One start in an order of steps that somebody tries out: how it goes, what it takes, and what is wrong with which step. */
  @Post('trial')
  @HttpCode(200)
  trial(@Body() start: CellQueryDto): Promise<TrialAnswer> {
    return this.verdicts.trial(start);
  }

  /** The ways in which one start could be done, with what each takes and whether it goes. */
  @Get('ways')
  ways(@Query() query: CellQueryDto): Promise<WayOption[]> {
    return this.verdicts.ways(query);
  }

  /** The nearest change of each input that would change the answer to one start. */
  @Get('flips')
  flips(@Query() query: CellQueryDto): Promise<Flip[]> {
    return this.verdicts.flips(query);
  }

  /** All ways to wash one vehicle in one hour. */
  @Get('balance/:vehicleId')
  balance(
    @Param('vehicleId') vehicleId: string,
    @Query() { atMs }: BalanceQueryDto,
    @Req() request: Request,
  ): Promise<BalanceView> {
    return this.verdicts.balance(vehicleId, atMs, whenGone(request));
  }

  /** What each of some cadences would have cost and saved this season so far. */
  @Post('cadence/:vehicleId')
  @HttpCode(200)
  cadence(
    @Param('vehicleId') vehicleId: string,
    @Body() { plans }: CadencePlansDto,
  ): Promise<CadenceOutcome[]> {
    return this.verdicts.cadence(
      vehicleId,
      plans.map(({ parts }) => parts),
    );
  }

  /** The season's salt on one vehicle. */
  @Get('salt/:vehicleId')
  salt(@Param('vehicleId') vehicleId: string): Promise<SaltAnswer> {
    return this.verdicts.salt(vehicleId);
  }

  /** Soil and protection of one vehicle, zone by zone. */
  @Get('condition/:vehicleId')
  condition(@Param('vehicleId') vehicleId: string): Promise<ConditionView> {
    return this.verdicts.condition(vehicleId);
  }

  /** What each protection lasted on each vehicle, by kind and product. */
  @Get('coats')
  coats(): Promise<CoatRecord[]> {
    return this.verdicts.coats();
  }

  /** How far the engine has come, as server-sent events of {label, share}. */
  @Sse('progress')
  progress(): Observable<MessageEvent> {
    return this.pool.progress.pipe(
      throttleTime(60, undefined, { leading: true, trailing: true }),
      map(({ label, share }) => ({ data: { label, share } })),
    );
  }
}
