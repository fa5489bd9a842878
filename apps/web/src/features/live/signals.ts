import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { Alarm } from './live-view.js';

interface SignalChoice {
  readonly sound: boolean;
  readonly vibration: boolean;
  /** The next step and what becomes due are said aloud. */
  readonly voice: boolean;
  readonly set: (change: Partial<Pick<SignalChoice, 'sound' | 'vibration' | 'voice'>>) => void;
}

/** Whether this phone sounds, shakes and speaks. */
export const useSignals = create<SignalChoice>()(
  persist((set) => ({ sound: true, vibration: true, voice: false, set: (change) => set(change) }), {
    name: 'keen-signals',
  }),
);

/** Tones in Hz, one after the other, and the shaking in ms on and off. */
const SIGNALS: Readonly<Record<Alarm, { readonly tones: readonly number[]; readonly shake: number[] }>> = {
  worked: { tones: [660], shake: [120] },
  'dries-soon': { tones: [660, 880], shake: [200, 100, 200] },
  over: { tones: [880, 660, 880], shake: [500, 150, 500] },
  'meter-low': { tones: [520, 520], shake: [150, 80, 150] },
  'wipe-soon': { tones: [740, 990], shake: [250, 100, 250] },
};
const TONE_SECONDS = 0.18;
const LOUDNESS = 0.25;

let context: AudioContext | null = null;

function sound(tones: readonly number[]): void {
  context ??= new AudioContext();
  const audio = context;
  tones.forEach((hertz, i) => {
    const tone = new OscillatorNode(audio, { type: 'triangle', frequency: hertz });
    const gain = new GainNode(audio, { gain: LOUDNESS });
    tone.connect(gain).connect(audio.destination);
    const atSeconds = audio.currentTime + i * TONE_SECONDS * 1.25;
    tone.start(atSeconds);
    tone.stop(atSeconds + TONE_SECONDS);
  });
}

/** Sounds and shakes for what became due, as the phone's owner wants it. */
export function signal(alarms: readonly Alarm[]): void {
  const wants = useSignals.getState();
  for (const alarm of alarms) {
    const { tones, shake } = SIGNALS[alarm];
    if (wants.sound) sound(tones);
    if (wants.vibration && 'vibrate' in navigator) navigator.vibrate(shake);
  }
}

/** Can this phone speak? */
export const canSpeak = (): boolean => 'speechSynthesis' in globalThis;

/** Says sentences one after the other, where the phone's owner wants it; what is still being said gives way. */
export function say(sentences: readonly string[]): void {
  if (!useSignals.getState().voice || !canSpeak() || sentences.length === 0) return;
  speechSynthesis.cancel();
  for (const text of sentences) {
    const utterance = new SpeechSynthesisUtterance(text);
    utterance.lang = 'en';
    speechSynthesis.speak(utterance);
  }
}
