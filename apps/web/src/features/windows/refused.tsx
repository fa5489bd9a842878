import type { Band, PlaceRecord } from '@keen/core';
import { ruleOf } from '@keen/core';
import { useFormat } from '../../format/use-format.js';
import { Glyph } from '../../parts/glyph.js';
import { findingText } from '../../words/finding-words.js';
import { methodName } from '../../words/names.js';

/** Places whose own offer is refused for good, with the reason. */
export function Refused({
  bands,
  places,
}: {
  readonly bands: readonly Band[];
  readonly places: readonly PlaceRecord[];
}) {
  const format = useFormat();
  const refused = bands.flatMap((band) => {
    const place = places.find(({ id }) => id === band.placeId);
    const offered = place?.methods.some(({ methodId }) => methodId === band.methodId);
    return band.refusal && place && offered ? [{ band, place, refusal: band.refusal }] : [];
  });
  if (refused.length === 0) return null;
  return (
    <section>
      <h2>Refused whatever the hour</h2>
      <ul>
        {refused.map(({ band, place, refusal }) => (
          <li key={`${band.placeId} ${band.methodId}`}>
            <Glyph glyph={ruleOf(refusal.ruleId).glyph} /> {place.name}, {methodName(band.methodId)}:{' '}
            {findingText(refusal, format)}
          </li>
        ))}
      </ul>
    </section>
  );
}
