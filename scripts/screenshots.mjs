// npm run screenshots: makes docs/screenshots/ anew from the demo data.
import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';
import { ensureBuilt, ensureChromium } from './lib.mjs';

const port = 4190;
const executablePath = ensureChromium();
ensureBuilt();
const server = spawn(process.execPath, ['build/server.mjs'], {
  env: { ...process.env, PORT: String(port), WANDERUNG_DEMO: '1', NODE_ENV: 'production' },
});
const browser = await chromium.launch({ executablePath, args: ['--no-sandbox', '--disable-gpu'] });

/** A visitor with the demo loaded. */
async function visitor(wide) {
  const context = await browser.newContext({
    viewport: wide ? { width: 1280, height: 800 } : { width: 390, height: 844 },
    hasTouch: !wide,
    isMobile: !wide,
    serviceWorkers: 'block',
  });
  const page = await context.newPage();
  const shoot = (name) => page.screenshot({ path: `docs/screenshots/${name}.png` });
  const button = (name) => page.getByRole('button', { name, exact: true });
  await page.goto(`http://localhost:${port}/`);
  await button('Skip the tour').click();
  await page.getByRole('heading', { name: 'Go?' }).waitFor();
  return {
    page,
    shoot,
    button,
    tab: (name) => page.getByRole('link', { name, exact: true }).click(),
    close: () => context.close(),
  };
}

/** The answer has come, and the swing of its first stand is drawn. */
async function answered(page) {
  await page.getByRole('heading', { name: 'How to fish it, and why' }).waitFor();
  // The page before may still stand behind it.
  const seen = (text) => page.getByText(text).locator('visible=true').first().waitFor({ timeout: 60_000 });
  await seen(/^Covers /);
  await seen(/Four in five pass|Does not|Begins the run|^Passes lie/);
  await page.waitForTimeout(800);
}

/** Scrolls what is under the picture into sight. */
async function answerWords(page) {
  await page.getByRole('button', { name: /^Runner-up/ }).click();
  await page.getByRole('heading', { name: 'How to fish it, and why' }).scrollIntoViewIfNeeded();
  await page.evaluate(() =>
    document.querySelector('[role=region][aria-label="How to fish it, and why"]')?.scrollIntoView(),
  );
  await page.waitForTimeout(500);
}

/** The sun of one in the afternoon, whatever the hour. */
async function noon(page) {
  const row = page.getByRole('button', { name: /^Depth across, sun and shade/ }); // on a wide screen there is none
  const folded = (await row.count()) > 0;
  if (folded) await row.click();
  const hour = page.getByRole('slider', { name: 'Sun and shade at' });
  await hour.focus();
  await page.keyboard.press('Home');
  for (let i = 4; i < 13; i++) await page.keyboard.press('ArrowRight');
  await hour.blur();
  await page.waitForTimeout(1500);
  if (folded) await row.click();
}

/** The casts for what is on are planned. */
async function planned({ page, tab }) {
  await tab('Fish');
  await page.getByText(/% of the willing fish$/).waitFor({ timeout: 60_000 });
  await page.waitForTimeout(800);
}

/** The outing of the fish that was landed last, its casts painted. */
async function outing({ page, tab }) {
  await tab('Learn');
  await page.getByRole('list', { name: 'Fish landed' }).getByRole('button').first().click();
  await page.getByText(/^Pale: water/).waitFor({ timeout: 60_000 });
  await page.waitForTimeout(800);
}

async function fish({ page, button }, casts) {
  await button('Start fishing').click();
  for (let i = 0; i < casts; i++) {
    await button('Cast').click();
    await page.getByText(`: ${i + 1} cast${i === 0 ? '' : 's'} made · `).waitFor();
  }
  await button('Take').click();
  await page.getByRole('radio', { name: 'mid-swing' }).click();
  await button('Log take').click();
  await page.waitForTimeout(9000); // the toast goes, the casts are painted
}

