import { heatCapacityOf, type PanelMaterial, pureWaterStore, type WaterStore } from '../film/index.js';

const stores = new Map<PanelMaterial, WaterStore>();

/** Panel and pure water; the same for every panel of a material. */
export function storeOf(material: PanelMaterial): WaterStore {
  const known = stores.get(material) ?? pureWaterStore(heatCapacityOf(material));
  stores.set(material, known);
  return known;
}
