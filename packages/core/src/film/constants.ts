/** Physical constants of the film balance, SI. Water and ice: standard tables near 0 °C. */
export const WATER_HEAT_J_PER_KG_K = 4186;
export const ICE_HEAT_J_PER_KG_K = 2100;
export const FUSION_J_PER_KG = 334_000;
export const STEFAN_BOLTZMANN = 5.670374e-8;
export const PANEL_EMISSIVITY = 0.95;
/** Lewis number of water vapour in air to the power 2/3. */
export const LEWIS_TWO_THIRDS = 0.904;
export const AIR_HEAT_J_PER_KG_K = 1005;
export const DRY_AIR_GAS_CONSTANT = 287.05;
export const SEA_LEVEL_PA = 101_325;

/** Heat to turn water at this temperature into vapour, J/kg. Linear fit to steam tables, −20 to 50 °C. */
export const vaporisationJPerKg = (tempC: number): number => 2.501e6 - 2361 * tempC;
