import { Injectable } from '@nestjs/common';
import {
  equippedMethod,
  inUsualWay,
  type Method,
  type MethodCase,
  shelfOf,
  type WashChoices,
  withChoices,
} from '@keen/core';
import { KitRepository } from '../records/kit.repository.js';
import { SettingsService } from '../settings/settings.service.js';

/** A method as the shop usually does it on a car, with its products. */
export type MethodFor = (
  methodId: string,
  vehicle: MethodCase['vehicle'],
  placeC?: number | null,
  work?: MethodCase['work'],
  own?: WashChoices,
) => Method;

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
    return (methodId, vehicle, placeC, work, own) => {
      const of = { vehicle, house: withChoices(house, methodId, own), limits, shelf, placeC, work };
      return inUsualWay(equippedMethod(methodId, of));
    };
  }
}
