import { Inject, Injectable } from '@nestjs/common';
import type { Gear, GearKind, Kit, Product, WashUse } from '@keen/core';
import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { gear, products } from '../db/schema.js';

const toProduct = ({ removedMs: _, ...record }: typeof products.$inferSelect): Product => record;
const toGear = ({ removedMs: _, ...record }: typeof gear.$inferSelect): Gear => record;

/** Out of which cloths of a kind a number is taken, or among which it comes back; never below none or above all. */
function spread(rows: readonly Gear[], kind: GearKind, soiled: number): { id: string; cleanCount: number }[] {
  let left = soiled;
  return rows
    .filter((row) => row.kind === kind)
    .flatMap(({ id, count, cleanCount }) => {
      const taken = left >= 0 ? Math.min(left, cleanCount) : -Math.min(-left, count - cleanCount);
      left -= taken;
      return taken === 0 ? [] : [{ id, cleanCount: cleanCount - taken }];
    });
}

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

  /** One wash was done (1) or was not done after all (−1): products, cloths and filters follow, all or none. */
  async use(use: WashUse, washes: 1 | -1): Promise<void> {
    const { gear: rows } = await this.all();
    const cloths = [
      ...spread(rows, 'folded-towel', washes * use.foldedTowels),
      ...spread(rows, 'drying-towel', washes * use.dryingTowels),
      ...spread(rows, 'mitt', washes * use.mitts),
    ];
    const filters = [
      { kind: 'inline-filter' as const, litres: use.tapLitres },
      { kind: 'resin' as const, litres: use.resinLitres },
    ].filter(({ litres }) => litres > 0);
    const [first, ...rest] = [
      ...use.products.map(({ productId, ml }) =>
        this.db
          .update(products)
          .set({ leftMl: sql`max(0, ${products.leftMl} - ${washes * ml})` })
          .where(eq(products.id, productId)),
      ),
      ...cloths.map(({ id, cleanCount }) => this.db.update(gear).set({ cleanCount }).where(eq(gear.id, id))),
      ...filters.map(({ kind, litres }) =>
        this.db
          .update(gear)
          .set({ litresUsed: sql`max(0, ${gear.litresUsed} + ${washes * litres})` })
          .where(eq(gear.kind, kind)),
      ),
    ];
    if (first) await this.db.batch([first, ...rest]);
  }
}
