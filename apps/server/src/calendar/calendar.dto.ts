import { IsNotEmpty, IsString, Matches, MaxLength } from 'class-validator';
import { MayBeAbsent } from '../errors/not-null.js';
import { ImportDto } from '../imports/import.dto.js';

export class ImportBusyDto extends ImportDto {
  /** What the calendar is called here; a second import under the name replaces the first. */
  @IsString() @IsNotEmpty() @MaxLength(60) calendar: string;
  /** Whose time it is; absent: everybody's. */
  @MayBeAbsent() @IsString() @IsNotEmpty() workerId?: string;
}

export class FeedDto {
  /** Who follows the plan under this address. */
  @IsString()
  @IsNotEmpty()
  @Matches(/\S/, { message: '$property must not be blank' })
  @MaxLength(60)
  name: string;
  /** Whose washes it gives; absent: everybody's. */
  @MayBeAbsent() @IsString() @IsNotEmpty() workerId?: string;
}
