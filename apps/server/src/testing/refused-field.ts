/** The field that is refused; null: nothing is. */
export function refused(work: () => unknown): string | null {
  try {
    work();
    return null;
  } catch (error) {
    return (error as { response: { error: { field: string } } }).response.error.field;
  }
}
