import type { Mix } from '../kit/index.js';
import type { Media } from '../method/index.js';
import { type CleanMedia, PACK_ITEMS, type PackItem, type Preparation } from './preparation.js';

/** The same product at the same strength out of the same thing, for all cars of a round. */
export interface RoundMix {
  readonly mix: Mix;
  /** Cars that it is for. */
  readonly count: number;
  readonly productMl: number;
  readonly waterMl: number;
  readonly caps: number | null;
}

/** One preparation for several washes. */
export interface Round {
  readonly mixes: readonly RoundMix[];
  readonly bucketLitres: number;
  readonly media: Media;
  readonly clean: CleanMedia;
  readonly pack: readonly PackItem[];
  readonly moneyMinor: number;
  readonly handsMinutes: number;
  /** The coldest that it feels on the round, °C; null: mild throughout. */
  readonly windChillC: number | null;
}

const sum = <T>(rows: readonly T[], read: (row: T) => number): number =>
  rows.reduce((total, row) => total + read(row), 0);

const sameMix = (a: Mix, b: Mix): boolean =>
  a.product?.id === b.product?.id && a.role === b.role && a.parts === b.parts && a.into === b.into;

function together(mixes: readonly Mix[]): RoundMix[] {
  const groups: Mix[][] = [];
  for (const mix of mixes) {
    const known = groups.find(([first]) => first && sameMix(first, mix));
    if (known) known.push(mix);
    else groups.push([mix]);
  }
  return groups.flatMap((group) => {
    const [mix] = group;
    if (!mix) return [];
    const caps = group.map((one) => one.caps).filter((one) => one !== null);
    return [
      {
        mix,
        count: group.length,
        productMl: sum(group, ({ productMl }) => productMl),
        waterMl: sum(group, ({ waterMl }) => waterMl),
        caps: caps.length === group.length ? sum(caps, (one) => one) : null,
      },
    ];
  });
}

/**
 * What is prepared once for a round of several washes?
 *
 * @param preparations one for each wash, in the order of the round
 * @returns mixes of the same product, strength and bottle in one; cloths, water and money summed; everything that one of them wants
 * packed
 */
export function roundOf(preparations: readonly Preparation[]): Round {
  const chills = preparations.flatMap(({ cold }) => cold.windChill.windChillC ?? []);
  const [first] = preparations;
  return {
    mixes: together(preparations.flatMap(({ mixes }) => mixes)),
    bucketLitres: sum(preparations, ({ water }) => water?.litres ?? 0),
    media: {
      mitts: sum(preparations, ({ media }) => media.mitts),
      foldedTowels: sum(preparations, ({ media }) => media.foldedTowels),
      dryingTowels: sum(preparations, ({ media }) => media.dryingTowels),
    },
    clean: first?.clean ?? { mitts: null, foldedTowels: null, dryingTowels: null },
    pack: PACK_ITEMS.filter((item) => preparations.some(({ pack }) => pack.includes(item))),
    moneyMinor: sum(preparations, ({ money }) => money.visitMinor + money.meterMinor),
    handsMinutes: sum(preparations, ({ cold }) => cold.handsMinutes),
    windChillC: chills.length > 0 ? Math.min(...chills) : null,
  };
}
