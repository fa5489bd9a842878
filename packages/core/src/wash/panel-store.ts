import {
  FilmRun,
  heatCapacityOf,
  type PanelClimate,
  type PanelMaterial,
  pureWaterStore,
  type WaterStore,
} from '../film/index.js';

const stores = new Map<PanelMaterial, WaterStore>();

/** Panel and pure water; the same for every panel of a material. */
export function storeOf(material: PanelMaterial): WaterStore {
  const known = stores.get(material) ?? pureWaterStore(heatCapacityOf(material));
  stores.set(material, known);
  return known;
}

const runs = new Map<string, FilmRun>();

/** The film of a panel: one run for all of its kind, since each is begun and read before the next begins. */
export function filmRunOn(
  material: PanelMaterial,
  climate: PanelClimate,
  of: { readonly waterKg: number; readonly enthalpyJ: number; readonly stepScale: number },
): FilmRun {
  const kind = of.stepScale === 1 ? material : `${material} ${of.stepScale}`;
  const known = runs.get(kind);
  if (known) {
    known.begin(climate, of.waterKg, of.enthalpyJ);
    return known;
  }
  const made = new FilmRun(storeOf(material), climate, of);
  runs.set(kind, made);
  return made;
}
