import type { PlaceDraft } from '../../drafts/place-draft.js';
import type { PlaceErrors } from '../../drafts/place-errors.js';

/** What a part of the form of a place is given. */
export interface PlaceFieldsProps {
  readonly draft: PlaceDraft;
  readonly set: (change: Partial<PlaceDraft>) => void;
  readonly errors: PlaceErrors;
}
