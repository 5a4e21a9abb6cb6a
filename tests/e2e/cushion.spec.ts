import { about, begin, beginCushion, expect, field, saved, test, told, unfold } from './workroom'

// The handbook's inner, from nothing to the buying figure, without the mouse.
test('a new user gets from nothing to the buying figure by keyboard alone', async ({ page }) => {
  await begin(page, 'Reading room bench')
  await page.keyboard.type('Bench cushion')
  await page.keyboard.press('Enter')
  await expect(field(page, 'measures.W')).toBeVisible()
  // A digit typed with nothing in focus goes to the first size.
  await page.keyboard.type('46 1/2')
  await page.keyboard.press('Enter')
  await page.keyboard.type('19 1/4')
  await page.keyboard.press('Enter')
  await page.keyboard.type('4')
  await page.keyboard.press('Escape')
  await expect(page.getByTestId('to-buy')).toBeVisible()
  // Once every size is there a stray digit replaces none.
  await page.keyboard.type('7')
  await expect(field(page, 'measures.W')).toHaveValue('46 1/2 in')

  // The other school and back, reached by Tab and chosen by Enter.
  await page.keyboard.press('Alt+2')
  for (const [school, tab] of [
    [/^Separate boxing strip/, 'Tab'],
    [/^One piece, folded/, 'Shift+Tab'],
  ] as const) {
    const choose = page.getByRole('button', { name: school })
    await expect(choose).toBeVisible()
    for (let tabs = 0; tabs < 25 && !(await choose.evaluate((button) => button === document.activeElement)); tabs++)
      await page.keyboard.press(tab)
    await page.keyboard.press('Enter')
    await expect(choose).toHaveAttribute('aria-pressed', 'true')
  }

  // 47 1/2 in of 54 in cloth = 1.32 yd: 1 3/8 yd bought.
  await expect(page.getByTestId('to-buy')).toHaveText('1 3/8 yd')
  await page.keyboard.press('Alt+5')
  await expect(page.getByRole('row', { name: /To buy, rounded up/ })).toContainText('1 3/8 yd')
  await expect(page.getByRole('row', { name: /To buy, rounded up/ })).toContainText('1.26 m') // 1.375 x 0.9144, up to the hundredth
  await saved(page)

  await page.reload()
  await expect(page.getByTestId('to-buy')).toHaveText('1 3/8 yd')
})

test('of two schools pressed one after the other the last one stands, whichever is answered first; a dead server is told', async ({
  page,
}) => {
  await begin(page, 'Hasty bench')
  await page.keyboard.type('Bench cushion')
  await page.keyboard.press('Enter')
  await expect(field(page, 'measures.W')).toBeVisible()
  await page.keyboard.press('Alt+2')
  const strip = page.getByRole('button', { name: /^Separate boxing strip/ })
  const folded = page.getByRole('button', { name: /^One piece, folded/ })
  await expect(folded).toHaveAttribute('aria-pressed', 'true')
  // The first is answered a second late.
  let late = true
  await page.route('**/api/items', async (route) => {
    if (late) {
      late = false
      await new Promise((go) => setTimeout(go, 1000))
    }
    await route.continue()
  })
  await strip.click()
  await folded.click()
  await page.waitForTimeout(2000)
  await expect(folded).toHaveAttribute('aria-pressed', 'true')
  await page.unroute('**/api/items')
  await page.route('**/api/items', (route) => route.abort())
  await strip.click()
  await expect(page.getByRole('alert').first()).toBeVisible()
  await expect(folded).toHaveAttribute('aria-pressed', 'true')
})

