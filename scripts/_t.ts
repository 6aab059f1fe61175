import { circuitById, studyOf, answerOf } from '../src/core/whatif';
import { operate, periodOf } from '../src/core/whatif/operate';
import { stressesIn } from '../src/core/whatif/stresses';
import { intervalsOf, modeOf } from '../src/core/whatif/mode';
for (const id of ['buck','flyback','forward','half-bridge','llc','full-bridge','push-pull']) {
  const c=circuitById(id)!; const usual=Object.fromEntries(c.knobs.map(k=>[k.id,k.usual]));
  let last=studyOf(c,usual); if('kind' in last) throw 1;
  const T={op:0,stress:0,mode:0,all:0,ans:0,tries:0}; const n=30;
  for(let i=0;i<n;i++){ const v={...usual, load: usual['load']!*(1+0.01*Math.sin(i))};
    const setting={circuit:c,values:v,parts:c.parts(v)};
    let t=performance.now(); const op=operate(setting,{nearby:last.operation}); if('kind' in op) throw 2; T.op+=performance.now()-t; T.tries+=op.periods;
    t=performance.now(); stressesIn(setting.parts,periodOf(op),op.gates); T.stress+=performance.now()-t;
    t=performance.now(); const iv=intervalsOf(setting,op); modeOf(setting,op,iv); T.mode+=performance.now()-t;
    t=performance.now(); const st=studyOf(c,v,{nearby:last.operation}); T.all+=performance.now()-t; if('kind' in st) throw 3;
    t=performance.now(); answerOf(st); T.ans+=performance.now()-t; last=st; }
  console.log(id,Object.entries(T).map(([k,x])=>k+' '+(x/n).toFixed(1)).join('  '));
}
