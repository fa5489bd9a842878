import { ArrayMaxSize, ArrayMinSize, IsArray, IsNotEmpty, IsOptional, IsString } from 'class-validator';

export class AcceptPlanDto {
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(200) @IsString({ each: true }) changeIds: string[];
}

export class MovesQueryDto {
  @IsString() @IsNotEmpty() vehicleId: string;
  /** The wash to be moved; absent: one is to be planned. */
  @IsOptional() @IsString() @IsNotEmpty() washId?: string;
}
