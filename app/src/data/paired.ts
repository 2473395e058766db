/** What this house has let in, and the codes that let more in. */
export interface PairedDevice {
  id: string;
  name: string;
  pairedAt: string;
  seenAt: string;
  isThis: boolean;
}

export interface PairedTold {
  /** Whether phones can come in at all, and whether this page is on the machine itself. */
  open: boolean;
  here: boolean;
  devices: readonly PairedDevice[];
}

export interface PairingCode {
  url: string;
  address: string;
  until: string;
  /** As SVG. */
  picture: string;
}

const json = { 'Content-Type': 'application/json' };

async function asked<T>(path: string, init?: RequestInit): Promise<T | null> {
  try {
    const answer = await fetch(`/api/paired${path}`, init);
    if (!answer.ok) return null;
    return answer.status === 204 ? ({} as T) : ((await answer.json()) as T);
  } catch {
    return null;
  }
}

/** The devices that were let in; nothing while the server is away. */
export const pairedNow = (): Promise<PairedTold | null> => asked('');
/** A code that lets one more in. */
export const newCode = (): Promise<PairingCode | null> =>
  asked('/codes', { method: 'POST', headers: json, body: '{}' });
/** Names a device anew; whether it was done. */
export const renamed = async (id: string, name: string): Promise<boolean> =>
  (await asked(`/${id}`, { method: 'PATCH', headers: json, body: JSON.stringify({ name }) })) !== null;
/** Lets a device in no longer; whether it was done. */
export const removed = async (id: string): Promise<boolean> =>
  (await asked(`/${id}`, { method: 'DELETE', headers: json })) !== null;
