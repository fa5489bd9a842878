import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { CarListReport, VehicleRecord } from '@keen/core';
import { CarListDto, CarsMadeDto } from './car-list.dto.js';
import { CarListService } from './car-list.service.js';
import { CreateVehicleDto, UpdateVehicleDto } from './vehicle.dto.js';
import { VehiclesService } from './vehicles.service.js';

@ApiTags('vehicles')
@Controller('vehicles')
export class VehiclesController {
  constructor(
    private readonly vehicles: VehiclesService,
    private readonly lists: CarListService,
  ) {}

  /** All vehicles. */
  @Get()
  list(): Promise<VehicleRecord[]> {
    return this.vehicles.list();
  }

  /** One vehicle. */
  @Get(':id')
  read(@Param('id') id: string): Promise<VehicleRecord> {
    return this.vehicles.read(id);
  }

  /** Adds a vehicle. */
  @Post()
  create(@Body() dto: CreateVehicleDto): Promise<VehicleRecord> {
    return this.vehicles.create(dto);
  }

  /** Reads a list of cars line by line, with the customers in it; what is good is kept as the mode says. */
  @Post('list')
  @HttpCode(200)
  readList(@Body() dto: CarListDto): Promise<CarListReport> {
    return this.lists.read(dto);
  }

  /** Takes out what came with a list. */
  @Post('list/undo')
  @HttpCode(204)
  undoList(@Body() dto: CarsMadeDto): Promise<void> {
    return this.lists.undo(dto);
  }

  /** Changes a vehicle; `read` holds the fields as they were read, and a field that changed meanwhile is refused. */
  @Patch(':id')
  update(@Param('id') id: string, @Body() dto: UpdateVehicleDto): Promise<VehicleRecord> {
    return this.vehicles.update(id, dto);
  }

  /** Deletes a vehicle; it can be restored. */
  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.vehicles.remove(id);
  }

  /** Brings back a vehicle that was taken away. */
  @Post(':id/restore')
  @HttpCode(200)
  restore(@Param('id') id: string): Promise<VehicleRecord> {
    return this.vehicles.restore(id);
  }
}
