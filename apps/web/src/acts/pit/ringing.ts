import { useEffect, useRef } from 'react';
import { create } from 'zustand';

const ON = 'bunkhouse.pit-sound';
const useSound = create<{ isOn: boolean }>(() => ({ isOn: localStorage.getItem(ON) === 'yes' }));
let audio: AudioContext | null = null;

/** A device without sound, or with none left, rings in silence: it breaks nothing. */
function newAudio(): AudioContext | null {
  try {
    return new AudioContext();
  } catch {
    return null;
  }
}

/** Two tones, low and high: not to be mistaken for a telephone. */
function ring(): void {
  if (audio === null) return;
  const start = audio.currentTime;
  for (const [i, hertz] of [440, 660, 440, 660].entries()) {
    const tone = audio.createOscillator();
    const loud = audio.createGain();
    tone.frequency.value = hertz;
    loud.gain.setValueAtTime(0.25, start + i * 0.28);
    loud.gain.exponentialRampToValueAtTime(0.001, start + i * 0.28 + 0.25);
    tone.connect(loud).connect(audio.destination);
    tone.start(start + i * 0.28);
    tone.stop(start + i * 0.28 + 0.26);
  }
}

/** Whether alarms of the pit are heard on this device. A browser lets a page sound only after somebody touched it: turning it on rings once. */
export function usePitSound(): { isOn: boolean; turn: (on: boolean) => void } {
  const isOn = useSound((sound) => sound.isOn);
  return {
    isOn,
    turn: (on) => {
      if (on) {
        localStorage.setItem(ON, 'yes');
        audio ??= newAudio();
        ring();
      } else localStorage.removeItem(ON);
      useSound.setState({ isOn: on });
    },
  };
}

const AGAIN_MS = 60_000;

/** Rings for alarms that nobody has heard: at once when one is new, then each minute. */
export function useRinging(keys: readonly string[]): void {
  const { isOn } = usePitSound();
  const rang = useRef(new Set<string>());
  const joined = [...keys].sort().join(' ');
  useEffect(() => {
    const now = new Set(joined === '' ? [] : joined.split(' '));
    const isNew = [...now].some((key) => !rang.current.has(key));
    rang.current = now;
    if (!isOn || now.size === 0) return undefined;
    audio ??= newAudio();
    if (isNew) ring();
    const timer = setInterval(ring, AGAIN_MS);
    return () => clearInterval(timer);
  }, [joined, isOn]);
}
