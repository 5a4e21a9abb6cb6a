import type { Page } from '@playwright/test'
import { begin, expect, field, saved, test } from './workroom'

/** Adds the first item of a job: its kind by name, then Enter. */
async function beginSeat(page: Page, job: string, kind: string, unit: 'in' | 'cm' = 'in') {
  await begin(page, job, unit)
  await page.getByRole('radio', { name: kind }).check()
  await page.getByRole('button', { name: 'Measure it' }).click()
}

async function choose(page: Page, name: string, option: string) {
  await page.getByRole('combobox', { name, exact: true }).click()
  await page.locator('.ant-select-item-option').getByText(option, { exact: true }).click()
}

async function measure(page: Page, sizes: Record<string, string>) {
  for (const [key, typed] of Object.entries(sizes)) await field(page, `measures.${key}`).fill(typed)
  await page.keyboard.press('Escape')
}

/** The cut width of the piece in hand, on Pieces; every seam must match. */
async function pieces(page: Page, piece: RegExp, size: string, text: string) {
  await page.keyboard.press('3')
  await page.getByRole('button', { name: piece }).click()
  await expect(page.getByRole('button', { name: new RegExp(`^${size}`) })).toContainText(text)
  await expect(page.getByText('all seams match')).toBeVisible()
}

test('a tapered chair pad: outline, stations, ties', async ({ page }) => {
  await beginSeat(page, 'Pads', 'Cushion or seat pad')
  await choose(page, 'Outline', 'Tapered')
  await expect(page.getByRole('alert').first()).toContainText('nothing is entered')
  await measure(page, { W: '18', B: '14', L: '16', f1: '8', w1: '17', T: '1' })
  await page.keyboard.press('2')
  await page.getByRole('button', { name: 'Choose knife-edge pad' }).click()
  // 16 + 1 for the slab + 2 x 1/2
  await pieces(page, /1a pad/, 'cut length', '18 in')
  await page.keyboard.press('5')
  await expect(page.getByRole('row', { name: /tie tape/ })).toContainText('56 in')
  await saved(page)
})

test('a traced seat is taken from a drawing, boxed and checked', async ({ page }) => {
  await beginSeat(page, 'Alcove', 'Cushion or seat pad')
  await choose(page, 'Outline', 'Traced')
  await field(page, 'measures.O').fill('0, 0; 10, 10; 10, 0; 0, 10')
  await field(page, 'measures.T').fill('4')
  await expect(page.getByRole('alert').filter({ hasText: 'crosses itself' })).toContainText('For example')
  await page.getByLabel('SVG drawing').setInputFiles({ name: 'seat.svg', mimeType: 'image/svg+xml', buffer: Buffer.from('<svg><path d="M0 0 H24 V-18 H16 A6 6 0 0 1 8 -18 H0 Z"/></svg>') })
  await expect(field(page, 'measures.O')).toHaveValue(/^M0 0 H24/)
  await field(page, 'measures.O').focus()
  await page.keyboard.press('Escape')
  await page.keyboard.press('2')
  await page.getByRole('button', { name: 'Choose separate boxing strip' }).click()
  // 24 + 18 + 8 + 12 asin(4/6) + 8 + 18 = 84.757, less Z 13, 1 of seams, 1 1/2 of lap
  await pieces(page, /1c boxing/, 'cut length', '74 1/4 in')
})

test('readings that differ are asked for again, and a skewed seat is told', async ({ page }) => {
  await beginSeat(page, 'Twice', 'Cushion or seat pad')
  await measure(page, { W: '30', L: '20', T: '4' })
  await field(page, 'measures.W').focus()
  await field(page, 'measures.W again').fill('30 1/4')
  await expect(page.getByRole('alert')).toContainText('measure again')
  await field(page, 'measures.W again').fill('30 1/8')
  await expect(page.getByText('read as 30 1/8 in')).toBeVisible()
  await choose(page, 'Check that it is square', 'Both ends, both sides, both diagonals')
  await measure(page, { V: '29 1/2' })
  await expect(page.getByText(/Out of square or tapered: the widths differ by 5\/8 in/)).toBeVisible()
  await page.getByLabel('In the way, comes off, kept').fill('Hinge at the back')
  await saved(page)
  await page.reload()
  await expect(page.getByLabel('In the way, comes off, kept')).toHaveValue('Hinge at the back')
})

for (const [kind, sizes, piece, size, text] of [
  ['Bolster', { d: '18', L: '58' }, /1b body/, 'cut width', '60.5 cm'],
  ['Ottoman or cube', { W: '46', L: '46', H: '38' }, /1c side, left and right/, 'cut height', '47 cm'],
  ['Chair back', { W: '42', H: '50', D: '6' }, /1a outer face/, 'cut width', '53.5 cm'],
  ['Upholstered chair', { W: '55', S: '52', F: '30', A: '22', B: '12', U: '12', H: '68', K: '12', C: '10' }, /deck/, 'cut width', '76.5 cm'],
] as const)
  test(`${kind}: measured, drafted, laid and bought in centimetres`, async ({ page }) => {
    await beginSeat(page, kind, kind, 'cm')
    await measure(page, sizes)
    await expect(page.getByTestId('to-buy')).toBeVisible()
    await pieces(page, piece, size, text)
    await page.keyboard.press('4')
    await expect(page.getByText('Shortest possible, not under')).toBeVisible()
    await saved(page)
  })

test('a cap that falls deeper than the ottoman is refused on Make-up', async ({ page }) => {
  await beginSeat(page, 'Footstool', 'Ottoman or cube')
  await measure(page, { W: '20', L: '18', H: '16' })
  await page.keyboard.press('2')
  await page.getByRole('button', { name: 'Choose cap and apron' }).click()
  await field(page, 'choices.fall').fill('17')
  await expect(page.getByRole('alert')).toContainText('deeper than the ottoman is high')
  await field(page, 'choices.fall').fill('4')
  await page.getByText('Pleated', { exact: true }).click()
  await pieces(page, /1a cap/, 'cut off at each corner', '2 5/8 in') // (2 - √2) x 4 1/2 = 2.636
})

test('the demo seats are drafted without a doubt, curves laid as curves', async ({ page }) => {
  for (const job of ['demo-lodge-seats', 'demo-reading-room']) {
    await page.goto(`/jobs/${job}/lay`)
    await expect(page.getByTestId('to-buy')).toBeVisible()
    await expect(page.getByRole('navigation', { name: 'Stages' })).not.toContainText('in doubt')
    expect(await page.locator('.laid path.cut').evaluateAll((paths) => paths.some((path) => path.getAttribute('d')?.includes('A')))).toBe(true)
  }
})
