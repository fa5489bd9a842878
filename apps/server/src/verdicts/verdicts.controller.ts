import { Controller, Get, type MessageEvent, Param, Query, Sse } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { type CellDetail, METHODS } from '@keen/core';
import { Type } from 'class-transformer';
import { IsIn, IsInt, IsNotEmpty, IsString } from 'class-validator';
import { map, type Observable, throttleTime } from 'rxjs';
import type { SaltAnswer } from './engine.js';
import { EnginePool } from './engine-pool.js';
import { type MorningView, VerdictsService, type WindowsView } from './verdicts.service.js';

export class CellQueryDto {
  @IsString() @IsNotEmpty() vehicleId: string;
  @IsString() @IsNotEmpty() placeId: string;
  @IsIn(METHODS.map(({ id }) => id)) methodId: string;
  @Type(() => Number) @IsInt() startMs: number;
}

@ApiTags('verdicts')
@Controller('verdicts')
export class VerdictsController {
  constructor(
    private readonly verdicts: VerdictsService,
    private readonly pool: EnginePool,
  ) {}

  /** The morning's answer for every vehicle. */
  @Get('morning')
  morning(): Promise<MorningView> {
    return this.verdicts.morning();
  }

  /** A week of verdicts for one vehicle at every place by every method. */
  @Get('windows/:vehicleId')
  windows(@Param('vehicleId') vehicleId: string): Promise<WindowsView> {
    return this.verdicts.windows(vehicleId);
  }

  /** All findings for one start. */
  @Get('cell')
  cell(@Query() query: CellQueryDto): Promise<CellDetail> {
    return this.verdicts.cell(query);
  }

  /** The season's salt on one vehicle. */
  @Get('salt/:vehicleId')
  salt(@Param('vehicleId') vehicleId: string): Promise<SaltAnswer> {
    return this.verdicts.salt(vehicleId);
  }

  /** How far the engine has come, as server-sent events of {label, share}. */
  @Sse('progress')
  progress(): Observable<MessageEvent> {
    return this.pool.progress.pipe(
      throttleTime(60, undefined, { leading: true, trailing: true }),
      map((data) => ({ data })),
    );
  }
}
