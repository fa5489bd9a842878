/** A sum as the trade asks for it. */
export interface SumName {
  readonly name: string;
  readonly label: string;
}

const sum = (name: string, label: string): SumName => ({ name, label });

/** What the desk answers, by what one has in hand when one asks. */
export const SUM_GROUPS: readonly { readonly title: string; readonly sums: readonly SumName[] }[] = [
  {
    title: 'Mixing',
    sums: [
      sum('dilution', 'A bottle at a strength'),
      sum('mixed', 'I put this in that'),
      sum('bottle-mix', 'Several products in one bottle'),
      sum('panel-impact', 'So much is to reach the panel'),
    ],
  },
  {
    title: 'Water',
    sums: [
      sum('mix-water', 'A bucket at a temperature'),
      sum('bucket-cooling', 'The bucket on arrival'),
      sum('hardness', 'Hardness in every unit'),
      sum('residue', 'What stays when it dries'),
      sum('resin-life', 'How long the resin lasts'),
    ],
  },
  { title: 'At the bay', sums: [sum('meter', 'Stop the meter, or let it run')] },
  {
    title: 'Cold and sun',
    sums: [
      sum('wind-chill', 'Wind on wet hands'),
      sum('humid-air', 'Damp in the air'),
      sum('sun', 'Where the sun is'),
      sum('sun-on-panel', 'Sun on a panel'),
    ],
  },
  {
    title: 'Salt',
    sums: [
      sum('brine', 'When brine freezes'),
      sum('deliquescence', 'When salt is wet'),
      sum('swab', 'Salt on a patch'),
    ],
  },
  {
    title: 'Water on a car',
    sums: [sum('film', 'One film of water'), sum('wash', 'One panel through a wash')],
  },
];

export const FIRST_SUM = 'dilution';
