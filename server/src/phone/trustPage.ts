import { page } from './page';

/** How the authority's certificate is installed, by kinds of systems. */
export const trustPage = (): string =>
  page(
    'Trust this house',
    `<p>This house speaks over an encrypted line, with a certificate that it made itself. A device that knows the certificate shows no warnings, keeps the screen on while you crochet, and can install Keep Snug as an app.</p>
<p><a class="button" href="/trust/keep-snug.crt" download>Download the certificate</a></p>
<div class="card">
<h2>A phone or tablet that asks for a profile</h2>
<ol>
<li>Download the certificate; it is offered as a profile.</li>
<li>Open the device’s settings, where the downloaded profile stands near the top, and install it.</li>
<li>In the settings, look under About for the certificate trust settings, and switch on full trust for “Keep Snug”.</li>
</ol>
<h2>A phone or tablet that asks for a certificate’s purpose</h2>
<ol>
<li>Download the certificate.</li>
<li>In the device’s settings, search for “certificate”, and choose to install a CA certificate from storage.</li>
<li>Confirm the warning, and choose the file.</li>
</ol>
<h2>A computer</h2>
<ol>
<li>Download the certificate and open it.</li>
<li>Add it to the trusted root authorities, or, in a browser with a list of its own, under its certificate settings.</li>
</ol>
<p>Then close this page and open Keep Snug again. To undo it, remove “Keep Snug” from the same list.</p>
</div>
<p class="faint">The certificate vouches for this house’s addresses only where its key is used, and that key never leaves the computer it runs on. Without it all still works, but installing.</p>
<p><a href="/">Open Keep Snug</a></p>`,
  );
