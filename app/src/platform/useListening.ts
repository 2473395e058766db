import { useEffect, useRef, useState } from 'react';

/** One reading of what was said: a text, and how sure the browser is of it. */
type Reading = Readonly<Record<string, string | number>>;

/** The text of a reading, which is its only one. */
function textOf(reading: Reading = {}): string {
  // browsers keep it where only this loop looks
  for (const key in reading) if (typeof reading[key] === 'string') return reading[key];
  return '';
}

/** What the browser's own listening gives: only what is used of it, since no library types it. */
interface Recognition {
  lang: string;
  continuous: boolean;
  onresult: ((event: { results: ArrayLike<ArrayLike<Reading>> }) => void) | null;
  onend: (() => void) | null;
  onerror: ((event: { error: string }) => void) | null;
  start: () => void;
  stop: () => void;
}

type Recogniser = new () => Recognition;

function recogniser(): Recogniser | undefined {
  if (typeof window === 'undefined') return undefined;
  const own = window as { SpeechRecognition?: Recogniser; webkitSpeechRecognition?: Recogniser };
  return own.SpeechRecognition ?? own.webkitSpeechRecognition;
}

/** What is done at a word that is heard. */
export interface Heard {
  next: () => void;
  back: () => void;
  howMany: () => void;
}

/** The word that was said, where it is one that is listened for. */
function wordIn(said: string): keyof Heard | undefined {
  const text = said.toLowerCase();
  if (/\bhow many\b/.test(text)) return 'howMany';
  if (/\bback\b/.test(text)) return 'back';
  return /\bnext\b/.test(text) ? 'next' : undefined;
}

export interface Listening {
  /** Whether this browser can listen at all. */
  can: boolean;
  on: boolean;
  turn: () => void;
}

/** Listens for `next`, `back` and `how many`, for as long as it is turned on and allowed to. */
export function useListening(heard: Heard): Listening {
  const [on, setOn] = useState(false);
  const latest = useRef(heard);
  useEffect(() => {
    latest.current = heard;
  });
  useEffect(() => {
    const Recogniser = recogniser();
    if (!on || !Recogniser) return undefined;
    const ear = new Recogniser();
    let ended = false;
    Object.assign(ear, { lang: 'en', continuous: true });
    ear.onresult = ({ results }) => {
      const word = wordIn(textOf(results[results.length - 1]?.[0]));
      if (word) latest.current[word]();
    };
    // it stops by itself after a silence
    ear.onend = () => (ended ? undefined : ear.start());
    ear.onerror = ({ error }) => {
      if (error === 'no-speech' || error === 'aborted') return;
      ended = true;
      setOn(false);
    };
    ear.start();
    return () => {
      ended = true;
      ear.stop();
    };
  }, [on]);
  return { can: recogniser() !== undefined, on, turn: () => setOn(!on) };
}
