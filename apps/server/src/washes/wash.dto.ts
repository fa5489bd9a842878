import {
  METHOD_IDS,
  type PanelId,
  SEASON_JOB_IDS,
  WAY_IDS,
  type WayId,
  type SeasonJobId,
  SPOTS_FOUND,
  type SpotsFound,
  MOST_MINOR,
} from '@keen/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { MayBeAbsent } from '../errors/not-null.js';

const PANELS = [
  'roof',
  'bonnet',
  'boot',
  'windscreen',
  'left',
  'right',
  'front',
  'rear',
] as const satisfies readonly PanelId[];
const EARLIEST_MS = 946_684_800_000;
const LATEST_MS = 4_102_444_800_000;

export class PlanWashDto {
  @IsString() @IsNotEmpty() vehicleId: string;
  @IsString() @IsNotEmpty() placeId: string;
  @IsIn(METHOD_IDS) methodId: string;
  @IsInt() @Min(EARLIEST_MS) @Max(LATEST_MS) startMs: number;
  /** Absent: any worker who is free. */
  @MayBeAbsent() @IsString() @IsNotEmpty() @MaxLength(40) workerId?: string;
  /** Work of the season in the same visit. */
  @MayBeAbsent() @IsArray() @ArrayUnique() @IsIn(SEASON_JOB_IDS, { each: true }) extras?: SeasonJobId[];
  /** In which way; absent: the one that goes with the least bother. */
  @MayBeAbsent() @IsIn(WAY_IDS) wayId?: WayId;
  /** What is planned by hand stays where it was put. */
  @MayBeAbsent() @IsBoolean() isLocked?: boolean;
}

export class MoveWashDto {
  /** In which way; absent: as it was chosen, or the one that goes with the least bother. */
  @MayBeAbsent() @IsIn(WAY_IDS) wayId?: WayId;
  /** Bottles for this wash alone, by the id of the step; null: as the house has it; absent: as it was chosen. */
  @MayBeAbsent() @IsObject() products?: Record<string, unknown>;
  /** Its steps for this wash alone; null: as the shop does it; absent: as it was chosen. */
  @IsOptional() @IsObject() variant?: Record<string, unknown> | null;
  @MayBeAbsent() @IsString() @IsNotEmpty() placeId?: string;
  @MayBeAbsent() @IsIn(METHOD_IDS) methodId?: string;
  @MayBeAbsent() @IsInt() @Min(EARLIEST_MS) @Max(LATEST_MS) startMs?: number;
  @MayBeAbsent() @IsString() @IsNotEmpty() @MaxLength(40) workerId?: string;
  @MayBeAbsent() @IsBoolean() isLocked?: boolean;
  @MayBeAbsent() @IsArray() @ArrayUnique() @IsIn(SEASON_JOB_IDS, { each: true }) extras?: SeasonJobId[];
  /** null: not begun after all. */
  @IsOptional() @IsInt() @Min(EARLIEST_MS) @Max(LATEST_MS) startedMs?: number | null;
  /** Done in one visit with this planned wash, at its hour and by its hands; null: by itself. */
  @IsOptional() @IsString() @IsNotEmpty() @MaxLength(80) visitWith?: string | null;
}

export class MoveOneDto extends MoveWashDto {
  @IsString() @IsNotEmpty() id: string;
}

/** Changes to the plan, all or none. */
export class WashChangesDto {
  @MayBeAbsent()
  @IsArray()
  @ArrayMaxSize(200)
  @ValidateNested({ each: true })
  @Type(() => PlanWashDto)
  add?: PlanWashDto[];
  @MayBeAbsent()
  @IsArray()
  @ArrayMaxSize(200)
  @ValidateNested({ each: true })
  @Type(() => MoveOneDto)
  move?: MoveOneDto[];
  @MayBeAbsent() @IsArray() @ArrayMaxSize(200) @IsString({ each: true }) remove?: string[];
  @MayBeAbsent() @IsArray() @ArrayMaxSize(200) @IsString({ each: true }) restore?: string[];
}

export class FoundDto {
  @IsArray() @ArrayMaxSize(8) @IsIn(PANELS, { each: true }) icePanels: PanelId[];
  @IsIn(SPOTS_FOUND) spots: SpotsFound;
  @IsString() @MaxLength(500) leftovers: string;
  @IsString() @MaxLength(2000) note: string;
}

/** A wash as it was done. */
export class DoneWashDto {
  @IsInt() @Min(EARLIEST_MS) @Max(LATEST_MS) startMs: number;
  @IsNumber() @Min(1) @Max(1440) minutes: number;
  @IsIn(METHOD_IDS) methodId: string;
  /** Work of the season that was done; absent: what was planned. */
  @MayBeAbsent() @IsArray() @ArrayUnique() @IsIn(SEASON_JOB_IDS, { each: true }) extras?: SeasonJobId[];
  @IsOptional() @IsInt() @Min(0) @Max(MOST_MINOR) costMinor: number | null = null;
  @IsObject() @ValidateNested() @Type(() => FoundDto) found: FoundDto;
}

/** A wash that was done without having been planned. */
export class LogWashDto extends DoneWashDto {
  @IsString() @IsNotEmpty() vehicleId: string;
  @IsString() @IsNotEmpty() placeId: string;
}