test('the worked examples come out on screen, each cut size with its working', async ({ page }) => {
  await page.goto('/jobs/demo-window-bench/pieces')
  const size = (name: string) =>
    page.getByRole('region', { name: 'Sizes' }).getByRole('button', { name: new RegExp(`^${name}`) })
  await expect(size('cut width')).toContainText('47 1/2 in')
  await expect(size('cut length')).toContainText('20 1/4 in')
  await size('cut width').hover()
  await expect(page.getByText('cut width = W + 2 × s = 46 1/2 + 2 × 1/2 = 47 1/2')).toBeVisible()
  // Strips lie as the panels, 53 in across at the most: 16 1/4 + 46 1/2 + 16 1/4 of boxing, joined at the front corners.
  await page.getByRole('button', { name: /boxing, length 2/ }).click()
  await expect(size('cut length')).toContainText('47 1/2 in')
  await size('cut depth').focus()
  await expect(page.getByText('D = T − e = 4 − 1/4 = 3 3/4')).toBeVisible()
  await page.getByRole('button', { name: /boxing, length 3/ }).click()
  await expect(size('cut length')).toContainText('17 1/4 in')
  await page.getByRole('button', { name: /zip strip, half, centre/ }).click()
  await expect(size('cut height')).toContainText('3 1/8 in')
  await expect(page.getByText('all seams match')).toBeVisible()
})

test('a deeper boxing changes pieces, lay, cloth to buy and the difference in one go', async ({ page }) => {
  await beginCushion(page, 'Deeper', '46 1/2', '19 1/4', '4')
  await expect(page.getByTestId('to-buy')).toHaveText('1 3/8 yd')
  let loads = 0
  page.on('load', () => loads++)
  await field(page, 'measures.T').fill('5 1/4')
  await expect(page.getByTestId('to-buy')).toHaveText('1 1/2 yd')
  await expect(page.getByTestId('change')).toHaveText('+1/8 yd')
  await page.keyboard.press('Escape')
  await page.keyboard.press('Alt+3')
  await expect(page.getByRole('button', { name: /^cut length/ })).toContainText('50 in')
  await page.keyboard.press('Alt+4')
  await expect(page.getByText('1.39 yd').first()).toBeVisible() // 50 in
  expect(loads).toBe(0)
})

test('the pad writes whole inches and eighths, and millimetres in a metric job', async ({ page }) => {
  await begin(page, 'Pad')
  await page.keyboard.press('Enter')
  const pad = page.getByRole('group', { name: 'Pad' })
  for (const key of ['4', '6', '1/2']) await pad.getByRole('button', { name: key, exact: true }).click()
  await expect(field(page, 'measures.W')).toHaveValue('46 1/2')
  await pad.getByRole('button', { name: '5/8' }).click()
  await expect(field(page, 'measures.W')).toHaveValue('46 5/8')
  await pad.getByRole('button', { name: 'Next line' }).click()
  await page.getByText('cm', { exact: true }).first().click()
  for (const key of ['4', '8', '9', 'mm']) await pad.getByRole('button', { name: key, exact: true }).click()
  await page.keyboard.press('Escape')
  await expect(field(page, 'measures.L')).toHaveValue('48.9 cm')
})

test('switching the unit changes no size', async ({ page }) => {
  await page.goto('/jobs/demo-marigold/measure')
  const width = field(page, 'measures.W')
  await expect(width).toHaveValue('188 cm')
  const bought = await page.getByTestId('to-buy').textContent()
  await page.getByText('1/16 in', { exact: true }).first().click()
  await expect(width).toHaveValue('74 in')
  await expect(page.getByText('1/64 over')).toBeVisible() // 188 cm = 74.0157 in
  await width.focus()
  await page.keyboard.press('Escape')
  await page.getByText('cm', { exact: true }).first().click()
  await expect(width).toHaveValue('188 cm')
  await expect(page.getByTestId('to-buy')).toHaveText(bought ?? '')
})

