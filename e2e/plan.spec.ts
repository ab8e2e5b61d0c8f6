import type { Page } from '@playwright/test';
import { BEGINS_AT, button, choose, expect, openAnswered, openDemo, test, typed, unfold } from './helpers';

test('plan says what colour to expect, how sure it is, and how such words did before', async ({ page }) => {
  await openDemo(page);
  const going = page.getByRole('region', { name: 'Go?' });
  await expect(going.getByText('Likely (4 times in 5)')).toBeVisible();
  await expect(going.getByText(/^(Go|Go with sinking gear|Elsewhere|Closed)$/)).toBeVisible();
  await button(page, /^What this rests on/).click();
  await expect(going.getByText(/Tested twelve hours before each of your last \d+ readings?/)).toBeVisible();
  await button(page, 'The day after').click();
  for (const of of ['Level', 'Visibility'])
    await expect(going.getByText(new RegExp(`^${of} .* at noon$`))).toBeVisible();
  for (let i = 0; i < 4; i++) await button(page, 'The day after').click();
  await expect(going.getByText(/is too far off: the colour forecast reaches two days/)).toBeVisible();
});

test('the picture of the day is touched hour by hour', async ({ page }) => {
  await openDemo(page);
  const picture = page.getByRole('img', { name: /^Height of the sun/ });
  const box = (await picture.boundingBox())!;
  await button(page, /^Hour by hour/).click();
  const slider = page.getByRole('slider', { name: 'Hour' });
  const at = async (share: number) => {
    await picture.click({ position: { x: 8 + share * (box.width - 16), y: box.height / 2 } });
    return slider.getAttribute('aria-valuetext');
  };
  expect(await at(0.5)).toMatch(/^12:/);
  expect(await at(0.75)).toMatch(/^18:/);
  await expect(page.getByText(/^18:\d\d: (Low sun|Dark|Twilight|Sun|High sun)/)).toBeVisible();
});

