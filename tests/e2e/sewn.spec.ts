import type { Page } from '@playwright/test'
import { about, expect, field, measure, beginItem, choose, saved, test } from './workroom'

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
  await expect(cover.locator('p').last()).toHaveText(/^1b /)
  const box = (await cover.boundingBox())!
  await cover.click({ position: { x: box.width / 2, y: box.height * 0.42 } })
  await expect(cover.locator('p').last()).toHaveText(/^1a /)
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

// A cushion on cloth with a repeat of its own, shown sewn.
async function beginPrinted(page: Page, name: string, along: string, across: string) {
  await beginItem(page, name, 'Ottoman or cube', 'in')
  await measure(page, { W: '20', L: '20', H: '12' })
  await page.keyboard.press('Alt+4')
  await about(page, 'Repeat and match')
  await field(page, '.repeatAcross').fill(across)
  await field(page, '.repeatAlong').fill(along)
  await page.keyboard.press('Escape')
  await saved(page)
  await page.keyboard.press('Alt+3')
  await page.getByText('Sewn', { exact: true }).click()
  const cover = page.getByRole('group', { name: /^The sewn cover/ })
  await expect(cover.locator('canvas')).toBeVisible()
  return cover
}

// By keys, by mouse and by touch: the motif moves, the match is entered, and the lay has it.
test('the print is slid on the cover, and the lay follows', async ({ page }) => {
  const cover = await beginPrinted(page, 'Slid', '12', '10')
  await page.getByRole('button', { name: 'Slide the print' }).click()
  const told = cover.getByRole('status')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  await expect(told).toContainText(/A motif lies .* in from the left .* of the top.*It takes .* cloth/)
  const first = await told.textContent()
  const box = (await cover.boundingBox())!
  const [x, y] = [box.x + box.width / 2, box.y + box.height * 0.36]
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x + 20, y, { steps: 4 })
  await page.mouse.move(x + 45, y + 4, { steps: 4 })
  await page.mouse.up()
  await expect(told).not.toHaveText(first!)
  const second = await told.textContent()
  const finger = await page.context().newCDPSession(page)
  const touch = (type: string, at?: number) =>
    finger.send('Input.dispatchTouchEvent', {
      type: type as 'touchStart',
      touchPoints: at === undefined ? [] : [{ x: x + at, y, id: 1 }],
    })
  await touch('touchStart', 0)
  for (const at of [8, 18, 30, 42]) await touch('touchMove', -at)
  await touch('touchEnd')
  await expect(told).not.toHaveText(second!)
  const [, left] = /A motif lies ([\d /]+) in from the left/.exec((await told.textContent())!)!
  await saved(page)
  await page.keyboard.press('Alt+4')
  await page.getByText('How pieces match').click()
  await expect(field(page, '.across').first()).toHaveValue(`${left} in`)
  // A place can be typed too; what is no length is told beside it, and the lay is not lost.
  await field(page, '.across').first().fill('a bit')
  await page.keyboard.press('Escape')
  await expect(field(page, '.across').first()).toHaveAttribute('aria-invalid', 'true')
})

// Step by step by the space bar: the words of each step, and the cover whole at the end; then cut open.
test('a cover is put together in making order', async ({ page }) => {
  await page.goto('/jobs/demo-window-bench/pieces')
  await page.getByText('Sewn', { exact: true }).click()
  const cover = page.getByRole('group', { name: /^The sewn cover/ })
  const told = cover.getByRole('status')
  await expect(cover.locator('canvas')).toBeVisible()
  await page.getByRole('button', { name: 'In making order' }).click()
  await expect(told).toContainText('nothing is sewn yet')
  const [, steps] = /^(\d+) steps/.exec((await told.textContent())!)!
  const loose = await cover.screenshot()
  await cover.focus()
  for (let step = 0; step < +steps!; step++) await page.keyboard.press('Space')
  await expect(told).toContainText(`${steps} of ${steps}.`)
  await expect.poll(async () => (await cover.screenshot()).equals(loose)).toBe(false)
  await page.keyboard.press('Backspace')
  await expect(told).toContainText(`${+steps! - 1} of ${steps}.`)
  await page.getByRole('button', { name: 'All sewn' }).click()
  await expect(told).toBeEmpty()
  const shut = await cover.screenshot()
  await page.getByRole('button', { name: 'Look inside' }).click()
  await expect.poll(async () => (await cover.screenshot()).equals(shut)).toBe(false)
})

test('a print that has no repeat cannot be slid, and it says why', async ({ page }) => {
  await page.goto('/jobs/demo-window-bench/pieces')
  await page.getByText('Sewn', { exact: true }).click()
  await page.getByRole('button', { name: 'Slide the print' }).click()
  await expect(page.getByRole('group', { name: /^The sewn cover/ }).getByRole('status')).toContainText(
    'enter it on Lay',
  )
})

// The cloth is a letter F on white, larger than the top: seen from above its stem is to the left and its arms are above.
test('what is printed is neither mirrored nor upside down', async ({ page }) => {
  await page.route('**/api/cloth-tile*', async (route) => {
    const letter = await page.evaluate(() => {
      const canvas = document.createElement('canvas')
      canvas.width = canvas.height = 200
      const pen = canvas.getContext('2d')!
      pen.fillStyle = '#fff'
      pen.fillRect(0, 0, 200, 200)
      pen.fillStyle = '#d00000'
      pen.fillRect(70, 60, 16, 80)
      pen.fillRect(70, 60, 60, 16)
      pen.fillRect(70, 92, 40, 14)
      return canvas.toDataURL('image/png').split(',')[1]!
    })
    await route.fulfill({ contentType: 'image/png', body: Buffer.from(letter, 'base64') })
  })
  const cover = await beginPrinted(page, 'Letter', '24', '24')
  await page.keyboard.press('Alt+4')
  await page.getByText('How pieces match').click()
  await choose(page, /^1a .* matches/, 'motif in the middle')
  await saved(page)
  await page.keyboard.press('Alt+3')
  await page.getByText('Sewn', { exact: true }).click()
  await cover.focus()
  for (let up = 0; up < 8; up++) await page.keyboard.press('ArrowUp')
  for (let round = 0; round < 4; round++) await page.keyboard.press('ArrowLeft')
  const ink = () =>
    cover.locator('canvas').evaluate((canvas: HTMLCanvasElement) => {
      const flat = document.createElement('canvas')
      flat.width = canvas.width
      flat.height = canvas.height
      const pen = flat.getContext('2d')!
      pen.drawImage(canvas, 0, 0)
      const { data, width } = pen.getImageData(0, 0, flat.width, flat.height)
      const red: [number, number][] = []
      for (let at = 0; at < data.length; at += 4)
        if (data[at]! > 90 && data[at + 1]! < 60) red.push([(at / 4) % width, Math.floor(at / 4 / width)])
      const middle = (n: 0 | 1) => {
        const along = red.map((spot) => spot[n])
        const [least, most] = [Math.min(...along), Math.max(...along)]
        return (along.reduce((sum, each) => sum + each, 0) / along.length - least) / (most - least)
      }
      return red.length < 50 ? [1, 1] : [middle(0), middle(1)]
    })
  // More ink in the left half than in the right, and in the upper half than in the lower.
  await expect.poll(async () => (await ink()).every((share) => share < 0.45)).toBe(true)
})
