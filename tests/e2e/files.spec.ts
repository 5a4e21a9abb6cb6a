import { execFileSync } from 'node:child_process'
import { readFileSync, writeFileSync } from 'node:fs'
import { beginCushion, expect, field, saved, Server, test } from './workroom'

const saveOf = (page: import('@playwright/test').Page, what: string, format: string) =>
  page.getByRole('group', { name: `Save ${what}`, exact: true }).getByRole('link', { name: format, exact: true })

test('pieces, lay, lists, shelves and week go out as files, each by one link from where it is seen, by keys too', async ({
  page,
}) => {
  const save = async (what: string, format: string, name: RegExp) => {
    const link = saveOf(page, what, format)
    await expect(link).toBeVisible()
    await link.focus()
    const [download] = await Promise.all([page.waitForEvent('download'), page.keyboard.press('Enter')])
    expect(download.suggestedFilename()).toMatch(name)
    return download.path()
  }
  await page.goto('/jobs/demo-window-bench/pieces')
  expect(readFileSync(await save('all its pieces', 'DXF', /Middle cushion\.dxf$/), 'utf8')).toContain('AC1009')
  expect(readFileSync(await save('1a', 'SVG', /1a panel\.svg$/), 'utf8')).toContain('id="stitch"')
  // The paper is remembered, on the next page too.
  await page.getByRole('combobox', { name: 'Paper of the PDF' }).click()
  await page.locator('.ant-select-item-option').getByText('on A3').click()
  await save('all its pieces', 'PDF', /A3\.pdf$/)
  await save('1a', 'PDF', /1a panel - A3\.pdf$/)
  // A roll has a width, for one piece as for all.
  await page.getByRole('combobox', { name: 'Paper of the PDF' }).click()
  await page.locator('.ant-select-item-option').getByText('on a roll').click()
  await page.getByLabel('How wide the roll is').fill('60')
  const roll = await save('1a', 'PDF', /1a panel - Roll\.pdf$/)
  expect(execFileSync('pdfinfo', [roll], { encoding: 'utf8' })).toMatch(/Page size: +4320 x/)
  await page.getByRole('combobox', { name: 'Paper of the PDF' }).click()
  await page.locator('.ant-select-item-option').getByText('on A3').click()
  await page.getByText('Cut list', { exact: true }).click()
  expect(readFileSync(await save('the job’s cut list', 'CSV', /Cut list\.csv$/), 'utf8')).toContain('47 1/2,20 1/4,in')
  await page.goto('/jobs/demo-window-bench/lay')
  const pdf = await save('the lay', 'PDF', /Slate wool twill - A3\.pdf$/)
  expect(execFileSync('pdftotext', ['-f', '1', '-l', '1', pdf, '-'], { encoding: 'utf8' })).toContain('100 mm')
  expect(readFileSync(await save('it for a plotter', 'PLT', /\.plt$/), 'utf8')).toMatch(/^IN;/)
  await page.goto('/jobs/demo-window-bench/buy')
  await save('the list', 'XLSX', /Shopping list\.xlsx$/)
  await page.goto('/stock')
  expect(readFileSync(await save('the shelves', 'CSV', /^Stock\.csv$/), 'utf8')).toContain('Slate wool twill')
  await page.goto('/customers')
  expect(readFileSync(await save('all customers', 'VCF', /^Customers\.vcf$/), 'utf8')).toContain('FN:Odile Marrow')
  // The week: a file, or an address that another calendar asks, until nobody may.
  await page.goto('/week')
  await page.getByRole('button', { name: 'In another calendar' }).click()
  expect(readFileSync(await save('them', 'ICS', /\.ics$/), 'utf8')).toContain('BEGIN:VEVENT')
  await page.getByRole('button', { name: 'Make a secret address' }).click()
  const address = page.getByLabel(/Subscribe to this address/)
  await expect(address).toHaveValue(/\/api\/feed\/[0-9a-f]{40}\.ics$/)
  const at = await address.inputValue()
  expect((await page.request.get(at)).ok()).toBe(true)
  await page.getByRole('button', { name: 'Nobody may read it' }).click()
  await expect(address).toHaveCount(0)
  expect((await page.request.get(at)).status()).toBe(404)
})