test('the kind of river, the road and the tides are said with the water', async ({ page }) => {
  await openDemo(page, '/water?id=talluquin');
  await choose(page, 'spring');
  await page.getByRole('radiogroup', { name: 'Stained by peat' }).getByRole('radio', { name: 'yes' }).click();
  await typed(page, 'Driving time, one way, min', '1500');
  await button(page, 'Save water').click();
  await expect(page.getByText(/^Driving time: at most \d+\./)).toBeVisible();
  await page.getByLabel('Driving time, one way, min').fill('');
  // High waters out of a tide table; a low one is none.
  const tides = ['20261127T101500;High water 2.1 m', '20261127T162000;Low water', '20261127T224100;HW'].flatMap((t) => [
    ...['BEGIN:VEVENT', `UID:${t}`, `DTSTART:${t.split(';')[0]}`, `SUMMARY:${t.split(';')[1]}`, 'END:VEVENT'],
  ]);
  const chooser = page.waitForEvent('filechooser');
  await button(page, /^Import tides/).click();
  const text = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//tides//', ...tides, 'END:VCALENDAR'].join('\r\n');
  await (await chooser).setFiles({ name: 'tides.ics', mimeType: 'text/calendar', buffer: Buffer.from(text) });
  await expect(page.getByText('2 high waters read. Save the water to keep them.')).toBeVisible();
  await button(page, 'Save water').click();
  await expect(page.getByText(/^High water 10:15 and 22:41: new fish come in/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Go?' }).getByText('Likely (4 times in 5)')).toBeVisible();
});

const waters = (page: Page) => page.getByRole('list', { name: /^Waters/ });

test('dam releases are typed with their days, and the hours go by them', async ({ page }) => {
  await openDemo(page, '/water?id=ondrelle');
  const lines = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//dam//',
    'BEGIN:VEVENT',
    'UID:1',
    'DTSTART:20261203T070000',
  ];
  const give = async (text: string) => {
    const chooser = page.waitForEvent('filechooser');
    await button(page, /^Import releases/).click();
    await (await chooser).setFiles({ name: 'dam.ics', mimeType: 'text/calendar', buffer: Buffer.from(text) });
  };
  await give('date;hours');
  await expect(
    page.getByText(/^This is no calendar .* Choose the file that the dam’s operator gives out\.$/),
  ).toBeVisible();
  await give([...lines, 'DTEND:20261203T100000', 'END:VEVENT', 'END:VCALENDAR'].join('\r\n'));
  await expect(page.getByText('1 release read. Save the water to keep them.')).toBeVisible();
  await expect(page.getByLabel('Dam releases', { exact: true })).toHaveValue('3 Dec 2026 07:00-10:00');
  await typed(page, 'Dam releases', 'Mon-Fri 7-10; 1 May-30 Sep Sat, Sun 17-21');
  await button(page, 'Save water').click();
  await expect(page.getByText(/^Dam releases 07:00 to 10:00, as you/)).toBeVisible();
  await unfold(page, 'Hour by hour');
  await choose(page, 'bright');
  await expect(page.getByText(/^(Ends of the day|All day under cloud): /)).toBeVisible();
  // What one says of the sky is kept for packing and the clock.
  await page.reload();
  await unfold(page, 'Hour by hour');
  await expect(page.getByRole('radio', { name: 'bright', exact: true })).toHaveAttribute('aria-checked', 'true');
});

test('at a desk: where a water may colour the second plan is named, chosen, and planned by the clock @wide-only', async ({
  page,
}) => {
  await openDemo(page, '/waters');
  await expect(waters(page).getByText(/^Second plan, if this one runs dirty: Talluquin, a chance of /)).toBeVisible();
  await button(page, 'Plan Talluquin').click();
  await expect(page.getByRole('region', { name: 'Go?' }).getByText(/^Level in 6 hours$/)).toBeVisible();
  await button(page, /^The day by the clock/).click();
  const stops = page.getByRole('list', { name: 'The day by the clock' });
  await expect(stops.getByText(/^(Long Even|Millrace Step|Giants’ Table)$/).first()).toBeVisible();
  await expect(page.getByRole('img', { name: /^The runs in the day: / })).toBeVisible();
});

test.describe('a day that is planned', () => {
  // At the end there is no signal.
  test.use({ serviceWorkers: 'allow', expectedErrors: /Failed to (load resource|fetch)/ });

  test('which water, the day by the clock, what to pack: with reasons, by hand, and without a signal', async ({
    page,
    context,
  }) => {
    await openDemo(page);
    await button(page, /^Which water/).click();
    await expect(waters(page).getByRole('listitem')).toHaveCount(4);
    await expect(
      waters(page)
        .getByText(/^(Go|Go with sinking gear|Elsewhere|Closed)$/)
        .first(),
    ).toBeVisible();
    await choose(page, 'numbers');
    await page.getByRole('button', { name: /^Add word of mouth.*Ondrelle/ }).click();
    await button(page, 'Save').click();
    await expect(page.getByText('Enter who said it', { exact: false })).toBeVisible();
    await page.getByLabel('Source').fill('the warden');
    await page.getByLabel('What', { exact: true }).fill('Green, and falling.');
    await button(page, 'Save').click();
    await expect(waters(page).getByText('The warden, today: “Green, and falling.” (word of mouth)')).toBeVisible();
    await button(page, 'Plan Ondrelle').click();
    await expect(page.getByText(/^Dam releases 07:00 to 10:00, 17:00 to 21:00/)).toBeVisible();

    // Tomorrow, so that whole hours lie ahead; another run's worth of time beside the one that is proposed.
    await button(page, 'The day after').click();
    await button(page, /^The day by the clock/).click();
    const stops = page.getByRole('list', { name: 'The day by the clock' });
    await expect(stops.getByText(/^Home at/)).toBeVisible();
    // A break about noon is called lunch.
    const names = async () =>
      (await stops.getByText(/^(Siren Flat|Break|Lunch)$/).allTextContents()).map((n) => n.replace('Lunch', 'Break'));
    const proposed = ['Siren Flat', 'Break', 'Siren Flat']; // fished again once it has rested
    await expect.poll(names).toEqual(proposed);
    await button(page, 'Add a run or a break').click();
    await button(page, 'A break, 45 min').click();
    const added = [...proposed, 'Break'];
    const moved = ['Siren Flat', 'Break', 'Break', 'Siren Flat'];
    await expect.poll(names).toEqual(added);
    const handle = page.getByRole('button', { name: /^Move (Break|Lunch)/ }).last();
    await handle.press('ArrowUp');
    await expect.poll(names).toEqual(moved);
    await handle.press('ArrowDown');
    await expect.poll(names).toEqual(added);
    // Dragged by its handle over the run above.
    await handle.scrollIntoViewIfNeeded();
    const [from, to] = [
      (await handle.boundingBox())!,
      (await page
        .getByRole('button', { name: /^Move Siren Flat/ })
        .last()
        .boundingBox())!,
    ];
    await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
    await page.mouse.down();
    for (let i = 1; i <= 8; i++)
      await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2 + ((to.y - from.y - 10) * i) / 8);
    await page.mouse.up();
    await expect.poll(names).toEqual(moved);
    const home = await stops.getByText(/^Home at/).textContent();
    await button(page, 'Siren Flat, 10 minutes more').last().click();
    await expect(stops.getByText(/^Home at/)).not.toHaveText(home!);
    await button(page, 'Show the note').click();
    await expect(page.getByLabel('The note', { exact: true })).toContainText('The water is at 57.0000, -4.7000.');
    const saved = page.waitForEvent('download');
    await button(page, /^To your calendar/).click();
    await button(page, 'Save the day as a file').click();
    expect((await saved).suggestedFilename()).toMatch(/^wanderung-day-[\d-]+\.ics$/);
    await button(page, 'Reset to proposal').click();
    await expect.poll(names).toEqual(proposed);
    await button(page, 'Back to the plan').click();

    await button(page, /^What to pack/).click();
    const net = page.getByRole('checkbox', { name: /^Net of soft mesh/ });
    await net.click();
    await expect(net).toBeChecked();
    // The parts are there for a reload without a signal, ticks and all.
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    await context.setOffline(true);
    await page.reload();
    await expect(net).toBeChecked();
    await context.setOffline(false);
  });
});

