import type { Page } from '@playwright/test'
import {
  beginCushion,
  checks,
  expect,
  field,
  goTo,
  onward,
  printed,
  read,
  saved,
  test,
  turn,
  type Server,
} from './workroom'

const day = (after: number) => {
  const date = new Date()
  date.setDate(date.getDate() + after)
  return `${date.getFullYear()}-${`${date.getMonth() + 1}`.padStart(2, '0')}-${`${date.getDate()}`.padStart(2, '0')}`
}
const put = async (page: Page, server: Server, path: string, change: (old: { schedule: object }) => object) => {
  const old = await page.request.get(`${server.url}${path}`).then((reply) => reply.json())
  const reply = await page.request.put(`${server.url}${path}`, { data: { from: old.revision, ...change(old) } })
  expect(reply.ok()).toBe(true)
}
const papers = (page: Page) => page.getByRole('list', { name: 'Papers' }).getByRole('listitem')

// The demo's jobs are put aside, so that the week is this one's alone; put back afterwards.
const demo = ['demo-window-bench', 'demo-marigold', 'demo-lodge-seats', 'demo-tables']
const aside = async (page: Page, server: Server, inWeek: 'no' | 'usual') => {
  for (const job of demo)
    await put(page, server, `/api/jobs/${job}/schedule`, ({ schedule }) => ({
      schedule: { ...schedule, inWeek },
    }))
}

