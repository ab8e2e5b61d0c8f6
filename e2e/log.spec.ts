import fs from 'node:fs';
import type { Page } from '@playwright/test';
import { button, choose, expect, openDemo, tab, test, unfold } from './helpers';

const entries = (page: Page) => page.getByRole('list', { name: 'Entries' }).getByRole('button');
const counts = (page: Page, text: string) => expect(page.getByText(text, { exact: false }).first()).toBeVisible();

/** What the subtitle of an outing says it came to; the demo's days, and so its luck, move with the calendar. */
interface Tally {
  readonly text: string;
  readonly casts: number;
  readonly takes: number;
  readonly landed: number;
  /** "19 Jun 2026". */
  readonly day: string;
}
const textOf = (t: Omit<Tally, 'text' | 'day'>): string =>
  `${t.casts} casts, ${t.takes} ${t.takes === 1 ? 'take' : 'takes'}, ${t.landed} landed`;

/** Opens the demo and the outing of the fish that was landed last. */
async function openOuting(page: Page): Promise<Tally> {
  await openDemo(page, '/learn');
  await page.getByRole('list', { name: 'Fish landed' }).getByRole('button').first().click();
  await expect(page.getByRole('heading', { name: 'Hour by hour' })).toBeVisible();
  const said = await page.getByText(/^\d+ \w+ \d{4}, \d\d:\d\d to .*· \d+ casts, /).innerText();
  const [, day, casts, takes, landed] = /^(.*?), .*· (\d+) casts, (\d+) takes?, (\d+) landed/s.exec(
    said.replace(/\s+/g, ' '),
  )!;
  const tally = { casts: Number(casts), takes: Number(takes), landed: Number(landed) };
  return { ...tally, text: textOf(tally), day: day! };
}

test('an outing is found by words, read again and put right; nothing that was logged is lost', async ({ page }) => {
  const tally = await openOuting(page);
  // The map paints the casts as they were made.
  await expect(page.getByText(/^Pale: water the fly swung through/)).toBeVisible();
  await choose(page, 'takes');
  const landed = entries(page).filter({ hasText: 'landed' }).first();
  const was = (await landed.getAttribute('aria-label'))!;
  await landed.click();
  await page.getByLabel('Time', { exact: true }).fill('04:01');
  await button(page, 'Save changes').click();
  await expect(page.getByText('Corrected.')).toBeVisible();
  await expect(button(page, was.replace(/^\S+/, '04:01'))).toBeVisible();
  await counts(page, tally.text);
  await button(page, 'Undo').click();
  await expect(button(page, was)).toBeVisible();
  // It is taken out, and put back after a reload.
  await button(page, was).click();
  await button(page, /^Remove\./).click();
  const less = textOf({ ...tally, takes: tally.takes - 1, landed: tally.landed - 1 }).replace(', 0 landed', '');
  await counts(page, less);
  await page.reload();
  await counts(page, less);
  await button(page, /^Undo: removed: Take/).click();
  await counts(page, tally.text);
  // It is found by words.
  await page.goto('/learn');
  await page.getByLabel('Search notes, fish and runs').fill('osier');
  await expect(page.getByText(/^\d+ of 40 listed$/)).not.toHaveText('40 of 40 listed');
});

test('a take goes to another cast, and casts to another rig', async ({ page }) => {
  const tally = await openOuting(page);
  await choose(page, 'takes');
  await entries(page).first().click();
  await button(page, 'The cast it took, less').click();
  await button(page, 'Save changes').click();
  await expect(page.getByText('The take belongs to that cast now.')).toBeVisible();
  await counts(page, tally.text);
  // The fly that was on is put right for every cast with it.
  await choose(page, 'changes');
  await entries(page).first().click();
  await page
    .getByRole('list', { name: /flies/i })
    .or(page.getByRole('dialog'))
    .getByRole('button', { name: /yellow/ })
    .first()
    .click();
  await button(page, 'Save changes').click();
  await expect(page.getByText('Corrected.')).toBeVisible();
  await expect(entries(page).first()).toContainText('yellow');
  await counts(page, tally.text);
  // A take that was forgotten is added where it belongs.
  const middle = (await button(page, /^\d\d:\d\d Tied on/)
    .first()
    .getAttribute('aria-label'))!.slice(0, 5);
  await button(page, 'Add a missed entry').click();
  await button(page, 'a take').click();
  await page.getByLabel('Time', { exact: true }).fill(`${middle.slice(0, 3)}59`);
  await button(page, 'Save changes').click();
  await expect(page.getByText('Added.')).toBeVisible();
  await counts(page, textOf({ ...tally, takes: tally.takes + 1 }));
  await button(page, /^Undo: added at .*: Take: pluck/).click();
  await counts(page, tally.text);
});

