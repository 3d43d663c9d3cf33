import { emptyWall, emptyStays, fillWall, fillStays } from '../../src/core/pairing/sides'
import { fillTerms, TERM_NAMES } from '../../src/core/pairing/terms'
import { RATED_TRAITS } from '../../src/core/pairing/traits'
import { WEIGHTS, scoreOf } from '../../src/core/pairing/score'
const terms=new Float64Array(TERM_NAMES.length)
const kinds=Object.keys(RATED_TRAITS).filter(k=>k!=='neighbour') as any[]
let seed=1; const rnd=()=>{seed=(seed*16807)%2147483647; return seed/2147483647}
const walls=Array.from({length:2000},()=>fillWall(emptyWall(),20+78*rnd(),-12+26*rnd(),-12+30*rnd()))
const stays=Array.from({length:12},(_,i)=>({f:fillStays(emptyStays(),20+75*rnd(),-10+20*rnd(),-10+30*rnd()),is:RATED_TRAITS[kinds[i%kinds.length] as 'tile']}))
for(let r=0;r<8;r++){ let s=0; const t=performance.now(); for(let k=0;k<10;k++) for(const w of walls) for(const {f,is} of stays){ fillTerms(w,f,is,terms); s+=scoreOf(terms,WEIGHTS)} const d=performance.now()-t; console.log('pair ns',(d*1e6/(10*2000*12)).toFixed(0), s.toFixed(0)) }
const w=emptyWall(); for(let r=0;r<4;r++){const t=performance.now(); for(let k=0;k<200000;k++) fillWall(w,50+(k%40),k%7-3.5,k%11-4.2); console.log('wall ns',((performance.now()-t)*1e6/200000).toFixed(0))}