test('a customer rings, is measured, quoted, pays a deposit; cloth comes late, the week says so; made, handed over, paid; its batch is recalled', async ({
  page,
  server,
}) => {
  await aside(page, server, 'no')
  // She rings: a name is enough, the rest is said as it comes.
  await page.goto('/customers')
  await expect(page.getByLabel('Find a customer, or name a new one')).toBeFocused()
  await page.keyboard.type('Sallow Wharf Tearoom')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Sallow Wharf Tearoom' })).toBeVisible()
  await page.getByLabel('To know', { exact: true }).fill('Closed on Tuesdays')
  await page.getByRole('button', { name: 'Add a place' }).click()
  await page.getByLabel('Place', { exact: true }).fill('Tearoom')
  await page.getByLabel('Another room').fill('Window seats')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'Take away Window seats' })).toBeVisible()
  await page.getByRole('button', { name: 'A new job for them' }).click()

  // Measured, by keys.
  await expect(page.getByRole('combobox', { name: 'What is covered?' })).toBeFocused()
  await page.keyboard.press('Enter')
  for (const [key, size] of Object.entries({ W: '40', L: '18', T: '3' }))
    await field(page, `measures.${key}`).fill(size)
  await page.keyboard.press('Escape')
  await expect(page.getByTestId('to-buy')).toBeVisible()
  await expect(page.getByRole('combobox', { name: 'Customer' })).toHaveValue('Sallow Wharf Tearoom')
  await page.locator('a[href$="/buy"]').first().click()
  await page.locator('[data-field$=".price"]').first().fill('30')
  await page.locator('[data-field$=".price"]').first().press('Tab')
  await saved(page)

  // What is asked for it; on the foam that is there for less.
  await page.getByRole('link', { name: 'Price', exact: true }).click()
  await expect(page.getByTestId('offer-total')).toBeVisible()
  await page.getByRole('combobox', { name: 'Offer it otherwise too' }).click()
  await page.keyboard.type('one that is there')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('region', { name: 'Offered beside' })).toContainText('less')
  await page.getByRole('button', { name: 'Add a line of your own' }).click()
  await page.getByLabel('Also charged, or taken off').fill('Delivery')
  await page.getByLabel('Amount', { exact: true }).fill('a lot')
  await page.getByLabel('Amount', { exact: true }).press('Enter')
  await expect(page.getByText('This is no amount. For example 12.50.')).toBeVisible()
  await page.getByLabel('Amount', { exact: true }).fill('12.50')
  await page.getByLabel('Amount', { exact: true }).press('Enter')
  await expect(page.getByRole('table', { name: 'Lines as they stand on papers' })).toContainText('£12.50')
  await page.getByRole('button', { name: 'Write the quotation' }).click()
  await expect(papers(page)).toHaveCount(1)
  await expect(papers(page).first()).toContainText(/Q-\d{4}/)

  // She keeps her foam, and pays the half.
  await page.getByText(/one that is there, £/).click()
  await page.getByRole('button', { name: /was accepted/ }).click()
  await expect(page.getByText('Deposit still to come')).toBeVisible()
  await page.getByText('card', { exact: true }).click()
  await page.getByRole('button', { name: 'Write the receipt' }).click()
  await expect(papers(page)).toHaveCount(3)
  await expect(page.getByText('Deposit still to come')).toHaveCount(0)

  // When she can have it is promised; then its cloth is late, which is told at once with what would help.
  await page.getByRole('link', { name: 'No day promised' }).click()
  await page.getByRole('button', { name: /^Promise it for/ }).click()
  await expect(page.getByLabel('Promised for')).not.toHaveValue('')
  await page
    .getByRole('group', { name: 'Strips of work' })
    .getByRole('button', { name: /For Sallow Wharf/ })
    .first()
    .focus()
  await page.getByRole('radiogroup', { name: 'Its cloth is' }).getByText('ordered').click()
  await page.getByLabel('Cloth is expected on').fill(day(25))
  await page.getByLabel('Cloth is expected on').press('Enter')
  const late = page.getByRole('region', { name: 'What will be late' })
  await expect(late).toContainText('later than promised')
  await late.getByRole('button', { name: /^Promise it for .* instead/ }).click()
  await expect(late).toHaveCount(0)
  await page.getByRole('button', { name: 'Take it back' }).click()
  await expect(late).toBeVisible()
  await page.getByRole('radiogroup', { name: 'Its cloth is' }).getByText('here').click()
  await expect(late).toHaveCount(0)

  // A strip is moved by a key and stays there; Delete lets it go.
  const strip = page.getByRole('group', { name: 'Strips of work' }).getByRole('button', { name: /cutting/ })
  const before = await strip.getAttribute('aria-label')
  await strip.press('ArrowRight')
  await page.getByText('five weeks').click()
  await expect(strip.first()).not.toHaveAttribute('aria-label', before ?? '')

  // Made, step by step, and handed over with the batch that its ticket says.
  await page.getByRole('link', { name: 'Papers', exact: true }).click()
  await page.getByRole('link', { name: /order/ }).first().click()
  await page.getByRole('link', { name: 'To its job' }).click()
  await goTo(page, 'make')
  await expect(turn(page)).toBeVisible()
  const steps = await page.getByRole('list', { name: 'Steps' }).getByRole('button').count()
  for (let n = 1; n < steps; n++) await onward(page)
  for (const { digit } of await checks(page)) await page.keyboard.press(digit)
  await page.keyboard.press('Space')
  await page.getByRole('button', { name: 'All made: hand over' }).press('Enter')
  await page.getByLabel('Batch or dye lot').first().fill('HL 7702')
  await page.getByLabel('Batch or dye lot').first().press('Tab')
  await page.getByRole('button', { name: /^Hand over/ }).press('Enter')
  await expect(page.getByText('All handed over.')).toBeVisible()
  await saved(page)

  // Invoiced and paid; what was given out is as it was.
  await page.getByRole('link', { name: 'Price', exact: true }).click()
  await page.getByRole('button', { name: 'Write the invoice' }).click()
  await expect(page.getByTestId('balance')).not.toHaveText('£0.00')
  await page.getByRole('form', { name: 'A payment came in' }).getByRole('textbox').first().fill('9999')
  await page.getByRole('button', { name: 'Write the receipt' }).click()
  await expect(page.getByRole('alert')).toContainText('is left to pay')
  await page.reload()
  await page.getByRole('button', { name: 'Write the receipt' }).click()
  await expect(page.getByTestId('balance')).toHaveText('£0.00')
  await expect(page.getByText('Settled')).toBeVisible()
  await papers(page).filter({ hasText: 'invoice' }).getByRole('link').click()
  const pages = page.getByRole('group', { name: /^Invoice I-/ })
  await expect(pages).toContainText('Paid on')
  await expect(pages).toContainText('one that is there')
  const { text } = await printed(page, 'Print')
  expect(text).toContain('Sallow Wharf Tearoom')
  expect(text).toMatch(/Delivery\s.*£12\.50/)
  expect(text).not.toContain('Customers')

  // Its cloth is called back: whose, where, when, and a letter to them.
  await page.goto('/recall')
  await page.getByLabel('Batch, as its ticket says').fill('hl 7702')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('region', { name: 'Batch hl 7702' })).toContainText('handed over on')
  expect(await letters(page)).toContain('Sallow Wharf Tearoom')
  await aside(page, server, 'usual')
})

test('what changed is told in words, a state has a name, and there is a way back', async ({ page }) => {
  await beginCushion(page, 'Told in words', '40', '18', '3')
  await saved(page)
  await field(page, 'measures.L').fill('48')
  await page.keyboard.press('Escape')
  await saved(page)
  await page.keyboard.press('Alt+h')
  const dialog = page.getByRole('dialog', { name: 'What changed' })
  await expect(dialog).toContainText(/18, now 48/)
  const state = dialog.getByRole('listitem').nth(1)
  await state.getByRole('button', { name: 'Since then' }).click()
  await expect(state.getByRole('status')).toContainText(/\+.* of /)
  await state.getByRole('button', { name: 'Name it' }).click()
  await page.keyboard.type('as measured')
  await page.keyboard.press('Enter')
  await expect(state).toContainText('as measured')
  await state.getByRole('button', { name: 'Back to this' }).click()
  await expect(field(page, 'measures.L')).toHaveValue(/^18/)
  await saved(page)
  // The same again from a template, for somebody else.
  await page.getByRole('link', { name: 'Wrapper' }).click()
  await page.getByRole('button', { name: 'More about Told in words' }).click()
  await page.getByRole('button', { name: 'Keep as a template Told in words' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'is a template now' })).toBeVisible()
  await page.getByRole('combobox', { name: 'Begin from a template' }).click()
  await page.locator('.ant-select-item-option').filter({ hasText: 'like Told in words' }).click()
  await page.getByLabel('A new job').fill('The same in plum')
  await page.keyboard.press('Enter')
  await expect(field(page, 'measures.W')).toHaveValue(/^40/)
})

