import type { MessageRecord, UnsentMessage } from '@keen/core';
import { Body, Controller, Delete, Get, HttpCode, Param, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { PutMessageDto } from './message.dto.js';
import { MessagesService } from './messages.service.js';

@ApiTags('messages')
@Controller('messages')
export class MessagesController {
  constructor(private readonly messages: MessagesService) {}

  /** The outbox, newest first; nothing is sent anywhere. */
  @Get()
  list(): Promise<MessageRecord[]> {
    return this.messages.list();
  }

  /** What customers do not know yet. */
  @Get('unsent')
  unsent(): Promise<UnsentMessage[]> {
    return this.messages.unsent();
  }

  /** Puts a message to a customer into the outbox. */
  @Post()
  put(@Body() dto: PutMessageDto): Promise<MessageRecord> {
    return this.messages.put(dto);
  }

  /** What waits, to be sent by other means; it is marked as taken. */
  @Post('take')
  @HttpCode(200)
  take(): Promise<MessageRecord[]> {
    return this.messages.take();
  }

  /** Deletes a message; it can be restored. */
  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.messages.setRemoved(id, true);
  }

  /** Restores a message. */
  @Post(':id/restore')
  @HttpCode(204)
  restore(@Param('id') id: string): Promise<void> {
    return this.messages.setRemoved(id, false);
  }
}
