import type { Page } from '@playwright/test'
import { about, beginItem, choose, expect, field, measure, printed, saved, test, told } from './workroom'

// A square panel and its facing, 3/4 in larger when cut; laid at once.
async function beginPanel(page: Page, job: string, side: string) {
  await beginItem(page, job, 'Centre panel for a table cover')
  await choose(page, 'Panel', 'Square')
  await measure(page, { W: side })
  await expect(page.getByTestId('to-buy')).toBeVisible()
}

test('a gap, a repeat and a flaw lengthen the lay; what cannot be read is told and kept', async ({ page }) => {
  await beginPanel(page, 'Panels', '29 1/4')
  await page.keyboard.press('Alt+4')
  // Panel and facing of 30 x 30, one behind the other on 53 in: nothing is shorter.
  await expect(page.getByTestId(/^laid-/)).toHaveText('1.67 yd')
  await expect(page.getByText('Proven shortest')).toBeVisible()
  await about(page, 'Folding, gap, shrinkage, how it behaves')
  await field(page, '.gap').fill('1')
  await expect(page.getByTestId(/^laid-/)).toHaveText('1.70 yd') // 61 in
  await page.getByText('Why this length').click()
  await page.getByRole('button', { name: 'What one change would shorten it most?' }).click()
  await expect(page.getByText('Without the gap of 1 in between pieces')).toContainText('1 in less, 1.67 yd in all')
  await about(page, 'Repeat and match')
  await field(page, '.repeatAlong').fill('twelve')
  await told(page, 'For example')
  await field(page, '.repeatAlong').fill('12')
  // What stood beside the field is gone and the lay is the new one, before anything below is clicked.
  await expect(page.getByRole('alert')).toHaveCount(0)
  await expect(page.locator('[data-part=repeat] line').first()).toBeAttached()
  await expect(page.locator('.stale')).toHaveCount(0)
  await page.getByText('At the table').click()
  await page.getByRole('button', { name: 'Mark a flaw' }).click()
  await field(page, '.fromEnd').fill('0')
  await field(page, '.fromSelvedge').fill('25')
  // Beside the flaw of 2 in no 30 in are left: the facing starts behind it and ends at 32, the panel at the next repeat of 12, which is 36.
  await expect(page.locator('[data-part=flaw]')).toHaveCount(1)
  await expect(page.locator('[data-part=repeat] line').first()).toBeAttached()
  await expect(page.getByTestId(/^laid-/)).toHaveText('1.84 yd')
  await page.keyboard.press('Escape')
  await page.keyboard.press('Alt+5')
  await expect(page.getByRole('row', { name: /One repeat, to start/ })).toContainText('0.34 yd')
  await saved(page)
  await page.goto(page.url().replace(/buy$/, 'lay'))
  await expect(page.locator('[data-part=flaw]')).toHaveCount(1)
})

test('by keys: what would shorten a lay, and of four cloths the foot hides nothing', async ({ page }) => {
  await page.goto('/jobs/demo-tables/lay')
  const fold = page.getByText('Why this length')
  await fold.focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'What one change would shorten it most?' })).toBeVisible()
  await page.keyboard.press('Tab')
  await page.keyboard.press('Enter')
  const changes = page.getByTestId(/^shortenings-/)
  await expect(changes.getByRole('listitem').first()).toContainText('less')
  // What the button led to has the focus: the next Tab goes on from there.
  expect(await changes.evaluate((list) => list.parentElement === document.activeElement)).toBe(true)
  for (const width of [1280, 1100, 820]) {
    await page.setViewportSize({ width, height: 800 })
    const foot = page.getByRole('contentinfo', { name: 'Totals' })
    const day = (await foot.getByRole('link').boundingBox())!
    for (const told of await foot.locator('dd').all()) {
      const box = (await told.boundingBox())!
      expect(
        box.x + box.width <= day.x ||
          box.y + box.height <= day.y ||
          day.y + day.height <= box.y ||
          day.x + day.width <= box.x,
      ).toBe(true)
    }
  }
})

