import { Button } from '@mantine/core';
import { type LiveStep, SKIP_REASONS, type SkipReason } from '@keen/core';
import { Link } from 'react-router';
import { Dialog } from '../../parts/dialog.js';
import { SKIP_NAMES } from '../../words/run-words.js';
import { stepOnPart } from '../../words/way-words.js';
import { skipDeeds } from './live-view.js';
import { canSpeak, useSignals } from './signals.js';
import shared from './live.module.css';
import body from './more-sheet.module.css';
import { ReadingForm } from './reading-form.js';
import type { PartProps, MoreSheetProps } from './more-props.js';
import { NoteForm } from './note-form.js';

/** The ways round the steps: skip, order, reading, note, photograph, sound, voice. */
export function MoreSheet({ pack, log, state, moment, act, onClose }: MoreSheetProps) {
  return (
    <Dialog title="More" onClose={onClose} closeLabel="Back to the run">
      <div className={body.more}>
        <SkipAndOrder state={state} moment={moment} act={act} onDone={onClose} />
        <ReadingForm pack={pack} log={log} act={act} onDone={onClose} />
        <NoteForm log={log} act={act} onDone={onClose} />
        <SignalSwitches />
        <Link to="/clinic">Spots found? The spot clinic</Link>
      </div>
    </Dialog>
  );
}

/** A wash that goes part by part has more steps than one looks through. */
const MOST_AT_ONCE = 6;

function Sooner({ waiting, act }: { readonly waiting: readonly LiveStep[]; readonly act: PartProps['act'] }) {
  return (
    <div className={shared.choices}>
      {waiting.map(({ key, step }) => (
        <button key={key} type="button" onClick={() => act({ kind: 'sooner', step: key })}>
          {stepOnPart(step)}
        </button>
      ))}
    </div>
  );
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
      <h3>Skip “{stepOnPart(at.step).toLowerCase()}”, because</h3>
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
          <Sooner waiting={waiting.slice(0, MOST_AT_ONCE)} act={act} />
          {waiting.length > MOST_AT_ONCE && (
            <details>
              <summary>{waiting.length - MOST_AT_ONCE} more that wait</summary>
              <Sooner waiting={waiting.slice(MOST_AT_ONCE)} act={act} />
            </details>
          )}
        </>
      )}
    </section>
  );
}

function SignalSwitches() {
  const { sound, vibration, voice, set } = useSignals();
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
        {canSpeak() && (
          <Button
            variant={voice ? 'filled' : 'default'}
            size="lg"
            aria-pressed={voice}
            onClick={() => set({ voice: !voice })}
          >
            Voice {voice ? 'on' : 'off'}
          </Button>
        )}
      </div>
    </section>
  );
}
