import { escaped, page } from './page';

interface PairAsk {
  /** The token of the code that was read; without one the passphrase is asked for. */
  token?: string;
  hasPassphrase: boolean;
  fault?: string;
  name?: string;
}

/** Where a device is let in: with the code it read, or with the passphrase. */
export function pairPage({ token, hasPassphrase, fault, name = '' }: PairAsk): string {
  const told = fault ? `<p class="fault" role="alert">${escaped(fault)}</p>` : '';
  if (!token && !hasPassphrase) return page('Pair this device', `${told}${HOW}`);
  const key = token
    ? `<input type="hidden" name="token" value="${escaped(token)}">`
    : `<label for="passphrase">Passphrase</label><input id="passphrase" name="passphrase" type="password" autocomplete="current-password" required>`;
  return page(
    'Pair this device',
    `${told}<p>Once it is paired, this device shows and changes everything in this house, until it is removed in Settings.</p>
<form method="post" action="/pair">
<label for="name">Name of this device</label>
<input id="name" name="name" maxlength="60" autocomplete="off" placeholder="such as phone on the sofa" value="${escaped(name)}">
${key}
<button type="submit">Pair this device</button>
</form>
${token ? '' : HOW}
<p class="faint">Your browser may say that this page is not trusted. <a href="/trust">Trust this house</a> to end that, and to install the app.</p>`,
  );
}

const HOW =
  '<p>On the computer that Keep Snug runs on, open Settings, then “Pair a phone”, and point the camera of this device at the code. A code is good for one device and ten minutes.</p>';
