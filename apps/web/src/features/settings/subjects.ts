/** What the settings are about, in the order in which a shop comes to them. */
export const SUBJECTS = [
  {
    id: 'units',
    label: 'Units and clock',
    about: 'temperature wind distance hardness volume currency time zone language',
  },
  { id: 'people', label: 'People', about: 'helper owner hours hands workers wage Saturday' },
  { id: 'accounts', label: 'Accounts and phones', about: 'sign in password pair bookkeeper' },
  { id: 'calendars', label: 'Calendars', about: 'feed address busy times' },
  { id: 'rules', label: 'House rules', about: '' },
  { id: 'limits', label: 'Limits', about: '' },
  { id: 'season', label: 'Seasonal jobs', about: '' },
  { id: 'worth', label: 'What things are worth', about: '' },
  { id: 'stock', label: 'Product left', about: 'count stock washes' },
  { id: 'backups', label: 'Backups and starting again', about: 'copy restore wipe demo empty' },
] as const;

export type SubjectId = (typeof SUBJECTS)[number]['id'];

/** The subject that an address asks for; the first where it asks for none. */
export const subjectOf = (asked: string | null): SubjectId =>
  SUBJECTS.find(({ id }) => id === asked)?.id ?? SUBJECTS[0].id;

const wordsOf = (text: string): readonly string[] => text.toLowerCase().split(/\s+/).filter(Boolean);

/** Whether every word that was typed stands in one of the texts, in any order. */
export function isAbout(typed: string, ...texts: readonly string[]): boolean {
  const text = texts.join(' ').toLowerCase();
  return wordsOf(typed).every((word) => text.includes(word));
}
