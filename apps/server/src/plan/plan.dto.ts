import { ArrayMaxSize, ArrayMinSize, IsArray, IsNotEmpty, IsString } from 'class-validator';
import { MayBeAbsent } from '../errors/not-null.js';

export class AcceptPlanDto {
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(200) @IsString({ each: true }) changeIds: string[];
}

export class MovesQueryDto {
  @IsString() @IsNotEmpty() vehicleId: string;
  /** The wash to be moved; absent: one is to be planned. */
  @MayBeAbsent() @IsString() @IsNotEmpty() washId?: string;
}
