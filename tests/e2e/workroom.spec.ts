import { readFileSync } from 'node:fs'
import { about, begin, beginCushion, choose, expect, field, saved, test, unfold } from './workroom'

test('a make-up of the test host alone is measured, drafted and laid', async ({ page }) => {
  await begin(page, 'Shelf')
  await page.keyboard.type('runner m')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Along the shelf.')).toBeVisible()
  await page.keyboard.type('40')
  await page.keyboard.press('Enter')
  await page.keyboard.type('12')
  await page.keyboard.press('Escape')
  await page.keyboard.press('Alt+2')
  await unfold(page)
  await page.getByText('Left raw').click()
  await page.keyboard.press('Alt+3')
  await expect(page.getByRole('button', { name: /^cut run/ })).toContainText('40 in') // raw ends add nothing
  await expect(page.getByRole('button', { name: /^cut reach/ })).toContainText('14 in')
  await page.keyboard.press('Alt+4')
  await expect(page.getByRole('group', { name: /1 pieces laid/ })).toContainText('1a')
  await expect(page.getByTestId('to-buy')).toHaveText('1/2 yd') // 14 in, in eighths of a yard: 18 in
})

test('undo and redo go step by step, over a reload too', async ({ page }) => {
  await begin(page, 'Undo')
  await page.keyboard.press('Enter')
  const width = field(page, 'measures.W')
  await width.pressSequentially('30', { delay: 30 })
  await page.keyboard.press('Enter')
  await page.keyboard.type('20')
  await page.keyboard.press('Escape')
  await saved(page)
  await page.reload()
  await expect(field(page, 'measures.L')).toHaveValue('20 in')
  await page.keyboard.press('Control+z')
  await expect(field(page, 'measures.L')).toHaveValue('')
  await expect(width).toHaveValue('30 in')
  await page.keyboard.press('Control+z')
  await expect(width).toHaveValue('') // both digits in one step
  await page.keyboard.press('Control+Shift+z')
  await expect(width).toHaveValue('30 in')
})

test('what is typed while the server is down is kept and sent when it is back', async ({ page, server }) => {
  await begin(page, 'Power cut')
  await page.keyboard.press('Enter')
  const width = field(page, 'measures.W')
  await width.fill('30')
  await saved(page)
  await server.kill()
  await field(page, 'measures.L').fill('20')
  await expect(page.getByTestId('saving')).toContainText('Not saved yet')
  // However long it is away, what was drafted stays on the table.
  await page.waitForTimeout(6_000)
  await expect(width).toBeVisible()
  await server.resume()
  await saved(page)
  await page.reload()
  await expect(field(page, 'measures.L')).toHaveValue('20 in')
  await expect(width).toHaveValue('30 in')
})

test('everything is backed up from the list of jobs', async ({ page }) => {
  await page.goto('/')
  // The list pushes the button down when it comes.
  await expect(page.getByRole('region', { name: 'Jobs' }).getByRole('listitem').first()).toBeVisible()
  await page.getByRole('button', { name: 'Back up everything' }).click()
  await expect(page.getByText(/Backed up as wrapper-\d{8}-\d{6}-\d{3}\.db/)).toBeVisible()
})

test('a job is found by what is in it, copied, put away, deleted and brought back', async ({ page }) => {
  await begin(page, 'Loft hatch pad')
  await page.keyboard.type('ott')
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-field^="measures."]:focus')).toBeVisible()
  await saved(page)
  await page.goto('/')
  await page.getByLabel('Find a job').fill('loft HATCH')
  await expect(page.getByRole('listitem')).toHaveCount(1)
  await expect(page.getByRole('listitem')).toContainText('Measure: to do')
  await page.getByRole('button', { name: 'More about Loft hatch pad' }).click()
  await page.getByRole('button', { name: 'Delete Loft hatch pad' }).click()
  await expect(page.getByText('No job has “loft HATCH” in it.')).toBeVisible()
  await page.getByText('deleted', { exact: true }).click()
  await expect(page.getByRole('listitem')).toContainText('kept until')
  await page.getByRole('button', { name: 'Bring it back' }).click()
  await page.getByText('on the bench', { exact: true }).click()
  await page.getByRole('button', { name: 'More about Loft hatch pad' }).click()
  await page.getByRole('button', { name: 'Copy Loft hatch pad' }).click()
  await expect(page.getByRole('link', { name: 'Loft hatch pad, again' })).toBeVisible()
  await page.getByRole('button', { name: 'More about Loft hatch pad, again' }).click()
  await page.getByRole('button', { name: 'Put away Loft hatch pad, again' }).click()
  await expect(page.getByRole('listitem')).toHaveCount(1)
  // By what it covers, among all jobs; the demo's are found by cloths and notes too.
  await page.getByLabel('Find a job').fill('hatch ottoman')
  await expect(page.getByRole('listitem')).toHaveCount(1)
  await page.getByLabel('Find a job').fill('star-chart')
  await expect(page.getByRole('link', { name: /Reading chairs/ })).toBeVisible()
  await page.getByLabel('Find a job').fill('hatch')
  await page.getByRole('link', { name: 'Loft hatch pad' }).click()
  await expect(page.getByLabel('Name of the job')).toHaveValue('Loft hatch pad')
})

