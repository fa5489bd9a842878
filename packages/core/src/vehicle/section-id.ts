export const SECTION_IDS = ['whole-car', 'one-side', 'two-panels', 'one-panel'] as const;
/** How much of the car is worked on before one goes on to the next. */
export type SectionId = (typeof SECTION_IDS)[number];
