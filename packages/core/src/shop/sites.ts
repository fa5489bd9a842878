import { roadAheadOf, roadFacts } from './roads.js';
import type { Keeper } from './keeper.js';
import { controlSpan, spanOf } from './known-weather.js';
import type { ShopFacts } from './shop-facts.js';
import { type PlaceSite, placeSites } from '../verdict/index.js';

/** Places under the forecast, once for all cars; a place that was not touched is kept. */
export const sitesOf = (shop: ShopFacts, keep: Keeper): PlaceSite[] =>
  shop.places.map((place) =>
    keep.of('site', { place, ...roadFacts(shop) }, ({ place: one, ...roads }) => {
      const { weather } = roads;
      const members = weather.members.map((member) => spanOf(weather, member));
      const around = { control: controlSpan(weather), members, roadAhead: roadAheadOf(roads, keep) };
      const [site] = placeSites([one], around);
      if (!site) throw new Error('a place without a site');
      return site;
    }),
  );