test('things are called as they are in the region of the workroom, one by one if it likes', async ({ page }) => {
  await beginCushion(page, 'Words', '30', '20', '3')
  await saved(page)
  const words = async (region: string) => {
    await page.goto('/')
    await page.getByRole('button', { name: 'Workroom' }).click()
    const told = page.getByRole('dialog', { name: 'Workroom' })
    await told.getByText(region, { exact: true }).click()
    return told
  }
  const american = await words('American')
  await american.locator('summary').click()
  await choose(page, 'What boxing is called', 'border')
  await expect(american.getByText('Each its own')).toBeVisible()
  await american.getByRole('button', { name: 'Keep' }).click()
  await page.getByRole('link', { name: /^Words/ }).click()
  await page.getByRole('link', { name: /Make-up/ }).click()
  await expect(page.getByRole('button', { name: /^Separate border strip/ })).toBeVisible()
  await page.keyboard.press('Alt+4')
  await about(page)
  await expect(page.getByText('Each selvage')).toBeVisible()
  const own = await words('As they come')
  await own.getByRole('button', { name: 'Keep' }).click()
  await page.getByRole('link', { name: /^Words/ }).click()
  await page.getByRole('link', { name: /Make-up/ }).click()
  await expect(page.getByRole('button', { name: /^Separate boxing strip/ })).toBeVisible()
})

test('an item is taken off and brought back with all that was measured', async ({ page }) => {
  await beginCushion(page, 'Spare seats', '30', '20', '3')
  await page.getByRole('button', { name: /^Take off/ }).click()
  await expect(page.getByText('Nothing is measured yet.')).toBeVisible()
  await saved(page)
  await page.reload()
  await page.getByText('Taken off (1)').click()
  await page.getByRole('button', { name: /^Bring back/ }).click()
  await expect(field(page, 'measures.W')).toHaveValue('30 in')
})

test('the palette and the sheet find every command', async ({ page }) => {
  await page.goto('/jobs/demo-window-bench/measure')
  await expect(field(page, 'measures.W')).toBeVisible()
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'Shortcuts' })).toContainText('Go to Lay')
  await page.keyboard.press('Escape')
  await page.keyboard.press('Control+k')
  await page.keyboard.type('go lay')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/\/lay$/)
})

const axe = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8')

for (const light of ['day', 'dim'])
  for (const place of [
    '/',
    ...[
      'week',
      'customers',
      'customers/ferncliff',
      'stock',
      'recall?batch=H%202207',
      'papers',
      'prices',
      'figures',
      'files',
      'devices',
    ].map((page) => `/${page}`),
    ...['measure', 'make-up', 'pieces', 'pieces?sewn', 'lay', 'buy', 'make', 'hand-over', 'price'].map(
      (stage) => `/jobs/demo-window-bench/${stage}`,
    ),
  ])
    test(`axe finds nothing serious on ${place} by ${light}`, async ({ page }) => {
      await page.addInitScript((value) => localStorage.setItem('wrapper.light', value), light)
      await page.goto(place)
      await expect(page.locator('h1').first()).not.toBeEmpty()
      if (place.startsWith('/jobs')) await expect(page.getByTestId('to-buy')).toBeVisible()
      if (place.endsWith('/price')) await expect(page.getByTestId('offer-total')).toBeVisible()
      if (place.endsWith('?sewn')) {
        await page.getByText('Sewn', { exact: true }).click()
        await expect(page.locator('canvas')).toBeVisible()
      }
      // Evaluated by the test's own channel: the page's content policy lets no foreign script in.
      await page.evaluate(axe)
      const found = await page.evaluate(async () => {
        const { violations } = await (
          window as unknown as {
            axe: { run: () => Promise<{ violations: { id: string; impact: string; nodes: { html: string }[] }[] }> }
          }
        ).axe.run()
        return violations
          .filter((each) => ['serious', 'critical'].includes(each.impact))
          .map(
            (each) =>
              `${each.id}: ${each.nodes
                .slice(0, 3)
                .map((node) => node.html.slice(0, 160))
                .join(' | ')}`,
          )
      })
      expect(found).toEqual([])
    })
