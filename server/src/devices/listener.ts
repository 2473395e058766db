import { createServer, type AddressInfo, type Server, type Socket } from 'node:net';
import type { Instrument } from '@keep-snug/core/documents';
import type { Hub } from './hub';
import { isOwn, LineCutter, LONGEST_LINE, readLine, wordOf } from './protocol';

/** Devices at once. */
const MOST_DEVICES = 16;
/** Lines that one device may send in a second; a hand presses far fewer. */
const LINES_A_SECOND = 50;
/** One that does not say what it is by then is none, ms. */
const HELLO_WITHIN_MS = 10_000;
/** A device that does not read its answers is let go, bytes. */
const MOST_UNREAD = 64_000;

export interface Devices {
  port: number;
  stop: () => Promise<void>;
}

/**
 * Listens for devices on this machine alone.
 * @param port 0 takes any that is free
 * @throws where the port is taken
 */
export async function listenForDevices(hub: Hub, port: number): Promise<Devices> {
  const sockets = new Set<Socket>();
  const server: Server = createServer((socket) => {
    sockets.add(socket);
    socket.on('close', () => sockets.delete(socket));
    serve(socket, hub);
  });
  server.maxConnections = MOST_DEVICES;
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, '127.0.0.1', resolve);
  });
  return {
    port: (server.address() as AddressInfo).port,
    stop: async () => {
      const closed = new Promise((resolve) => server.close(resolve));
      for (const socket of sockets) socket.destroy();
      await closed;
    },
  };
}

/** One device, from its first line until it goes away. */
function serve(socket: Socket, hub: Hub): void {
  const cutter = new LineCutter();
  const pace = paced();
  let device: Instrument | undefined;
  let count = 0;
  const answer = (line: string) => {
    if (socket.writableLength > MOST_UNREAD) socket.destroy();
    else socket.write(`${line}\n`);
  };
  const refuse = (reason: string) => answer(`ERR ${reason}`);
  const take = (line: string | null): void => {
    if (!pace()) return refuse('too many lines at once; wait a second');
    if (line === null) return refuse(`no line of UTF-8 of at most ${LONGEST_LINE} bytes`);
    const said = readLine(line);
    if (!device) {
      if (said.is === 'hello') {
        device = hub.join(said);
        clearTimeout(silent);
        return answer(`OK ${count}`);
      }
      // a page's request is no device: nothing that follows it is read
      refuse(said.is === 'fault' ? said.reason : 'say HELLO first');
      return void socket.end();
    }
    if (said.is === 'fault') return refuse(said.reason);
    if (said.is === 'hello') return refuse('HELLO was said already');
    if (!isOwn(device, said)) return refuse(`a ${device.kind} sends ${wordOf(device.kind)}`);
    count += 1;
    hub.read(device, said.value);
    return answer(`OK ${count}`);
  };
  const silent = setTimeout(() => socket.destroy(), HELLO_WITHIN_MS);
  socket.setKeepAlive(true, 30_000);
  socket.on('data', (chunk) => {
    for (const line of cutter.push(chunk)) if (!socket.writableEnded && !socket.destroyed) take(line);
  });
  // going away in the middle of a line is not a fault: nothing of it was taken
  socket.on('error', () => undefined);
  socket.on('close', () => {
    clearTimeout(silent);
    if (device) hub.leave(device);
  });
}

/** Whether one more line may be taken within this second. */
function paced(): () => boolean {
  let second = 0;
  let taken = 0;
  return () => {
    const now = Math.floor(Date.now() / 1000);
    taken = now === second ? taken + 1 : 1;
    second = now;
    return taken <= LINES_A_SECOND;
  };
}
