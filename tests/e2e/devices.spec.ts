import { execFileSync } from 'node:child_process'
import { beginCushion, beginItem, expect, field, printed, saved, test } from './workroom'

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
  const reach = tape.getByRole('checkbox', { name: 'Out of reach' })
  await reach.click()
  await expect(reach).toBeChecked()
  await expect(page.getByRole('status').filter({ hasText: 'out of reach' })).toBeVisible()
  await reach.click()
  await expect(reach).not.toBeChecked()
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
  server,
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
  // It does not hurry until it was jammed, however long this machine takes to get there.
  const hurry = (faster: number) =>
    page.request.put(`${server.url}/api/devices/plotter`, {
      data: { isOn: true, across: '72', along: '80', unit: 'in', faster },
    })
  expect((await hurry(1)).ok()).toBe(true)
  await page.goto('/jobs/demo-window-bench/lay')
  // The cloth is laid: what is told beside the button stays.
  await expect(page.getByText('Shortest possible').first()).toBeVisible()
  await send.click()
  await expect(page.getByRole('status').filter({ hasText: 'in 2 windows' })).toBeVisible()
  await page.getByRole('link', { name: 'Look' }).click()
  await plotter.getByRole('button', { name: 'Jam it' }).click()
  await expect(plotter.getByRole('status')).toContainText('jammed')
  expect((await hurry(20)).ok()).toBe(true)
  await plotter.getByRole('button', { name: 'The cloth is free' }).click()
  await expect(plotter.getByRole('button', { name: 'The cloth was moved on' })).toBeVisible()
  await plotter.getByRole('button', { name: 'The cloth was moved on' }).click()
  await expect(plotter.getByRole('status')).toContainText('It is done')
  await expect(plotter.getByRole('img', { name: /^The bed/ }).locator('path')).toHaveAttribute('d', /^M/)
  await plotter.getByRole('button', { name: 'Switch the plotter off' }).click()
  await expect(plotter.getByRole('status')).toContainText('off')
})

test('a sheet goes to the printer, which runs out of paper and goes on; what lies in its tray is the sheet itself', async ({
  page,
  context,
}) => {
  await beginCushion(page, 'Printed', '20', '18', '3')
  await page.keyboard.press('Alt+4')
  await expect(page.getByRole('link', { name: 'Print the cutting sheet' })).toBeVisible()
  // Off it is not offered, and the sheet opens from the browser.
  await expect(page.getByRole('button', { name: 'To the printer' })).toHaveCount(0)
  const devices = await context.newPage()
  await devices.goto('/devices')
  const printer = devices.getByRole('region', { name: 'Printer' })
  await printer.getByRole('button', { name: 'Switch the printer on' }).click()
  await printer.getByRole('button', { name: 'Take the paper out' }).click()
  await expect(printer.getByRole('status')).toContainText('0 sheets and 0 labels')
  await page.reload()
  await page.getByRole('button', { name: 'To the printer' }).first().click()
  await expect(page.getByRole('status').filter({ hasText: 'out of paper' })).toHaveText(
    /^0 of \d pages? (is|are) printed/,
  )
  await printer.getByRole('button', { name: 'Put paper in' }).click()
  const tray = printer.getByRole('list', { name: 'Out-tray' })
  await expect(tray.getByRole('listitem').first()).toContainText(/^Printed: cutting sheet \d pages?$/)
  // To the byte what the link opens.
  const href = await tray.getByRole('link').first().getAttribute('href')
  const lies = await page.request.get(href!)
  expect((await lies.body()).equals((await printed(page, 'Print the cutting sheet')).bytes)).toBe(true)
  await printer.getByRole('button', { name: 'Empty the tray' }).click()
  await expect(tray.getByRole('listitem')).toHaveCount(0)
  await printer.getByRole('button', { name: 'Switch the printer off' }).click()
  await expect(printer.getByRole('status')).toContainText('It is off')
  // A moment later it is sent: told, and printed by hand.
  await page.getByRole('button', { name: 'To the printer' }).first().click()
  await expect(page.getByRole('alert').filter({ hasText: 'switched off' })).toBeVisible()
})

