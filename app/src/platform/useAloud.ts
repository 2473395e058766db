import { useEffect, useRef, useState } from 'react';

export interface Aloud {
  /** Whether this device has a voice at all. */
  can: boolean;
  on: boolean;
  turn: () => void;
  /** Says it, in place of what is being said. */
  say: (text: string) => void;
}

const voice = (): SpeechSynthesis | undefined =>
  typeof window === 'undefined' ? undefined : (window as { speechSynthesis?: SpeechSynthesis }).speechSynthesis;

/** Reads what is next aloud in the device's own voice, whenever it changes, for as long as it is turned on. */
export function useAloud(text: string): Aloud {
  const [on, setOn] = useState(false);
  const said = useRef<string | null>(null);
  const say = (words: string) => {
    const speech = voice();
    if (!speech) return;
    speech.cancel();
    speech.speak(new SpeechSynthesisUtterance(spoken(words)));
  };
  useEffect(() => {
    if (!on || said.current === text) return;
    said.current = text;
    say(text);
  }, [on, text]);
  useEffect(() => () => voice()?.cancel(), []);
  const turn = () => {
    if (on) voice()?.cancel();
    said.current = null;
    setOn(!on);
  };
  return { can: voice() !== undefined, on, turn, say };
}

/** As it is said: brackets are pauses, and a sign for "times" is a word. */
export const spoken = (text: string): string =>
  text
    .replace(/[()]/g, ', ')
    .replace(/×/g, ' by ')
    .replace(/\s+,/g, ',')
    .replace(/,\s*,/g, ',')
    .replace(/\s+/g, ' ')
    .trim();
