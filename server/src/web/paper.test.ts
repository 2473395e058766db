import { TERN_POINT } from '@keep-snug/core/demo';
import { fragmentAmong, textInFragment } from '@keep-snug/core/link';
import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import request from 'supertest';
import { hereAndNow } from '../fixtures/reckoner';
import { freshStore } from '../fixtures/store';
import { createServer } from './server';

const PLANS = Object.values(TERN_POINT.plans);
const lined = PLANS.find(({ fittings }) => fittings?.some(({ kind }) => kind === 'lining'))!;
const bare = PLANS.find(({ fittings }) => !fittings?.some(({ kind }) => kind === 'lining'))!;

let server: ReturnType<typeof createServer>;
const folder = mkdtempSync(join(tmpdir(), 'keep-snug-paper-'));
let end: () => void;

beforeAll(async () => {
  const fresh = await freshStore();
  server = createServer({ store: fresh.store, reckoner: hereAndNow, appRoot: `${fresh.folder}/no-app` });
  end = fresh.done;
});
afterAll(() => {
  rmSync(folder, { recursive: true, force: true });
  return end();
});

/** A PDF as another program than the one that made it reads it. */
function readBack(bytes: Buffer) {
  const file = join(folder, `${randomUUID()}.pdf`);
  writeFileSync(file, bytes);
  const said = (tool: string, ...options: string[]) => execFileSync(tool, options, { encoding: 'utf8' });
  const info = said('pdfinfo', file);
  return {
    text: said('pdftotext', '-layout', file, '-'),
    fonts: said('pdffonts', file).split('\n').slice(2).filter(Boolean),
    pages: Number(/Pages: +(\d+)/.exec(info)![1]),
    size: /Page size: +([\d.]+) x ([\d.]+)/.exec(info)!.slice(1, 3).map(Number),
  };
}

const pdf = async (asked: request.Test) => {
  const { status, body, headers } = await asked.buffer(true).parse((res, done) => {
    const parts: Buffer[] = [];
    res.on('data', (part: Buffer) => parts.push(part));
    res.on('end', () => done(null, Buffer.concat(parts)));
  });
  expect([status, headers['content-type']]).toEqual([200, 'application/pdf']);
  return {
    ...readBack(body as Buffer),
    said: (body as Buffer).toString('latin1'),
    named: String(headers['content-disposition']),
  };
};

const posted = (ask: object) => pdf(request(server).post('/api/paper').send(ask));

describe('a plan on paper', () => {
  it('is a PDF of the kept plan, in its own fonts, with what makers look for', async () => {
    const id = randomUUID();
    await request(server).put(`/api/plans/${id}`).set('If-None-Match', '*').send(bare);
    const { text, fonts, pages, size, named, said } = await pdf(request(server).get(`/api/plans/${id}/pattern.pdf`));
    for (const part of [
      bare.title,
      'Finished size',
      'Yarn',
      'Hook',
      'Gauge',
      'Abbreviations',
      'Notes',
      'Row 1 (RS)',
      'Check',
      'Safety',
      'Scan to open',
    ])
      expect(text).toContain(part);
    expect(text).toContain(`page 1 of ${pages}`);
    expect(size.map(Math.round)).toEqual([595, 842]);
    expect(fonts.map((font) => font.split(/ +/)[0]!.split('+')[1])).toEqual(
      expect.arrayContaining(['BricolageGrotesque-Bold', 'AtkinsonHyperlegibleNext-Regular']),
    );
    expect(fonts.every((font) => / yes +yes +yes /.test(font))).toBe(true);
    expect(named).toContain('field-phone-pouch-pattern.pdf');
    // the file says of itself which plan it is
    expect(JSON.parse(textInFragment(fragmentAmong(said)!)!)).toMatchObject({ title: bare.title });
  });

  it.each(PLANS.map((plan) => [plan.title, plan] as const))('%s: short, UK, on Letter', async (_, plan) => {
    const { text, size } = await posted({
      plan,
      of: 'pattern',
      paper: 'Letter',
      style: 'short',
      terms: 'UK',
      units: 'in',
    });
    expect(size).toEqual([612, 792]);
    expect(text).toContain('Written in UK crochet terms');
    // but for the line that tells one language in the other
    expect(text.replace('US single crochet', '')).not.toMatch(/NaN|Infinity|\{\w+[:}]|single crochet/);
    // no page ends on a heading: the footer, then what stands above it
    for (const page of text.split('\f').filter((one) => one.trim() !== '')) {
      const above = page
        .trim()
        .split('\n')
        .map((line) => line.trim())
        .filter(Boolean)
        .at(-2)!;
      expect([
        'Safety',
        'Notes',
        'Abbreviations',
        'Special stitches',
        'Joining',
        'Closing',
        'Finishing',
        'Front',
      ]).not.toContain(above);
    }
  });

  it('of more sheets than anybody lays together is refused, with what would help', async () => {
    const vast = {
      ...bare,
      fittings: [],
      thing: { kind: 'slab', width: { mm: 1500 }, height: { mm: 2000 }, depth: { mm: 40 } },
    };
    const answer = await request(server).post('/api/paper').send({ plan: vast, of: 'outline' });
    expect(answer.status).toBe(422);
    expect(answer.body.errors[0].message).toMatch(
      /^\d+ sheets of A4 at true size, and 40 are the most\. Save the pattern instead/,
    );
  });

  it('gives the lining’s sheet and the outline at true size, page by page', async () => {
    const lining = await posted({ plan: lined, of: 'lining', paper: 'A4' });
    expect(lining.text).toContain('page A1');
    expect(lining.text).toContain('this bar is 50 mm');
    const outline = await posted({ plan: lined, of: 'outline', paper: 'Letter' });
    expect(outline.text.match(/page [A-Z]\d/g)).toHaveLength(outline.pages);
    expect(outline.size.map(Math.round).sort()).toEqual([612, 792]);
  });
});

it.each([
  ['a paper there is not', { plan: bare, of: 'pattern', paper: 'A3' }, 'paper'],
  ['a plan that is none', { plan: { ...bare, shape: { kind: 'cone' } }, of: 'pattern' }, 'plan.shape.kind'],
  ['a lining where there is none', { plan: bare, of: 'lining' }, 'fittings'],
])('refuses %s with its path', async (_, ask, path) => {
  const { status, body } = await request(server).post('/api/paper').send(ask);
  expect(status).toBe(422);
  expect(body.errors[0].path).toBe(path);
});

it('refuses wishes it does not know, and a plan it does not have', async () => {
  const id = randomUUID();
  expect((await request(server).get(`/api/plans/${id}/pattern.pdf`)).status).toBe(404);
  const { status, body } = await request(server).get(`/api/plans/${id}/pattern.pdf?paper=A9`);
  expect([status, body.errors[0].path]).toEqual([422, 'paper']);
});
