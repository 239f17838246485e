// shot.mjs OUT PATH [w h] [js] [night]
import { chromium } from 'playwright-core';
const [out, path, w='1280', h='800', js='', night=''] = process.argv.slice(2);
const b = await chromium.launch({ executablePath: process.env.CHROME ?? '/usr/bin/chromium' });
const c = await b.newContext({ viewport: { width: +w, height: +h }, colorScheme: night ? 'dark' : 'light' });
const p = await c.newPage();
p.on('pageerror', (e) => console.log('ERR', e.message));
await p.goto('http://127.0.0.1:4601' + path); await p.waitForTimeout(1200);
if (js) { await (new Function('p', `return (async()=>{${js}})()`))(p); await p.waitForTimeout(600); }
await p.screenshot({ path: out }); await b.close();
