import { writeFileSync } from 'fs';
import * as core from './src/index';
import { portraitOf } from './src/reckon/portrait';
import { portraitSvg } from './src/out/paper/portraitSvg';
import * as demo from './src/demo';
const { STARTS, readStart, FIRST_FABRIC, reckon } = core as any;
const plans: any[] = process.argv[2]==='starts' ? STARTS.map((s: any) => readStart(s, {}, FIRST_FABRIC, 'mm').plan) : Object.values((demo as any).TERN_POINT.plans).slice(Number(process.argv[4] ?? 0), Number(process.argv[5] ?? 99)) as any[];
console.log(Object.keys(demo));
let out=''; let i=0;
for (const plan of plans) {
  try {
    const worked = reckon(plan); 
    let t=performance.now(); const p = portraitOf(plan, worked, 'right');
    const svgs = p.faces.map((f: any, k: number) => { const painted = p.paint(f, `p${i}f${k}`); return painted; });
    const ms=performance.now()-t; t=performance.now(); for(let q=0;q<10;q++){const pp=portraitOf(plan, worked, 'right'); pp.faces.forEach((f:any)=>pp.paint(f,'z'));} const m2=(performance.now()-t)/10;
    const count=(n:any):number=>1+n.children.reduce((a:number,c:any)=>a+count(c),0);
    console.log(plan.title, ms.toFixed(1), m2.toFixed(2), svgs.map((s:any)=>s.nodes.reduce((a:number,c:any)=>a+count(c),0)).join(','));
    const big = process.argv[3] ? Number(process.argv[3]) : 130;
    out += `<div style="display:inline-block;margin:6px;vertical-align:top;font:11px sans-serif">${plan.title}<br>${svgs.map((s: any) => portraitSvg(s, {width: big, height: big*1.15}, 'x')).join(' ')}</div>`;
  } catch (e) { console.log(plan.title, (e as any).stack?.split('\n').slice(0,4).join('|')); }
  i++;
}
writeFileSync('/tmp/gallery.html', `<body style="margin:8px;background:#F4F6F2">${out}`);
