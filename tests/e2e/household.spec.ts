import type { Page } from '@playwright/test'
import {
  about,
  beginItem,
  choose,
  expect,
  field,
  goTo,
  measure,
  pick,
  pieces,
  printed,
  saved,
  test,
  told,
  toTheShop,
  unfold,
} from './workroom'

const lay = (page: Page) => page.keyboard.press('Alt+4')

test("a fitted sheet: the corner school says what finishes smaller; an infant's caution stands on every print", async ({
  page,
}) => {
  await beginItem(page, 'Cots', 'Mattress, bed or cot')
  await measure(page, { W: '31 1/2', L: '74', T: '7' })
  await page.keyboard.press('Alt+2')
  await unfold(page)
  await field(page, 'allowances.k').fill('1/2')
  await expect(page.getByText('Top finishes 1 in smaller each way, the sides 1/2 in deeper: snug')).toBeVisible()
  await page.getByRole('radio', { name: /A cot or pad for an infant/ }).check()
  await pieces(page, /1a sheet/, 'corner cut-out, in from the front', '10 1/2 in')
  for (const [stage, sheet] of [
    ['measure', 'Measuring sheet'],
    ['pieces', 'Print the pieces'],
    ['lay', 'Print the cutting sheet'],
    ['buy', 'Print'],
    ['make', 'Print the making sheet'],
  ] as const) {
    await goTo(page, stage)
    expect((await printed(page, sheet)).text.replace(/\s+/g, ' ')).toContain('nothing long enough to loop')
  }
})

test('a duvet in joined cloth: counted in whole widths beside the lay, and what would take less', async ({ page }) => {
  await beginItem(page, 'Duvets', 'Duvet')
  await measure(page, { W: '54', L: '84' })
  await page.keyboard.press('Alt+3')
  await expect(page.getByRole('button', { name: /front, centre/ })).toBeVisible()
  await lay(page)
  // Four cuts of 87 1/2 counted by widths, 9.72 yd; three as laid, 7.29.
  await expect(page.getByTestId(/^laid-/)).toHaveText('7.30 yd')
  await expect(page.getByTestId(/^widths-/)).toContainText('9.73 yd')
  await expect(page.getByTestId(/^widths-/)).toContainText('the lay saves 2.44 yd')
  await page.keyboard.press('Alt+5')
  const less = page.getByRole('region', { name: 'Less cloth' })
  await expect(less.getByRole('listitem').first()).toContainText('width 52 in instead of 54 in buys 2 1/2 yd less')
  await less.getByRole('button', { name: 'Make it 52 in' }).first().click()
  await expect(page.getByTestId('to-buy')).toHaveText('4 7/8 yd')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByTestId('to-buy')).toHaveText('7 3/8 yd')
  await saved(page)
})

test('a ready-made towel: its size, what is cut off, and how many', async ({ page }) => {
  await beginItem(page, 'Towels', 'Contoured pad')
  await measure(page, { W: '16', L: '32', H1: '4', W1: '8', W2: '6', H2: '1 1/2' })
  await expect(page.getByRole('alert').filter({ hasText: 'crosses itself' })).toContainText('For example 2')
  await measure(page, { W1: '2' })
  await lay(page)
  await about(page)
  await page.getByText('ready-made', { exact: true }).click()
  await told(page, 'nothing is entered')
  await field(page, '.width').fill('40')
  await field(page, '.selvedge').fill('1')
  await field(page, '.articleLength').fill('30')
  await told(page, 'is cut 33 in long and one article has 28 in')
  await field(page, '.articleLength').fill('60')
  // wrap 31 1/16 x 33, both ends 17 x 7 1/8: one is enough
  await expect(page.getByTestId('to-buy')).toHaveText('1 ready-made')
  await about(page, 'Folding, gap, shrinkage, how it behaves')
  await field(page, '.shrinksAlong').fill('26')
  await told(page, 'from 0 to 25')
  await field(page, '.shrinksAlong').fill('')
  await page.keyboard.press('Escape')
  await page.keyboard.press('Alt+5')
  await expect(page.getByTestId(/^bought-/)).toHaveText('1 of 40 x 60 in')
  await saved(page)
})

