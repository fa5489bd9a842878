import { Inject, Injectable } from '@nestjs/common';
import type { Gear, Kit, KitTaken, Product } from '@keen/core';
import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import type { Database, Write } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { gear, products } from '../db/schema.js';

const toProduct = ({ removedMs: _, ...record }: typeof products.$inferSelect): Product => record;
const toGear = ({ removedMs: _, ...record }: typeof gear.$inferSelect): Gear => record;

@Injectable()
export class KitRepository {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  async all(): Promise<Kit> {
    const [productRows, gearRows] = await Promise.all([
      this.db.select().from(products).where(isNull(products.removedMs)).orderBy(asc(products.name)),
      this.db.select().from(gear).where(isNull(gear.removedMs)).orderBy(asc(gear.kind), asc(gear.name)),
    ]);
    return { products: productRows.map(toProduct), gear: gearRows.map(toGear) };
  }

  async findProduct(id: string): Promise<Product | null> {
    const [row] = await this.db
      .select()
      .from(products)
      .where(and(eq(products.id, id), isNull(products.removedMs)));
    return row ? toProduct(row) : null;
  }

  async findGear(id: string): Promise<Gear | null> {
    const [row] = await this.db
      .select()
      .from(gear)
      .where(and(eq(gear.id, id), isNull(gear.removedMs)));
    return row ? toGear(row) : null;
  }

  async insertProduct(record: Product): Promise<void> {
    await this.db.insert(products).values(record);
  }

  async insertGear(record: Gear): Promise<void> {
    await this.db.insert(gear).values(record);
  }

  async updateProduct(id: string, change: Partial<Product>): Promise<void> {
    if (Object.keys(change).length > 0) await this.db.update(products).set(change).where(eq(products.id, id));
  }

  async updateGear(id: string, change: Partial<Gear>): Promise<void> {
    if (Object.keys(change).length > 0) await this.db.update(gear).set(change).where(eq(gear.id, id));
  }

  async setProductRemoved(id: string, removedMs: number | null): Promise<boolean> {
    const { rowsAffected } = await this.db.update(products).set({ removedMs }).where(eq(products.id, id));
    return rowsAffected > 0;
  }

  async setGearRemoved(id: string, removedMs: number | null): Promise<boolean> {
    const { rowsAffected } = await this.db.update(gear).set({ removedMs }).where(eq(gear.id, id));
    return rowsAffected > 0;
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
