/** Heat that one square metre of panel holds per kelvin. Sheet thickness × density × specific heat of the material. */
export const PANEL_MATERIALS = [
  { material: 'steel', thicknessMm: 0.8, heatCapacityJPerM2K: 2900, status: 'derived' },
  { material: 'aluminium', thicknessMm: 1.0, heatCapacityJPerM2K: 2400, status: 'derived' },
  { material: 'glass', thicknessMm: 4, heatCapacityJPerM2K: 8400, status: 'derived' },
  { material: 'plastic', thicknessMm: 3, heatCapacityJPerM2K: 5000, status: 'derived' },
] as const satisfies readonly {
  material: string;
  thicknessMm: number;
  heatCapacityJPerM2K: number;
  status: 'published' | 'derived' | 'judgement';
}[];

export type PanelMaterial = (typeof PANEL_MATERIALS)[number]['material'];

const CAPACITY = new Map<PanelMaterial, number>(
  PANEL_MATERIALS.map((row) => [row.material, row.heatCapacityJPerM2K]),
);

/** Heat capacity of a panel, J m⁻² K⁻¹. */
export function heatCapacityOf(material: PanelMaterial): number {
  const capacity = CAPACITY.get(material);
  if (capacity === undefined) throw new RangeError(`heatCapacityOf: material is ${String(material)}`);
  return capacity;
}
