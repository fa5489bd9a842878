import { Button, FileButton, Select, Textarea } from '@mantine/core';
import {
  type PanelId,
  panelsOf,
  type RunDeed,
  type RunMoment,
  type RunPack,
  type RunState,
  SKIP_REASONS,
  type SkipReason,
} from '@keen/core';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useFormat } from '../../format/use-format.js';
import { Dialog } from '../../parts/dialog.js';
import { useDraft } from '../../parts/drafts.js';
import { PANEL_NAMES } from '../../words/car-names.js';
import { RUN_STEP_NAMES, SKIP_NAMES } from '../../words/run-words.js';
import { skipDeeds } from './live-view.js';
import { PhotoRefused, smallPhoto } from './photo.js';
import type { RunLog } from './run-log.js';
import { useSignals } from './signals.js';
import { simulatedThermometer } from './thermometer.js';
import { readingC } from './reading.js';
import { TypedNumber } from '../../parts/typed-number.js';
import shared from './live.module.css';
import classes from './more-sheet.module.css';

interface MoreSheetProps {
  readonly pack: RunPack;
  readonly log: RunLog;
  readonly state: RunState;
  readonly moment: RunMoment;
  readonly act: (...deeds: readonly RunDeed[]) => void;
  readonly onClose: () => void;
}

/** The ways round the steps: skip, order, reading, note, photograph, sound. */
export function MoreSheet({ pack, log, state, moment, act, onClose }: MoreSheetProps) {
  return (
    <Dialog title="More" onClose={onClose} closeLabel="Back to the run">
      <div className={shared.more}>
        <SkipAndOrder state={state} moment={moment} act={act} onDone={onClose} />
        <ReadingForm pack={pack} log={log} act={act} onDone={onClose} />
        <NoteForm log={log} act={act} onDone={onClose} />
        <SignalSwitches />
        <Link to="/clinic">Spots found? The spot clinic</Link>
      </div>
    </Dialog>
  );
}

interface PartProps {
  readonly act: (...deeds: readonly RunDeed[]) => void;
  readonly onDone: () => void;
}

function SkipAndOrder({ state, moment, act, onDone }: PartProps & Pick<MoreSheetProps, 'state' | 'moment'>) {
  const at = moment.current ?? moment.next;
  const waiting = state.steps.filter(({ state: is, key }) => is === 'waiting' && key !== moment.next?.key);
  if (!at) return null;
  const skip = (reason: SkipReason): void => {
    act(...skipDeeds(state, at, reason));
    onDone();
  };
  return (
    <section>
      <h3>Skip “{RUN_STEP_NAMES[at.step.id].toLowerCase()}”, because</h3>
      <div className={shared.choices}>
        {SKIP_REASONS.map((reason) => (
          <button key={reason} type="button" onClick={() => skip(reason)}>
            {SKIP_NAMES[reason]}
          </button>
        ))}
      </div>
      {waiting.length > 0 && (
        <>
          <h3>Do sooner</h3>
          <div className={shared.choices}>
            {waiting.map(({ key, step }) => (
              <button key={key} type="button" onClick={() => act({ kind: 'sooner', step: key })}>
                {RUN_STEP_NAMES[step.id]}
              </button>
            ))}
          </div>
        </>
      )}
    </section>
  );
}

function ReadingForm({ pack, log, act, onDone }: PartProps & Pick<MoreSheetProps, 'pack' | 'log'>) {
  const format = useFormat();
  const [of, setOf] = useState<PanelId | 'air'>('air');
  const [typed, setTyped] = useState<number | string>('');
  const [error, setError] = useState<string | null>(null);
  const thermometer = useMemo(() => simulatedThermometer(pack, log.now), [pack, log]);
  const unit = format.display.temperature;
  const take = (tempC: number, origin: 'typed' | 'thermometer'): void => {
    act({ kind: 'reading', of, tempC, origin });
    onDone();
  };
  const save = (): void => {
    const tempC = readingC(typed, unit);
    if (tempC === null) setError(`Give a temperature between ${format.temp(-60)} and ${format.temp(80)}.`);
    else take(tempC, 'typed');
  };
  const read = (): void => {
    thermometer
      .read(of)
      .then((tempC) => take(tempC, 'thermometer'))
      .catch((failure: unknown) => setError(failure instanceof Error ? failure.message : 'No reading.'));
  };
  return (
    <section>
      <h3>Temperature at the car</h3>
      <div className={classes.readingRow}>
        <Select
          label="Of"
          size="lg"
          data={[
            { value: 'air', label: 'air' },
            ...panelsOf(pack.vehicle.bodyClass).map(({ id }) => ({ value: id, label: PANEL_NAMES[id] })),
          ]}
          value={of}
          onChange={(value) => setOf(value ?? 'air')}
          allowDeselect={false}
        />
        <TypedNumber
          label={`Reading, °${unit}`}
          size="lg"
          value={typed}
          onChange={setTyped}
          decimalScale={1}
          inputMode="text"
          error={error}
          onKeyDown={(event) => event.key === 'Enter' && save()}
        />
      </div>
      <div className={shared.pair}>
        <button type="button" onClick={save}>
          Use this reading
        </button>
        <button type="button" onClick={read}>
          From the thermometer (simulated)
        </button>
      </div>
    </section>
  );
}

function NoteForm({ log, act, onDone }: PartProps & Pick<MoreSheetProps, 'log'>) {
  const { value, set, forget } = useDraft(`run-note-${log.washId}`, { text: '' });
  const [fault, setFault] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);
  const text = value.text.trim();
  const done = (): void => {
    forget();
    onDone();
  };
  const add = (): void => {
    if (text === '') {
      setFault('Write the note first, or take a photograph.');
      return;
    }
    act({ kind: 'note', text });
    done();
  };
  const photo = async (file: File | null): Promise<void> => {
    if (!file) return;
    setBusy(true);
    try {
      await log.addPhoto(await smallPhoto(file), text);
      done();
    } catch (failure) {
      setFault(
        failure instanceof PhotoRefused
          ? failure.message
          : 'The photograph could not be kept; is this phone full?',
      );
    } finally {
      setBusy(false);
    }
  };
  return (
    <section>
      <h3>Note or photograph</h3>
      <Textarea
        aria-label="Note"
        placeholder="What is seen: a chip, a frozen lock"
        size="lg"
        maxLength={1000}
        autosize
        minRows={2}
        value={value.text}
        onChange={(event) => {
          set({ text: event.currentTarget.value });
          setFault(null);
        }}
        error={fault}
      />
      <div className={shared.pair}>
        <button type="button" onClick={add}>
          Add the note
        </button>
        <FileButton accept="image/*" capture="environment" onChange={(file) => void photo(file)}>
          {(props) => (
            <button type="button" disabled={isBusy} {...props}>
              {isBusy ? 'Making it smaller' : 'Photograph'}
            </button>
          )}
        </FileButton>
      </div>
    </section>
  );
}

function SignalSwitches() {
  const { sound, vibration, set } = useSignals();
  return (
    <section>
      <h3>When something is due</h3>
      <div className={shared.pair}>
        <Button
          variant={sound ? 'filled' : 'default'}
          size="lg"
          aria-pressed={sound}
          onClick={() => set({ sound: !sound })}
        >
          Sound {sound ? 'on' : 'off'}
        </Button>
        <Button
          variant={vibration ? 'filled' : 'default'}
          size="lg"
          aria-pressed={vibration}
          onClick={() => set({ vibration: !vibration })}
        >
          Vibration {vibration ? 'on' : 'off'}
        </Button>
      </div>
    </section>
  );
}
