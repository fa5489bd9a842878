import { stockAfter, type StockChange } from './stock-after.js';
import { Inject, Injectable } from '@nestjs/common';
import {
  DEFAULT_DISPLAY,
  DEFAULT_WORKERS,
  DEFAULT_HOUSE,
  DEFAULT_LIMITS,
  DEFAULT_PRICES,
  DEFAULT_SEASON,
  type DisplaySettings,
  type DrivingSide,
  EMPTY_PRICE_LIST,
  hasLength,
  HOUSE_NUMBERS,
  HOUSE_RULES,
  type Worker,
  type HouseRules,
  LIMITS,
  type PriceList,
  PRICES,
  SEASON_NUMBERS,
  type SeasonNumbers,
  type Settings,
} from '@keen/core';
import { type Database, type Write, writeAll } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { settings } from '../db/schema.js';
import { badField } from '../errors/api-error.js';
import { requireUnchanged } from '../errors/unchanged.js';
import { checkedStock, checkedProducts, merged, mergedPrices, mergedTemplates } from './shop-lists.js';
import { checkedNamedWays, checkedVariants } from './own-steps.js';
import type { UpdateSettingsDto } from './settings.dto.js';

interface Ranged {
  readonly id: string;
  readonly min: number;
  readonly max: number;
  readonly unit: string;
}

/** Numbers by id, each within its row's range. @throws 400 naming the field */
function checkedNumbers(
  group: string,
  given: Record<string, unknown>,
  rows: readonly Ranged[],
): Record<string, number> {
  return Object.fromEntries(
    Object.entries(given).map(([id, value]) => {
      const field = `${group}.${id}`;
      const row = rows.find((candidate) => candidate.id === id);
      if (!row) throw badField(field, `${field} is not a field here.`);
      if (typeof value !== 'number' || !Number.isFinite(value) || value < row.min || value > row.max) {
        throw badField(field, `${field} must be a number from ${row.min} to ${row.max} ${row.unit}.`);
      }
      return [id, value];
    }),
  );
}

/** Schools by question, each one that the question knows. @throws 400 naming the field */
function checkedChoices(given: Record<string, unknown>): Record<string, string> {
  return Object.fromEntries(
    Object.entries(given).map(([id, value]) => {
      const field = `house.choices.${id}`;
      const row = HOUSE_RULES.find((candidate) => candidate.id === id);
      if (!row) throw badField(field, `${field} is not a field here.`);
      const options: readonly string[] = row.options.map((option) => option.id);
      if (typeof value !== 'string' || !options.includes(value))
        throw badField(field, `${field} must be one of ${options.join(', ')}.`);
      return [id, value];
    }),
  );
}

/** Each pair of hands once, and no day that ends before it begins. @throws 400 naming the field */
function checkedWorkers(workers: readonly Worker[]): readonly Worker[] {
  workers.forEach(({ id, hours }, i) => {
    if (workers.findIndex((other) => other.id === id) !== i)
      throw badField(`workers.${i}.id`, `workers.${i}.id: ${id} is there twice.`);
    hours.forEach((span, day) => {
      const field = `workers.${i}.hours.${day}.closeMinute`;
      if (span && !hasLength(span))
        throw badField(field, `${field}: it ends as it begins; the whole day is 0 to 1440.`);
    });
  });
  return workers;
}

/** The season's numbers; what older versions kept besides is left aside. */
const seasonOf = (stored: Partial<SeasonNumbers> = {}): SeasonNumbers =>
  Object.fromEntries(
    SEASON_NUMBERS.map(({ id }) => [id, stored[id] ?? DEFAULT_SEASON[id]]),
  ) as unknown as SeasonNumbers;

/** House rules with what was sent of them. @throws 400 naming the field */
function mergedHouse(before: HouseRules, given: UpdateSettingsDto['house']): HouseRules {
  return {
    choices: { ...before.choices, ...checkedChoices(given?.choices ?? {}) },
    numbers: {
      ...before.numbers,
      ...checkedNumbers('house.numbers', given?.numbers ?? {}, HOUSE_NUMBERS),
    },
    variants: merged(before.variants ?? {}, given?.variants, checkedVariants),
    products: merged(before.products ?? {}, given?.products, (rows) => checkedProducts(rows)),
  };
}

