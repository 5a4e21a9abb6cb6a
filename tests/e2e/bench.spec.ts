import type { Page } from '@playwright/test'
import { begin, choose, expect, field, pick, printed, read, Server, test } from './workroom'

const sizes = [
  { width: 1280, height: 800 },
  { width: 1180, height: 820 },
  { width: 820, height: 1180 },
]

// What covers what on the measuring drawing: labels, the ends of dimension lines, the drawing itself; told in words.
const covered = (page: Page) =>
  page.evaluate(() => {
    const table = document.querySelector('[aria-label="Measuring drawing"]')!
    const room = table.getBoundingClientRect()
    const labels = [...table.querySelectorAll<HTMLElement>('.entry')].map((entry) => ({
      name: entry.querySelector('[data-field]')!.getAttribute('data-field')!,
      box: entry.getBoundingClientRect(),
    }))
    const ends = [...table.querySelectorAll<SVGLineElement>('g > line:last-of-type')].flatMap((line) => {
      const at = line.getScreenCTM()!
      return [
        new DOMPoint(line.x1.baseVal.value, line.y1.baseVal.value).matrixTransform(at),
        new DOMPoint(line.x2.baseVal.value, line.y2.baseVal.value).matrixTransform(at),
      ]
    })
    const faces = [...table.querySelectorAll<SVGPolygonElement>('polygon')]
    const told: string[] = []
    labels.forEach(({ name, box }, n) => {
      for (const other of labels.slice(0, n))
        if (
          box.left < other.box.right &&
          other.box.left < box.right &&
          box.top < other.box.bottom &&
          other.box.top < box.bottom
        )
          told.push(`${name} covers ${other.name}`)
      if (ends.some(({ x, y }) => x > box.left && x < box.right && y > box.top && y < box.bottom))
        told.push(`${name} covers the end of a line`)
      if (box.left < room.left || box.right > room.right || box.top < room.top || box.bottom > room.bottom)
        told.push(`${name} is cut off`)
      const spots = [0.02, 0.5, 0.98].flatMap((x) => [0.05, 0.5, 0.95].map((y) => [x, y] as const))
      for (const face of faces) {
        const inFace = face.getScreenCTM()!.inverse()
        if (
          spots.some(([x, y]) =>
            face.isPointInFill(
              new DOMPoint(box.left + x * box.width, box.top + y * box.height).matrixTransform(inFace),
            ),
          )
        )
          told.push(`${name} covers the drawing`)
      }
    })
    if (document.scrollingElement!.scrollWidth > innerWidth) told.push('the page scrolls sideways')
    return told
  })

test('no label of a measuring drawing covers another, a line or the drawing, at any size of the screen', async ({
  page,
}) => {
  await begin(page, 'Every kind')
  const kinds = await page.getByRole('option').allTextContents()
  for (const kind of kinds.filter((name) => !/ with /.test(name))) {
    await pick(page, kind)
    await expect(page.locator('[data-field^="measures."]:focus')).toBeVisible()
    await page.keyboard.press('Escape')
    await page.keyboard.press('+')
  }
  await page.keyboard.press('Escape')
  const items = page.getByRole('complementary', { name: 'Items' }).locator('li button')
  const count = await items.count()
  expect(count).toBeGreaterThan(12)
  const wrong: string[] = []
  for (const size of sizes) {
    await page.setViewportSize(size)
    for (let n = 0; n < count; n++) {
      await items.nth(n).click()
      const name = await page.getByLabel('Called').inputValue()
      await expect(page.getByRole('img', { name: `${name}, to scale` })).toBeVisible()
      wrong.push(...(await covered(page)).map((each) => `${name} at ${size.width}: ${each}`))
    }
  }
  expect(wrong).toEqual([])
})