test('a day is split in two, and joined again; one that is removed comes back', async ({ page }) => {
  const tally = await openOuting(page);
  const whole = page.getByText(tally.text, { exact: false });
  // In the middle of its casts.
  const middle = (await entries(page)
    .filter({ hasText: /of line/ })
    .last()
    .getAttribute('aria-label'))!.slice(0, 5);
  await button(page, /^Split outing/).click();
  await page.getByLabel('Or at').fill(middle);
  await button(page, 'Split here').click();
  await expect(page.getByText(/^Outing split in two/)).toBeVisible();
  await expect(whole).toHaveCount(0);
  await button(page, /^Join with another outing/).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: new RegExp(`^${tally.day}, ${middle}`) })
    .click();
  await expect(page.getByText(/^Outings joined/)).toBeVisible();
  await counts(page, tally.text);
  // Both corrections can still be taken back, one after the other.
  await button(page, /^Undo: .* came from another outing/).click();
  await expect(whole).toHaveCount(0);
  await button(page, /^Undo: .* went to an outing/).click();
  await counts(page, tally.text);
  const address = page.url();
  await button(page, 'Remove outing').click();
  await expect(page.getByText('39 outings', { exact: false }).first()).toBeVisible();
  await button(page, 'Undo').click();
  await expect(page.getByText('40 outings', { exact: false }).first()).toBeVisible();
  await page.goto(address);
  await counts(page, tally.text);
});

test('a past day is entered by hand, and told apart from what was counted', async ({ page }) => {
  await openDemo(page, '/learn/new');
  await button(page, 'The day before').click();
  await button(page, 'Save day').click();
  await expect(page.getByText(/^Enter a past day/)).toBeVisible();
  await choose(page, 'Long Even');
  await page.getByLabel('From').fill('7:30');
  await page.getByLabel('To', { exact: true }).fill('11.00');
  await choose(page, '150');
  await button(page, 'Fish landed, more').click();
  await page.getByLabel('Length of fish 1, cm').fill('47');
  await page.getByLabel('Notes').fill('frost on the rings');
  await button(page, 'Save day').click();
  await expect(page.getByText(/^Entered by hand/)).toBeVisible();
  await counts(page, 'about 150 casts, 1 take, 1 landed');
  await page.goto('/learn');
  await expect(page.getByText(/150 casts and 1 take are from memory/)).toBeVisible();
  await page.getByLabel('Search notes, fish and runs').fill('frost');
  await expect(page.getByText('1 of 41 listed')).toBeVisible();
  await page.goto('/read/long-even');
  await unfold(page, 'Takes here');
  await expect(page.getByRole('button', { name: /steelhead, 47\.0 cm/ })).toBeVisible();
});

const SHEET = [
  'Datum;Gewässer;Stelle;von;bis;Würfe;Fang;Länge (cm);Fliege;Bemerkungen',
  '03.04.2019;Talluquin;Long Even;07:30;11:15;180;1;47,5;black zonker;früh',
  '17.04.2019;Talluquin;;16:00;19:30;;0;;orange;',
  '18.04.2019;Zwirrelbach;;16:00;19:30;150;2;28, 31;olive bugger;',
  '31.04.2019;Talluquin;;16:00;19:30;150;0;;orange;',
].join('\r\n');

