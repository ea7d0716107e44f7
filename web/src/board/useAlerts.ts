import { useLocalStorage } from '@mantine/hooks';
import { useEffect, useRef, useState, type RefObject } from 'react';
import { number, type Formats } from '../format/format';
import { passes, spoken } from '../words';
import { keyOf, type Thing, type ThingState } from './thing';

export interface AlertSettings {
  sound: boolean;
  vibrate: boolean;
  voice: boolean;
  night: boolean;
}

const usual: AlertSettings = { sound: true, vibrate: true, voice: false, night: false };

export const useAlertSettings = () =>
  useLocalStorage<AlertSettings>({
    key: 'setfirm-board',
    defaultValue: usual,
    getInitialValueInEffect: false,
  });

type Told = Extract<ThingState, 'open' | 'closing' | 'missed'>;

const TONES: Record<Told, number[]> = { open: [660, 880], closing: [880, 660, 880], missed: [440, 440, 440] };
const SHAKES: Record<Told, number[]> = {
  open: [200, 100, 200],
  closing: [100, 60, 100, 60, 100],
  missed: [500, 150, 500],
};
const TONE_S = 0.22;

function play(tones: number[]): void {
  const audio = new AudioContext();
  tones.forEach((hertz, i) => {
    const voice = audio.createOscillator();
    const loud = audio.createGain();
    voice.frequency.value = hertz;
    loud.gain.value = 0.3;
    voice.connect(loud).connect(audio.destination);
    voice.start(audio.currentTime + i * TONE_S);
    voice.stop(audio.currentTime + (i + 0.9) * TONE_S);
  });
  setTimeout(() => void audio.close(), tones.length * TONE_S * 1000 + 300);
}

/** What is said of it; null where nothing is. */
const sentenceOf = (thing: Thing, format: Formats): string | null => {
  const { state } = thing;
  if (state !== 'open' && state !== 'closing' && state !== 'missed') return null;
  if (thing.kind === 'mix' || thing.kind === 'place')
    return state === 'open' || thing.until === null
      ? null
      : spoken.joint[state](number(thing.batch), format.time(new Date(thing.until).toISOString()));
  if (thing.kind !== 'pass') return null;
  const [zone, pass, until] = [
    number(thing.task.zone),
    passes[thing.task.pass].toLowerCase(),
    format.time(thing.task.closes),
  ];
  return state === 'missed' ? spoken.missed(zone, pass) : spoken[state](zone, pass, until);
};

/**
 * Tells of a pass that opens, nears its end or was missed, and of a joint that runs out, once each: by sound, by shaking, and aloud.
 * @returns Where it is written, for those who hear the page read.
 */
export function useAlerts(
  things: Thing[],
  settings: AlertSettings,
  format: Formats,
): RefObject<HTMLDivElement | null> {
  const told = useRef<Map<string, ThingState> | null>(null);
  const said = useRef<HTMLDivElement>(null);
  const about = useRef('');
  useEffect(() => {
    const first = told.current === null;
    const known: Map<string, ThingState> = told.current ?? new Map<string, ThingState>();
    told.current = known;
    // What was said of something that is done since is said no more.
    if (said.current && !things.some((t) => keyOf(t) === about.current)) said.current.textContent = '';
    for (const thing of things) {
      const before = known.get(keyOf(thing));
      known.set(keyOf(thing), thing.state);
      if (first || before === thing.state) continue;
      const sentence = sentenceOf(thing, format);
      if (sentence === null) continue;
      const state = thing.state as Told;
      if (said.current) said.current.textContent = sentence;
      about.current = keyOf(thing);
      if (settings.sound) play(TONES[state]);
      if (settings.vibrate && 'vibrate' in navigator) navigator.vibrate(SHAKES[state]);
      if (settings.voice && 'speechSynthesis' in window)
        window.speechSynthesis.speak(new SpeechSynthesisUtterance(sentence));
      break; // one at a time; the rest is on the board
    }
  }, [things, settings, format]);
  return said;
}

/** Keeps the screen on. @returns Whether that is to be had. */
export function useAwake(): boolean {
  const [awake, setAwake] = useState(true);
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let gone = false;
    const hold = async () => {
      if (window.document.visibilityState !== 'visible') return;
      try {
        if (!('wakeLock' in navigator)) throw new Error('not to be had');
        lock = await navigator.wakeLock.request('screen');
        if (gone) void lock.release();
        else setAwake(true);
      } catch {
        if (!gone) setAwake(false);
      }
    };
    void hold();
    const again = () => void hold();
    window.document.addEventListener('visibilitychange', again);
    return () => {
      gone = true;
      window.document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, []);
  return awake;
}