// As a stranger would: no step that the screen does not offer, by keys alone, each of them counted.
test('a stranger goes from an empty workroom to the cutting sheet and the shopping list of a cushion and a duvet by keys alone', async ({
  page,
}) => {
  const empty = await Server.start(false)
  test.info().annotations.push({ type: 'data', description: 'an empty folder' })
  let keys = 0
  const press = async (...all: string[]) => {
    for (const key of all) {
      await page.keyboard.press(key)
      keys++
    }
  }
  const type = async (text: string) => {
    await page.keyboard.type(text)
    keys += text.length
  }
  await page.goto(empty.url)
  await expect(page.getByLabel('The workroom is called')).toBeFocused()
  await press('Enter')
  await expect(page.getByRole('alert')).toContainText('For example Heron Loft')
  await type('Attic')
  // Unit and words have answers already; the words of a region are one key away.
  await expect(page.getByText('As they come', { exact: true })).toBeVisible()
  await press('Enter')
  await expect(page.getByRole('heading', { name: 'Attic' })).toBeVisible()
  await expect(page.getByText('Nothing is on the table yet')).toBeVisible()
  await expect(page.getByLabel('A new job')).toBeFocused()
  await type('Hall')
  await press('Enter')
  await expect(page.getByRole('combobox', { name: 'What is covered?' })).toBeFocused()
  await type('cush')
  await press('Enter')
  await expect(field(page, 'measures.W')).toBeFocused()
  // Nobody has got anything wrong yet.
  await expect(page.getByRole('alert')).toHaveCount(0)
  await expect(page.getByRole('navigation', { name: 'Stages' })).toContainText('3 to do')
  for (const size of ['46 1/2', '19 1/4', '4']) {
    await type(size)
    await press('Enter')
  }
  // The last size leads on to Make-up.
  await expect(page).toHaveURL(/make-up$/)
  const school = page.getByRole('button', { name: /^Separate boxing strip/ })
  await expect(school).toContainText(/\+\d\.\d\d yd/)
  const more = Number(/\+(\d\.\d\d) yd/.exec((await school.textContent()) ?? '')?.[1])
  for (let tabs = 0; tabs < 25 && !(await school.evaluate((each) => each === document.activeElement)); tabs++)
    await press('Tab')
  await press('Enter')
  await expect(school).toContainText('chosen')
  await press('Alt+3')
  await expect(page.getByRole('list', { name: 'Pieces' })).toContainText('boxing')
  // The cutting sheet: every page says which job and how many there are; the list stands on it though the lay is shown.
  await press('Alt+4')
  // In one piece it is 47 1/2 in, 1.32 yd; what the strips were told to take more is what is laid.
  await expect(page.getByTestId(/^laid-/)).toHaveText(`${(1.32 + more).toFixed(2)} yd`)
  // A duvet wider than the cloth, beside it: its panels are joined by themselves, three widths and one across the foot apart.
  await press('+')
  await expect(page.getByRole('combobox', { name: 'What is covered?' })).toBeFocused()
  await type('duv')
  await press('Enter')
  await expect(field(page, 'measures.W')).toBeFocused()
  for (const size of ['79', '79']) {
    await type(size)
    await press('Enter')
  }
  await expect(page).toHaveURL(/make-up$/)
  await press('Alt+3')
  await expect(page.getByRole('list', { name: 'Pieces' })).toContainText('front, centre')
  await press('Alt+4')
  await expect(page.locator('[data-laid^="i"], [data-laid]').filter({ hasText: '2a' }).first()).toBeVisible()
  await expect(page.locator('.stale')).toHaveCount(0)
  const { pages } = await printed(page, 'Print the cutting sheet')
  pages.forEach((text, at) => {
    expect(text).toContain('Hall')
    expect(text).toContain('Attic')
    expect(text).toContain(`${at + 1} of ${pages.length}`)
  })
  expect(pages.join()).toMatch(/right side up[^]*From the[^]*1a panel/)
  expect(pages.join()).toMatch(/2a front/)
  await press('Alt+5')
  await expect(page.getByRole('region', { name: 'Shopping list' }).getByRole('row').nth(2)).toContainText('First cloth')
  await empty.stop()
  test.info().annotations.push({ type: 'keys', description: `${keys}` })
  // At two seconds each this is under four minutes.
  expect(keys).toBeLessThan(100)
})

test('the same again is changed where it differs, and things are found by name', async ({ page }) => {
  await begin(page, 'Pair')
  // A blank sheet of the kind that is picked, before anything is begun.
  await page.keyboard.type('stool')
  expect((await printed(page, 'Blank measuring sheet')).text).toMatch(/Ottoman or cube[^]*Hold the tape[^]*height/)
  await page.getByRole('combobox', { name: 'What is covered?' }).fill('')
  await page.keyboard.type('Hearth cube')
  // A key that is held adds one item.
  await Promise.all([page.keyboard.press('Enter'), page.keyboard.press('Enter')])
  const items = page.getByRole('complementary', { name: 'Items' })
  // No kind is called so in all its words: it is what it is most like, under the name that was typed.
  await expect(page.getByLabel('Called')).toHaveValue('Hearth cube')
  for (const [key, size] of Object.entries({ W: '20', L: '18', H: '16' }))
    await field(page, `measures.${key}`).fill(size)
  await items.getByRole('button', { name: 'Same again' }).click()
  await expect(page.getByLabel('Called')).toHaveValue('Hearth cube 2')
  await expect(field(page, 'measures.W')).toHaveValue('20 in')
  await field(page, 'measures.W').fill('24')
  await page.keyboard.press('Escape')
  // On paper both stand with their letters, what was read, and room to read again.
  const [first, second] = (await printed(page, 'Measuring sheet')).pages
  expect(first).toContain('1 Hearth cube')
  expect(second).toMatch(/2 Hearth cube 2[^]*Again[^]*W +width\. .* 24/)
  // The browser's own key for printing opens the sheet of the view, what was typed last on it, and never prints the page.
  await field(page, 'measures.W').fill('25')
  const opened = page.context().waitForEvent('page')
  const asked = page.context().waitForEvent('request', (request) => request.url().includes('measuring-sheet.pdf'))
  await page.keyboard.press('Control+p')
  const sheet = await page.request.get((await asked).url())
  expect(read(await sheet.body(), 'by key').text).toMatch(/2 Hearth cube 2[^]*W +width\. .* 25/)
  await (await opened).close()
  await page.keyboard.press('Control+k')
  await page.keyboard.type('item 1 hearth')
  await page.keyboard.press('Enter')
  await expect(field(page, 'measures.W')).toHaveValue('20 in')
  await page.keyboard.press('Control+k')
  await page.keyboard.type('piece 1b')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/pieces$/)
  await expect(items.locator('li button')).toHaveCount(2)
  await expect(page.getByRole('list', { name: 'Pieces' }).locator('[aria-pressed=true]')).toContainText('1b')
})

