/** Constants of physics that several folders use. */
export const ZERO_C_IN_K = 273.15;
/** Gas constant of water vapour, J/(kg·K). */
export const VAPOUR_GAS_CONSTANT = 461.5;