test('what cannot be read is refused beside its field with an example, and nothing is cleared', async ({ page }) => {
  await beginCushion(page, 'Wrong', '30', '20', '4')
  await page.getByRole('button', { name: '+ corner radius' }).click()
  for (const [key, typed, reason] of [
    ['measures.W', 'abc', 'no number'],
    ['measures.W', '-3', 'negative'],
    ['measures.L', '19 1/0', '0 below the line'],
    ['measures.L', '900 ft', 'over 50 ft'],
    ['measures.L', '1/128', 'finer than 1/64'],
    ['measures.T', '1', 'not over two seam allowances'],
    ['measures.r', '11', 'half the shorter side'],
  ] as const) {
    const before = await field(page, key).inputValue()
    await field(page, key).fill(typed)
    await expect(page.getByRole('alert').filter({ hasText: reason })).toContainText('For example')
    await expect(field(page, key)).toHaveAttribute('aria-invalid', 'true')
    await page.keyboard.press('Escape')
    await expect(page.getByRole('navigation', { name: 'Stages' })).toContainText('1 to check')
    if (key === 'measures.r') break
    await field(page, key).fill(before.replace(' in', ''))
    await expect(field(page, key)).toHaveAttribute('aria-invalid', 'false')
  }
  await saved(page)
  await page.reload()
  await expect(field(page, 'measures.r')).toHaveValue('11')
})

test('a cloth narrower than the widest piece is told on Lay with one that would do', async ({ page }) => {
  await beginCushion(page, 'Narrow', '46 1/2', '19 1/4', '4')
  await page.keyboard.press('Alt+4')
  await about(page)
  const width = page.getByLabel('Width, edge to edge')
  await width.fill('36')
  await told(page, 'as it lies it is cut 51 1/4 in across and there are 35 in between the selvedges')
  await told(page, 'For example 52 1/4')
  await expect(width).toHaveValue('36')
})

test('choices, an edge of its own and the price all reach the purchase', async ({ page }) => {
  await beginCushion(page, 'Choices', '30', '20', '4')
  await page.keyboard.press('Alt+2')
  await unfold(page)
  await page.getByText('Square = drop').click()
  await expect(page.getByText('Top finishes 1 in smaller each way')).toBeVisible()
  await page.getByText('Round the corners').click()
  await expect(field(page, 'choices.zipTurn')).toBeVisible()
  await page.keyboard.press('Alt+3')
  const size = (name: string) => page.getByRole('button', { name: new RegExp(`^${name}`) })
  await expect(size('cut length')).toContainText('48 1/2 in') // D 3 3/4: 40 + 7 1/2 + 2 x 1/2
  await page.getByText('Allowance of each edge').click()
  await field(page, 'allowances.cover/zip lower').fill('1 1/2')
  await expect(size('cut length')).toContainText('49 1/2 in')
  await page.keyboard.press('Escape')
  await page.keyboard.press('Alt+5')
  // 49 1/2 in is 1 3/8 yd to the thread: nothing left over.
  await expect(page.getByRole('row', { name: /Left over/ })).toContainText('0.00 yd')
  await page.getByRole('textbox', { name: 'Price' }).fill('twenty')
  await told(page, 'a price is needed')
  await saved(page)
  await page.reload()
  await expect(page.getByRole('textbox', { name: 'Price' })).toHaveValue('twenty') // kept, to be mended
  await page.getByRole('textbox', { name: 'Price' }).fill('20')
  await expect(page.getByRole('row', { name: /^Cost/ })).toContainText('£27.50')
  await page.getByLabel('Safety margin').fill('1')
  await expect(page.getByRole('row', { name: /To buy, rounded up/ })).toContainText('1 1/2 yd')
  await expect(page.getByRole('row', { name: /^Cost/ })).toContainText('£30.00')
})

test('a number of covers that is none is told and kept', async ({ page }) => {
  await beginCushion(page, 'How many', '30', '20', '4')
  await page.getByLabel('How many').fill('-3')
  await told(page, 'a whole number from 1 to 500 is needed')
  await saved(page)
  await page.reload()
  await expect(page.getByLabel('How many')).toHaveValue('-3')
})
