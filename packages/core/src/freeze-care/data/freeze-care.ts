/** What is at risk of freezing fast after a wash, and how. */
export interface FreezeCareRow {
  readonly id: 'seals' | 'locks' | 'handles' | 'mirrors' | 'wipers' | 'flap' | 'brakes';
  /** Coldest air where it stands from which it is wanted, °C. */
  readonly belowC: number;
  readonly status: 'judgement';
}

/**
 * Source: practice notes, step 5 (freeze care after the wash). Water that is left in gaps freezes at 0 °C; what is thick or warm from the
 * drive takes a little more cold. Temperatures are judgement.
 */
export const FREEZE_CARE = [
  { id: 'seals', belowC: 0, status: 'judgement' },
  { id: 'locks', belowC: 0, status: 'judgement' },
  { id: 'handles', belowC: 0, status: 'judgement' },
  { id: 'flap', belowC: 0, status: 'judgement' },
  { id: 'wipers', belowC: -1, status: 'judgement' },
  { id: 'mirrors', belowC: -2, status: 'judgement' },
  { id: 'brakes', belowC: -2, status: 'judgement' },
] as const satisfies readonly FreezeCareRow[];
