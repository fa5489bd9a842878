import { Controller, Get, Param } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { type RunAnswer, RunsService } from './runs.service.js';

@ApiTags('runs')
@Controller('runs')
export class RunsController {
  constructor(private readonly runs: RunsService) {}

  /** What to bring, in which order, how long each and what to see to after, for a planned wash. */
  @Get(':washId')
  sheet(@Param('washId') washId: string): Promise<RunAnswer> {
    return this.runs.sheet(washId);
  }
}
