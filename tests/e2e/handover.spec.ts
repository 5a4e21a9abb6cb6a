import type { Page } from '@playwright/test'
import {
  beginCushion,
  beginItem,
  expect,
  goTo,
  line,
  makeUp,
  measure,
  outline,
  printed,
  saved,
  test,
  turn,
} from './workroom'

const steps = (page: Page) => page.getByRole('list', { name: 'Steps' }).getByRole('button')

// A picture that the page itself makes: wide, its left half light.
const picture = async (page: Page) =>
  Buffer.from(
    await page.evaluate(() => {
      const canvas = document.createElement('canvas')
      ;[canvas.width, canvas.height] = [640, 320]
      const on = canvas.getContext('2d')!
      on.fillStyle = '#efd98a'
      on.fillRect(0, 0, 320, 320)
      return canvas.toDataURL('image/jpeg').split(',')[1] ?? ''
    }),
    'base64',
  )

test('a step of the maker’s own stands where it was put, an order that the seams forbid is refused, and new covers begin with it', async ({
  page,
}) => {
  await beginCushion(page, 'Own way', '14', '12', '4')
  await goTo(page, 'make-up')
  await makeUp(page, 'Separate boxing strip')
  await goTo(page, 'make')
  await expect(turn(page)).toBeVisible()
  const before = await steps(page).count()
  await steps(page).filter({ hasText: 'Sew the zip between' }).click()
  await page.getByText('Your own way').click()
  await page.getByLabel('A step of yours after this one').fill('Press it over the sleeve roll.')
  await page.keyboard.press('Enter')
  await expect(steps(page)).toHaveCount(before + 1)
  await expect(steps(page).filter({ hasText: 'Press it over the sleeve roll' })).toBeVisible()
  // The ring is joined over the ends of the zip: it cannot come first.
  await page.getByRole('button', { name: 'Do it later' }).click()
  await page.getByRole('button', { name: 'Do it later' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'The order is not taken up' })).toContainText(
    'crosses the end',
  )
  await page.getByRole('button', { name: 'Take it back' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'The order is not taken up' })).toHaveCount(0)
  await page.getByLabel('What to think of here every time').fill('Slider to the left.')
  await expect(turn(page)).toContainText('Your way: Slider to the left.')
  await page.getByRole('button', { name: 'Keep it for every such cover' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'new covers of this kind begin with it' })).toBeVisible()
  // Another job begins with it; then the usual way is back for all.
  await beginCushion(page, 'Own way again', '14', '12', '4')
  await goTo(page, 'make-up')
  await makeUp(page, 'Separate boxing strip')
  await goTo(page, 'make')
  await expect(turn(page)).toBeVisible()
  await page.evaluate(() =>
    fetch('/api/ways/box-cushion-strip', {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ steps: [] }),
    }),
  )
})

test('three fits propose a tuck, which is used here and from now on; what was refused is not asked again', async ({
  page,
}) => {
  await beginItem(page, 'Bunk', 'Mattress, bed or cot')
  await measure(page, { W: '31 1/2', L: '74', T: '7' })
  await expect(page.getByTestId('to-buy')).toBeVisible()
  await goTo(page, 'make')
  await steps(page).filter({ hasText: 'Try it on before hem' }).click()
  await page.getByText('Log a change of fit').click()
  for (const [n, found] of ['4', '40', '4 1/2'].entries()) {
    await page.getByLabel('Where it was changed').fill('all round')
    await page.getByLabel('By how much').fill('1')
    await page.getByLabel('Why', { exact: true }).fill('came off at night')
    if (n === 0) {
      await page.getByRole('combobox', { name: 'What should have been entered otherwise' }).click()
      await page.locator('.ant-select-item-option').getByText('Tuck beneath', { exact: true }).click()
    }
    await page.getByLabel('It should have been').fill(found)
    await page.getByRole('button', { name: 'Log it' }).click()
    await expect(page.getByText(`Log of fits · ${n + 1}`)).toBeVisible()
  }
  await goTo(page, 'make-up')
  const learnt = page.getByRole('region', { name: 'From your own fits' })
  // The middle of 4, 4 1/2 and 40: the wild one changes nothing.
  await expect(learnt).toContainText('your last 3 fits')
  await expect(learnt).toContainText('4 1/2')
  await learnt.getByRole('button', { name: 'Here and from now on' }).click()
  await expect(learnt.getByRole('status')).toContainText('begin with it')
  await expect(page.getByRole('region', { name: 'What can be chosen' })).toContainText('tuck beneath: 4 1/2')
  const begun = await page.evaluate(async () => {
    const reply = await fetch('/api/items', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ id: 'x', name: 'x', makeUp: 'fitted-sheet', unit: 'in', from: null }),
    })
    return ((await reply.json()) as { choices: { tuck: { typed: string } } }).choices.tuck.typed
  })
  expect(begun).toBe('4 1/2')
  // Other tests begin such covers as is usual.
  await page.evaluate(() =>
    fetch('/api/learnt/fitted-sheet', {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ field: 'choices.tuck', cloth: '', from: 3, answer: 'Usual', entry: null }),
    }),
  )
})