// Twenty square panels of many sizes with their facings: laid at once they lie loosely enough for a search to find better.
const sides = [12, 23, 22, 9, 16, 24, 20, 23, 7, 24, 5, 20, 13, 22, 12, 11, 20, 22, 22, 20]

test('a longer search shortens the lay; what it found outlives the server', async ({ page, server }) => {
  const ask = async (path: string, data: unknown) =>
    (await page.request.post(`${server.url}/api/${path}`, { data })).json()
  const item = await ask('items', { id: 'p', name: 'Panel', makeUp: 'centre-panel', unit: 'in', from: null })
  const cloth = await ask('cloths', { id: 'c', name: 'Ticking', unit: 'in' })
  const job = await page.request.get(`${server.url}/api/jobs/demo-marigold`).then((reply) => reply.json())
  const items = sides.map((side, n) => ({
    ...item,
    id: `p${n}`,
    cloth: 'c',
    measures: { W: { typed: `${side}`, unit: 'in' } },
    choices: { ...item.choices, shape: { typed: 'square', unit: 'in' } },
  }))
  await ask('jobs', {
    id: 'many-panels',
    changeId: 'first',
    name: 'Many panels',
    unit: 'in',
    document: { ...job.document, name: 'Many panels', unit: 'in', items, cloths: [cloth] },
  })
  await page.goto('/jobs/many-panels/lay')
  const length = async () => parseFloat((await page.getByTestId('laid-c').textContent()) ?? '0')
  await expect.poll(() => page.locator('[data-laid]').count()).toBe(40)
  const before = await length()
  await page.getByRole('button', { name: 'Search longer for a shorter lay' }).click()
  await expect(page.getByText(/shortened (once|\d+ times)/)).toBeVisible()
  await page.getByRole('button', { name: 'Stop and keep' }).click()
  await expect(page.getByText(/^Shortened (once|\d+ times)/)).toBeVisible()
  await expect.poll(length).toBeLessThan(before)
  const found = await length()
  await server.kill()
  await server.resume()
  await page.reload()
  await expect(page.getByTestId('laid-c')).toBeVisible()
  // At least as good: what was found in the very moment of stopping is kept too.
  await expect.poll(length).toBeLessThanOrEqual(found)
})

test('widths compared, and what there is of the cloth', async ({ page }) => {
  await beginItem(page, 'Widths', 'Duvet')
  await measure(page, { W: '54', L: '84' })
  await page.keyboard.press('Alt+4')
  await page.getByRole('button', { name: 'Compare widths' }).click()
  const widths = page.getByRole('region', { name: /compared/ })
  await expect(widths.getByRole('row', { name: /^54 in/ })).toContainText('7 3/8 yd')
  await expect(widths.getByRole('row', { name: /^118 in/ })).toContainText('2 1/2 yd')
  await expect(widths.getByRole('row', { name: /^60 in/ })).toContainText('4 7/8 yd')
  // A width of the maker's own: 4 in wider than two widths of 54 joined need, and kept with the job.
  await page.getByRole('textbox', { name: 'Another width' }).fill('66')
  await page.getByRole('button', { name: 'Compare it too' }).click()
  await expect(widths.getByRole('row', { name: /^66 in/ })).toContainText('yd')
  await page.keyboard.press('Escape')
  await page.keyboard.press('Alt+5')
  const have = page.getByRole('textbox', { name: 'I have' })
  await have.fill('some')
  await have.press('Enter')
  await expect(page.getByText('For example 4 3/4 yd')).toBeVisible()
  await have.fill('8 yd')
  await have.press('Enter')
  await expect(page.getByText('It will do:')).toBeVisible()
  await have.fill('5 yd')
  await have.press('Enter')
  await expect(page.getByText(/No room for 1[a-f], 1[a-f](?!,)/)).toBeVisible()
  await page
    .getByRole('form', { name: /What there is/ })
    .getByRole('button', { name: 'Make it 52 in' })
    .click()
  await expect(page.getByText('It will do:')).toBeVisible()
})

