import type { Page } from '@playwright/test'
import { execFileSync } from 'node:child_process'
import {
  beginCushion,
  beginItem,
  checks,
  expect,
  field,
  goTo,
  line,
  makeUp,
  measure,
  onward,
  outline,
  printed,
  saved,
  Server,
  step,
  test,
  turn,
  unfold,
} from './workroom'

const done = async (page: Page) =>
  Number(/(\d+) of/.exec((await page.getByText(/^\d+ of \d+ steps done$/).textContent()) ?? '')?.[1])

test('two cushions go from the first cut to the printed label by space, digits and Enter, the server killed twice on the way', async ({
  page,
}) => {
  const room = await Server.start(false)
  await fetch(`${room.url}/api/workroom`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ name: 'Attic', unit: 'in', words: {} }),
  })
  await page.goto(room.url)
  await page.getByLabel('A new job').fill('Bay')
  await page.keyboard.press('Enter')
  await page.getByRole('combobox', { name: 'What is covered?' }).fill('cush')
  await page.keyboard.press('Enter')
  await expect(field(page, 'measures.W')).toBeFocused()
  for (const size of ['20', '18', '4']) {
    await page.keyboard.type(size)
    await page.keyboard.press('Enter')
  }
  await makeUp(page, 'Separate boxing strip')
  await page.getByRole('button', { name: 'Same again' }).click()
  await page.keyboard.press('Alt+6')
  await expect(turn(page)).toBeVisible()
  await expect(step(page)).toContainText('Cut all pieces')
  await expect(page.getByRole('list', { name: 'Cautions' })).toContainText('cut away from the hand')
  // Nothing of it was done: all of one kind of work first, on both.
  const steps = page.getByRole('list', { name: 'Steps' })
  await expect(steps.getByRole('button').nth(1)).toContainText('Cut all pieces')
  let killed = 0
  const all = await steps.getByRole('button').count()
  for (let turns = 0; turns < all; turns++) {
    if (turns === 4 || turns === 12) {
      // What is shown of it comes a moment after it was done.
      await expect.poll(() => done(page)).toBe(turns)
      await room.kill()
      killed = turns
      await page.keyboard.press((await checks(page))[0]?.digit ?? 'PageUp')
      await room.resume()
      await saved(page)
      await page.reload()
      await expect(turn(page)).toBeVisible()
      await expect.poll(() => done(page)).toBe(killed)
    }
    if (/bottom panel/.test((await step(page).textContent()) ?? '')) {
      await expect(turn(page)).toContainText('Right sides together')
      await expect(page.getByRole('region', { name: 'Checks' })).toContainText('Opposite corners stand in line')
    }
    if (turns === all - 1) {
      for (const { digit } of await checks(page)) await page.keyboard.press(digit)
      await page.keyboard.press('Space')
      break
    }
    await onward(page)
  }
  expect(killed).toBeGreaterThan(8)
  await page.getByRole('button', { name: 'All made: hand over' }).press('Enter')
  // What is said of them, and the label at its true size: 2 3/4 in by 1 1/2 in, which its few lines fill.
  await expect(page.getByRole('group', { name: /^Labels/ }).locator('img')).toBeVisible()
  await expect(page.getByText(/Not said yet:.*the batch of/)).toBeVisible()
  await page.getByLabel('Batch or dye lot').first().fill('SW 4411')
  await page.getByRole('button', { name: 'Wash at 30 °C at the most' }).first().click()
  await page.getByLabel('Where they go').fill('East bay')
  await page.getByRole('button', { name: 'Hand over all 2' }).press('Enter')
  await expect(page.getByText('All handed over.')).toBeVisible()
  await saved(page)
  const { pdf, text } = await printed(page, 'Print it for all')
  expect(text.match(/batch SW 4411/g)).toHaveLength(2)
  expect(text).toMatch(/20 x 18 x 3 3\/4 in/)
  expect(text).not.toContain('Cloth to buy')
  const size = outline(pdf)
  expect(size.wide - line).toBeCloseTo(69.85, 0)
  expect(size.high - line).toBeCloseTo(38.1, 0)
  // Found again by its batch, and still as it was said when the cloth is called otherwise.
  await page.goto(room.url)
  await page.getByText('handed over', { exact: true }).click()
  await page.getByLabel('Find a job').fill('4411 bay')
  await expect(page.getByRole('list', { name: 'Handed over' }).getByRole('listitem')).toHaveCount(2)
  await room.stop()
})