test('what lies on a shelf is used first and reserved; it is counted along the shelves by Enter alone; a batch is followed', async ({
  page,
}) => {
  await page.goto('/jobs/demo-window-bench/lay')
  await page.getByRole('button', { name: 'About the cloth' }).click()
  const about = page.getByRole('complementary', { name: /^About / })
  await about.getByText('Remnants and part rolls that are there').click()
  await expect(about.getByText(/On the shelves: 2 1\/4 yd, batch SW 4411/)).toBeVisible()
  const before = await page.getByTestId('to-buy').textContent()
  await about.getByRole('button', { name: 'Use it' }).first().click()
  await expect(page.getByTestId('to-buy')).not.toHaveText(before ?? '')
  await saved(page)
  await page.goto('/stock')
  await expect(page.getByRole('button', { name: /^Slate wool twill/ })).toContainText('for Window bench, east bay')
  await page.getByRole('button', { name: /^Slate wool twill/ }).click()
  await page.getByRole('button', { name: 'Take off the shelves' }).click()
  await expect(page.getByRole('alert')).toContainText('counts on it')
  await page.getByRole('button', { name: 'Count along the shelves' }).click()
  const counts = page.getByRole('list', { name: 'Count' })
  const cord = counts.getByRole('textbox', { name: /^cord, drawer 1/ })
  await cord.focus()
  await page.keyboard.type('-3')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toContainText('less than nothing')
  await cord.fill('9 yd')
  await cord.press('Enter')
  await expect(counts.getByRole('textbox', { name: /^zip chain, drawer 1/ })).toBeFocused()
  await page.keyboard.type('12 yd')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('region', { name: 'To buy anew' })).toContainText('cord')
  await expect(page.getByRole('region', { name: 'To buy anew' })).not.toContainText('zip chain')
  // A photo of what lies there, and zip chain for a job: reserved, less bought, and taken out once.
  await page.getByRole('button', { name: 'Done counting' }).click()
  await page.getByRole('button', { name: /^Fern velvet/ }).click()
  await page
    .getByRole('group', { name: 'Fern velvet' })
    .locator('input[type=file]')
    .setInputFiles({
      name: 'left.png',
      mimeType: 'image/png',
      buffer: await page.getByRole('main').screenshot(),
    })
  await expect(page.getByRole('img', { name: 'How Fern velvet looks' })).toBeVisible()
  await page.goto('/jobs/demo-window-bench/buy')
  const list = page.getByRole('region', { name: 'Shopping list' })
  const chain = list.getByRole('row').filter({ hasText: 'zip chain' })
  await chain.getByRole('button', { name: 'From the shelves' }).click()
  await chain.getByRole('listitem').filter({ hasText: 'zip chain' }).getByRole('button', { name: 'Use it' }).click()
  await expect(chain).toContainText('to buy: nothing')
  await chain.getByRole('textbox').fill('1 yd')
  await chain.getByRole('textbox').press('Enter')
  await expect(chain).toContainText(/to buy: \d/)
  await saved(page)
  await page.goto('/stock')
  await expect(page.getByRole('button', { name: /^zip chain/ })).toContainText('for Window bench, east bay (1 yd)')
  await page.goto('/jobs/demo-window-bench/buy')
  await chain.getByRole('button', { name: 'It is out of the shelf' }).click()
  await expect(chain).toContainText('1 yd taken out of zip chain')
  await saved(page)
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(chain).not.toContainText('taken')
  await saved(page)
  // Back where it was, so that nothing of this stays for others.
  await page.goto('/jobs/demo-window-bench/lay')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByTestId('to-buy')).toHaveText(before ?? '')
  await page.getByRole('link', { name: 'Wrapper' }).click()
  await page.getByRole('link', { name: 'Stock', exact: true }).click()
  await page.getByRole('link', { name: 'Where a batch went' }).click()
  await page.getByLabel('Batch, as its ticket says').fill('h 2207')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('region', { name: 'Batch h 2207' })).toContainText('handed over on 2026-03-14')
  expect(await letters(page)).toContain('Mill Lane Reading Room')
})

// The letters that the page opens.
async function letters(page: Page) {
  const asked = page.waitForRequest(/letters\.pdf/)
  const opened = page.context().waitForEvent('page')
  await page.getByRole('button', { name: 'Print the letters' }).click()
  const answer = await page.request.post((await asked).url(), { data: (await asked).postDataJSON() as object })
  await (await opened).close()
  return read(await answer.body(), 'letters').text
}
