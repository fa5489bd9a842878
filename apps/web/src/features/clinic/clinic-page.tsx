import { Button, Select } from '@mantine/core';
import { SIGN_IDS, SPOT_AGES, SPOT_CAUSES, SPOT_MATERIALS, spotLadder } from '@keen/core';
import { useDraft } from '../../parts/drafts.js';
import { Page } from '../../parts/page.js';
import {
  AGE_NAMES,
  CAUSE_NAMES,
  CAUSE_REMEDIES,
  CLINIC_CAUTION_TEXTS,
  MATERIAL_NAMES,
  REFER_TEXTS,
  RUNG_NAMES,
  RUNG_TEXTS,
  SIGN_TEXTS,
  SPOT_REACTION_NAMES,
} from '../../words/clinic-words.js';
import { KeepButton, OnCar } from './on-car.js';
import { RungTimer } from './rung-timer.js';
import classes from './clinic.module.css';
import { FRESH, type SpotCase } from './spot-case.js';

const choices = <K extends string>(ids: readonly K[], names: Readonly<Record<K, string>>) =>
  ids.map((value) => ({ value, label: names[value] }));

/** Age, material and cause, each of which begins the ladder again. */
function SpotFields({
  spot,
  onChange,
}: {
  readonly spot: SpotCase;
  readonly onChange: (change: Partial<SpotCase>) => void;
}) {
  return (
    <>
      <Select
        label="How old"
        data={choices(SPOT_AGES, AGE_NAMES)}
        value={spot.age}
        onChange={(age) => age && onChange({ age, done: [], recordId: null })}
        allowDeselect={false}
        size="md"
      />
      <Select
        label="On what"
        data={choices(SPOT_MATERIALS, MATERIAL_NAMES)}
        value={spot.material}
        onChange={(material) => material && onChange({ material, done: [], recordId: null })}
        allowDeselect={false}
        size="md"
      />
      <Select
        label="Where from"
        data={choices(SPOT_CAUSES, CAUSE_NAMES)}
        value={spot.cause}
        onChange={(cause) => cause && onChange({ cause, done: [], recordId: null })}
        allowDeselect={false}
        size="md"
      />
    </>
  );
}

/** Cards that read what is seen. */
function Signs() {
  return (
    <section className={`${classes.box} ${classes.cards}`}>
      <h2>What you see, what it means</h2>
      <dl>
        {SIGN_IDS.map((id) => (
          <div key={id}>
            <dt>{SIGN_TEXTS[id].sign}</dt>
            <dd>
              Means {SIGN_TEXTS[id].means}. {SIGN_TEXTS[id].then}
            </dd>
          </div>
        ))}
      </dl>
      <p className="muted">Practice, not measurement (judgement). Follow the product’s data sheet first.</p>
    </section>
  );
}

/** The spot ladder, rung by rung, and the cards that read what is seen. Works with no signal; a case outlives a reload. */
export function ClinicPage() {
  const { value: spot, set, forget } = useDraft<SpotCase>('spot-case', FRESH);
  const { rung, timesDone, done } = spotLadder(spot, spot.done);
  const isLast = rung.reactions.length === 0;
  return (
    <Page
      title="Spot clinic"
      lead="Gentlest first. Say what you see, and the next step shows here. Follow the data sheet first."
    >
      <div className={classes.grid}>
        <section className={classes.box}>
          <h2>The spots</h2>
          <OnCar spot={spot} onChange={set} />
          <SpotFields spot={spot} onChange={set} />
          <p>
            <strong>So that they do not come back:</strong> {CAUSE_REMEDIES[spot.cause]}
          </p>
          <KeepButton spot={spot} onKept={forget} />
          {done.length > 0 && (
            <>
              <h3>Done so far</h3>
              <ol className={classes.done}>
                {done.map((step, i) => (
                  <li key={i}>
                    {RUNG_NAMES[step.rung]}: {SPOT_REACTION_NAMES[step.reaction].toLowerCase()}
                  </li>
                ))}
              </ol>
              <Button variant="default" size="md" onClick={() => set({ done: done.slice(0, -1) })}>
                Take the last answer back
              </Button>{' '}
              <Button variant="default" size="md" onClick={forget}>
                Start over
              </Button>
            </>
          )}
        </section>
        <section className={`${classes.box} ${classes.rung}`} aria-live="polite">
          <p className="muted">
            {isLast ? 'The end of the ladder' : timesDone > 0 ? `Once more, time ${timesDone + 1}` : 'Now'}
          </p>
          <h2>{RUNG_NAMES[rung.id]}</h2>
          <p>{RUNG_TEXTS[rung.id]}</p>
          {rung.id === 'refer' && <p>{REFER_TEXTS[spot.material]}</p>}
          {rung.cautions.map((caution) => (
            <p key={caution} className={classes.caution}>
              {CLINIC_CAUTION_TEXTS[caution]}
            </p>
          ))}
          {rung.dwellSeconds && (
            <RungTimer
              key={`${rung.id} ${done.length}`}
              name={`${rung.id} ${done.length}`}
              {...rung.dwellSeconds}
            />
          )}
          {!isLast && (
            <>
              <h3>What do you see?</h3>
              <div className={classes.answers}>
                {rung.reactions.map((reaction) => (
                  <button
                    key={reaction}
                    type="button"
                    onClick={() => set({ done: [...done, { rung: rung.id, reaction }] })}
                  >
                    {SPOT_REACTION_NAMES[reaction]}
                  </button>
                ))}
              </div>
            </>
          )}
        </section>
        <Signs />
      </div>
    </Page>
  );
}
