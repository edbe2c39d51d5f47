import http from 'node:http'; import express from 'express'; import helmet from 'helmet';
const t=async(n,port,k=400)=>{const agent=new http.Agent({keepAlive:true});const get=()=>new Promise((ok)=>http.get({port,host:'127.0.0.1',path:'/api/x',agent},res=>{res.on('data',()=>{});res.on('end',ok)}));for(let i=0;i<80;i++)await get();const s=performance.now();for(let i=0;i<k;i++)await get();console.log(n,((performance.now()-s)/k).toFixed(2))};
const run=(app)=>new Promise(ok=>{const s=http.createServer(app).listen(0,'127.0.0.1',()=>ok(s.address().port))});
await t('plain', await run((q,r)=>r.end('{}')));
const e=express(); e.get('/api/x',(q,r)=>r.json({})); await t('express', await run(e));
const h=express(); h.use(helmet()); h.get('/api/x',(q,r)=>r.json({})); await t('express+helmet', await run(h));
