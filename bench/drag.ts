import { isBuilt, served } from './served';
import { table } from './table';

const PORT = 4190;
const DRAG_MS = 4000;

/** How the rig's picture follows while its angle is dragged for four seconds, at full speed and slowed four times. */
export async function benchDrag(): Promise<void> {
  if (!isBuilt('Dragging')) return;
  await served(PORT, async (browser, address) => {
    const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
    await page.goto(address);
    await page.getByRole('button', { name: /demo data/ }).click();
    await page.getByRole('button', { name: 'Skip the tour' }).click();
    await page.getByRole('heading', { name: 'Go?' }).waitFor();
    await page.getByRole('link', { name: 'Read', exact: true }).click();
    await page.getByRole('button', { name: /Long Even/ }).click();
    await page.getByRole('button', { name: 'Choose the rig for it' }).click();
    await page
      .getByText(/Deepest \d/)
      .first()
      .waitFor();
    const cdp = await page.context().newCDPSession(page);
    const slider = page.getByRole('slider', { name: 'Angle, from straight downstream' });
    const rows: (string | number)[][] = [];
    for (const rate of [1, 4]) {
      await slider.scrollIntoViewIfNeeded();
      await page.waitForTimeout(4000); // the searches are over
      await cdp.send('Emulation.setCPUThrottlingRate', { rate });
      const box = (await slider.boundingBox())!;
      // Moves are made in the page, one a frame, so that the far side of a wire does not slow them.
      const seen = await slider.evaluate(
        (el, { width, ms }) =>
          new Promise<{ frames: number; angles: number; pictures: number; long: number[] }>((resolve) => {
            const long: number[] = [];
            const watch = new PerformanceObserver((l) => l.getEntries().forEach((e) => long.push(e.duration)));
            watch.observe({ type: 'longtask' });
            const sheet = document.querySelector('[aria-label^="The swing from above"]')!;
            const r = el.getBoundingClientRect();
            const send = (type: string, x: number) =>
              el.dispatchEvent(
                new PointerEvent(type, {
                  bubbles: true,
                  pointerId: 1,
                  buttons: 1,
                  clientX: r.left + x,
                  clientY: r.top + r.height / 2,
                }),
              );
            (el as HTMLElement).setPointerCapture = () => {};
            let frames = 0;
            let angles = 0;
            let pictures = 0;
            let angle = el.ariaValueNow;
            let changed = false;
            const mutations = new MutationObserver(() => (changed = true));
            mutations.observe(sheet, { subtree: true, attributes: true, childList: true });
            const t0 = performance.now();
            send('pointerdown', width / 2);
            const frame = (now: number) => {
              frames++;
              if (changed) pictures++;
              changed = false;
              if (el.ariaValueNow !== angle) angles++;
              angle = el.ariaValueNow;
              if (now - t0 > ms) {
                send('pointerup', width / 2);
                mutations.disconnect();
                watch.disconnect();
                return resolve({ frames, angles, pictures, long });
              }
              // To and fro at an even speed: a degree and more with every frame, so that every frame asks for a picture.
              const way = ((now - t0) / 1600 + 0.5) % 2;
              send('pointermove', width * (0.1 + 0.8 * Math.min(way, 2 - way)));
              requestAnimationFrame(frame);
            };
            requestAnimationFrame(frame);
          }),
        { width: box.width, ms: DRAG_MS },
      );
      const s = DRAG_MS / 1000;
      const most = rate === 1 ? 50 : 100;
      rows.push([
        rate === 1 ? 'full speed' : `slowed ×${rate}`,
        seen.pictures / s,
        seen.frames / s,
        seen.angles / s,
        seen.pictures / seen.angles,
        seen.long.filter((d) => d > most).length,
        Math.max(0, ...seen.long),
      ]);
      await cdp.send('Emulation.setCPUThrottlingRate', { rate: 1 });
    }
    table(
      `Dragging the angle for ${DRAG_MS / 1000} s (390×844; long tasks: over 50 ms, over 100 when slowed)`,
      [
        'processor',
        'pictures a second',
        'frames a second',
        'angles a second',
        'pictures ÷ angles',
        'long tasks',
        'longest ms',
      ],
      rows,
    );
  });
}
