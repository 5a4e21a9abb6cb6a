import { expect, field, measure, beginItem, saved, test } from './workroom'

// From nothing to the finished cover: measured, shown sewn, turned by keys, taken apart, a piece picked on it.
test('a cover is seen sewn in its own cloth before anything is cut', async ({ page }) => {
  await beginItem(page, 'Window seat', 'Ottoman or cube', 'cm')
  await measure(page, { W: '50', L: '45', H: '40' })
  await page.keyboard.press('Alt+3')
  // The flat piece and the sewn cover have the same place, as wide as there is room.
  const flat = await page.getByRole('region', { name: /^Piece 1a/ }).boundingBox()
  await page.getByText('Sewn', { exact: true }).click()
  const cover = page.getByRole('group', { name: /^The sewn cover/ })
  await expect(cover).toBeVisible()
  expect(Math.abs((await cover.boundingBox())!.width - flat!.width)).toBeLessThan(2)
  expect(flat!.width).toBeGreaterThan(400)
  await expect(page.locator('#sewn-words')).toContainText('Sewn as cut')
  await expect(cover.locator('canvas')).toBeVisible()
  const look = async () => (await cover.screenshot()).toString('base64')
  let seen = await look()
  const changed = async () => {
    await expect.poll(look).not.toBe(seen)
    seen = await look()
  }
  await cover.focus()
  await page.keyboard.press('ArrowLeft')
  await changed()
  await page.keyboard.press('+')
  await changed()
  await page.getByRole('slider').focus()
  for (let steps = 0; steps < 6; steps++) await page.keyboard.press('ArrowRight')
  await changed()
  // A piece picked in the list is named on the cover, and a tap on the cover takes another in hand.
  await page.getByRole('button', { name: 'As at first' }).click()
  await page.getByRole('list', { name: 'Pieces' }).getByRole('button').nth(1).click()
  await expect(cover.locator('p')).toHaveText(/^1b /)
  const box = (await cover.boundingBox())!
  await cover.click({ position: { x: box.width / 2, y: box.height * 0.42 } })
  await expect(cover.locator('p')).toHaveText(/^1a /)
  // A change of size is sewn anew.
  await page.keyboard.press('Alt+1')
  await field(page, 'measures.H').fill('60')
  await page.keyboard.press('Escape')
  await saved(page)
  await page.keyboard.press('Alt+3')
  await page.getByText('Sewn', { exact: true }).click()
  await expect(page.locator('#sewn-words')).toContainText('height 60 cm')
})

test('without WebGL there is a still picture in its place', async ({ page }) => {
  await page.addInitScript(() => {
    const known = HTMLCanvasElement.prototype.getContext
    HTMLCanvasElement.prototype.getContext = function (this: HTMLCanvasElement, kind: string, ...rest: unknown[]) {
      return kind.startsWith('webgl') ? null : known.call(this, kind as '2d', ...(rest as []))
    } as typeof known
  })
  await page.goto('/jobs/demo-window-bench/pieces')
  await page.getByText('Sewn', { exact: true }).click()
  const still = page.getByRole('img', { name: /^Sewn: width 46 1\/2 in/ })
  await expect(still).toBeVisible()
  const ink = await still.evaluate((canvas: HTMLCanvasElement) => {
    const { data } = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height)
    return data.filter((part, at) => at % 4 === 3 && part > 0).length / (canvas.width * canvas.height)
  })
  expect(ink).toBeGreaterThan(0.15)
})
