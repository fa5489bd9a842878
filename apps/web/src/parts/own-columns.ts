/** Which heading of a file stands for which column. */
export type Columns = Readonly<Partial<Record<string, string>>>;

/** What was chosen for an earlier file, where all of its headings are in this one; null: it says nothing here. */
export function ownColumns<C extends Columns>(remembered: C, text: string): C | null {
  const headings = Object.values(remembered);
  const [first = ''] = text.split(/\r?\n/, 1);
  return headings.length > 0 && headings.every((heading) => heading !== undefined && first.includes(heading))
    ? remembered
    : null;
}
