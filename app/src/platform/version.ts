import { useEffect } from 'react';
import { create } from 'zustand';
import { whenIdle } from './idle';
import { beginAnew, fetchAhead, onWindow } from './page';

/** What a browser asks with before an app is installed. */
interface InstallAsk extends Event {
  prompt: () => Promise<unknown>;
}

interface Version {
  /** Reloads into the new version that waits; nothing where none does. */
  takeNew: (() => void) | null;
  /** Installs the app; nothing where the browser does not offer it now. */
  install: (() => Promise<void>) | null;
}

export const useVersion = create<Version>()(() => ({ takeNew: null, install: null }));

/** So often it is asked whether there is a new version, ms. */
const LOOK_EVERY_MS = 3_600_000;

/** Whether this page may be kept by a worker: over an encrypted line that is trusted, or on this machine. */
const canBeKept = (): boolean =>
  process.env.NODE_ENV === 'production' && typeof navigator !== 'undefined' && 'serviceWorker' in navigator;

/** Keeps the app on this device once it stands still, and tells when a new version waits. */
export function useKept(): void {
  useEffect(() => {
    const offered = (event: Event) => {
      event.preventDefault();
      const ask = event as InstallAsk;
      const install = async () => {
        await ask.prompt();
        useVersion.setState({ install: null });
      };
      useVersion.setState({ install });
    };
    const leave = onWindow('beforeinstallprompt' as keyof WindowEventMap, offered);
    if (canBeKept()) void keep();
    else if (process.env.NODE_ENV === 'production') void ahead();
    return leave;
  }, []);
}

/**
 * Where no worker may keep the app, its scripts are fetched once it stands still, so that each place opens while the server is
 * away and the page stays open.
 */
async function ahead(): Promise<void> {
  await whenIdle();
  const listed = await fetch('/sw.js')
    .then((answer) => answer.text())
    .catch(() => '');
  for (const [, path] of listed.matchAll(/url:"([^"]+\.js)"/g)) {
    fetchAhead(`/${path}`);
  }
}

async function keep(): Promise<void> {
  const { workboxWindow } = await import('./workboxWindow');
  const worker = new workboxWindow.Workbox('/sw.js');
  worker.addEventListener('waiting', () =>
    useVersion.setState({
      takeNew: () => {
        worker.addEventListener('controlling', beginAnew);
        worker.messageSkipWaiting();
      },
    }),
  );
  // a device that takes no worker works all the same
  const kept = await worker.register().catch(() => undefined);
  if (!kept) return ahead();
  setInterval(() => void worker.update().catch(() => undefined), LOOK_EVERY_MS);
}
