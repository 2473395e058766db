import fc from 'fast-check';
import { anyFormed } from './src/plan/fixtures/anyForm';
import { reckon } from './src/reckon/reckon';
import { PlanProblem } from './src/base/figure';
import { workOut } from './src/reckon/build';
import { allPieces, workOf } from './src/reckon/steps';
import { workFaults } from './src/piece';
import { patternFile } from './src/index';
const seen = new Map<string, {n:number, e:any}>(); const why = new Map<string, number>();
let n = 0, ok = 0, refused = 0;
const note = (k: string, p: any) => { const old = seen.get(k); if (old) { old.n++; if (JSON.stringify(p).length < JSON.stringify(old.e).length) old.e = p; } else seen.set(k, { n: 1, e: p }); };
for (const p of fc.sample(anyFormed, { numRuns: Number(process.argv[2] ?? 3000), seed: Number(process.argv[3] ?? 1) })) {
  n++;
  try { const w = reckon(p); ok++;
    const text = JSON.stringify(w);
    if (/NaN|Infinity|undefined/.test(text)) note('NaN in worked', p);
    for (const v of ['full','short']) { const t = patternFile('txt' as any, p, w, { terms: 'US', units: 'mm', hand: 'right', voice: v } as any); if (/NaN|undefined|[{}]|-\d+ (st|row|round|chain)/.test(t)) note('bad text ' + t.match(/.{30}(NaN|undefined|[{}]|-\d+ (st|row|round|chain)).{20}/)?.[0], p); }
    const out = workOut(p);
    for (const f of workFaults(workOf(out), allPieces(out))) note('referee ' + p.shape.kind + ' ' + f.says.replace(/\d+/g, '#'), p);
    const neg = text.match(/"value":-\d/g); 
  } catch (e: any) {
    if (e instanceof PlanProblem) { refused++; const m = e.errors[0].message.replace(/\d+([.,]\d+)?/g, '#').slice(0, 90); why.set(m, (why.get(m) ?? 0) + 1); continue; }
    note(String(e.stack).split('\n').slice(0, 4).join(' | '), p);
  }
}
console.log(n, ok, refused);
console.log([...why].sort((a, b) => b[1] - a[1]).slice(0, 25));
for (const [k, v] of seen) console.log(v.n, k, JSON.stringify(v.e).slice(0, 1500));
