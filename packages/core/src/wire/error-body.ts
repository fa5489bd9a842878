/** One fault of a request. */
export interface Fault {
  readonly code: string;
  readonly field: string | null;
  readonly message: string;
}

/** The one shape of every error that the program answers with. */
export interface ErrorBody {
  readonly error: Fault & { readonly others?: readonly Fault[] };
}