for (const [kind, sizes, piece, size, text] of [
  ['Table', { W: '120', L: '80', H: '70', F: '73' }, /1a top/, 'cut width', '122 cm'],
  ['Round table', { d: '80', H: '20' }, /1a circle/, 'cut diameter', '122.4 cm'],
  ['Centre panel for a table cover', { d: '45' }, /1b facing/, 'slit', '5.6 cm'],
  [
    'Ironing board',
    { W: '38', L: '112', B: '22', b: '9', T: '2', f1: '70', w1: '37' },
    /1a cover/,
    'cut length',
    '131 cm',
  ],
  ['Work table, tray or pressing board', { W: '110', L: '60', T: '2' }, /1a sheet/, 'cut width', '135.2 cm'],
  ['Duvet', { W: '135', L: '200' }, /1a front/, 'cut length', '209.5 cm'],
  ['Mattress, bed or cot', { W: '70', L: '140', T: '12' }, /1a sheet/, 'cut width', '112.2 cm'],
] as const)
  test(`${kind}: measured, drafted, laid and bought in centimetres`, ({ page }) =>
    toTheShop(page, kind, sizes, piece, size, text))

test('obstacles that overlap, a floor that is too near, and a mended cap', async ({ page }) => {
  await beginItem(page, 'Caps', 'Work table, tray or pressing board')
  await measure(page, { W: '48', L: '20', T: '3/4' })
  await field(page, 'choices.obstacles').fill('2')
  await measure(page, { x1: '12', y1: '6', x2: '15', y2: '6' })
  await expect(page.getByRole('alert').filter({ hasText: 'overlap' })).toContainText('For example')
  await choose(page, 'Obstacle 2 is at the', 'Back')
  await page.keyboard.press('Escape')
  await pieces(page, /1a sheet/, 'cut width', '57 3/4 in')
  await expect(page.getByText('Snip into the inside corners over each obstacle')).toBeVisible()
  await page.getByRole('button', { name: 'Add an item' }).click()
  await pick(page, 'Table')
  await measure(page, { W: '60', L: '36', H: '30', F: '28' })
  await expect(page.getByRole('alert').filter({ hasText: 'lie on the floor' })).toContainText('For example 28')
})

test('wadding is bought by its size, or laid on a cloth of its own', async ({ page }) => {
  await beginItem(page, 'Board', 'Work table, tray or pressing board', 'cm')
  await measure(page, { W: '120', L: '50', T: '2' })
  await page.keyboard.press('Alt+2')
  await unfold(page)
  await page.getByLabel('Wadding wrapped, turns').fill('1')
  await page.keyboard.press('Escape')
  await page.keyboard.press('Alt+5')
  await page.getByText('How it was reckoned').click()
  // 2 (120 + 2 x 0.6) + 2 (2 + 2 x 0.6) round the board
  await expect(page.getByRole('row', { name: /wadding, wrapped/ })).toContainText('248.8 x 50 cm: 1.24 sq m')
  await page.getByRole('button', { name: 'Add a cloth' }).click()
  await choose(page, 'Work table, tray or pressing board, wadding, wrapped', 'laid on Cloth 2')
  await page.keyboard.press('Escape')
  await page.keyboard.press('Alt+4')
  await page.getByRole('button', { name: /^Cloth 2/ }).click()
  await expect(page.getByRole('region', { name: 'Cloth 2', exact: true }).getByTestId(/^laid-/)).toHaveText('2.49 m')
  await page.keyboard.press('Alt+5')
  await page.getByText('How it was reckoned').click()
  await choose(page, 'Work table, tray or pressing board, wadding, wrapped', 'bought by size')
  await page.keyboard.press('Escape')
  await page.keyboard.press('Alt+4')
  await page.getByRole('button', { name: /^Cloth 2/ }).click()
  await expect(page.getByText('Nothing is cut from this cloth yet.')).toBeVisible()
  await saved(page)
})

test('the demo beds and tables are drafted without a doubt', async ({ page }) => {
  for (const job of ['demo-bunks', 'demo-tables']) {
    await page.goto(`/jobs/${job}/lay`)
    await expect(page.getByTestId('to-buy')).toBeVisible()
    await expect(page.getByRole('navigation', { name: 'Stages' })).not.toContainText(/to check|to do/)
  }
})
