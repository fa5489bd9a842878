import { Inject, Injectable } from '@nestjs/common';
import type { Gear, Kit, KitTaken, Product } from '@keen/core';
import { eq, sql } from 'drizzle-orm';
import type { Database, Write } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { gear, products } from '../db/schema.js';
import { RemovableRows } from './removable-rows.js';

@Injectable()
export class ProductsRepository extends RemovableRows<Product> {
  constructor(@Inject(DATABASE) db: Database) {
    super(db, { what: 'product', table: products, order: [products.name] });
  }
}

@Injectable()
export class GearRepository extends RemovableRows<Gear> {
  constructor(@Inject(DATABASE) db: Database) {
    super(db, { what: 'gear', table: gear, order: [gear.kind, gear.name] });
  }
}

/** All that the shop owns, and what a wash takes out of it. */
@Injectable()
export class KitRepository {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    readonly products: ProductsRepository,
    readonly gear: GearRepository,
  ) {}

  async all(): Promise<Kit> {
    const [ownProducts, ownGear] = await Promise.all([this.products.list(), this.gear.list()]);
    return { products: ownProducts, gear: ownGear };
  }

  /** Writes that take this out of the kit (1), or give it back (−1); they go into the batch of the wash that does. */
  changes(taken: KitTaken, sign: 1 | -1): Write[] {
    return [
      ...taken.products.map(({ productId, ml }) =>
        this.db
          .update(products)
          .set({ leftMl: sql`max(0, ${products.leftMl} - ${sign * ml})` })
          .where(eq(products.id, productId)),
      ),
      ...taken.cloths.map(({ gearId, count }) =>
        this.db
          .update(gear)
          .set({ cleanCount: sql`min(${gear.count}, max(0, ${gear.cleanCount} - ${sign * count}))` })
          .where(eq(gear.id, gearId)),
      ),
      ...taken.filters.map(({ gearId, litres }) =>
        this.db
          .update(gear)
          .set({ litresUsed: sql`max(0, ${gear.litresUsed} + ${sign * litres})` })
          .where(eq(gear.id, gearId)),
      ),
    ];
  }
}
