import { beginItem, expect, field, saved, test } from './workroom'

test('a digital tape measures a cushion; out of reach, low and dropped it is told, and the hand goes on', async ({
  page,
  context,
}) => {
  const devices = await context.newPage()
  await devices.goto('/devices')
  const tape = devices.getByRole('region', { name: 'Digital tape' })
  await beginItem(page, 'By the tape', 'Cushion or seat pad')
  // It is off: typing goes on as ever.
  await page.getByRole('button', { name: 'Digital tape' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'type by hand' })).toBeVisible()
  await tape.getByRole('button', { name: 'Switch the tape on' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'The tape is ready' })).toBeVisible()
  await field(page, 'measures.W').focus()
  const read = async (typed: string) => {
    await tape.getByLabel('Reading').fill(typed)
    await tape.getByRole('button', { name: 'Read it' }).click()
    await expect(tape.getByRole('status')).toHaveText(`Sent ${typed}.`)
  }
  await read('46.5')
  await expect(field(page, 'measures.W')).toHaveValue(/^46 1\/2/)
  // On to the next by itself.
  await expect(field(page, 'measures.L')).toBeFocused()
  await tape.getByRole('checkbox', { name: 'Out of reach' }).check()
  await expect(page.getByRole('status').filter({ hasText: 'out of reach' })).toBeVisible()
  await tape.getByRole('checkbox', { name: 'Out of reach' }).uncheck()
  await tape.getByRole('slider', { name: 'Battery' }).press('Home')
  await expect(page.getByRole('status').filter({ hasText: 'battery is low' })).toBeVisible()
  await read('19 1/4')
  await expect(field(page, 'measures.T')).toBeFocused()
  await expect(field(page, 'measures.L')).toHaveValue(/^19 1\/4/)
  // The connection drops in the middle: told, typed by hand, and heard again once it is back.
  await tape.getByRole('button', { name: 'Switch the tape off' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'does not answer' })).toBeVisible()
  await field(page, 'measures.T').fill('3')
  await page.keyboard.press('Escape')
  await expect(page.getByTestId('to-buy')).toBeVisible()
  await saved(page)
  await tape.getByRole('button', { name: 'Switch the tape on' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'The tape is ready' })).toBeVisible()
  // With no field in hand a reading goes nowhere, and says so.
  await read('4')
  await expect(page.getByRole('status').filter({ hasText: 'no field waits' })).toBeVisible()
  // A list of readings, one after the other.
  await field(page, 'measures.W').focus()
  await tape.locator('input[type=file]').setInputFiles({
    name: 'readings.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('40\r\n"18 1/2"\r\n'),
  })
  await expect(field(page, 'measures.L')).toHaveValue(/^18 1\/2/)
  await expect(field(page, 'measures.W')).toHaveValue(/^40/)
  await tape.getByRole('button', { name: 'Switch the tape off' }).click()
})

test('a lay goes to the plotter, which jams, is freed, and waits for the cloth to be moved on; off it stops nobody', async ({
  page,
}) => {
  await page.goto('/jobs/demo-window-bench/lay')
  const send = page.getByRole('button', { name: 'Send it to the plotter' })
  await send.click()
  await expect(page.getByRole('alert').filter({ hasText: 'switched off' })).toBeVisible()
  await page.goto('/devices')
  const plotter = page.getByRole('region', { name: 'Cutting plotter' })
  await plotter.getByLabel('Along it').fill('wide')
  await plotter.getByRole('button', { name: 'Switch the plotter on' }).click()
  await expect(plotter.getByRole('alert')).toBeVisible()
  await plotter.getByLabel('Along it').fill('80')
  await plotter.getByRole('button', { name: 'Switch the plotter on' }).click()
  await expect(plotter.getByRole('status')).toContainText('ready')
  await page.goto('/jobs/demo-window-bench/lay')
  await send.click()
  await expect(page.getByRole('status').filter({ hasText: 'in 2 windows' })).toBeVisible()
  await page.getByRole('link', { name: 'Look' }).click()
  await plotter.getByRole('button', { name: 'Jam it' }).click()
  await expect(plotter.getByRole('status')).toContainText('jammed')
  await plotter.getByRole('button', { name: 'The cloth is free' }).click()
  await expect(plotter.getByRole('button', { name: 'The cloth was moved on' })).toBeVisible({ timeout: 60_000 })
  await plotter.getByRole('button', { name: 'The cloth was moved on' }).click()
  await expect(plotter.getByRole('status')).toContainText('It is done', { timeout: 60_000 })
  await expect(plotter.getByRole('img', { name: /^The bed/ }).locator('path')).toHaveAttribute('d', /^M/)
  await plotter.getByRole('button', { name: 'Switch the plotter off' }).click()
  await expect(plotter.getByRole('status')).toContainText('off')
})
