import { chromium, type Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, PHONE_PLAN, test, type TestServer } from '../testServer';

interface Kept {
  body: { title: string };
}

/** The page of a printed pattern that bears its code, as a scanner sees it. */
async function printedPage(server: TestServer, dpi: number, kind: '-png' | '-gray'): Promise<Buffer> {
  const folder = mkdtempSync(join(tmpdir(), 'keep-snug-print-'));
  const file = join(folder, 'pattern.pdf');
  const answer = await fetch(`${server.url}/api/plans/${PHONE_PLAN.split('/').at(-1)}/pattern.pdf`);
  writeFileSync(file, Buffer.from(await answer.arrayBuffer()));
  const last = /Pages: +(\d+)/.exec(execFileSync('pdfinfo', [file], { encoding: 'utf8' }))![1]!;
  execFileSync('pdftoppm', [
    kind,
    '-r',
    String(dpi),
    '-f',
    last,
    '-l',
    last,
    '-singlefile',
    file,
    join(folder, 'page'),
  ]);
  return readFileSync(join(folder, kind === '-png' ? 'page.png' : 'page.pgm'));
}

const titles = async (server: TestServer) => (await server.read<Kept[]>('/plans')).map(({ body }) => body.title);

async function opened(page: Page, emptyServer: TestServer) {
  await expect(page.getByText('1 plan added')).toBeVisible();
  await expect.poll(() => titles(emptyServer)).toEqual(['Field phone pouch']);
}

test('a picture of a printed page opens its plan in another house', async ({ page, server, emptyServer }) => {
  const picture = await printedPage(server, 150, '-png');
  await page.goto(emptyServer.url);
  const chosen = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Open plan files' }).click();
  await (
    await chosen
  ).setFiles([
    { name: 'page.png', mimeType: 'image/png', buffer: picture },
    { name: 'broken.png', mimeType: 'image/png', buffer: picture.subarray(0, 60) },
  ]);
  await opened(page, emptyServer);
  await expect(page.getByText(/^No code of a printed pattern can be read here/)).toBeVisible();
});

/** A grey picture as a film of one frame, for a camera that is none: its size must be even. */
function asFilm(pgm: Buffer): Buffer {
  const [, wide, high] = /^P5\s+(\d+) (\d+)\s+255\s/.exec(pgm.toString('latin1'))!.map(Number);
  const pixels = pgm.subarray(pgm.length - wide! * high!);
  const [w, h] = [wide! & ~1, high! & ~1];
  const rows = Array.from({ length: h }, (_, row) => pixels.subarray(row * wide!, row * wide! + w));
  return Buffer.concat([
    Buffer.from(`YUV4MPEG2 W${w} H${h} F10:1 Ip A1:1 C420jpeg\nFRAME\n`),
    ...rows,
    Buffer.alloc((w * h) / 2, 128),
  ]);
}

test('the camera reads the code of a printed page', async ({ server, emptyServer }) => {
  const film = join(mkdtempSync(join(tmpdir(), 'keep-snug-film-')), 'page.y4m');
  writeFileSync(film, asFilm(await printedPage(server, 90, '-gray')));
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--use-fake-device-for-media-stream',
      '--use-fake-ui-for-media-stream',
      `--use-file-for-fake-video-capture=${film}`,
    ],
  });
  try {
    const page = await browser.newPage();
    await page.goto(emptyServer.url);
    await page.getByRole('button', { name: 'Scan a printed code' }).click();
    await opened(page, emptyServer);
    await expect(page.getByRole('dialog')).toBeHidden();
  } finally {
    await browser.close();
  }
});
