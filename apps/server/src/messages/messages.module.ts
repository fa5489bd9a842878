import { Module } from '@nestjs/common';
import { CustomerBookModule } from '../customers/customer-book.module.js';
import { VehiclesModule } from '../vehicles/vehicles.module.js';
import { VerdictsModule } from '../verdicts/verdicts.module.js';
import { WashLogModule } from '../washes/wash-log.module.js';
import { MessagesController } from './messages.controller.js';
import { KeptOutbox } from './kept-outbox.js';
import { MessagesService } from './messages.service.js';
import { OUTBOX } from './outbox.js';

@Module({
  imports: [CustomerBookModule, VehiclesModule, VerdictsModule, WashLogModule],
  controllers: [MessagesController],
  providers: [MessagesService, { provide: OUTBOX, useClass: KeptOutbox }],
})
export class MessagesModule {}
