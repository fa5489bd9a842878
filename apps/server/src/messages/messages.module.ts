import { Module } from '@nestjs/common';
import { AnswersModule } from '../answers/answers.module.js';
import { MessagesController } from './messages.controller.js';
import { KeptOutbox } from './kept-outbox.js';
import { MessagesService } from './messages.service.js';
import { OUTBOX } from './outbox.js';

@Module({
  imports: [AnswersModule],
  controllers: [MessagesController],
  providers: [MessagesService, { provide: OUTBOX, useClass: KeptOutbox }],
})
export class MessagesModule {}
