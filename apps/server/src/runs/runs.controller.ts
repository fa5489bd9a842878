import {
  Body,
  Controller,
  Get,
  Header,
  HttpCode,
  Param,
  Post,
  Put,
  Query,
  Req,
  StreamableFile,
} from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { checkedActions, type RunAnswer, type RunHand, type RunNews } from '@keen/core';
import type { Request } from 'express';
import { AfterDto, RunActionsDto } from './run.dto.js';
import { RunPhotosService } from './run-photos.service.js';
import { RunsService } from './runs.service.js';

@ApiTags('runs')
@Controller('runs/:washId')
export class RunsController {
  constructor(
    private readonly runs: RunsService,
    private readonly photos: RunPhotosService,
  ) {}

  /** What to bring, in which order, how long each and what to see to after; and what was done so far. */
  @Get()
  read(@Param('washId') washId: string): Promise<RunAnswer> {
    return this.runs.read(washId);
  }

  /** What arrived after a number. */
  @Get('actions')
  news(@Param('washId') washId: string, @Query() { after }: AfterDto): Promise<RunNews> {
    return this.runs.news(washId, after);
  }

  /** In whose session and from which phone its deeds came. */
  @Get('hands')
  hands(@Param('washId') washId: string): Promise<RunHand[]> {
    return this.runs.hands(washId);
  }

  /** Takes what a phone did; each action counts once however often it is sent. */
  @Post('actions')
  @HttpCode(200)
  take(@Param('washId') washId: string, @Body() { actions, after }: RunActionsDto): Promise<RunNews> {
    return this.runs.take(washId, checkedActions(actions), after);
  }

  /** Keeps a picture: JPEG, PNG or WebP as the body. */
  @Put('photos/:photoId')
  @HttpCode(204)
  keepPhoto(
    @Param('washId') washId: string,
    @Param('photoId') photoId: string,
    @Req() { body }: Request<unknown, unknown, unknown>,
  ): Promise<void> {
    return this.photos.keep(washId, photoId, body);
  }

  /** A photograph of a run. */
  @Get('photos/:photoId')
  @Header('cache-control', 'private, max-age=31536000, immutable')
  async photo(@Param('washId') washId: string, @Param('photoId') photoId: string): Promise<StreamableFile> {
    const { mediaType, bytes } = await this.photos.read(washId, photoId);
    return new StreamableFile(bytes, { type: mediaType });
  }
}
