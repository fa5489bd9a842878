import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Equals } from 'class-validator';
import { StartAgainService } from './start-again.service.js';

export class WipeDto {
  /** Typed by the person who means it. */
  @Equals('wipe') confirm: 'wipe';
}

@ApiTags('start again')
@Controller('start-again')
export class StartAgainController {
  constructor(private readonly fresh: StartAgainService) {}

  /** Wipes the shop after a copy of it was made; accounts stay. */
  @Post('wipe')
  @HttpCode(204)
  wipe(@Body() _dto: WipeDto): Promise<void> {
    return this.fresh.wipe();
  }

  /** Fills an empty shop with made-up cars, places and a season of weather. */
  @Post('made-up')
  @HttpCode(204)
  madeUp(): Promise<void> {
    return this.fresh.tryMadeUp();
  }
}