test('a job goes as a file to another workroom; then the whole workroom does, and what is otherwise there is asked', async ({
  page,
}) => {
  await page.goto('/')
  await page.getByRole('button', { name: /^More about Saloon berths/ }).click()
  const [download] = await Promise.all([page.waitForEvent('download'), saveOf(page, 'its file', 'JSON').click()])
  const file = await download.path()
  await page.goto('/files')
  const [whole] = await Promise.all([page.waitForEvent('download'), saveOf(page, 'it', 'ZIP').click()])
  const zip = test.info().outputPath('workroom.zip')
  expect(whole.suggestedFilename()).toMatch(/\.zip$/)
  writeFileSync(zip, await (await page.request.get(whole.url())).body())

  const other = await Server.start(false)
  await fetch(`${other.url}/api/workroom`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ name: 'Attic', unit: 'cm', words: {} }),
  })
  await page.goto(other.url)
  // Half a file is told, and nothing comes of it.
  const half = test.info().outputPath('half.json')
  writeFileSync(half, readFileSync(file).subarray(0, 900))
  const input = page.locator('main input[type=file]')
  await input.setInputFiles(half)
  await expect(page.getByRole('alert')).toContainText('half.json')
  await expect(page.getByRole('alert')).toContainText('broken off')
  await input.setInputFiles({ name: 'Saloon berths.json', mimeType: 'application/json', buffer: readFileSync(file) })
  await expect(page).toHaveURL(/measure/)
  await expect(page.getByTestId('to-buy')).toBeVisible()

  await page.goto(`${other.url}/files`)
  await page.locator('input[type=file]').setInputFiles(half)
  await expect(page.getByRole('alert')).toContainText('no zip file')
  await page.locator('input[type=file]').setInputFiles(zip)
  // One was taken in as a file before, under an id of its own: all of these are new.
  await expect(page.getByText(/^(\d+) jobs, \1 of them new$/)).toBeVisible()
  await page.getByRole('button', { name: 'Take it in' }).click()
  await expect(page.getByText('Taken in.')).toBeVisible()
  // Changed here: the same file asks, and mine stays unless it is ticked.
  await page.goto(`${other.url}/jobs/demo-window-bench/measure`)
  await field(page, 'measures.W').fill('48')
  await page.keyboard.press('Escape')
  await saved(page)
  await page.goto(`${other.url}/files`)
  await page.locator('input[type=file]').setInputFiles(zip)
  await page.getByRole('checkbox', { name: /^Window bench, east bay/ }).check()
  await page.getByRole('button', { name: 'Take it in' }).click()
  await expect(page.getByText('Taken in.')).toBeVisible()
  await page.goto(`${other.url}/jobs/demo-window-bench/measure`)
  await expect(field(page, 'measures.W')).toHaveValue(/^46 1\/2/)
  await other.stop()
})

test('a merchant’s list is looked at, a column and the unit are put right, a wrong row keeps all out, and then all of it is there', async ({
  page,
}) => {
  await page.goto('/stock')
  const take = page.getByRole('main').locator('input[type=file]').first()
  const list = (rows: string) => ({
    name: 'fennside.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`Article;Length;Where found;Lot\n${rows}`),
  })
  await take.setInputFiles(list('Gorse canvas;120;rack 9;GC 1\nGorse canvas;-4;rack 9;GC 2\n'))
  const dialog = page.getByRole('dialog', { name: 'In fennside.csv' })
  await expect(dialog).toContainText('2 rows: 2 new')
  await expect(dialog.getByRole('list', { name: 'Rows' })).toContainText('less than nothing')
  await expect(dialog.getByRole('button', { name: 'Take them in' })).toBeDisabled()
  await page.keyboard.press('Escape')
  await take.setInputFiles(list('Gorse canvas;120;rack 9;GC 1\nGorse canvas;80;rack 9;GC 2\n'))
  await dialog.getByRole('combobox', { name: 'Where found is taken as' }).click()
  await page.locator('.ant-select-item-option').getByText('Place', { exact: true }).click()
  await dialog.getByText('cm', { exact: true }).click()
  await expect(dialog.getByRole('radio', { name: 'cm' })).toBeChecked()
  await dialog.getByRole('button', { name: 'Take them in' }).click()
  await expect(dialog).toContainText('Taken in: 2 new, 0 changed.')
  await page.keyboard.press('Escape')
  await page.getByLabel('Find something, or name something new').fill('gorse')
  await expect(page.getByRole('list', { name: 'On the shelves' }).getByRole('listitem')).toHaveCount(2)
  await expect(page.getByRole('button', { name: /^Gorse canvas/ }).first()).toContainText('rack 9')
  for (let n = 0; n < 2; n++) {
    await page
      .getByRole('button', { name: /^Gorse canvas/ })
      .first()
      .click()
    await page.getByRole('button', { name: 'Take off the shelves' }).click()
    await expect(page.getByRole('list', { name: 'On the shelves' }).getByRole('listitem')).toHaveCount(1 - n)
  }
})

test('a cut list that was written down is pasted: what has no size is told, then it is laid and bought with the rest', async ({
  page,
}) => {
  await beginCushion(page, 'With a list', '20', '18', '3')
  await saved(page)
  await page.getByRole('button', { name: 'From a list' }).click()
  const list = page.getByLabel(/^A cut list/)
  await expect(list).toBeFocused()
  await list.fill('2 panels 20 x 18\nboxing, 4 @ 5 x 74\nsome cord')
  await page.getByRole('button', { name: 'Read it' }).click()
  const look = page.getByRole('dialog', { name: 'In the list' })
  await expect(look.getByRole('listitem').first()).toContainText('some cord')
  await expect(look.getByRole('listitem').first()).toContainText('2 panels 20 x 18')
  await expect(look.getByRole('button', { name: 'Take them in' })).toBeDisabled()
  await look.getByRole('button', { name: 'Close' }).click()
  await list.fill('2 panels 20 x 18\nboxing, 4 @ 5 x 74')
  await page.getByRole('button', { name: 'Read it' }).click()
  await look.getByRole('button', { name: 'Take them in' }).click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  const items = page.getByRole('complementary', { name: 'Items' })
  await expect(items.getByRole('button', { name: /panels × 2/ })).toHaveAttribute('aria-pressed', 'true')
  await expect(field(page, 'measures.W')).toHaveValue(/^20/)
  await expect(items.getByRole('button', { name: /boxing × 4/ })).toBeVisible()
  await page.keyboard.press('Alt+4')
  await page.getByText('Cutting list', { exact: true }).click()
  await expect(page.getByRole('row', { name: /3a piece/ })).toHaveCount(4)
  // All of it in one step, and back in one.
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(items.getByRole('button', { name: /boxing/ })).toHaveCount(0)
})
