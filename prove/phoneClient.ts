import { readFileSync } from 'node:fs';
import { createConnection } from 'node:net';
import { request } from 'node:https';

/**
 * A client in a network of its own: asks what it is told to, and says what came.
 * @param asks JSON: what to ask, in order
 */

interface Ask {
  url: string;
  method: string;
  body?: string;
  type?: string;
  cookie?: string;
  /** Something is said on the other line as soon as the answer begins: it goes on until the server ends it. */
  stream?: boolean;
}

const [certificate, asks] = process.argv.slice(2) as [string, string];
const ca = readFileSync(certificate, 'utf8');

function answered({ url, method, body, type, cookie, stream }: Ask): Promise<object> {
  const { hostname, port, pathname, search, protocol } = new URL(url);
  if (protocol === 'tcp:') return reached(hostname, Number(port));
  return new Promise((resolve) => {
    const going = request(
      {
        hostname,
        port,
        method,
        path: pathname + search,
        ca,
        agent: false,
        headers: { ...(type ? { 'Content-Type': type } : {}), ...(cookie ? { Cookie: cookie } : {}) },
      },
      (res) => {
        let text = '';
        if (stream) {
          going.setTimeout(0);
          process.stderr.write('open\n');
        }
        res.on('data', (part: Buffer) => (text += part.toString()));
        res.on('error', (error) => resolve({ status: 0, text: error.message, cookie: '' }));
        res.on('end', () => resolve({ status: res.statusCode, text, cookie: res.headers['set-cookie']?.[0] ?? '' }));
      },
    );
    going.setTimeout(60_000, () => going.destroy(new Error('no answer')));
    going.on('error', (error) => resolve({ status: 0, text: error.message, cookie: '' }));
    going.end(body);
  });
}

/** Whether a port takes a connection at all. */
const reached = (host: string, port: number): Promise<object> =>
  new Promise((resolve) => {
    const socket = createConnection({ host, port, timeout: 5000 });
    const say = (status: number, text: string) => {
      socket.destroy();
      resolve({ status, text, cookie: '' });
    };
    socket.on('connect', () => say(1, 'connected'));
    socket.on('timeout', () => say(0, 'no answer'));
    socket.on('error', (error) => say(0, error.message));
  });

const all: object[] = [];
for (const ask of JSON.parse(asks) as Ask[]) all.push(await answered(ask));
console.log(JSON.stringify(all));