try {
  await new Promise((r) => setTimeout(r, 1500));
  const phone = await visitor(false);
  await phone.page.waitForTimeout(1500);
  await phone.shoot('plan');
  await phone.page.goto(`http://localhost:${port}/waters`);
  await phone.page.getByRole('listitem').nth(3).waitFor({ timeout: 60_000 });
  await phone.page.waitForTimeout(800);
  await phone.shoot('waters');
  await phone.button('Back to the plan').click();
  await phone.button('The day after').click();
  await phone.page.goto(`http://localhost:${port}/day`);
  await phone.page.getByText(/^Home at/).waitFor({ timeout: 60_000 });
  await phone.page.waitForTimeout(800);
  await phone.shoot('day');
  await phone.page.goto(`http://localhost:${port}/pack`);
  await phone.page.getByText(/left to pack/).waitFor({ timeout: 60_000 });
  await phone.page.waitForTimeout(800);
  await phone.shoot('pack');
  await phone.button('The day before').click();
  await phone.button('Back to the plan').click();
  await phone.tab('Read');
  await phone.button(/Millrace Step/).click();
  await phone.page.getByText('Where fish hold').waitFor();
  await noon(phone.page);
  await phone.shoot('read');
  await phone.button('Choose the rig for it').click();
  await answered(phone.page);
  await phone.shoot('rig');
  await answerWords(phone.page);
  await phone.shoot('answer');
  await planned(phone);
  await phone.shoot('fish-plan');
  await fish(phone, 26);
  await phone.shoot('fish');
  await phone.tab('Learn');
  await phone.page.getByRole('list', { name: 'Rates' }).waitFor();
  await phone.page.waitForTimeout(800);
  await phone.shoot('learn');
  await phone.page.goto(`http://localhost:${port}/learn/ask`);
  await phone.page.getByText(/^Both were fished on/).waitFor();
  await phone.page.waitForTimeout(800);
  await phone.shoot('ask');
  await phone.tab('Learn');
  await outing(phone);
  await phone.shoot('outing');
  await phone.page.goto(`http://localhost:${port}/bag`);
  await phone.page.getByLabel('Search the bag').waitFor();
  await phone.page.waitForTimeout(1500);
  await phone.shoot('bag');
  await phone.page.goto(`http://localhost:${port}/bag?item=fly-08`);
  await phone.page.getByText('What a fish sees').waitFor();
  await phone.page.waitForTimeout(1500);
  await phone.shoot('fly');
  await phone.page.goto(`http://localhost:${port}/learn/practice`);
  await phone.button(/^Where do they hold/).click();
  const sheet = phone.page.getByRole('img', { name: /^An invented / });
  await sheet.waitFor({ timeout: 60_000 });
  const box = await sheet.boundingBox();
  for (const share of [0.25, 0.45, 0.7])
    await phone.page.mouse.click(box.x + box.width / 2, box.y + share * box.height);
  await phone.button('Answer').click();
  await phone.page.waitForTimeout(800);
  await phone.shoot('practice');
  await phone.page.goto(`http://localhost:${port}/read/copper-bend/compare`);
  await phone.page
    .getByText(/(moves|stays|gone|New at|as good)/)
    .first()
    .waitFor();
  await phone.page.waitForTimeout(800);
  await phone.shoot('two-days');
  await phone.close();

  const wide = await visitor(true);
  await wide.tab('Rig');
  await answered(wide.page);
  await wide.shoot('rig-wide');
  await wide.page.goto(`http://localhost:${port}/read/lantern-riffle`);
  await wide.page.getByText('Where fish hold').waitFor();
  await noon(wide.page);
  await wide.shoot('read-wide');
  await wide.button('Choose the rig for it').click();
  await wide.button(/^Pick up Nine-six six/).click();
  await wide.page.goto(`http://localhost:${port}/rig-card`);
  await wide.page.waitForTimeout(2000);
  await wide.shoot('rig-card');
  await wide.close();
} finally {
  await browser.close();
  server.kill();
}
