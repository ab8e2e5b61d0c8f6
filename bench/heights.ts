import { isBuilt, served } from './served';
import { table } from './table';

const PORT = 4188;
const VIEW = { width: 390, height: 844 } as const;
/** Main views by their address, the text by which each stands, and how many screens high it may be (our own budget). */
const VIEWS = [
  ['Plan', '/', 'Likely (4 times in 5)', 2.5],
  ['Run', '/read/long-even', 'Where fish hold', 3],
  ['Rig', '/rig', 'Fish this', 2.5],
  ['Learn', '/learn', 'Takes per hundred casts', 3],
  ['Bag', '/bag', 'Search the bag', 3],
] as const;

/** How many screens of a phone high the main views are, as they open on the demo. */
export async function benchHeights(): Promise<void> {
  if (!isBuilt('Heights')) return;
  await served(PORT, async (browser, address) => {
    const page = await browser.newPage({ viewport: VIEW, serviceWorkers: 'block' });
    await page.goto(address);
    await page.getByRole('button', { name: /demo data/ }).click();
    await page.getByRole('button', { name: 'Skip the tour' }).click();
    await page.getByRole('heading', { name: 'Go?' }).waitFor();
    const rows: (string | number)[][] = [];
    for (const [name, at, stands, most] of VIEWS) {
      await page.goto(new URL(at, address).href);
      await page.getByText(stands).or(page.getByLabel(stands)).first().waitFor();
      await page.waitForTimeout(8000); // what comes late is part of it
      const screens = await page.evaluate(() => {
        const high = [...document.querySelectorAll('*')].map((e) => (e.clientHeight > 200 ? e.scrollHeight : 0));
        return Math.max(...high) / window.innerHeight;
      });
      rows.push([name, screens, most, screens / most]);
    }
    table('Heights on 390×844, in screens', ['view', 'high', 'budget', 'ratio'], rows);
  });
}
