import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import type { RunMoment } from '@keen/core';
import { canSpeak, say, signal, useSignals } from './signals.js';
import { spokenBetween } from './spoken.js';

interface Played {
  readonly hertz: number;
  readonly from: number;
  readonly to: number;
}
let played: Played[];
const shaken = jest.fn();

beforeEach(() => {
  played = [];
  shaken.mockClear();
  class Tone {
    private from = 0;
    constructor(
      _audio: unknown,
      private readonly how: { frequency: number },
    ) {}
    connect = (to: unknown) => to;
    start = (atSeconds: number): void => void (this.from = atSeconds);
    stop = (atSeconds: number): void =>
      void played.push({ hertz: this.how.frequency, from: this.from, to: atSeconds });
  }
  class Gain {
    connect = (to: unknown) => to;
  }
  class Audio {
    currentTime = 10;
    destination = {};
  }
  Object.assign(globalThis, { AudioContext: Audio, OscillatorNode: Tone, GainNode: Gain });
  Object.defineProperty(navigator, 'vibrate', { value: shaken, configurable: true });
});

afterEach(() => {
  useSignals.getState().set({ sound: true, vibration: true, voice: false });
  Reflect.deleteProperty(globalThis, 'speechSynthesis');
});

describe('what becomes due', () => {
  it('sounds tone after tone, and shakes', () => {
    signal(['dries-soon']);
    expect(played.map(({ hertz }) => hertz)).toEqual([660, 880]);
    const [first, second] = played;
    expect(first?.from).toBe(10);
    expect(second?.from).toBeGreaterThan(first?.to ?? Infinity);
    expect((first?.to ?? 0) - (first?.from ?? 0)).toBeCloseTo(0.18, 9);
    expect(shaken).toHaveBeenCalledWith([200, 100, 200]);
  });

  it('each has its own signal', () => {
    const alarms = ['worked', 'dries-soon', 'over', 'meter-low', 'wipe-soon'] as const;
    signal(alarms);
    expect(shaken).toHaveBeenCalledTimes(alarms.length);
    expect(new Set(shaken.mock.calls.map((call) => JSON.stringify(call))).size).toBe(alarms.length);
  });

  it('is silent, or still, as the owner of the phone wants it', () => {
    useSignals.getState().set({ sound: false });
    signal(['over']);
    expect(played).toEqual([]);
    expect(shaken).toHaveBeenCalledTimes(1);
    useSignals.getState().set({ sound: true, vibration: false });
    signal(['over']);
    expect(played).toHaveLength(3);
    expect(shaken).toHaveBeenCalledTimes(1);
  });

  it('is nothing where nothing is due', () => {
    signal([]);
    expect([played.length, shaken.mock.calls.length]).toEqual([0, 0]);
  });
});

describe('what is said aloud', () => {
  const step = (key: string, id: string) => ({ key, step: { id } });
  const moment = (current: object | null, next: object | null = null): RunMoment =>
    ({ current, next }) as unknown as RunMoment;

  it('is the step that begins, and the next one where none has begun', () => {
    const wheels = step('wheels-0', 'wheels');
    const foam = step('foam-0', 'foam');
    expect(spokenBetween(moment(null, wheels), moment(wheels, foam), [])).toEqual(['Now: clean the wheels.']);
    expect(spokenBetween(moment(wheels, foam), moment(wheels, foam), [])).toEqual([]);
    expect(spokenBetween(moment(wheels, foam), moment(null, foam), [])).toEqual(['Next: foam the car.']);
    expect(spokenBetween(moment(wheels, null), moment(null, null), [])).toEqual([]);
  });

  it('is what becomes due first, and nothing when a page is opened', () => {
    const foam = step('foam-0', 'foam');
    expect(spokenBetween(null, moment(foam), [])).toEqual([]);
    const said = spokenBetween(moment(null, foam), moment(foam), ['over', 'meter-low']);
    expect(said).toEqual(['Rinse now.', 'The meter runs out soon.', 'Now: foam the car.']);
  });

  it('is heard only where the owner of the phone wants it, and the phone can', () => {
    const spoken: string[] = [];
    const cancelled = jest.fn();
    say(['no']);
    expect(canSpeak()).toBe(false);
    class Utterance {
      lang = '';
      constructor(readonly text: string) {}
    }
    Object.assign(globalThis, {
      SpeechSynthesisUtterance: Utterance,
      speechSynthesis: {
        cancel: cancelled,
        speak: ({ text, lang }: Utterance) => spoken.push(`${lang} ${text}`),
      },
    });
    say(['not yet']);
    useSignals.getState().set({ voice: true });
    say([]);
    expect(cancelled).not.toHaveBeenCalled();
    say(['Rinse now.', 'Now: foam the car.']);
    expect(spoken).toEqual(['en Rinse now.', 'en Now: foam the car.']);
    expect(cancelled).toHaveBeenCalledTimes(1);
  });
});
