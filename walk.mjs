import { chromium } from '@playwright/test';
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox','--disable-gpu'] });
const port = process.argv[2] === 'demo' ? 4196 : 4195;
const ctx = await b.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, serviceWorkers: 'block' });
if (process.env.AT) await ctx.addInitScript((ms)=>{const C=Date; window.Date=class extends C{constructor(...p){ if(p.length>0) super(...p); else super(C.now()+ms);} static now(){return C.now()+ms;}}; }, Number(process.env.AT)-Date.now());
const page = await ctx.newPage();
page.on('pageerror', e => console.log('PAGEERROR', e.message));
page.on('console', m => m.type()==='error' && console.log('CONSOLE', m.text()));
globalThis.btn = (n) => page.getByRole('button', { name: n });
const shot = (n) => page.screenshot({ path: `/tmp/shots/${n}.png` });
const text = async (n) => console.log(`--- ${n}\n` + (await page.locator('main, [role=main], #root').first().innerText()).replace(/\n+/g,'\n'));
const choose = (n) => page.getByRole('radio', { name: n, exact: true }).first().click();
const type = async (l, t) => { const f = page.getByLabel(l).first(); await f.click(); await f.press('Control+A'); await f.press('Delete'); await f.pressSequentially(t); };
const { default: steps } = await import(process.argv[3]);
try { await steps({ page, btn, shot, text, choose, type, port, tab: (n) => page.getByRole('link', { name: n, exact: true }).click() }); } catch (e) { console.log('STEP FAILED', e.message.split('\n').slice(0,6).join('\n')); await shot('failed'); await text('failed'); }
await b.close();
