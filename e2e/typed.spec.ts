import { button, choose, expect, openLatestOuting, swingWords, tab, test, typed } from './helpers';

/** Numbers as they are typed on a phone at the river: each field takes what was typed, key by key, and keeps it. */
const SYSTEMS = [
  {
    units: 'ft, °F, cfs, ips',
    ...{ m: 'ft', c: '°F', cm: 'in' },
    ...{ height: '5.9', run: '147.5', width: '65', deepest: '4.5', point: '2.5', away: '33.5' },
    ...{ seen: '2.5', up: '3.5', temp: '47', fish: '21.5' },
  },
  {
    units: 'm, °C, m³/s',
    ...{ m: 'm', c: '°C', cm: 'cm' },
    ...{ height: '1.82', run: '45.5', width: '20', deepest: '1.4', point: '0.9', away: '10.5' },
    ...{ seen: '1.05', up: '9.5', temp: '8.5', fish: '54.5' },
  },
] as const;

test.use({ viewport: { width: 360, height: 640 } });

for (const u of SYSTEMS)
  test(`on a small phone from nothing, every number typed key by key in ${u.units}`, async ({ page }) => {
    await page.goto('/settings');
    await choose(page, u.units);
    await typed(page, `Your height (sets the marks on the leg), ${u.m}`, u.height);
    await page.goto('/bag');
    await button(page, /^Streamers, single-hand rod/).click();
    await expect(page.getByText(/items added/)).toBeVisible();
    await page.goto('/');
    await button(page, 'Add a water').click();
    await typed(page, 'Name', 'My brook');
    await choose(page, 'rainbow trout');
    await button(page, 'Save water').click();
    await button(page, 'Read a run').click();
    await button(page, 'Add a run').click();
    await typed(page, 'Name of the run', 'Below the bridge');
    await typed(page, `Length, ${u.m}`, u.run);
    const middle = page.getByRole('region', { name: 'Half way' });
    await typed(middle, `Width, ${u.m}`, u.width);
    await typed(middle, `Deepest, ${u.m}`, u.deepest);
    await button(page, 'Save run').click();
    await expect(page.getByText('Where fish hold')).toBeVisible();

    // A depth of a section is emptied, typed anew, and still there after a reload.
    await button(page, 'Edit the run').click();
    const deep = `Point 3: deep, ${u.m}`;
    await typed(page, deep, u.point);
    await button(page, 'Done').click();
    await expect(page.getByText('Where fish hold')).toBeVisible();
    await button(page, 'Edit the run').click();
    await page.reload();
    await expect(page.getByLabel(deep, { exact: true })).toHaveValue(u.point);
    await button(page, 'Done').click();

    await button(page, 'New reading').click();
    await typed(page, `Visibility, ${u.m}`, u.seen);
    await typed(page, `or above normal by, ${u.cm}`, u.up);
    await typed(page, `Way, ${u.m}`, u.away);
    await typed(page, 'Time, s', '8.5');
    await typed(page, `Water temperature, ${u.c}`, u.temp);
    await button(page, 'Save reading').click();
    await expect(page.getByText(`${u.temp} ${u.c}`, { exact: false }).first()).toBeVisible();

    await button(page, 'Choose the rig for it').click();
    await expect(swingWords(page)).toBeVisible();
    await button(page, 'Fish this').click();
    const wait = button(page, 'Fish the first answer');
    if (await wait.isVisible().catch(() => false)) await wait.click();
    await button(page, 'Start fishing').click();
    await button(page, 'Cast').click();
    await button(page, 'Take').click();
    await choose(page, 'landed');
    await typed(page, `Length, ${u.cm}`, u.fish);
    await button(page, 'Log take').click();
    await expect(page.getByText('Take logged.')).toBeVisible();
    await tab(page, 'Learn').click();
    await openLatestOuting(page);
    await expect(page.getByRole('button', { name: `rainbow trout of ${u.fish} ${u.cm}` })).toBeVisible();
    await expect(page.getByRole('button', { name: `Visibility ${u.seen} ${u.m}` })).toBeVisible();
  });
