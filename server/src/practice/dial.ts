import { connect, type Socket } from 'node:net';

/** A practice device at its end of the line. */
export interface Dialled {
  /** Sends a line and gives its answer; what went wrong where none comes. */
  say: (line: string) => Promise<string>;
  connected: () => boolean;
  hangUp: () => void;
}

const AGAIN_MS = 1000;
const ANSWER_MS = 2000;
const AWAY = 'not connected: start Keep Snug, it is dialled again every second';

/** Dials the program as a bridge of a real device would, names itself, and dials again when the line breaks. */
export function dial(port: number, hello: string): Dialled {
  let socket: Socket | undefined;
  let greeted = false;
  let ended = false;
  let again: NodeJS.Timeout | undefined;
  let asked: ((answer: string) => void)[] = [];

  const call = () => {
    const line = connect(port, '127.0.0.1');
    let heard = '';
    socket = line;
    greeted = false;
    line.setEncoding('utf8');
    line.on('connect', () => line.write(`${hello}\n`));
    line.on('data', (text: string) => {
      heard += text;
      const answers = heard.split('\n');
      heard = answers.pop()!;
      for (const answer of answers) {
        if (greeted) asked.shift()?.(answer);
        else greeted = answer.startsWith('OK');
      }
    });
    line.on('error', () => undefined);
    line.on('close', () => {
      greeted = false;
      asked.forEach((tell) => tell(AWAY));
      asked = [];
      if (!ended) again = setTimeout(call, AGAIN_MS);
    });
  };
  call();

  return {
    connected: () => greeted,
    say: (line) =>
      new Promise((resolve) => {
        if (!greeted) return resolve(AWAY);
        asked.push(resolve);
        socket!.write(`${line}\n`);
        setTimeout(() => resolve('no answer'), ANSWER_MS).unref();
      }),
    hangUp: () => {
      ended = true;
      clearTimeout(again);
      socket?.destroy();
    },
  };
}
