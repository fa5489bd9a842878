import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { Gear, Kit, KitWarnings, Product } from '@keen/core';
import { CreateGearDto, CreateProductDto, UpdateGearDto, UpdateProductDto } from './kit.dto.js';
import { KitService } from './kit.service.js';

@ApiTags('kit')
@Controller('kit')
export class KitController {
  constructor(private readonly kit: KitService) {}

  /** Products and gear. */
  @Get()
  all(): Promise<Kit> {
    return this.kit.all();
  }

  /** What is low, freezes in the van tonight, is nearly spent or is to be laundered. */
  @Get('warnings')
  warnings(): Promise<KitWarnings> {
    return this.kit.warnings();
  }

  /** Adds a product with what its label says. */
  @Post('products')
  createProduct(@Body() dto: CreateProductDto): Promise<Product> {
    return this.kit.createProduct(dto);
  }

  /** Changes a product, or how much is left of it. */
  @Patch('products/:id')
  updateProduct(@Param('id') id: string, @Body() dto: UpdateProductDto): Promise<Product> {
    return this.kit.updateProduct(id, dto);
  }

  /** Deletes a product; it can be restored. */
  @Delete('products/:id')
  @HttpCode(204)
  removeProduct(@Param('id') id: string): Promise<void> {
    return this.kit.removeProduct(id);
  }

  /** Restores a product. */
  @Post('products/:id/restore')
  @HttpCode(200)
  restoreProduct(@Param('id') id: string): Promise<Product> {
    return this.kit.restoreProduct(id);
  }

  /** Adds a piece of gear. */
  @Post('gear')
  createGear(@Body() dto: CreateGearDto): Promise<Gear> {
    return this.kit.createGear(dto);
  }

  /** Changes a piece of gear. */
  @Patch('gear/:id')
  updateGear(@Param('id') id: string, @Body() dto: UpdateGearDto): Promise<Gear> {
    return this.kit.updateGear(id, dto);
  }

  /** Deletes a piece of gear; it can be restored. */
  @Delete('gear/:id')
  @HttpCode(204)
  removeGear(@Param('id') id: string): Promise<void> {
    return this.kit.removeGear(id);
  }

  /** Restores a piece of gear. */
  @Post('gear/:id/restore')
  @HttpCode(200)
  restoreGear(@Param('id') id: string): Promise<Gear> {
    return this.kit.restoreGear(id);
  }
}
