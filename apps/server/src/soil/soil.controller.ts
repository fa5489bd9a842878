import { randomUUID } from 'node:crypto';
import { Body, Controller, Delete, HttpCode, Param, Post } from '@nestjs/common';
import { ApiProperty, ApiTags } from '@nestjs/swagger';
import {
  CAR_ZONE_IDS,
  type CarZone,
  MOST_SOIL_GRADE,
  SOIL_KINDS,
  type SoilKind,
  type SoilLookRecord,
} from '@keen/core';
import { IsIn, IsNumber, Max, Min } from 'class-validator';
import { ClockService } from '../clock/clock.service.js';
import { notFound } from '../errors/api-error.js';
import { AnswersService } from '../answers/answers.service.js';
import { SoilLooksRepository } from '../records/soil-looks.repository.js';

export class SoilLookDto {
  @ApiProperty({ enum: CAR_ZONE_IDS }) @IsIn([...CAR_ZONE_IDS]) zone: CarZone;
  @ApiProperty({ enum: SOIL_KINDS }) @IsIn(SOIL_KINDS) kind: SoilKind;
  @IsNumber() @Min(0) @Max(MOST_SOIL_GRADE) grade: number;
}

/** What somebody saw on the car, which goes before the estimate until the next wash. */
@ApiTags('soil')
@Controller('vehicles/:vehicleId/soil')
export class SoilController {
  constructor(
    private readonly looks: SoilLooksRepository,
    private readonly verdicts: AnswersService,
    private readonly clock: ClockService,
  ) {}

  /** Keeps what was seen on a zone: kind and grade of soil. */
  @Post()
  async look(@Param('vehicleId') vehicleId: string, @Body() dto: SoilLookDto): Promise<SoilLookRecord> {
    const { estimated } = await this.verdicts.condition(vehicleId);
    const estimatedThen =
      estimated.find(({ zone, kind }) => zone === dto.zone && kind === dto.kind)?.grade ?? 0;
    const record: SoilLookRecord = {
      ...dto,
      estimatedThen,
      vehicleId,
      id: randomUUID(),
      atMs: this.clock.now(),
    };
    await this.looks.insert([record]);
    return record;
  }

  /** Deletes a look at the soil; it can be restored. */
  @Delete(':id')
  @HttpCode(204)
  async remove(@Param() of: { vehicleId: string; id: string }): Promise<void> {
    if (!(await this.looks.setRemoved(of, this.clock.now()))) throw notFound('look', of.id);
  }

  /** Restores a look at the soil. */
  @Post(':id/restore')
  @HttpCode(204)
  async restore(@Param() of: { vehicleId: string; id: string }): Promise<void> {
    if (!(await this.looks.setRemoved(of, null))) throw notFound('look', of.id);
  }
}