test('a long statement and a small label: nothing is cut off, in centimetres', async ({ page }) => {
  await beginItem(page, 'Berth', 'Cushion or seat pad', 'cm')
  await measure(page, { W: '60', L: '50', T: '8' })
  await expect(page.getByTestId('to-buy')).toBeVisible()
  await goTo(page, 'hand-over')
  const words = Array.from({ length: 60 }, (_, n) => `word${n}`).join(' ')
  await page.getByLabel('Flammability, as you state it').fill(`${'unbroken'.repeat(12)} ${words} [the rule] last.`)
  await expect(page.getByText('Still to be filled in: [the rule]')).toBeVisible()
  await field(page, 'handOver.labelWidth').fill('wide')
  await page.keyboard.press('Tab')
  await expect(page.getByRole('alert').filter({ hasText: 'For example 7' })).toBeVisible()
  await field(page, 'handOver.labelWidth').fill('5.5')
  await page.keyboard.press('Tab')
  const label = page.getByRole('group', { name: /^Labels/ })
  await expect(label).toContainText('last.')
  // As large on the screen as on the label.
  await expect
    .poll(() => label.locator('img').evaluate((drawn) => Math.round(drawn.getBoundingClientRect().width)))
    .toBe(Math.round((5.5 / 2.54) * 96))
  const { pdf } = await printed(page, 'Print it for all')
  const text = execFileSync('pdftotext', ['-raw', pdf, '-'], { encoding: 'utf8' }).replace(/\s+/g, ' ')
  expect(text).toContain('word0')
  expect(text).toContain('last.')
  expect(text).toContain('60 x 50 x')
  const size = outline(pdf)
  expect(size.wide - line).toBeCloseTo(55, 0)
  expect(size.high).toBeGreaterThan(50)
})

test('by touch on a tablet: nothing is trimmed before it was tried on, and what is off is decided', async ({
  browser,
  server,
}) => {
  const page = await (
    await browser.newContext({ viewport: { width: 820, height: 1180 }, hasTouch: true, baseURL: server.url })
  ).newPage()
  await beginCushion(page, 'Settle', '22', '20', '4')
  await goTo(page, 'make-up')
  await unfold(page)
  await page.getByRole('region', { name: 'What can be chosen' }).getByText('Stitch off, then trim').click()
  await goTo(page, 'make')
  await expect(turn(page)).toBeVisible()
  const next = page.getByRole('button', { name: /^Done, next/ })
  while (!/try it on/.test((await step(page).textContent()) ?? '')) {
    const at = await turn(page).getAttribute('data-turn')
    await next.tap()
    await expect(turn(page)).not.toHaveAttribute('data-turn', at ?? '')
  }
  const tried = await turn(page).getAttribute('data-turn')
  await next.tap()
  await expect(page.getByText('Answer this first')).toBeVisible()
  await page.getByRole('button', { name: 'No', exact: true }).tap()
  await expect(page.getByRole('alert')).toContainText('what is trimmed cannot be let out')
  await page.getByRole('button', { name: /Do it again/ }).tap()
  await next.tap()
  await expect(turn(page)).toHaveAttribute('data-turn', tried ?? '')
  await page.getByRole('button', { name: 'Yes', exact: true }).tap()
  await next.tap()
  await expect(step(page)).toContainText('Trim the corners')
  await page.context().close()
})

test('the time goes along from step to step, survives a reload and another device, and is set right by hand', async ({
  page,
  browser,
  server,
}) => {
  await beginCushion(page, 'Stool', '15', '15', '3')
  await goTo(page, 'make')
  await page.getByRole('button', { name: 'Start the time' }).click()
  await expect(page.getByRole('timer')).not.toHaveText('0:00')
  await saved(page)
  await page.reload()
  await expect(page.getByRole('button', { name: 'Stop the time' })).toBeVisible()
  const other = await (await browser.newContext({ baseURL: server.url })).newPage()
  await other.goto(page.url())
  await expect(other.getByRole('button', { name: 'Stop the time' })).toBeVisible()
  await expect(other.getByRole('list', { name: 'Steps' })).toContainText('timed')
  await other.context().close()
  await page.keyboard.press('Space')
  await expect(step(page)).not.toContainText('Cut')
  await expect(page.getByRole('button', { name: 'Stop the time' })).toBeVisible()
  await page.getByRole('button', { name: 'Stop the time' }).click()
  await page.getByRole('button', { name: 'Set it right' }).click()
  await page.getByLabel('It really took').fill('an hour')
  await expect(page.getByRole('alert').filter({ hasText: 'For example 1 h 10' })).toBeVisible()
  await page.getByLabel('It really took').fill('1:10')
  await expect(page.getByRole('timer')).toHaveText('1:10:00')
  await saved(page)
})