test('what no kind is called is picked by its drawing and keeps its name', async ({ page }) => {
  await begin(page, 'Odd')
  await page.keyboard.type('Zither')
  await expect(page.getByText('it will be called “Zither”')).toBeVisible()
  // Nothing is picked until she does: a hasty Enter begins nothing.
  await page.keyboard.press('Enter')
  await expect(page.getByRole('option', { selected: true })).toHaveCount(0)
  await page.keyboard.press('ArrowDown')
  await expect(page.getByRole('option', { selected: true })).toHaveText('Cushion or seat pad')
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Called')).toHaveValue('Zither')
})

test('a server that does not tell the workroom is told, and asked again', async ({ page }) => {
  await page.route('**/api/workroom', (route) => route.abort())
  await page.goto('/')
  await expect(page.getByRole('alert')).toContainText('does not answer')
  await page.unroute('**/api/workroom')
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByRole('heading', { name: 'Heron Loft' })).toBeVisible()
})

test.describe('by touch on a tall screen', () => {
  test.use({ hasTouch: true, viewport: { width: 820, height: 1180 } })

  test('a stranger taps a duvet from its drawing to the printed cutting sheet and the shopping list', async ({
    page,
  }) => {
    let taps = 0
    const tap = async (what: ReturnType<Page['locator']>) => {
      await what.tap()
      taps++
    }
    await begin(page, 'Guest room')
    await tap(page.getByRole('option', { name: 'Duvet', exact: true }))
    const pad = page.getByRole('group', { name: 'Pad' })
    await expect(pad.getByRole('button', { name: 'Next line' })).toBeInViewport({ ratio: 1 })
    for (const size of ['54', '84']) {
      for (const digit of size) await tap(pad.getByRole('button', { name: digit, exact: true }))
      await tap(pad.getByRole('button', { name: 'Next line' }))
    }
    await expect(page).toHaveURL(/make-up$/)
    await tap(page.getByRole('link', { name: /Pieces/ }))
    await tap(page.getByRole('button', { name: /^1a front/ }))
    await tap(page.getByRole('link', { name: /Lay/ }))
    expect((await printed(page, 'Print the cutting sheet')).text).toMatch(/Guest room[^]*1a front/)
    taps++
    await tap(page.getByRole('link', { name: /Buy/ }))
    // Three cuts of 87 1/2 in: 7.29 yd, in eighths 7 3/8.
    await expect(
      page
        .getByRole('region', { name: 'Shopping list' })
        .getByRole('row', { name: /First cloth/ })
        .first(),
    ).toContainText('7 3/8 yd')
    expect(taps).toBeLessThan(17)
  })
})

// What can be touched is large enough for a thumb, and nothing has to be scrolled sideways, but for what scrolls by itself.
test('every stage fits the three sizes of screen, each control as large as a thumb', async ({ page }) => {
  const wrong: string[] = []
  for (const size of sizes) {
    await page.setViewportSize(size)
    for (const stage of ['measure', 'make-up', 'pieces', 'lay', 'buy', 'make', 'hand-over']) {
      await page.goto(`/jobs/demo-lodge-seats/${stage}`)
      await expect(page.getByTestId('to-buy')).toBeVisible()
      wrong.push(
        ...(
          await page.evaluate(() => {
            const told: string[] = []
            if (document.scrollingElement!.scrollWidth > innerWidth) told.push('the page scrolls sideways')
            const stage = document.getElementById('stage')!
            if (stage.scrollWidth > stage.clientWidth + 1) told.push('the stage scrolls sideways')
            for (const control of document.querySelectorAll(
              'button, a, summary, input:not([type=radio], [type=checkbox])',
            )) {
              const box = control.getBoundingClientRect()
              const held = control.closest('.ant-input-affix-wrapper, .ant-select, .ant-segmented, label')
              const height = Math.max(box.height, held?.getBoundingClientRect().height ?? 0)
              if (box.width > 0 && height < 43.5 && getComputedStyle(control).display !== 'inline')
                told.push(`${Math.round(height)} px high: ${control.outerHTML.slice(0, 90)}`)
            }
            return told
          })
        ).map((each) => `${stage} at ${size.width}: ${each}`),
      )
    }
  }
  expect(wrong).toEqual([])
})