test('cloth is ordered of a merchant: sold out, slow, down it is told; a part, another batch, a wrong width are seen before they are cut', async ({
  page,
  context,
}) => {
  const devices = await context.newPage()
  await devices.goto('/devices')
  const merchant = devices.getByRole('region', { name: 'Cloth merchant' })
  const says = (how: string) => merchant.getByText(how, { exact: true }).click()
  await says('Open')
  await expect(merchant.getByRole('list', { name: 'Catalogue' })).toContainText('Heather twill')
  await beginCushion(page, 'From the merchant', '40', '18', '3')
  await saved(page)
  await page.keyboard.press('Alt+5')
  const at = page.getByRole('region', { name: /^At the merchant/ })
  await at.getByRole('combobox').click()
  await page
    .getByRole('option', { name: /^Heather twill/ })
    .or(page.getByTitle(/^Heather twill/))
    .last()
    .click()
  // Two covers' worth of 54 in cloth come from the smallest batch that has it in one length.
  await expect(at.getByRole('status').first()).toContainText(
    /yd are there in one length of batch HT 207: £[\d.]+, in 4 days/,
  )
  const soldOut = merchant.getByRole('button', { name: 'All is sold out' })
  await soldOut.click()
  await expect(soldOut).toHaveAttribute('aria-pressed', 'true')
  await at.getByRole('button', { name: 'Order it' }).click()
  await expect(at.getByRole('alert')).toContainText('Heather twill is sold out.')
  await soldOut.click()
  await expect(soldOut).toHaveAttribute('aria-pressed', 'false')
  await says('Down')
  await at.getByRole('button', { name: 'Try again' }).click()
  await expect(at.getByRole('alert')).toContainText('does not answer')
  await says('Slow')
  await at.getByRole('button', { name: 'Try again' }).click()
  await expect(at.getByRole('alert')).toContainText('takes too long')
  // The bench goes on meanwhile.
  await expect(page.getByRole('region', { name: 'Shopping list' })).toContainText('First cloth')
  await says('Open')
  await at.getByRole('button', { name: 'Try again' }).click()
  await at.getByRole('button', { name: 'Have it put aside' }).click()
  await expect(at).toContainText('put aside.')
  await at.getByRole('button', { name: 'Have it sent' }).click()
  await expect(at).toContainText(/ordered on .*, due /)
  const van = async (what: string) => {
    await says(what)
    await merchant.getByRole('button', { name: 'The van comes' }).click()
    await page.reload()
  }
  await van('A part')
  await expect(at).toContainText('are still to come')
  await van('Another batch')
  await expect(at).toContainText('all of it came')
  await expect(at.getByRole('alert').filter({ hasText: 'HT 207 and HT 207 B' })).toBeVisible()
  await at.getByRole('button', { name: 'Cut it from batch HT 207', exact: true }).click()
  await at.getByRole('listitem').first().getByRole('button', { name: 'Put it on the shelf' }).click()
  await expect(at.getByText('It is on the shelf.')).toBeVisible()
  // Another one comes too narrow: 50 in instead of 54.
  await at.getByRole('combobox').click()
  await page
    .getByRole('option', { name: /^Heather twill/ })
    .or(page.getByTitle(/^Heather twill/))
    .last()
    .click()
  await at.getByRole('button', { name: 'Order it' }).click()
  await expect(at).toContainText('ordered on')
  await van('A wrong width')
  await expect(at.getByRole('alert').filter({ hasText: 'It is 50 in wide, and not 54 in' })).toBeVisible()
  await at.getByRole('button', { name: 'Lay it 50 wide' }).click()
  await saved(page)
  await page.keyboard.press('Alt+4')
  // 50 less the selvedges, half an inch on either side.
  await expect(page.locator('dl').first()).toContainText('Usable width49 in')
  await says('All of it')
  await says('Off')
})

test('a drawing is mailed: a wrong address is told, the letter lies in the tray as a mail program opens it', async ({
  page,
}) => {
  await beginCushion(page, 'Mailed', '20', '18', '3')
  await saved(page)
  await page.keyboard.press('Alt+3')
  await page.getByRole('button', { name: 'Mail them' }).click()
  const letter = page.getByRole('dialog')
  await expect(letter.getByLabel('To', { exact: true })).toBeFocused()
  await letter.getByLabel('To', { exact: true }).fill('nobody')
  await letter.getByLabel('What it says').fill('Please cut the foam to these.\nWith thanks')
  await letter.getByRole('button', { name: 'Put it in the mail room' }).click()
  await expect(letter.getByRole('alert')).toContainText('for example ada@example.org')
  await letter.getByLabel('To', { exact: true }).fill('Stove & Foam <bench@example.org>')
  await letter.getByLabel('To', { exact: true }).press('Enter')
  await page.getByRole('link', { name: 'Look' }).click()
  const tray = page.getByRole('list', { name: 'Letters' })
  const file = page.waitForEvent('download')
  await tray.getByRole('link').first().click()
  const kept = await (await file).path()
  const found = execFileSync(
    'python3',
    [
      '-c',
      `import email,sys,json
from email import policy
m=email.message_from_binary_file(open(sys.argv[1],'rb'),policy=policy.default)
a=next(m.iter_attachments())
print(json.dumps([m['to'],m.get_body().get_content(),a.get_filename(),a.get_content()[:5].decode()]))`,
      kept,
    ],
    { encoding: 'utf8' },
  )
  const [to, body, name, begins] = JSON.parse(found) as string[]
  expect(to).toContain('bench@example.org')
  expect(body).toContain('Please cut the foam to these.')
  expect(name).toMatch(/^Pieces.*\.pdf$/)
  expect(begins).toBe('%PDF-')
  await tray
    .getByRole('button', { name: /^Take out/ })
    .first()
    .click()
  await expect(tray.getByRole('listitem')).toHaveCount(0)
})
