import { Button, Group, Select, TextInput } from '@mantine/core';
import { BRINE_AGENT_IDS, type RoadClass, type SaltAgent, type Treatment } from '@keen/core';
import { useState } from 'react';
import {
  useAddBulletin,
  useBringBack,
  useBulletins,
  useImportBulletins,
  useDelete,
} from '../../api/salt-queries.js';
import { fromLocalInput, toLocalInput } from '../../format/local-input.js';
import { useFormat } from '../../format/use-format.js';
import { ImportFile } from '../../parts/import-file.js';
import { sayWithUndo } from '../../parts/notices.js';
import { NumberField } from '../../parts/number-field.js';
import { Failed } from '../../parts/states.js';
import { DeleteButton } from '../../parts/delete-button.js';
import { AGENT_NAMES, optionsOf, ROAD_NAMES } from '../../words/names.js';
import { faultsOf, NoteForm } from '../../parts/note-form.js';
import { newest } from './salt-view.js';
import classes from './salt.module.css';

const SHOWN = 8;

/** What was spread on the roads, by bulletin; entered or read from a table too. */
export function Roads({ nowMs }: { readonly nowMs: number }) {
  const format = useFormat();
  const { data, error } = useBulletins();
  const { mutateAsync: remove } = useDelete('bulletins');
  const { mutateAsync: bringBack } = useBringBack('bulletins');
  const load = useImportBulletins();
  const [count, setCount] = useState(SHOWN);
  if (error) return <Failed error={error} />;
  const treatments = data?.treatments ?? [];
  const line = ({ atMs, roadClass, agent, gramsPerM2 }: Treatment): string =>
    `${format.dayTime(atMs)}: ${ROAD_NAMES[roadClass].toLowerCase()}, ${gramsPerM2} g/m² ${AGENT_NAMES[agent]}`;
  const forget = (id: string): void => {
    const path = `roads/bulletins/${id}`;
    void sayWithUndo(remove(path), 'The bulletin is deleted.', () => bringBack(path));
  };
  return (
    <section className={classes.box}>
      <h2>Roads</h2>
      <p className="muted">
        {treatments.length} bulletins this season, fetched from the {data?.authority ?? 'road authority'}.
        They count for all cars up to now; what is to come is estimated from the forecast.
      </p>
      <div className={classes.grid}>
        <div>
          <ul className={classes.list}>
            {newest(treatments, count).map((treatment) => (
              <li key={treatment.id}>
                <span>
                  {line(treatment)} <span className="muted">({treatment.source})</span>
                </span>
                <DeleteButton
                  what={`the bulletin of ${format.dayTime(treatment.atMs)}, ${ROAD_NAMES[treatment.roadClass]}`}
                  onClick={() => forget(treatment.id)}
                />
              </li>
            ))}
          </ul>
          {treatments.length > count && (
            <Button variant="subtle" size="compact-md" onClick={() => setCount(count + 40)}>
              Show earlier ones
            </Button>
          )}
        </div>
        <div className={classes.stack}>
          <BulletinForm nowMs={nowMs} />
          <ImportFile
            label="Read a table of bulletins (CSV)"
            accept=".csv,text/csv"
            onSend={(body) => load.mutateAsync(body)}
            describe={line}
            hint="First line: at,roadClass,agent,gramsPerM2. Instants with their offset."
          />
        </div>
      </div>
    </section>
  );
}

function BulletinForm({ nowMs }: { readonly nowMs: number }) {
  const format = useFormat();
  const add = useAddBulletin();
  const [at, setAt] = useState(() => toLocalInput(nowMs, format.timeZone));
  const [roadClass, setRoadClass] = useState<RoadClass>('main');
  const [agent, setAgent] = useState<SaltAgent>('NaCl');
  const [gramsPerM2, setGrams] = useState<number | null>(15);
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  const [said, setSaid] = useState<string | null>(null);
  const submit = (): void => {
    const atMs = fromLocalInput(at, format.timeZone);
    setSaid(null);
    if (atMs === null) return setErrors({ atMs: 'Give a date and a time.' });
    if (gramsPerM2 === null) return setErrors({ gramsPerM2: 'Give a rate.' });
    setErrors({});
    add.mutate(
      { atMs, roadClass, agent, gramsPerM2 },
      {
        onSuccess: ({ isLate }) =>
          setSaid(
            isLate
              ? 'Kept. It lies in the past, so the salt of every car was recalculated from there.'
              : 'Kept. It counts once its hour has come.',
          ),
        onError: (error) => setErrors(faultsOf(error, 'atMs')),
      },
    );
  };
  return (
    <NoteForm
      submitLabel="Keep the bulletin"
      isSaving={add.isPending}
      onSubmit={submit}
      said={<span role="status">{said}</span>}
    >
      <Group grow align="start">
        <TextInput
          type="datetime-local"
          label="Spread"
          value={at}
          onChange={(event) => setAt(event.currentTarget.value)}
          error={errors.atMs}
        />
        <Select
          label="Road"
          data={optionsOf(ROAD_NAMES)}
          value={roadClass}
          onChange={(value) => value && setRoadClass(value)}
          allowDeselect={false}
        />
      </Group>
      <Group grow align="start">
        <Select
          label="Salt"
          data={BRINE_AGENT_IDS.map((id) => ({ value: id, label: AGENT_NAMES[id] }))}
          value={agent}
          onChange={(value) => value && setAgent(value)}
          allowDeselect={false}
          error={errors.agent}
        />
        <NumberField
          label="Rate"
          unit="g/m²"
          value={gramsPerM2}
          onChange={setGrams}
          error={errors.gramsPerM2}
        />
      </Group>
    </NoteForm>
  );
}