test('what is answered otherwise than usual stands out and is put back', async ({ page }) => {
  await begin(page, 'Answers')
  await pick(page, 'Cushion or seat pad')
  await expect(field(page, 'measures.W')).toBeFocused()
  // Before anything is measured Make-up says by name what is to be, and shows the schools as they usually are.
  await page.keyboard.press('Alt+2')
  await expect(page.getByText(/To be measured first: width, length, thickness/)).toBeVisible()
  await expect(page.getByRole('region', { name: 'Make-ups' }).locator('li img')).toHaveCount(5)
  await page.getByRole('button', { name: 'Measure', exact: true }).click()
  for (const [key, size] of Object.entries({ W: '30', L: '20', T: '4' }))
    await field(page, `measures.${key}`).fill(size)
  await page.keyboard.press('Escape')
  await page.keyboard.press('Alt+2')
  const answers = page.getByRole('region', { name: 'What can be chosen' })
  const allowances = answers.locator('details').filter({ hasText: 'Allowances' })
  await expect(answers.getByText('changed')).toHaveCount(0)
  await allowances.locator('summary').click()
  // However it is written half an inch is usual.
  await field(page, 'allowances.s').fill('0.5')
  await expect(allowances.locator('summary')).toContainText('usual')
  await field(page, 'allowances.s').fill('3/8')
  await expect(allowances.locator('summary')).toContainText('changed')
  await answers.getByRole('button', { name: 'Put back what is usual' }).click()
  await expect(field(page, 'allowances.s')).toHaveValue(/^1\/2/)
  await expect(allowances.locator('summary')).toContainText('usual')
})

test('the room is walked size by size; items are mirrored, moved, taken off, and each is taken back at the foot', async ({
  page,
}) => {
  await begin(page, 'Walk')
  await page.keyboard.type('box')
  await page.keyboard.press('Enter')
  await expect(field(page, 'measures.W')).toBeFocused()
  const items = page.getByRole('complementary', { name: 'Items' })
  await items.getByRole('button', { name: 'Same again' }).click()
  await page.getByRole('button', { name: 'Walk the room' }).click()
  const walk = page.getByRole('region', { name: 'Walk the room' })
  await expect(walk).toContainText('Size 1 of 6')
  for (const size of ['30', '20', '4', '24', '20']) {
    await expect(walk.getByRole('textbox')).toHaveValue('')
    await page.keyboard.type(size)
    await page.keyboard.press('Enter')
  }
  await expect(walk).toContainText('Size 6 of 6')
  await expect(walk).toContainText('item 2 of 2')
  await walk.getByRole('button', { name: 'Leave it for now' }).click()
  await expect(walk).toContainText('Every size is taken.')
  await walk.getByRole('button', { name: 'Back', exact: true }).click()
  await walk.getByRole('button', { name: '5', exact: true }).click()
  await walk.getByRole('button', { name: 'Next line' }).click()
  await walk.getByRole('button', { name: 'Back to the drawing' }).click()
  await expect(field(page, 'measures.T')).toHaveValue('5 in')
  // Of an ell the mirror image is the other hand.
  await choose(page, 'Outline', 'L')
  await page.keyboard.press('Escape')
  await items.getByRole('button', { name: 'Mirrored' }).click()
  const foot = page.getByRole('contentinfo', { name: 'Totals' })
  await expect(foot).toContainText('its mirror image.')
  await expect(items.locator('ol > li')).toHaveCount(3)
  await expect(page.getByText('Left', { exact: true }).first()).toBeVisible()
  await items.getByRole('button', { name: /^Move .* up$/ }).click()
  await expect(foot).toContainText('is number 2.')
  await foot.getByRole('button', { name: 'Take it back' }).click()
  await expect(items.locator('ol > li').nth(2).getByRole('button')).toHaveAttribute('aria-pressed', 'true')
  await items.getByRole('button', { name: /^Take off/ }).click()
  await expect(foot).toContainText('was taken off.')
  await foot.getByRole('button', { name: 'Take it back' }).click()
  await expect(items.locator('ol > li')).toHaveCount(3)
})
