import { Module } from '@nestjs/common';
import { KitRepository } from './kit.repository.js';

/** The kept kit alone: the plan and the runs read it, and the kit asks the weather. */
@Module({ providers: [KitRepository], exports: [KitRepository] })
export class KitShelfModule {}
