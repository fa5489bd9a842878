import {
  type HouseRules,
  type LearnedMinutes,
  learnedMinutes,
  type LearnedOf,
  shopMethod,
  type WashRecord,
  withLearned,
} from '@keen/core';
import { Button } from '@mantine/core';
import { usePlaces, useSaveSettings, useSettings, useVehicles } from '../../api/queries.js';
import type { Format } from '../../format/format.js';
import { useFormat } from '../../format/use-format.js';
import { sayWithUndo } from '../../parts/notices.js';
import { BODY_NAMES } from '../../words/car-names.js';
import { methodName, nameOf } from '../../words/names.js';
import { RUN_STEP_NAMES } from '../../words/run-words.js';
import { OwnerOnly } from '../../parts/owner-only.js';
import classes from './washes.module.css';

/** "Pier Road bay 24 min (3 runs)". */
const partText = (name: string, { minutes, runs }: LearnedOf, format: Format): string =>
  `${name} ${format.minutes(minutes)} (${runs} runs)`;

interface OfferProps {
  readonly learned: LearnedMinutes;
  readonly house: HouseRules;
  readonly nameOfPlace: (id: string) => string;
  readonly nameOfPerson: (id: string) => string;
}

/** One step that takes longer or shorter than is counted, and the offer to count it so. */
function Offer({ learned, house, nameOfPlace, nameOfPerson }: OfferProps) {
  const format = useFormat();
  const save = useSaveSettings();
  const { methodId, stepId, minutes, countedMinutes, runs, byPlace, byPerson, byBody } = learned;
  const before = house.variants?.[methodId] ?? null;
  const step = RUN_STEP_NAMES[stepId];
  const told = [
    ...Object.entries(byPlace).map(([id, one]) => partText(nameOfPlace(id), one, format)),
    ...Object.entries(byPerson).map(([id, one]) => partText(nameOfPerson(id), one, format)),
    ...Object.entries(byBody).map(([body, one]) =>
      partText(BODY_NAMES[body as keyof typeof BODY_NAMES], one, format),
    ),
  ];
  const use = (): void => {
    const variant = withLearned(house, learned, shopMethod(methodId, house).steps);
    void sayWithUndo(
      save.mutateAsync({ house: { variants: { [methodId]: variant } } }),
      `${step}: ${format.minutes(minutes)} from now on`,
      () => save.mutateAsync({ house: { variants: { [methodId]: before } } }),
    );
  };
  return (
    <li>
      <div>
        <strong>{step}</strong>, {methodName(methodId)}: it takes you{' '}
        <strong className="figure">{format.minutes(minutes)}</strong>, the program counts{' '}
        <span className="figure">{format.minutes(countedMinutes)}</span>{' '}
        <span className="muted">(median of {runs} runs, on a saloon)</span>
        {told.length > 0 && (
          <details>
            <summary>By place, person and body</summary>
            <span className="muted">{told.join(' · ')}</span>
          </details>
        )}
      </div>
      <OwnerOnly>
        <Button
          size="compact-sm"
          variant="default"
          aria-label={`Count ${format.minutes(minutes)} for “${step}”, ${methodName(methodId)}`}
          onClick={use}
          loading={save.isPending}
        >
          Use {format.minutes(minutes)}
        </Button>
      </OwnerOnly>
    </li>
  );
}

/** What the finished runs say of the minutes that the shop counts; nothing where they agree. */
export function Learned({ washes }: { readonly washes: readonly WashRecord[] }) {
  const { data: vehicles } = useVehicles();
  const { data: places } = usePlaces();
  const { data: settings } = useSettings();
  if (!vehicles || !settings) return null;
  const { house, workers } = settings;
  const found = learnedMinutes({ washes, vehicles, house });
  if (found.length === 0) return null;
  return (
    <section className={`${classes.learned} no-print`} aria-label="Minutes that your runs tell of">
      <h2>Your own minutes</h2>
      <p className="muted">
        Runs that were finished, beside what verdicts, plans and prices count. Used for all washes by that
        method from then on; other bodies take more or less by their size.
      </p>
      <ul>
        {found.map((learned) => (
          <Offer
            key={`${learned.methodId} ${learned.key}`}
            learned={learned}
            house={house}
            nameOfPlace={(id) => nameOf(places, id)}
            nameOfPerson={(id) => workers.find((one) => one.id === id)?.name ?? id}
          />
        ))}
      </ul>
    </section>
  );
}
