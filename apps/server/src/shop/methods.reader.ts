import { Injectable } from '@nestjs/common';
import {
  equippedMethod,
  fittingsOf,
  type Method,
  methodAt,
  type MethodCase,
  shelfOf,
  type WashChoices,
  type WashPlace,
  type WayId,
  withChoices,
} from '@keen/core';
import { KitRepository } from '../records/kit.repository.js';
import { SettingsService } from '../settings/settings.service.js';

/** A method as the shop usually does it on a car, with its products. */
export type MethodFor = (methodId: string, of: MethodOf) => Method;

/** For which car and where, with what work of the season, in what cold, by which choices. */
interface MethodOf extends Pick<MethodCase, 'vehicle' | 'placeC' | 'work'> {
  readonly place: WashPlace;
  readonly choices?: WashChoices;
  /** The way in which it is done; absent: the usual one. */
  readonly wayId?: WayId;
}

/** How this shop washes, by its settings and its kit as they are now. */
@Injectable()
export class MethodsReader {
  constructor(
    private readonly kit: KitRepository,
    private readonly settings: SettingsService,
  ) {}

  async read(): Promise<MethodFor> {
    const [kit, { house, limits }] = await Promise.all([this.kit.all(), this.settings.read()]);
    const shelf = shelfOf(kit);
    return (methodId, { place, choices, wayId, ...of }) => {
      const shop = { house: withChoices(house, methodId, choices), limits, shelf };
      const method = equippedMethod(methodId, { ...of, ...shop, fittings: fittingsOf(place) });
      return methodAt(method, wayId, place);
    };
  }
}