test('a gauge out of a file of any agency is the level of a water', async ({ page }) => {
  await openDemo(page);
  const hour = (h: number) => new Date(BEGINS_AT - h * 3_600_000).toISOString().slice(0, 16).replace('T', ' ');
  const rows = Array.from(
    { length: 24 * 12 },
    (_, i) => `${hour(24 * 12 - i)}\tUTC\t${(2.5 + 0.4 * Math.sin(i / 20)).toFixed(2)}`,
  );
  const file = {
    name: 'levels.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from(['# Of some agency', 'datetime\ttz\t1_00065', '20d\t6s\t14n', ...rows].join('\n')),
  };
  await page.goto('/water?id=talluquin');
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: /^A gauge’s file/ }).click();
  await (await chooser).setFiles(file);
  await expect(page.getByText(/^28[78] values/)).toBeVisible();
  await expect(page.getByRole('button', { name: /1_00065.*Level, ft/ })).toBeVisible();
  await button(page, 'Use as gauge').click();
  await expect(page.getByRole('radio', { name: 'levels.txt' })).toBeChecked();
  await button(page, 'Save water').click();
  await button(page, /^What this rests on/).click();
  await expect(page.getByText(/against normal at the gauge \(from your file\)/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Go?' }).getByText('Likely (4 times in 5)')).toBeVisible();
});

test('the colour is told from a photo, in the browser, and becomes the reading', async ({ page }) => {
  await openAnswered(page, 'long-even');
  const requests: string[] = [];
  // A disc in the air, and the same thirty centimetres down in tea.
  const png = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [300, 400];
    const c = canvas.getContext('2d')!;
    const disc = (x: number, y: number, colour: string) => {
      c.fillStyle = colour;
      c.beginPath();
      c.arc(x, y, 20, 0, 7);
      c.fill();
    };
    c.fillStyle = '#5a5040';
    c.fillRect(0, 0, 300, 160);
    c.fillStyle = '#0a0c04';
    c.fillRect(0, 160, 300, 240);
    disc(90, 80, '#c8c8c8');
    disc(200, 280, '#57461c');
    return canvas.toDataURL('image/png').split(',')[1]!;
  });
  await button(page, 'New reading').click();
  await page.getByRole('button', { name: /^or measure it from a photo/ }).click();
  page.on('request', (r) => requests.push(r.url()));
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: /^Take or choose a picture/ }).click();
  await (await chooser).setFiles({ name: 'water.png', mimeType: 'image/png', buffer: Buffer.from(png, 'base64') });
  const picture = page.getByRole('button', { name: /^The picture/ });
  const box = (await picture.boundingBox())!;
  await picture.click({ position: { x: 0.3 * box.width, y: 0.2 * box.height } });
  await picture.click({ position: { x: (200 / 300) * box.width, y: 0.7 * box.height } });
  await expect(page.getByText(/^Visibility \d/)).toBeVisible();
  await expect(page.getByText(/Most like tea/)).toBeVisible();
  const seen = /Visibility ([\d.]+)/.exec((await page.getByText(/^Visibility \d/).textContent())!)![1]!;
  // Nothing leaves the device.
  expect(requests.filter((url) => !url.startsWith('blob:') && !/\.(js|png)$/.test(url))).toEqual([]);
  await button(page, 'Use as reading').click();
  await expect(page.getByLabel(/^Visibility/)).toHaveValue(String(Number(seen)));
  await expect(page.getByRole('radio', { name: 'tea' })).toBeChecked();
});