test('wrong side up mirrors drawing and marks; the cutting list stands on the print', async ({ page }) => {
  await beginPanel(page, 'Sides', '29 1/4')
  await page.keyboard.press('Alt+4')
  await page.getByText('Cutting list', { exact: true }).click()
  const first = page.getByRole('row', { name: /panel/ })
  // 30 of 53 in from the upper selvedge; from the other side 23 to 53.
  await expect(first).toContainText('0 in30 in')
  await page.getByText('wrong side up', { exact: true }).click()
  await expect(first).toContainText('23 in53 in')
  await expect(page.getByText(/wrong side up, cut lines/)).toBeVisible()
  // On paper every cloth stands right side up, with its list.
  expect((await printed(page, 'Print the cutting sheet')).text).toMatch(/right side up[^]*0 in +30 in[^]*facing/)
})

test('pieces are dragged, refused where they cannot lie, pinned and unpinned by keyboard', async ({ page }) => {
  await beginPanel(page, 'Pins', '9 1/4')
  await page.keyboard.press('Alt+4')
  // Two squares of 10 beside each other.
  await expect(page.getByTestId(/^laid-/)).toHaveText('0.28 yd')
  const panel = page.getByRole('button', { name: /^1a/ })
  const box = (await panel.boundingBox())!
  const inch = box.width / 10
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 + 20 * inch, box.y + box.height / 2, { steps: 5 })
  await page.mouse.up()
  await expect(page.getByRole('button', { name: /^1a, .*pinned/ })).toBeVisible()
  // It ends near 30 in now, as exactly as a hand drags.
  await expect
    .poll(async () => parseFloat((await page.getByTestId(/^laid-/).textContent()) ?? '0'))
    .toBeGreaterThan(0.75)
  // By keyboard over the edge of the cloth, which is refused.
  await page.getByRole('button', { name: /^1a, .* 0 in from the selvedge/ }).focus()
  await page.keyboard.press('ArrowUp')
  await told(page, 'over the edge of the cloth')
  await page.getByRole('button', { name: /^1b/ }).focus()
  await page.keyboard.press('p')
  await expect(page.getByRole('button', { name: 'Unpin all 2 pieces' })).toBeVisible()
  await saved(page)
  await page.reload()
  await expect(page.getByRole('button', { name: /^1b, .*pinned/ })).toBeVisible()
  await page.getByRole('button', { name: 'Unpin all 2 pieces' }).click()
  await expect(page.getByTestId(/^laid-/)).toHaveText('0.28 yd')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('button', { name: /^1b, .*pinned/ })).toBeVisible()
})

test('pieces are ticked off as cut; they stay, and changing one warns', async ({ page }) => {
  await beginPanel(page, 'Cutting', '29 1/4')
  await page.keyboard.press('Alt+4')
  await page.getByText('Cutting list', { exact: true }).click()
  await page.getByRole('checkbox', { name: /^1a, number \d, is cut/ }).check()
  await expect(page.getByText('1 of 2 cut')).toBeVisible()
  await expect(page.getByRole('button', { name: /^1a, .*, cut$/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Unpin/ })).toBeHidden()
  await page.keyboard.press('Escape')
  await page.keyboard.press('Alt+1')
  await measure(page, { W: '30 1/4' })
  await page.keyboard.press('Alt+4')
  await expect(page.getByRole('alert').filter({ hasText: 'Take care' })).toContainText(
    '1a was cut 30 x 30 in and is drafted 31 x 31 in now',
  )
  await saved(page)
})

