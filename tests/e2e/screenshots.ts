import { resolve } from 'node:path'
import { expect, test } from './workroom'

const folder = resolve(__dirname, '../../docs/screenshots')

const shots = [
  ['home', '/', 'day'],
  ['measure', '/jobs/demo-window-bench/measure', 'day'],
  ['make-up', '/jobs/demo-window-bench/make-up', 'day'],
  ['pieces', '/jobs/demo-window-bench/pieces', 'day'],
  ['lay', '/jobs/demo-window-bench/lay', 'day'],
  ['buy', '/jobs/demo-window-bench/buy', 'day'],
  ['measure-chair', '/jobs/demo-lodge-seats/measure', 'day', /Armchair/],
  ['make-up-seats', '/jobs/demo-reading-room/make-up', 'day', /Niche/],
  ['pieces-chair', '/jobs/demo-lodge-seats/pieces', 'day', /Armchair/],
  ['sewn', '/jobs/demo-lodge-seats/pieces', 'day', /Armchair/],
  ['lay-seats', '/jobs/demo-reading-room/lay', 'day'],
  ['lay-repeat', '/jobs/demo-lodge-seats/lay#cloth-star', 'day'],
  ['make', '/jobs/demo-window-bench/make', 'day'],
  ['hand-over', '/jobs/demo-window-bench/hand-over', 'day'],
  ['week', '/week?job=demo-lodge-seats', 'day'],
  ['price', '/jobs/demo-reading-room/price', 'day'],
  ['stock', '/stock', 'day'],
  ['walk', '/jobs/demo-tables/measure', 'day', /Pressing table/],
  ['measure-dim', '/jobs/demo-marigold/measure', 'dim'],
] as const

for (const [name, path, light, item] of shots as readonly (readonly [string, string, string, RegExp?])[])
  test(name, async ({ page }) => {
    await page.addInitScript((value) => localStorage.setItem('wrapper.light', value), light)
    await page.goto(path)
    if (path === '/') await expect(page.getByText('Saloon berths')).toBeVisible()
    else if (path.startsWith('/jobs')) await expect(page.getByTestId('to-buy')).toBeVisible()
    if (item) await page.getByRole('complementary', { name: 'Items' }).getByRole('button', { name: item }).click()
    if (name === 'price') {
      await page.getByRole('button', { name: 'Write the quotation' }).click()
      await page.getByRole('link', { name: /Q-0001/ }).click()
      await expect(
        page
          .getByRole('group', { name: /^Quotation/ })
          .locator('img')
          .first(),
      ).toBeVisible()
    }
    if (name === 'sewn') {
      await page.getByText('Sewn', { exact: true }).click()
      await expect(page.locator('#sewn-words')).toContainText('Sewn as cut')
      await page.waitForTimeout(2500)
    }
    if (name === 'walk') await page.getByRole('button', { name: 'Walk the room' }).click()
    await page.evaluate(() => document.fonts.ready)
    // Small pictures are asked for when nothing has changed for a while, two at a time.
    await page.waitForTimeout(1500)
    await page.waitForLoadState('networkidle')
    await page.screenshot({ path: `${folder}/${name}.png` })
  })