test('a spreadsheet is shown, mended and brought in, once; and undone', async ({ page }) => {
  await openDemo(page, '/learn/sheet');
  const give = async () => {
    const chooser = page.waitForEvent('filechooser');
    await button(page, /^Choose (the|another) file/).click();
    await (await chooser).setFiles({ name: 'log.csv', mimeType: 'text/csv', buffer: Buffer.from(SHEET) });
  };
  await give();
  await expect(button(page, 'Import 3 days')).toBeVisible();
  await expect(page.getByText('“31.04.2019” is no date, day first')).toBeVisible();
  await page.getByLabel('Line 5, Datum').fill('30.04.2019');
  await expect(button(page, 'Import 4 days')).toBeVisible();
  await expect(page.getByLabel('Line 5, Datum')).toHaveValue('30.04.2019');
  await expect(page.getByText(/1 fish of 47\.5 cm/)).toBeVisible();
  await button(page, 'Import 4 days').click();
  await expect(page.getByText('44 outings', { exact: false }).first()).toBeVisible();
  await button(page, 'Undo').click();
  await expect(page.getByText('40 outings', { exact: false }).first()).toBeVisible();
  await page.goto('/learn/sheet');
  await give();
  await button(page, 'Import 3 days').click();
  await expect(page.getByText('43 outings', { exact: false }).first()).toBeVisible();
  await page.goto('/learn/sheet');
  await give();
  await expect(page.getByText('3 days are in your log already and stay as they are.')).toBeVisible();
  await expect(button(page, 'Import 0 days')).toBeDisabled();
});

test('what is shared says no place, no name and no note unless one tells it to', async ({ page }) => {
  const tally = await openOuting(page);
  const water = await page.getByRole('heading', { level: 1 }).innerText();
  const save = async () => {
    const download = page.waitForEvent('download');
    await button(page, 'Save outing').click();
    const file = await download;
    return { name: file.suggestedFilename(), text: fs.readFileSync(await file.path(), 'utf8') };
  };
  await button(page, /^Share outing/).click();
  const guarded = await save();
  expect(guarded.name).toMatch(/^wanderung-outing-\d{4}-\d\d-\d\d\.html$/);
  expect(guarded.text).toContain(tally.text);
  expect(guarded.text).not.toMatch(new RegExp(`${water}|<svg|https?:`));
  await button(page, /^Share outing/).click();
  await choose(page, 'GPX');
  await expect(button(page, 'Save outing')).toBeDisabled();
  await page.getByRole('radiogroup', { name: 'The place' }).getByRole('radio', { name: 'told' }).click();
  await page.getByRole('radiogroup', { name: 'Names of water and runs' }).getByRole('radio', { name: 'told' }).click();
  const told = await save();
  expect(told.text.match(/<wpt /g)!.length).toBeGreaterThan(tally.takes);
});

test('the log is asked: one fly against another, in one water; a year is taken along as a picture and as numbers', async ({
  page,
}) => {
  await openDemo(page, '/learn');
  await button(page, /^Ask your log/).click();
  await expect(page.getByText(/^Black against \w+/)).toBeVisible();
  await button(page, /^This, /).click();
  await button(page, /^Olive, /).click();
  await button(page, /^In, /).click();
  await button(page, /^Visibility: dirty/).click();
  await expect(page.getByText(/^Olive against \w+, visibility dirty$/)).toBeVisible();
  await expect(
    page.getByText(/^(No difference seen|Not proved yet; \w+ leads|\w+ is better|Too few casts|Cannot be separated)/),
  ).toBeVisible();
  // What is worth trying is asked in one tap.
  const first = page.getByRole('list', { name: 'Worth trying' }).getByRole('listitem').first();
  await first.getByRole('button', { name: /^What is known of/ }).click();
  await expect(button(page, 'In, All water, at any time')).toBeVisible();
  // The tab of the room one is in leads back to its first page.
  await tab(page, 'Learn').click();
  await expect(page.getByRole('heading', { name: 'Totals' })).toBeVisible();

  await page.goto('/learn/year');
  await expect(
    page.getByText(/^\d{4}: \d+ days out, \d+ hours, \d+ takes, \d+ landed; \d+ blank days?\.$/),
  ).toBeVisible();
  const saved = async (label: string) => {
    const file = page.waitForEvent('download');
    await button(page, label).last().click();
    return fs.readFileSync(await (await file).path(), 'utf8');
  };
  expect(await saved('Save picture (SVG)')).toMatch(
    /^<svg [^>]*xmlns="http:\/\/www\.w3\.org\/2000\/svg"[\s\S]*<circle/,
  );
  expect(await saved('Export numbers (CSV)')).toMatch(/^\uFEFF?temperature,hour,casts,takes\r\n.*°C,/);
  const told = await saved('Save as page');
  expect(told).toMatch(/<h1>Water temperature by time of day<\/h1>[\s\S]*<svg [\s\S]*: \d+ takes? in [\d,]+ casts/);
  expect(told).not.toMatch(/src=|href=/);
});
