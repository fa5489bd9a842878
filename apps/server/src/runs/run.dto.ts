import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsInt, IsOptional, Min } from 'class-validator';

/** What a phone did since it last sent; the actions are checked one by one where they are taken. */
export class RunActionsDto {
  @IsArray() @ArrayMaxSize(500) actions: unknown[];
  /** The last number that the phone has. */
  @IsInt() @Min(0) after: number;
}

export class AfterDto {
  @IsOptional() @Type(() => Number) @IsInt() @Min(0) after = 0;
}
