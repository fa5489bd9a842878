import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { PlaceRecord } from '@keen/core';
import { CreatePlaceDto, UpdatePlaceDto } from './place.dto.js';
import { PlacesService } from './places.service.js';

@ApiTags('places')
@Controller('places')
export class PlacesController {
  constructor(private readonly places: PlacesService) {}

  @Get()
  list(): Promise<PlaceRecord[]> {
    return this.places.list();
  }

  @Get(':id')
  read(@Param('id') id: string): Promise<PlaceRecord> {
    return this.places.read(id);
  }

  @Post()
  create(@Body() dto: CreatePlaceDto): Promise<PlaceRecord> {
    return this.places.create(dto);
  }

  @Patch(':id')
  update(@Param('id') id: string, @Body() dto: UpdatePlaceDto): Promise<PlaceRecord> {
    return this.places.update(id, dto);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.places.remove(id);
  }

  /** Brings back a place that was taken away. */
  @Post(':id/restore')
  @HttpCode(200)
  restore(@Param('id') id: string): Promise<PlaceRecord> {
    return this.places.restore(id);
  }
}
