// node .cache/shot.mjs out.png path [w h] [js]
import { chromium } from '@playwright/test';
const [out, path, w='1280', h='800', js=''] = process.argv.slice(2);
const b = await chromium.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox','--disable-gpu','--disable-quic','--no-first-run','--disable-background-networking','--disable-component-update','--disable-sync']});
const p = await b.newPage({viewport:{width:+w,height:+h}});
p.on('console',m=>{if(m.type()==='error')console.log('console:',m.text())}); p.on('pageerror',e=>console.log('pageerror',e.message));
await p.goto('http://127.0.0.1:'+(process.env.PORT||4555)+path); await p.waitForTimeout(1800);
if (js) await (new Function('page','return (async()=>{'+js+'})()'))(p);
await p.waitForTimeout(500);
await p.screenshot({path:out}); await b.close();
