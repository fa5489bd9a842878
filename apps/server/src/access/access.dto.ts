import { LONGEST_PASSWORD, type Role, ROLES, SHORTEST_PASSWORD } from '@keen/core';
import { ApiProperty } from '@nestjs/swagger';
import { IsIn, IsNotEmpty, IsString, Length, MaxLength, MinLength, ValidateIf } from 'class-validator';
import { MayBeAbsent } from '../errors/not-null.js';

export const SHORTEST_NAME = 2;
export const LONGEST_NAME = 40;
const LONGEST_DEVICE = 60;
const isGiven = (_: unknown, value: unknown): boolean => value !== null && value !== undefined;

export class SignInDto {
  @IsString() @Length(SHORTEST_NAME, LONGEST_NAME) name: string;
  @IsString() @IsNotEmpty() @MaxLength(LONGEST_PASSWORD) password: string;
  /** What this phone or computer is called in the list of those that are signed in. */
  @MayBeAbsent() @IsString() @MaxLength(LONGEST_DEVICE) device?: string;
}

export class PairDto {
  @IsString() @IsNotEmpty() @MaxLength(40) code: string;
  @IsString() @IsNotEmpty() @MaxLength(LONGEST_DEVICE) device: string;
}

export class CreateAccountDto {
  @IsString() @Length(SHORTEST_NAME, LONGEST_NAME) name: string;
  @IsString()
  @MinLength(SHORTEST_PASSWORD)
  @MaxLength(LONGEST_PASSWORD)
  password: string;
  @ApiProperty({ enum: ROLES })
  @IsIn(ROLES)
  role: Role;
  /** What the computer that makes the first account is called, which is signed in with it. */
  @MayBeAbsent() @IsString() @MaxLength(LONGEST_DEVICE) device?: string;
  /** Whose washes are this person's own; null: nobody's. */
  @ApiProperty({ type: String, nullable: true, required: false })
  @ValidateIf(isGiven)
  @IsString()
  @MaxLength(60)
  workerId?: string | null;
}

export class ChangeAccountDto {
  @MayBeAbsent() @IsString() @Length(SHORTEST_NAME, LONGEST_NAME) name?: string;
  /** A new one signs all of the account's phones and computers out. */
  @MayBeAbsent()
  @IsString()
  @MinLength(SHORTEST_PASSWORD)
  @MaxLength(LONGEST_PASSWORD)
  password?: string;
  @ApiProperty({ enum: ROLES, required: false })
  @MayBeAbsent()
  @IsIn(ROLES)
  role?: Role;
  @ApiProperty({ type: String, nullable: true, required: false })
  @ValidateIf(isGiven)
  @IsString()
  @MaxLength(60)
  workerId?: string | null;
}
