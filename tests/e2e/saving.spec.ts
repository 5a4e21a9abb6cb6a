import type { Page, Route } from '@playwright/test'
import { begin, beginCushion, expect, field, saved, test } from './workroom'

// What a maker loses nothing by: a browser that keeps nothing, two pages at once, lost replies, undo in between.

const width = (page: Page) => field(page, 'measures.W')
const depth = (page: Page) => field(page, 'measures.L')
const saving = (page: Page) => page.getByTestId('saving')

/** A job with one box cushion 30 wide, saved. */
async function cushion(page: Page, name: string) {
  await begin(page, name)
  await page.keyboard.press('Enter')
  await width(page).fill('30')
  await saved(page)
}

async function opened(page: Page, url: string) {
  await page.goto(url)
  await expect(width(page)).toBeVisible()
}

for (const [how, script] of [
  [
    'full',
    () => {
      Storage.prototype.setItem = () => {
        throw new DOMException('full', 'QuotaExceededError')
      }
    },
  ],
  [
    'forbidden',
    () => {
      Object.defineProperty(window, 'localStorage', {
        get: () => {
          throw new DOMException('no', 'SecurityError')
        },
      })
    },
  ],
] as const)
  test(`with a ${how} browser store everything is saved, and what is not kept is told`, async ({ page, server }) => {
    await page.addInitScript(script)
    await cushion(page, `Store ${how}`)
    await server.kill()
    await depth(page).fill('20')
    await expect(saving(page)).toContainText('This browser does not let them be kept')
    await server.resume()
    await saved(page)
    await page.reload()
    await expect(depth(page)).toHaveValue('20 in')
  })

test('two pages that the server left alone lose nothing, whichever is closed', async ({ page, context, server }) => {
  await cushion(page, 'Two pages')
  const other = await context.newPage()
  await opened(other, page.url())
  await server.kill()
  await width(page).fill('31')
  await depth(other).fill('21')
  await expect(saving(page)).toContainText('Not saved yet')
  await expect(saving(other)).toContainText('Not saved yet')
  const url = page.url()
  await other.close()
  await server.resume()
  await saved(page)
  // The other page is gone: whoever opens the job next takes up what it had kept.
  const third = await context.newPage()
  await opened(third, url)
  await saved(third)
  await expect(depth(third)).toHaveValue('21 in')
  await third.reload()
  await expect(width(third)).toHaveValue('31 in')
  await expect(depth(third)).toHaveValue('21 in')
})

test('a page that lives keeps what is its own from another that opens the job', async ({ page, context, server }) => {
  await cushion(page, 'Living page')
  await server.kill()
  await width(page).fill('33')
  await expect(saving(page)).toContainText('Not saved yet')
  const held = await page.evaluate(() => Object.keys(localStorage).filter((key) => key.startsWith('wrapper.unsaved.')))
  expect(held).toHaveLength(1)
  await page.route('**/api/jobs/*', (route) => (route.request().method() === 'PUT' ? route.abort() : route.continue()))
  await server.resume()
  const other = await context.newPage()
  await opened(other, page.url())
  await expect(width(other)).toHaveValue('30 in')
  expect(
    await page.evaluate(() => Object.keys(localStorage).filter((key) => key.startsWith('wrapper.unsaved.'))),
  ).toEqual(held)
  await page.unroute('**/api/jobs/*')
  await saved(page)
  await other.reload()
  await expect(width(other)).toHaveValue('33 in')
})

test('a reply that is lost in the midst of typing leaves on the page what is stored', async ({ page }) => {
  await cushion(page, 'Lost reply')
  let lost = 0
  await page.route('**/api/jobs/*', async (route) => {
    if (route.request().method() !== 'PUT' || lost >= 2) return route.continue()
    lost++
    await route.fetch()
    return route.abort()
  })
  await width(page).fill('4')
  await expect(saving(page)).toContainText('Not saved yet')
  await width(page).fill('46')
  await width(page).fill('46 1/2')
  await saved(page)
  expect(lost).toBe(2)
  await page.reload()
  await expect(width(page)).toHaveValue('46 1/2 in')
})

test('two writers: each keeps what only he changed, and what both did is asked', async ({ page, context }) => {
  await cushion(page, 'Two hands')
  const other = await context.newPage()
  await opened(other, page.url())
  await width(other).fill('31')
  await depth(other).fill('21')
  await saved(other)
  await width(page).fill('32')
  const dialog = page.getByRole('dialog', { name: 'Somebody else changed this too' })
  await expect(dialog.getByRole('row')).toHaveCount(2)
  await expect(dialog.getByRole('row', { name: /, W 32/ })).toContainText('31 (in)')
  await expect(dialog.getByRole('radio', { checked: true })).toHaveCount(0)
  // Put off, saving goes on, and theirs stands meanwhile.
  await page.keyboard.press('Escape')
  await expect(dialog).toBeHidden()
  await expect(depth(page)).toHaveValue('21 in')
  await field(page, 'measures.T').fill('4')
  await saved(page)
  await other.reload()
  await expect(field(other, 'measures.T')).toHaveValue('4 in')
  await expect(width(other)).toHaveValue('31 in')
  // Over a reload the question is still there.
  await page.reload()
  await dialog.getByRole('radio', { name: '32 (in)' }).check()
  await dialog.getByRole('button', { name: 'Save what is marked' }).click()
  await saved(page)
  await expect(page.getByRole('button', { name: /to decide/ })).toHaveCount(0)
  await other.reload()
  await expect(width(other)).toHaveValue('32 in')
  await expect(depth(other)).toHaveValue('21 in')
})

