import { MESSAGE_KINDS, type MessageKind } from '@keen/core';
import { ApiProperty } from '@nestjs/swagger';
import { IsIn, IsNotEmpty, IsString, MaxLength } from 'class-validator';

export class PutMessageDto {
  @IsString() @IsNotEmpty() washId: string;
  @ApiProperty({ enum: MESSAGE_KINDS }) @IsIn(MESSAGE_KINDS) kind: MessageKind;
  @IsString() @IsNotEmpty() @MaxLength(4000) body: string;
}