test('a motif sits in the middle of its panel, stripes across only, or the cloth is too narrow for it', async ({
  page,
}) => {
  await beginPanel(page, 'Motif', '29 1/4')
  await page.keyboard.press('Alt+4')
  await about(page, 'Repeat and match')
  await field(page, '.repeatAcross').fill('10')
  await field(page, '.repeatAlong').fill('12')
  await page.getByText('How pieces match').click()
  await choose(page, '1a panel matches', 'motif in the middle')
  // Motifs at 5, 15, 25 from the selvedge: 30 in with its middle at 15 begins at 0, 10 or 20. At 2, 12, 22: at 7 or 17.
  await expect(page.getByRole('button', { name: /^1a, .* (0|10|20) in from the selvedge/ })).toBeVisible()
  await field(page, '.motifAcross').fill('2')
  await expect(page.getByRole('button', { name: /^1a, .* (7|17) in from the selvedge/ })).toBeVisible()
  await expect(page.locator('[data-part=repeat] circle').first()).toBeAttached()
  // By keyboard it moves by a whole repeat up the roll, and stays where it is put.
  await page.getByRole('button', { name: /^1a, 0 in from the end/ }).focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('button', { name: /^1a, 12 in from the end.*pinned/ })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Unpin the piece' }).click()
  await about(page)
  await field(page, '.width').fill('37')
  await told(page, 'cannot lie at its place of the repeat')
  await field(page, '.width').fill('54')
  await choose(page, '1a panel matches', 'need not match')
  await expect(page.locator('[data-part=repeat] circle')).toHaveCount(0)
  await page.getByRole('checkbox', { name: /^In line/ }).check()
  await saved(page)
  await page.reload()
  await page.getByText('How pieces match').click()
  await expect(page.getByRole('checkbox', { name: /^In line/ })).toBeChecked()
})

test('remnants are used first; the cloth on the table is measured, and too little is told', async ({ page }) => {
  await beginPanel(page, 'Stock', '29 1/4')
  await page.keyboard.press('Alt+4')
  await about(page, 'Remnants and part rolls that are there')
  await page.getByRole('button', { name: 'Add a remnant' }).click()
  await page.getByLabel('Called', { exact: true }).fill('blue bin')
  await field(page, '.stock.0.length').fill('a yard or so')
  await told(page, 'For example')
  await field(page, '.stock.0.length').fill('31')
  // One square of 30 goes on the remnant, the other is bought: 30 in.
  await expect(page.getByTestId(/^laid-/)).toHaveText('0.84 yd')
  await expect(page.locator('[data-part=end-name]').first()).toHaveText('blue bin')
  await page.getByText('Cutting list', { exact: true }).click()
  await expect(page.getByRole('row', { name: /on blue bin/ })).toHaveCount(1)
  await page.getByRole('button', { name: 'Look for some in other jobs' }).click()
  // Other tests' jobs may have some.
  await expect(page.getByText(/No other job has cut all of a cloth| left\. /).first()).toBeVisible()
  await page.getByText('At the table').click()
  await field(page, '.measuredLength').fill('26 1/2')
  await field(page, '.squaring').fill('1 1/2')
  await told(page, '5 in too short')
  await page.keyboard.press('Escape')
  await page.keyboard.press('Alt+5')
  await field(page, '.leastCut').fill('2 yd')
  await expect(page.getByRole('row', { name: /The least the shop cuts/ })).toContainText('2 yd')
  await expect(page.getByTestId(/^bought-/)).toContainText('2 yd')
  // 2 yd at 20 are 40; from 3 yd on at 5 they are 15.
  await field(page, '.price').fill('20')
  await page.getByRole('button', { name: 'Another price from a length on' }).click()
  await field(page, '.prices.0.from').fill('3 yd')
  await field(page, '.prices.0.price').fill('five')
  await told(page, 'a price is needed')
  await field(page, '.prices.0.price').fill('5')
  await expect(page.getByText('3 yd would cost less')).toContainText('15.00')
  await saved(page)
})

