import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post, Query } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import {
  WASH_STATUSES,
  type WashRecord,
  type WashStatus,
  type ChangedWashes,
  type WashListReport,
} from '@keen/core';
import { IsIn, IsString } from 'class-validator';
import { MayBeAbsent } from '../errors/not-null.js';
import { WashListDto, WashesMadeDto } from './wash-list.dto.js';
import { WashListService } from './wash-list.service.js';
import { WashChangesService } from './wash-changes.service.js';
import { DoneWashDto, LogWashDto, MoveWashDto, PlanWashDto, WashChangesDto } from './wash.dto.js';
import { WashesService } from './washes.service.js';

export class WashFilterDto {
  @MayBeAbsent() @IsString() vehicleId?: string;
  @MayBeAbsent() @IsIn(WASH_STATUSES) status?: WashStatus;
}

@ApiTags('washes')
@Controller('washes')
export class WashesController {
  constructor(
    private readonly washes: WashesService,
    private readonly changes: WashChangesService,
    private readonly lists: WashListService,
  ) {}

  /** Washes, planned and done, within a span or of a vehicle. */
  @Get()
  list(@Query() filter: WashFilterDto): Promise<WashRecord[]> {
    return this.washes.list(filter);
  }

  /** One wash. */
  @Get(':id')
  read(@Param('id') id: string): Promise<WashRecord> {
    return this.washes.read(id);
  }

  /** Plans a wash: it is judged for that start, and stored with its way and verdict. */
  @Post()
  plan(@Body() dto: PlanWashDto): Promise<WashRecord> {
    return this.washes.plan(dto);
  }

  /** Logs a wash that was not planned. */
  @Post('done')
  log(@Body() dto: LogWashDto): Promise<WashRecord> {
    return this.washes.log(dto);
  }

  /** Reads a list of old washes line by line; what is good is kept as the mode says. They take nothing out of the kit. */
  @Post('list')
  @HttpCode(200)
  readList(@Body() dto: WashListDto): Promise<WashListReport> {
    return this.lists.read(dto);
  }

  /** Takes out what came with a list. */
  @Post('list/undo')
  @HttpCode(204)
  undoList(@Body() dto: WashesMadeDto): Promise<void> {
    return this.lists.undo(dto);
  }

  /** Several changes to the plan, all or none. */
  @Post('changes')
  @HttpCode(200)
  change(@Body() dto: WashChangesDto): Promise<ChangedWashes> {
    return this.changes.apply(dto);
  }

  /** Moves a planned wash, or changes how it is done. */
  @Patch(':id')
  move(@Param('id') id: string, @Body() dto: MoveWashDto): Promise<WashRecord> {
    return this.washes.move(id, dto);
  }

  /** Marks a planned wash as done, with what was found. */
  @Post(':id/done')
  @HttpCode(200)
  finish(@Param('id') id: string, @Body() dto: DoneWashDto): Promise<WashRecord> {
    return this.washes.finish(id, dto);
  }

  /** Takes a wash that was marked as done back into the plan. */
  @Post(':id/reopen')
  @HttpCode(200)
  reopen(@Param('id') id: string): Promise<WashRecord> {
    return this.washes.reopenAtDesk(id);
  }

  /** Deletes a wash; it can be restored. */
  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.washes.remove(id);
  }

  /** Restores a wash. */
  @Post(':id/restore')
  @HttpCode(200)
  restore(@Param('id') id: string): Promise<WashRecord> {
    return this.washes.restore(id);
  }
}