test('photos of before and after: taken, drawn on with number and arrow, and still there after a reload', async ({
  page,
}) => {
  await beginCushion(page, 'Settle, photographed', '20', '18', '3')
  await goTo(page, 'hand-over')
  const photos = page.getByRole('region', { name: 'Photos' })
  await photos
    .getByLabel('Camera')
    .setInputFiles({ name: 'after.jpg', mimeType: 'image/jpeg', buffer: await picture(page) })
  const seen = photos.getByRole('button', { name: /^Look at it/ })
  await expect(seen).toHaveCount(1)
  await seen.click()
  const drawing = page.getByRole('application', { name: 'Draw on the photo' })
  await expect(drawing.getByRole('img')).toHaveJSProperty('complete', true)
  const box = (await drawing.boundingBox())!
  await page.mouse.move(box.x + 40, box.y + 40)
  await page.mouse.down()
  await page.mouse.move(box.x + 160, box.y + 90, { steps: 4 })
  await page.mouse.up()
  // Only touched, a line is none.
  await page.mouse.click(box.x + 200, box.y + 40)
  await page.getByRole('dialog').getByText('Number', { exact: true }).click()
  await page.mouse.click(box.x + 240, box.y + 100)
  await page.mouse.click(box.x + 300, box.y + 100)
  await page.getByRole('button', { name: 'Take the last away' }).click()
  await page.getByRole('button', { name: 'Keep what is drawn' }).click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await photos.getByText('before', { exact: true }).click()
  await page.reload()
  await expect(seen.locator('svg path')).toHaveCount(2)
  await expect(seen.locator('svg text')).toHaveText(['1'])
  await expect(photos.getByRole('radio', { name: 'before' })).toBeChecked()
  // In little, as wide as it is.
  expect(
    await seen.getByRole('img').evaluate((image: HTMLImageElement) => [image.naturalWidth, image.naturalHeight]),
  ).toEqual([320, 160])
  await photos
    .getByLabel('Camera')
    .setInputFiles({ name: 'notes.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') })
  await expect(photos.getByRole('alert')).toContainText('neither a JPEG, PNG nor WebP picture')
})

test('what is cut is ticked in its step, what is left is measured, and the making sheet prints', async ({ page }) => {
  await beginCushion(page, 'Cut here', '20', '18', '3')
  await goTo(page, 'make')
  const cut = page.getByRole('list', { name: 'Cut list' })
  await expect(cut.getByRole('checkbox').first()).toBeEnabled()
  for (const tick of await cut.getByRole('checkbox').all()) await tick.check()
  await expect(turn(page)).toContainText(/One stack: 1a/)
  const left = page.getByRole('group', { name: /^What is left of/ })
  await expect(left).toContainText('By the lay')
  await left.getByRole('button', { name: 'Measure a remnant' }).click()
  await left.locator('[data-field$=".length"]').fill('some')
  await left.locator('[data-field$=".width"]').fill('24')
  await page.keyboard.press('Tab')
  await expect(left.getByRole('alert')).toContainText('For example 18 1/2')
  await left.locator('[data-field$=".length"]').fill('18 1/2')
  await left.getByLabel('Put where').fill('shelf 2')
  await expect(left.getByRole('alert')).toHaveCount(0)
  await saved(page)
  await page.reload()
  await expect(left.getByLabel('Put where')).toHaveValue('shelf 2')
  const { text } = await printed(page, 'Print the making sheet')
  expect(text).toContain('Cut here')
  expect(text).toMatch(/1 +Cut the piece and its corner cut-outs/)
  expect(text).toContain('Take care. Shears and rotary cutters')
  expect(text).toMatch(/mid-depth: from the middle of its teeth[^]*left\s+end[^]*right end/)
  expect(text).not.toContain('Cloth to buy')
})

test('a record that went out is opened again to be corrected, and the customer’s sheet has room to sign', async ({
  page,
}) => {
  await beginCushion(page, 'Signed', '20', '18', '3')
  await page.getByLabel('Customer').fill('Barge Marigold')
  await goTo(page, 'hand-over')
  await expect(page.getByText(/^Not said yet:/)).toContainText('whether the cover is loose or fixed')
  await page.getByText('Loose, comes off', { exact: true }).click()
  await page.getByText('Original', { exact: true }).click()
  await page.getByText('None', { exact: true }).last().click()
  await page.getByRole('button', { name: 'its zip' }).click()
  await page
    .getByRole('button', { name: 'Nothing is stated' })
    .or(page.getByRole('button', { name: 'No statement' }))
    .click()
  // The workroom's own words, for every job from now on.
  await page.getByText('Change the statements to begin from').click()
  await page.getByRole('button', { name: 'Another statement' }).click()
  await page.getByLabel('What the statement is called').last().fill('Ours')
  await page.getByLabel('Statement: Ours').fill('As agreed on [date].')
  await page.getByRole('button', { name: 'Keep the statements' }).click()
  await expect(page.getByText('Kept for every job.')).toBeVisible()
  await page.getByRole('button', { name: 'Ours', exact: true }).click()
  await expect(page.getByText('Still to be filled in: [date]')).toBeVisible()
  await page.getByRole('button', { name: 'No statement' }).click()
  await page.getByLabel('On', { exact: true }).fill('2026-11-20')
  await page.getByRole('button', { name: /^Hand over / }).click()
  await expect(page.getByText(/^Handed over on 2026-11-20/)).toBeVisible()
  await page.getByText('Hand-over sheet', { exact: true }).click()
  const { text } = await printed(page, 'Print it for all')
  for (const said of [
    'Barge Marigold',
    '2026-11-20',
    'Fillings original',
    'Opens at its zip',
    'Received, as described',
  ])
    expect(text.replace(/ +/g, ' ')).toContain(said)
  await page.getByRole('button', { name: 'Correct it' }).click()
  await page.getByLabel('Notes', { exact: true }).fill('Air it twice a year.')
  await page.getByRole('button', { name: /^Hand over / }).click()
  await expect(page.getByText('All handed over.')).toBeVisible()
  await page.getByText('Care card', { exact: true }).click()
  await expect(page.getByRole('group', { name: /^Care card/ })).toContainText('Air it twice a year.')
  const { pdf: card } = await printed(page, 'Print it for all')
  expect(outline(card).wide - line).toBeCloseTo(105, 0)
  expect(outline(card).high - line).toBeCloseTo(148, 0)
})
