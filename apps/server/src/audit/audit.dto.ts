import { AUDITED_RECORDS, type AuditedRecord } from '@keen/core';
import { Type } from 'class-transformer';
import { IsIn, IsInt, IsOptional, IsString, MaxLength, Min } from 'class-validator';

/** Which changes are asked for. */
export class AuditQuery {
  /** A kind of record; absent: all kinds. */
  @IsOptional() @IsIn(AUDITED_RECORDS) record?: AuditedRecord;
  /** One record of that kind. */
  @IsOptional() @IsString() @MaxLength(200) recordId?: string;
  /** An account by its name. */
  @IsOptional() @IsString() @MaxLength(200) who?: string;
  /** Older than the change of this number. */
  @IsOptional() @Type(() => Number) @IsInt() @Min(1) before?: number;
}
