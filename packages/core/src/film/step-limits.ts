// How far one step of a film goes at most (judgement; held by comparing with steps ten to thirty times finer).

/** Temperature may move this far in one step, so that the curves of vapour pressure and radiation stay straight; they bend more where it is hot. */
export const STEP_K = 2;
export const HOT_STEP_K = 1;
export const HOT_C = 25;
export const LONGEST_STEP_SECONDS = 120;
/** Ice only sublimes, slowly. */
export const LONGEST_FROZEN_STEP_SECONDS = 600;
/** A phase change that keeps starting over still moves on by this much. */
export const LEAST_PHASE_STEP_SECONDS = 2;
/** With dissolved solids the strength follows the water, which may change by this share in one step. */
export const STEP_WATER_FRACTION = 0.05;
/** Of plain water this share may leave in one step: how much is still there when ice forms decides how cold it gets. */
export const STEP_PLAIN_FRACTION = 0.2;
/** The last of it is not halved for ever. */
export const LEAST_DRYING_STEP_SECONDS = 4;

/** How closely, and how often at most, the meeting of a brine's temperature and its freezing point is looked for. */
export const FREEZING_LOOK_SECONDS = 0.2;
export const MOST_FREEZING_LOOKS = 12;