@Injectable()
export class SettingsService {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  async read(): Promise<Settings> {
    const rows = await this.db.select().from(settings);
    const stored = new Map(rows.map(({ key, value }) => [key, value]));
    const house = stored.get('house') as Partial<HouseRules> | undefined;
    return {
      limits: { ...DEFAULT_LIMITS, ...(stored.get('limits') as object | undefined) },
      prices: { ...DEFAULT_PRICES, ...(stored.get('prices') as object | undefined) },
      display: { ...DEFAULT_DISPLAY, ...(stored.get('display') as Partial<DisplaySettings> | undefined) },
      house: {
        choices: { ...DEFAULT_HOUSE.choices, ...house?.choices },
        numbers: { ...DEFAULT_HOUSE.numbers, ...house?.numbers },
        variants: house?.variants ?? {},
        products: house?.products ?? {},
      },
      drivesOn: (stored.get('drivesOn') as DrivingSide | undefined) ?? 'right',
      workers: (stored.get('workers') as readonly Worker[] | undefined) ?? DEFAULT_WORKERS,
      timeZone:
        (stored.get('timeZone') as string | undefined) ?? Intl.DateTimeFormat().resolvedOptions().timeZone,
      weatherOrder: (stored.get('weatherOrder') as readonly string[] | undefined) ?? null,
      season: seasonOf(stored.get('season') as Partial<SeasonNumbers> | undefined),
      priceList: (stored.get('priceList') as PriceList | undefined) ?? EMPTY_PRICE_LIST,
      stock: (stored.get('stock') as Settings['stock'] | undefined) ?? {},
      namedWays: (stored.get('namedWays') as Settings['namedWays'] | undefined) ?? [],
      templates: (stored.get('templates') as Settings['templates'] | undefined) ?? {},
    };
  }

  async update({ was, ...dto }: UpdateSettingsDto): Promise<Settings> {
    const before = await this.read();
    requireUnchanged(before, was);
    const limits = { ...before.limits, ...checkedNumbers('limits', dto.limits ?? {}, LIMITS) };
    const prices = { ...before.prices, ...checkedNumbers('prices', dto.prices ?? {}, PRICES) };
    const display = { ...before.display, ...dto.display };
    const timeZone = dto.timeZone ?? before.timeZone;
    const drivesOn = dto.drivesOn ?? before.drivesOn;
    const house = mergedHouse(before.house, dto.house);
    const workers = dto.workers ? checkedWorkers(dto.workers) : before.workers;
    const season = { ...before.season, ...checkedNumbers('season', dto.season ?? {}, SEASON_NUMBERS) };
    const priceList = dto.priceList ? mergedPrices(before.priceList, dto.priceList) : before.priceList;
    const stock = merged(before.stock, dto.stock, checkedStock);
    const templates = mergedTemplates(before.templates, dto.templates);
    const namedWays = dto.namedWays ? checkedNamedWays(dto.namedWays) : before.namedWays;
    const after = {
      limits,
      prices,
      display,
      timeZone,
      drivesOn,
      house,
      workers,
      season,
      priceList,
      stock,
      templates,
      namedWays,
    };
    // What was not sent is not written: a default that nobody chose stays one.
    const sent = Object.entries(after).filter(([key]) => dto[key as keyof typeof dto] !== undefined);
    await this.store(Object.fromEntries(sent));
    return this.read();
  }

  /** Writes that take one wash off what is counted by method (1), or give it back (−1); none where it is not counted. */
  async stockChanges(changes: readonly StockChange[]): Promise<Write[]> {
    const { stock } = await this.read();
    const after = changes.reduce(stockAfter, stock);
    return after === stock ? [] : this.writes({ stock: after });
  }

  /** Weather sources in the order of trust. */
  setWeatherOrder(weatherOrder: readonly string[]): Promise<void> {
    return this.store({ weatherOrder });
  }

  private writes(values: Partial<Settings>): Write[] {
    return Object.entries(values).map(([key, value]: [string, unknown]) =>
      this.db
        .insert(settings)
        .values({ key, value })
        .onConflictDoUpdate({ target: settings.key, set: { value } }),
    );
  }

  private store(values: Partial<Settings>): Promise<void> {
    return writeAll(this.db, this.writes(values));
  }
}
