import { Injectable } from '@nestjs/common';
import { mixesFor, shopMethod, type WashRecord, washUse, type WashUse } from '@keen/core';
import { KitRepository } from '../kit/kit.repository.js';
import { PlacesService } from '../places/places.service.js';
import { SettingsService } from '../settings/settings.service.js';
import { VehiclesService } from '../vehicles/vehicles.service.js';

/** Warm enough for any label: what is used does not go by the air. */
const MILD_C = 20;

/** What done washes take out of the kit, and give back when they were not done after all. */
@Injectable()
export class KitUseService {
  constructor(
    private readonly kit: KitRepository,
    private readonly vehicles: VehiclesService,
    private readonly places: PlacesService,
    private readonly settings: SettingsService,
  ) {}

  /** What a wash takes by the method as the shop does it, where nobody counted. */
  async usual({
    vehicleId,
    placeId,
    methodId,
  }: Pick<WashRecord, 'vehicleId' | 'placeId' | 'methodId'>): Promise<WashUse> {
    const [vehicle, place, { house }, kit] = await Promise.all([
      this.vehicles.read(vehicleId),
      this.places.read(placeId),
      this.settings.read(),
      this.kit.all(),
    ]);
    const method = shopMethod(methodId, house, vehicle);
    return washUse(method, mixesFor(method.steps, { vehicle, kit, placeC: MILD_C }), place);
  }

  /** It was done: product, cloths and filters are used, and one wash of what is counted by method. */
  async take({ methodId, found }: Pick<WashRecord, 'methodId' | 'found'>): Promise<void> {
    await this.settings.useProduct(methodId);
    if (found?.used) await this.kit.use(found.used, 1);
  }

  /** It was not done after all. */
  async giveBack({ methodId, found }: Pick<WashRecord, 'methodId' | 'found'>): Promise<void> {
    await this.settings.useProduct(methodId, -1);
    if (found?.used) await this.kit.use(found.used, -1);
  }
}
