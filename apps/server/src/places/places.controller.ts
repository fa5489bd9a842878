import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { PlaceRecord } from '@keen/core';
import { CreatePlaceDto, UpdatePlaceDto } from './place.dto.js';
import { PlacesService } from './places.service.js';

@ApiTags('places')
@Controller('places')
export class PlacesController {
  constructor(private readonly places: PlacesService) {}

  /** All places. */
  @Get()
  list(): Promise<PlaceRecord[]> {
    return this.places.list();
  }

  /** One place. */
  @Get(':id')
  read(@Param('id') id: string): Promise<PlaceRecord> {
    return this.places.read(id);
  }

  /** Adds a place. */
  @Post()
  create(@Body() dto: CreatePlaceDto): Promise<PlaceRecord> {
    return this.places.create(dto);
  }

  /** Changes a place; `read` holds the fields as they were read, and a field that changed meanwhile is refused. */
  @Patch(':id')
  update(@Param('id') id: string, @Body() dto: UpdatePlaceDto): Promise<PlaceRecord> {
    return this.places.update(id, dto);
  }

  /** Deletes a place; it can be restored. */
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
