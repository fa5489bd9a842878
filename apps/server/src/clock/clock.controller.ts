import { Body, Controller, ForbiddenException, Get, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { IsInt, Max, Min } from 'class-validator';
import type { Clock } from '@keen/core';
import { ClockService } from './clock.service.js';

export class SetClockDto {
  /** Instant, ms since 1970 UTC; 2000 to 2100. */
  @IsInt()
  @Min(946_684_800_000)
  @Max(4_102_444_800_000)
  nowMs: number;
}

@ApiTags('clock')
@Controller('clock')
export class ClockController {
  constructor(private readonly clock: ClockService) {}

  /** The time by which the program works. */
  @Get()
  read(): Clock {
    return { nowMs: this.clock.now(), canBeSet: this.clock.canBeSet };
  }

  /** Moves the demo's clock. */
  @Put()
  set(@Body() { nowMs }: SetClockDto): Clock {
    if (!this.clock.canBeSet) throw new ForbiddenException('The clock can be moved in the demo only.');
    this.clock.set(nowMs);
    return this.read();
  }
}