test('cloth folded double and torn across; a closer look', async ({ page }) => {
  await beginPanel(page, 'Double', '9 1/4')
  await page.getByLabel('How many').fill('2')
  await page.keyboard.press('Escape')
  await page.keyboard.press('Alt+4')
  await expect.poll(() => page.locator('[data-laid]').count()).toBe(4)
  await about(page, 'Folding, gap, shrinkage, how it behaves')
  // Two pairs of 10 x 10 beside each other on the half of 53 in.
  await page.getByText('folded double', { exact: true }).click()
  await expect(page.getByText('Folded double, as far as')).toBeVisible()
  await expect(page.getByTestId(/^laid-/)).toHaveText('0.28 yd')
  await expect(page.locator('[data-part=fold]')).toBeAttached()
  // Ticked off as cut, without a word about pins, which folded cloth has none of.
  await page.getByText('Cutting list', { exact: true }).click()
  await page.getByRole('checkbox', { name: /number 1, is cut/ }).check()
  await expect(page.getByText('1 of 4 cut')).toBeVisible()
  await expect(page.getByText('no longer pinned')).toHaveCount(0)
  await about(page, 'Repeat and match')
  await field(page, '.repeatAcross').fill('3')
  await told(page, 'cannot be matched to a repeat')
  await page.getByText('torn across', { exact: true }).click()
  await expect(page.locator('[data-part=fold]')).toHaveCount(0)
  const drawing = page.locator('[data-part=spread]')
  const wide = (await drawing.boundingBox())!.width
  await page.getByRole('button', { name: /nearer$/ }).click()
  await expect.poll(async () => (await drawing.boundingBox())!.width).toBeGreaterThan(wide * 1.4)
  await page.getByRole('region', { name: /along the cloth$/ }).focus()
  await page.keyboard.press('-')
  await expect.poll(async () => (await drawing.boundingBox())!.width).toBeCloseTo(wide, 0)
  await saved(page)
})

test('a cloth shows a weave, and a photo of itself once it is straightened', async ({ page }) => {
  await beginPanel(page, 'Looks', '29 1/4')
  await page.keyboard.press('Alt+4')
  await about(page, 'What it looks like')
  const look = () => page.locator('[data-part=spread] pattern image').first()
  await page.getByRole('button', { name: 'herringbone' }).click()
  await expect(look()).toHaveAttribute('href', /print=herringbone/)
  await expect(page.getByText('Drawn as large as such cloth usually is')).toBeVisible()
  // A picture of 400 x 300, drawn here: what is in it is all one to this test.
  const png = await page.evaluate(() => {
    const canvas = Object.assign(document.createElement('canvas'), { width: 400, height: 300 })
    canvas.getContext('2d')!.fillRect(40, 40, 200, 120)
    return canvas.toDataURL('image/png').split(',')[1] ?? ''
  })
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'cloth.png', mimeType: 'image/png', buffer: Buffer.from(png, 'base64') })
  const photo = page.getByRole('dialog', { name: /^A photo of/ })
  await expect(photo.getByRole('button', { name: /^top left/ })).toBeVisible()
  await told(page, 'how large is the cloth between the four corners?')
  await field(page, '.picture.across').fill('thirty')
  await told(page, 'For example')
  await field(page, '.picture.across').fill('30')
  await field(page, '.picture.along').fill('20')
  // A corner is moved by the arrow keys; the straightened cloth follows.
  const before = await look().getAttribute('href')
  await photo.getByRole('button', { name: /^top left/ }).focus()
  await page.keyboard.press('ArrowRight')
  await expect(photo.getByRole('img', { name: 'The cloth, straightened' })).toBeVisible()
  await expect.poll(() => look().getAttribute('href')).not.toBe(before)
  await expect(look()).toHaveAttribute('href', /photo=/)
  await page.keyboard.press('Escape')
  await saved(page)
  await page.reload()
  await expect(look()).toHaveAttribute('href', /photo=/)
  await about(page, 'What it looks like')
  await page.getByRole('button', { name: 'Draw it instead' }).click()
  await expect(look()).toHaveAttribute('href', /print=herringbone/)
})