test('flaws of two writers are theirs each, whichever was taken away', async ({ page, context }) => {
  await beginCushion(page, 'Two flaws', '30', '20', '3')
  await page.keyboard.press('Alt+4')
  const flaws = async (on: Page) => {
    await on.getByText('At the table').click()
    return on.getByRole('button', { name: 'Mark a flaw' })
  }
  const mark = await flaws(page)
  await mark.click()
  await field(page, '.flaws.0.fromEnd').fill('10')
  await field(page, '.flaws.0.fromSelvedge').fill('5')
  // The cloth is drawn with it, and all beneath has found its place.
  await expect(page.locator('[data-part=flaw]')).toHaveCount(1)
  await mark.click()
  await field(page, '.flaws.1.fromEnd').fill('20')
  await saved(page)
  const other = await context.newPage()
  await other.goto(page.url())
  await flaws(other)
  await other.getByRole('button', { name: 'Take flaw 1 away' }).click()
  await saved(other)
  await field(page, '.flaws.1.fromEnd').fill('25')
  await saved(page)
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(field(page, '.flaws.0.fromEnd')).toHaveValue(/^25/)
  await expect(field(page, '.flaws.1.fromEnd')).toHaveCount(0)
})

test('undo takes back what the server will not have', async ({ page }) => {
  await cushion(page, 'Refused')
  await page.getByLabel('Name of the job').fill('')
  await expect(saving(page)).toContainText('a job needs a name')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByLabel('Name of the job')).toHaveValue('Refused')
  await saved(page)
})

test('what is typed while an undo is on its way stays, on top of it', async ({ page }) => {
  await cushion(page, 'Slow undo')
  await depth(page).fill('20')
  await saved(page)
  let held: Route | undefined
  await page.route('**/undo', (route) => {
    held = route
  })
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(() => held !== undefined).toBe(true)
  await field(page, 'measures.T').fill('3')
  await held?.continue()
  await saved(page)
  for (const again of [false, true]) {
    if (again) await page.reload()
    await expect(depth(page)).toHaveValue('')
    await expect(field(page, 'measures.T')).toHaveValue(/^3( in)?$/)
  }
})

test('taking a photo away on one page leaves what another wrote under it', async ({ page, context }) => {
  await cushion(page, 'Two captions')
  const picture = await page.screenshot()
  const found = (on: Page) => on.getByRole('button', { name: 'Notes, parts, photos' }).click()
  await found(page)
  await page
    .locator('input[type=file]')
    .first()
    .setInputFiles({ name: 'a.png', mimeType: 'image/png', buffer: picture })
  const caption = (on: Page) => on.getByLabel('What it shows')
  await expect(caption(page)).toBeVisible()
  const other = await context.newPage()
  await opened(other, page.url())
  await found(other)
  await expect(caption(other)).toBeVisible()
  await caption(page).fill('left arm, pleats')
  await caption(page).blur()
  await expect
    .poll(() =>
      page.evaluate(async () => await (await fetch(`/api/jobs/${location.pathname.split('/')[2]}/photos`)).text()),
    )
    .toContain('left arm, pleats')
  await other.getByRole('region', { name: 'Photos' }).getByRole('button', { name: 'Take away' }).click()
  await expect(other.getByText('Taken away: left arm, pleats')).toBeVisible()
})

test('a sheet that would lack what was typed last is not printed, and says so', async ({ page, context }) => {
  await cushion(page, 'Not on paper yet')
  await page.route('**/api/jobs/*', (route) => (route.request().method() === 'PUT' ? route.abort() : route.continue()))
  await width(page).fill('31')
  const sheets: string[] = []
  context.on('request', (request) => {
    if (request.url().includes('/sheets/')) sheets.push(request.url())
  })
  await page.getByRole('link', { name: 'Measuring sheet' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'not saved yet' })).toBeVisible()
  expect(sheets).toEqual([])
  // Once it is saved the same button opens it, with what was typed.
  await page.unroute('**/api/jobs/*')
  await saved(page)
  const opened = context.waitForEvent('request', (request) => request.url().includes('/sheets/'))
  await page.getByRole('link', { name: 'Measuring sheet' }).click()
  await opened
  await expect(page.getByRole('alert').filter({ hasText: 'not saved yet' })).toHaveCount(0)
})
