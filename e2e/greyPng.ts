import { crc32, deflateSync } from 'node:zlib';

interface Grey {
  width: number;
  height: number;
  data: ArrayLike<number>;
}

const SIGNATURE = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);

/** A picture in grey as the bytes of a PNG. */
export function greyPng({ width, height, data }: Grey): Buffer {
  const rows = Buffer.alloc((width + 1) * height);
  for (let row = 0; row < height; row += 1)
    for (let column = 0; column < width; column += 1) {
      const value = Math.round(data[row * width + column]!);
      rows[row * (width + 1) + 1 + column] = Math.max(0, Math.min(255, value));
    }
  const head = Buffer.alloc(13);
  head.writeUInt32BE(width, 0);
  head.writeUInt32BE(height, 4);
  // eight bits of grey, nothing interlaced
  head.set([8, 0, 0, 0, 0], 8);
  return Buffer.concat([
    SIGNATURE,
    chunk('IHDR', head),
    chunk('IDAT', deflateSync(rows)),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}

function chunk(name: string, body: Buffer): Buffer {
  const named = Buffer.concat([Buffer.from(name, 'latin1'), body]);
  const length = Buffer.alloc(4);
  length.writeUInt32BE(body.length);
  const sum = Buffer.alloc(4);
  sum.writeUInt32BE(crc32(named));
  return Buffer.concat([length, named, sum]);
}
